package marvek.server.accounts;

/** What somebody may do with things that a driver owns. */
public enum Right {
  /** See books, circuits, cars, sessions, and let the model compute. */
  READ,
  /** See laps, what they tell, and what is said of a group. */
  LAPS,
  /** Learn from a book: what comes of it belongs to who learns. */
  LEARN,
  /** Say something about laps. */
  REMARK,
  /** Lead a day: groups, cones, remarks to drivers. */
  LEAD,
  /** Take files out. */
  EXPORT,
  /** Change, revise, take files in. */
  EDIT,
  /** Share, put away, remove for good. */
  OWN
}
