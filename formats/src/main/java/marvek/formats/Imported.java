package marvek.formats;

import java.util.List;

/**
 * What came out of a file.
 *
 * @param warnings what the reader had to assume or left out, in words for the user
 */
public record Imported<T>(T value, List<String> warnings) {
  public Imported {
    warnings = List.copyOf(warnings);
  }
}
