package marvek.core.laps;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Collects in words what was put right in a recording. */
final class Corrections {
  /** Of many places these are named, the others counted. */
  private static final int SHOWN = 3;

  private final List<String> words = new ArrayList<>();

  List<String> words() {
    return List.copyOf(words);
  }

  void add(String format, Object... values) {
    words.add(text(format, values));
  }

  /** Says a thing with the places where it was found; nothing where it was found nowhere. */
  void addPlaces(List<String> places, String begin, String end) {
    if (!places.isEmpty()) {
      String more = places.size() > SHOWN ? " and " + (places.size() - SHOWN) + " more" : "";
      String shown = String.join(", ", places.subList(0, Math.min(SHOWN, places.size())));
      words.add(begin + shown + more + end);
    }
  }

  static String text(String format, Object... values) {
    return String.format(Locale.ROOT, format, values);
  }
}
