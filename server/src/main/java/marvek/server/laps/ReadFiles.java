package marvek.server.laps;

import java.lang.ref.SoftReference;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import java.util.function.Supplier;
import marvek.formats.FileText;
import marvek.formats.LapFiles;
import marvek.formats.LapsOnRoad;
import marvek.server.books.Books;
import org.springframework.stereotype.Component;

/** Files that were read on a revision's road, kept for as long as there is room for them. */
@Component
class ReadFiles {
  private static final int MOST = 32;

  private final Map<Key, SoftReference<LapsOnRoad>> read =
      new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Key, SoftReference<LapsOnRoad>> eldest) {
          return size() > MOST;
        }
      };

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
   * @param content fetched only if it has to be read
   */
  LapsOnRoad read(
      String digest,
      Supplier<FileText.Bytes> content,
      Map<String, String> mapping,
      long headerLine,
      UUID book,
      Books.Computed computed) {
    int revision = computed.document().path("number").asInt();
    Key key = new Key(digest, headerLine + " " + mapping, book, revision);
    synchronized (read) {
      SoftReference<LapsOnRoad> before = read.get(key);
      LapsOnRoad known = before == null ? null : before.get();
      if (known != null) {
        return known;
      }
    }
    LapsOnRoad laps =
        LapsOnRoad.of(
            LapFiles.read(FileText.of(content.get()), mapping, headerLine),
            computed.circuit(),
            SessionLaps.road(computed),
            computed.reference().lap());
    synchronized (read) {
      read.put(key, new SoftReference<>(laps));
    }
    return laps;
  }
}
