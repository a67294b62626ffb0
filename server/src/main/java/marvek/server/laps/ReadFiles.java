package marvek.server.laps;

import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import marvek.formats.FileText;
import marvek.formats.LapFiles;
import marvek.formats.LapsOnRoad;
import marvek.server.books.Books;
import org.springframework.stereotype.Component;

/** Files that were read on a revision's road, the last ones kept as far as there is room. */
@Component
class ReadFiles {
  /** A sample of twenty channels is 160 bytes: files keep at most a fifth of what there is. */
  private static final long BYTES_A_SAMPLE = 160;

  private static final int SHARE = 5;

  private final long mostSamples = Runtime.getRuntime().maxMemory() / SHARE / BYTES_A_SAMPLE;
  private final Map<Key, LapsOnRoad> read = new LinkedHashMap<>(16, 0.75f, true);

  /**
   * A file read on a revision's road: another revision may lie on another layout.
   *
   * @param columns how its columns were named, and its headers pointed at
   */
  private record Key(String digest, String columns, UUID book, int revision) {}

  /**
   * Reads a file, or answers what was read of it before.
   *
   * @param digest of its content
   */
  LapsOnRoad read(
      String digest,
      FileText.Bytes content,
      Map<String, String> mapping,
      long headerLine,
      UUID book,
      Books.Computed computed) {
    int revision = computed.document().path("number").asInt();
    Key key = new Key(digest, headerLine + " " + mapping, book, revision);
    synchronized (read) {
      LapsOnRoad known = read.get(key);
      if (known != null) {
        return known;
      }
    }
    LapsOnRoad laps =
        LapsOnRoad.of(
            LapFiles.read(FileText.of(content), mapping, headerLine),
            computed.circuit(),
            SessionLaps.road(computed),
            computed.reference().lap());
    synchronized (read) {
      read.put(key, laps);
      makeRoom();
    }
    return laps;
  }

  private void makeRoom() {
    long samples = read.values().stream().mapToLong(laps -> laps.recording().size()).sum();
    Iterator<LapsOnRoad> oldest = read.values().iterator();
    while (samples > mostSamples && read.size() > 1) {
      samples -= oldest.next().recording().size();
      oldest.remove();
    }
  }
}
