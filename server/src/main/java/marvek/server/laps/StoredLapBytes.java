package marvek.server.laps;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.UUID;
import java.util.zip.Deflater;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import marvek.formats.FileText;
import org.hibernate.annotations.JavaType;

/** What is in a file of laps, byte for byte; packed, for most of it is digits. */
@Entity
@Table(name = "lap_bytes")
class StoredLapBytes {
  @Id private UUID fileId;

  @JavaType(NeverChangedBytes.class)
  private byte[] bytes;

  private boolean packed;

  protected StoredLapBytes() {}

  private StoredLapBytes(UUID fileId, byte[] bytes) {
    this.fileId = fileId;
    this.bytes = bytes;
    this.packed = true;
  }

  /**
   * The content of a file as it is kept; packed beside on the disk, so that it is never held as a
   * whole but as it is stored.
   */
  static StoredLapBytes of(UUID fileId, FileText.Bytes content) throws IOException {
    Path beside = Files.createTempFile("laps", ".gz");
    try {
      try (InputStream in = content.open();
          GZIPOutputStream packing = new FastGzip(Files.newOutputStream(beside))) {
        in.transferTo(packing);
      }
      return new StoredLapBytes(fileId, Files.readAllBytes(beside));
    } finally {
      Files.delete(beside);
    }
  }

  /** Digits pack to a quarter at the fastest level, and to little less at the slowest. */
  private static final class FastGzip extends GZIPOutputStream {
    FastGzip(OutputStream out) throws IOException {
      super(out, 1 << 16);
      def.setLevel(Deflater.BEST_SPEED);
    }
  }

  /** The file as it was brought in; opened anew for each pass. */
  FileText.Bytes content() {
    return packed
        ? () -> new GZIPInputStream(new ByteArrayInputStream(bytes), 1 << 16)
        : () -> new ByteArrayInputStream(bytes);
  }
}
