package marvek.core.page;

/** Which corner of a later layout a value goes to when its corner was split or joined. */
enum Heir {
  /** The first part: what is done on the way in. */
  FIRST,
  /** The part that the tightest place lies in. */
  MIDDLE,
  /** The part that the tightest place lies in, the last of several that are joined. */
  MIDDLE_LAST,
  /** The last part: what is done on the way out. */
  LAST,
  /** Every part; of joined corners the first one's. */
  ANY,
  /** Every part; of joined corners all of them, one after the other. */
  TOGETHER
}
