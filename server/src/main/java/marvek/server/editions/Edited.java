package marvek.server.editions;

/** An answer that shows something which can be changed: its edition goes along as the ETag. */
public interface Edited {
  /** How often it was changed; {@link Edition#NONE} while nothing is stored. */
  long edition();
}
