package marvek.formats;

import java.util.List;
import marvek.core.laps.Recording;

/**
 * A lap file as it was read.
 *
 * @param recording its samples
 * @param used columns that were taken, by their headers
 * @param unknown columns that mean nothing to Marvek
 * @param corrections what was put right, in words; nothing is put right silently
 */
public record LapFile(
    Recording recording, List<String> used, List<String> unknown, List<String> corrections) {
  public LapFile {
    used = List.copyOf(used);
    unknown = List.copyOf(unknown);
    corrections = List.copyOf(corrections);
  }
}
