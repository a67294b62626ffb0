package marvek.core.laps;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import marvek.core.say.Sentence;

/** Collects what was put right in a recording. */
final class Corrections {
  /** Of many places these are named, the others counted. */
  private static final int SHOWN = 3;

  private final List<Sentence> said = new ArrayList<>();

  List<Sentence> said() {
    return List.copyOf(said);
  }

  /** See {@link Sentence#of}. */
  void add(String code, Object... namesAndValues) {
    said.add(Sentence.of(code, namesAndValues));
  }

  /** Says a thing with the times where it was found; nothing where it was found nowhere. */
  void addPlaces(String code, List<String> places) {
    if (!places.isEmpty()) {
      String shown = String.join(", ", places.subList(0, Math.min(SHOWN, places.size())));
      add(code, "places", places.size() > SHOWN ? shown + ", …" : shown, "count", places.size());
    }
  }

  /** A stretch of time. */
  static String stretch(double fromS, double toS) {
    return String.format(Locale.ROOT, "%.1f–%.1f s", fromS, toS);
  }

  /** A moment. */
  static String moment(double atS) {
    return String.format(Locale.ROOT, "%.1f s", atS);
  }
}
