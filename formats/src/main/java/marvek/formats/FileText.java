package marvek.formats;

import java.io.BufferedInputStream;
import java.io.ByteArrayInputStream;
import java.io.EOFException;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.zip.GZIPInputStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipInputStream;
import marvek.core.say.Sentence;

/**
 * The text of a file, however it is packed (gzip, a zip of one file) and encoded (UTF-8, UTF-16,
 * Windows-1252). It is read as a stream as often as it is asked for, and never held as a whole.
 */
public final class FileText {
  /** What is unpacked is no larger: of a few bytes a packer can promise a mountain. */
  private static final long MOST_BYTES = 700L << 20;

  private static final int HEAD_BYTES = 64 * 1024;

  /** Packed twice is a habit of some senders; more often it is no log. */
  private static final int MOST_LAYERS = 2;

  private static final int GZIP_FIRST = 0x1f;
  private static final int GZIP_SECOND = 0x8b;
  private static final byte[] ZIP = {'P', 'K', 3, 4};

  /** Where a file's bytes come from; opened anew for each pass. */
  public interface Bytes {
    InputStream open() throws IOException;
  }

  private final Bytes bytes;
  private final Charset charset;
  private final int markBytes;
  private final String head;
  private final List<Sentence> told;

  private FileText(Bytes bytes, Charset charset, int markBytes, String head, List<Sentence> told) {
    this.bytes = bytes;
    this.charset = charset;
    this.markBytes = markBytes;
    this.head = head;
    this.told = List.copyOf(told);
  }

  /** The text of bytes in memory; see {@link #of(Bytes)}. */
  public static FileText of(byte[] bytes) {
    return of(() -> new ByteArrayInputStream(bytes));
  }

  /**
   * Finds out how a file is packed and encoded.
   *
   * @throws BadFileException if it is empty, no text, or a zip of several files
   */
  public static FileText of(Bytes bytes) {
    try {
      List<Sentence> told = new ArrayList<>();
      Bytes plain = unpacked(bytes, told);
      byte[] head = head(plain);
      if (head.length == 0) {
        throw BadFileException.whole(Sentence.of("file.empty-laps"));
      }
      return decoded(plain, head, told);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static Bytes unpacked(Bytes packed, List<Sentence> told) throws IOException {
    Bytes now = packed;
    for (int layer = 0; layer < MOST_LAYERS; layer++) {
      byte[] first = first(now, ZIP.length);
      Bytes outer = now;
      if (first.length > 1 && (first[0] & 0xff) == GZIP_FIRST && (first[1] & 0xff) == GZIP_SECOND) {
        told.add(Sentence.of("laps.gzip"));
        now = () -> bounded(new GZIPInputStream(outer.open(), 1 << 16));
      } else if (Arrays.equals(first, ZIP)) {
        String entry = onlyEntry(outer);
        told.add(Sentence.of("laps.zip", "entry", entry));
        now = () -> bounded(entry(outer, entry));
      } else {
        return now;
      }
    }
    return now;
  }

  private static String onlyEntry(Bytes zip) throws IOException {
    List<String> names = new ArrayList<>();
    try (ZipInputStream in = new ZipInputStream(zip.open())) {
      for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
        boolean hidden = e.getName().startsWith("__") || e.getName().contains("/.");
        if (!e.isDirectory() && !hidden) {
          names.add(e.getName());
        }
      }
    }
    if (names.isEmpty()) {
      throw BadFileException.whole(Sentence.of("file.zip-empty"));
    }
    if (names.size() != 1) {
      throw BadFileException.whole(
          Sentence.of(
              "file.zip-many",
              "count",
              names.size(),
              "names",
              String.join(", ", names.stream().limit(5).toList())));
    }
    return names.get(0);
  }

  private static InputStream entry(Bytes zip, String name) throws IOException {
    ZipInputStream in = new ZipInputStream(zip.open());
    for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
      if (e.getName().equals(name)) {
        return in;
      }
    }
    throw new IOException("the zip has lost " + name);
  }

  private static InputStream bounded(InputStream in) {
    return new FilterInputStream(in) {
      private long left = MOST_BYTES;

      @Override
      public int read() throws IOException {
        return counted(super.read(), 1);
      }

      @Override
      public int read(byte[] to, int from, int length) throws IOException {
        try {
          int read = super.read(to, from, length);
          return counted(read, read);
        } catch (ZipException | EOFException e) {
          throw broken();
        }
      }

      private int counted(int answer, int bytes) {
        left -= Math.max(0, answer < 0 ? 0 : bytes);
        if (left < 0) {
          throw BadFileException.whole(
              Sentence.of("file.unpacked-large", "most", MOST_BYTES >> 20));
        }
        return answer;
      }
    };
  }

  private static byte[] first(Bytes bytes, int count) throws IOException {
    try (InputStream in = bytes.open()) {
      return in.readNBytes(count);
    }
  }

  private static byte[] head(Bytes bytes) throws IOException {
    try {
      return first(bytes, HEAD_BYTES);
    } catch (ZipException | EOFException e) {
      throw broken();
    }
  }

  private static BadFileException broken() {
    return BadFileException.whole(Sentence.of("file.pack-broken"));
  }

  private static FileText decoded(Bytes bytes, byte[] head, List<Sentence> told) {
    Charset charset = StandardCharsets.UTF_8;
    int mark = 0;
    if (begins(head, 0xEF, 0xBB, 0xBF)) {
      mark = 3;
    } else if (begins(head, 0xFF, 0xFE)) {
      charset = StandardCharsets.UTF_16LE;
      mark = 2;
    } else if (begins(head, 0xFE, 0xFF)) {
      charset = StandardCharsets.UTF_16BE;
      mark = 2;
    } else if (zeros(head, 1) > 0 || zeros(head, 0) > 0) {
      charset = sixteenBits(head);
    } else if (!isUtf8(head)) {
      charset = Charset.forName("windows-1252");
    }
    if (!charset.equals(StandardCharsets.UTF_8)) {
      told.add(Sentence.of("laps.charset", "charset", charset.displayName(Locale.ROOT)));
    }
    String text = new String(head, mark, head.length - mark, charset);
    return new FileText(bytes, charset, mark, text, told);
  }

  private static boolean begins(byte[] head, int... mark) {
    for (int i = 0; i < mark.length; i++) {
      if (head.length <= i || (head[i] & 0xff) != mark[i]) {
        return false;
      }
    }
    return true;
  }

  /** Text of two bytes a letter has a zero in nearly every second place, and in no other. */
  private static Charset sixteenBits(byte[] head) {
    int half = head.length / 2;
    if (zeros(head, 1) > 0.8 * half && zeros(head, 0) == 0) {
      return StandardCharsets.UTF_16LE;
    }
    if (zeros(head, 0) > 0.8 * half && zeros(head, 1) == 0) {
      return StandardCharsets.UTF_16BE;
    }
    throw BadFileException.whole(Sentence.of("file.binary"));
  }

  private static int zeros(byte[] head, int from) {
    int zeros = 0;
    for (int i = from; i < head.length; i += 2) {
      zeros += head[i] == 0 ? 1 : 0;
    }
    return zeros;
  }

  /** The last letter may be cut in two by the end of the head: it is not looked at. */
  private static boolean isUtf8(byte[] head) {
    int length = head.length < HEAD_BYTES ? head.length : head.length - 4;
    for (int cut = 0; cut < 4 && length - cut > 0; cut++) {
      try {
        StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(head, 0, length - cut));
        return true;
      } catch (CharacterCodingException e) {
        if (head.length < HEAD_BYTES) {
          return false;
        }
      }
    }
    return false;
  }

  /** What was done to come to the text. */
  public List<Sentence> told() {
    return told;
  }

  /** Its beginning, up to 64 kB. */
  public String head() {
    return head;
  }

  /** First letter that is no blank; 0 without one. */
  public char firstLetter() {
    return (char) head.chars().filter(c -> !Character.isWhitespace(c)).findFirst().orElse(0);
  }

  /** The text from its beginning; the caller closes it. */
  public Reader reader() {
    try {
      return new InputStreamReader(stream(), charset);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** The unpacked bytes without the mark of their order; the caller closes them. */
  InputStream stream() throws IOException {
    InputStream in = new BufferedInputStream(bytes.open(), 1 << 16);
    in.skipNBytes(markBytes);
    return in;
  }
}
