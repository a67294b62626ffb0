package marvek.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.Reader;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.zip.GZIPOutputStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import marvek.core.say.Sentence;
import org.junit.jupiter.api.Test;

/** Packed and encoded texts come out as they were. */
class FileTextTest {
  private static final String TEXT = "time_s,Höhe m²,speed\n1,2,3\n";

  private static String read(FileText text) throws IOException {
    try (Reader in = text.reader();
        StringWriter out = new StringWriter()) {
      in.transferTo(out);
      return out.toString();
    }
  }

  private static byte[] gzip(byte[] bytes) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (GZIPOutputStream gzip = new GZIPOutputStream(out)) {
      gzip.write(bytes);
    }
    return out.toByteArray();
  }

  @Test
  void everyEncodingGivesTheSameText() throws IOException {
    for (String charset :
        new String[] {"UTF-8", "UTF-16LE", "UTF-16BE", "UTF-16", "windows-1252"}) {
      FileText text = FileText.of(TEXT.getBytes(charset));
      assertThat(read(text)).as(charset).isEqualTo(TEXT);
      assertThat(text.head()).as(charset).isEqualTo(TEXT);
      assertThat(text.firstLetter()).isEqualTo('t');
    }
  }

  @Test
  void whatIsPackedTwiceIsUnpackedTwiceAndTold() throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(out)) {
      zip.putNextEntry(new ZipEntry("__MACOSX/._stint.csv"));
      zip.write(1);
      zip.putNextEntry(new ZipEntry("stint.csv"));
      zip.write(TEXT.getBytes(StandardCharsets.UTF_8));
    }
    FileText text = FileText.of(gzip(out.toByteArray()));
    assertThat(read(text)).isEqualTo(TEXT);
    assertThat(text.told())
        .extracting(Sentence::words)
        .containsExactly("Unpacked from gzip.", "Unpacked from a zip: stint.csv.");
  }

  /** A megabyte that promises a gigabyte is not unpacked to the end. */
  @Test
  void aMountainIsRefused() throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    byte[] line = new byte[1 << 20];
    Arrays.fill(line, (byte) '1');
    try (GZIPOutputStream gzip = new GZIPOutputStream(out)) {
      for (int k = 0; k < 720; k++) {
        gzip.write(line);
      }
    }
    FileText text = FileText.of(out.toByteArray());
    assertThatThrownBy(
            () -> {
              try (Reader in = text.reader()) {
                char[] some = new char[1 << 20];
                while (in.read(some) >= 0) {
                  assertThat(some[0]).isEqualTo('1');
                }
              }
            })
        .isInstanceOf(BadFileException.class)
        .hasMessageContaining("larger than 700 MB");
  }

  @Test
  void whatIsCutOffIsToldInWords() throws IOException {
    byte[] packed = gzip(TEXT.repeat(500).getBytes(StandardCharsets.UTF_8));
    byte[] half = Arrays.copyOf(packed, packed.length / 2);
    assertThatThrownBy(() -> read(FileText.of(half)))
        .isInstanceOf(BadFileException.class)
        .hasMessageContaining("broken");
  }
}
