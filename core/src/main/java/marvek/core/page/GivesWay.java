package marvek.core.page;

/** What is found anew when a driver brakes in a shape of his own. */
public enum GivesWay {
  /** The speed at the apex stays: the place to brake is found. */
  BRAKE_POINT,
  /** The place to brake stays: the pressure is found that gives the speed at the apex. */
  PRESSURE,
  /** Both stay, and the drive shows what comes of it. */
  NOTHING
}
