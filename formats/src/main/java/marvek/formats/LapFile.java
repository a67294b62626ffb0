package marvek.formats;

import java.util.List;
import marvek.core.laps.Recording;
import marvek.core.say.Sentence;

/**
 * A lap file as it was read.
 *
 * @param recording its samples
 * @param used columns that were taken, by their headers
 * @param unknown columns that mean nothing to Marvek
 * @param corrections what was put right; nothing is put right silently
 */
public record LapFile(
    Recording recording, List<String> used, List<String> unknown, List<Sentence> corrections) {
  public LapFile {
    used = List.copyOf(used);
    unknown = List.copyOf(unknown);
    corrections = List.copyOf(corrections);
  }
}
