package marvek.formats;

import java.util.List;
import marvek.core.say.Sentence;

/**
 * What came out of a file.
 *
 * @param warnings what the reader had to assume or left out
 */
public record Imported<T>(T value, List<Sentence> warnings) {
  public Imported {
    warnings = List.copyOf(warnings);
  }

  /** The warnings in words. */
  public List<String> words() {
    return warnings.stream().map(Sentence::words).toList();
  }
}
