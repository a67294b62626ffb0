package marvek.server.putaway;

import java.time.Instant;
import java.util.List;
import java.util.UUID;

/** Things of one kind that can be put away. Implemented by the feature that stores them. */
public interface PutsAway {
  /** The kind, as it stands in addresses: {@code book}. */
  String kind();

  /** What the driver has put away of it, the newest first. */
  List<Away> away();

  /** Whether there is one that is not put away. */
  boolean isThere(UUID id);

  /** Puts one away; false if there is none. */
  boolean putAway(UUID id, Instant at);

  /** Takes one back; false if none of that id is put away. */
  boolean takeBack(UUID id);

  /** Removes one that is put away, with all that belongs to it; false if none of that id is. */
  boolean remove(UUID id);

  /**
   * Something that is put away.
   *
   * @param goes what goes with it when it is removed
   * @param keptBy names of what needs it, so that it cannot be removed
   */
  record Away(UUID id, String name, Instant at, List<Goes> goes, List<String> keptBy) {}

  /** So many of something: {@code revision}, 3. */
  record Goes(String what, long count) {}

  /** What a feature keeps for a book, and goes with it. */
  interface WithBook {
    List<Goes> goesWith(UUID bookId);
  }

  /** Names of what needs circuits and cars, put away or not. */
  interface Needs {
    List<String> needCar(UUID carId);

    /** What is made for any version of the place that a circuit is of. */
    List<String> needPlace(UUID circuitId);
  }
}
