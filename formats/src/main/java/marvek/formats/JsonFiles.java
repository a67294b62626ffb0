package marvek.formats;

import java.io.BufferedInputStream;
import java.io.ByteArrayInputStream;
import java.io.CharConversionException;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import marvek.core.say.Sentence;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.StreamWriteFeature;
import tools.jackson.core.TokenStreamFactory;
import tools.jackson.core.TokenStreamLocation;
import tools.jackson.core.exc.JacksonIOException;
import tools.jackson.core.exc.StreamConstraintsException;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.core.json.JsonReadFeature;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectMapper;
import tools.jackson.databind.json.JsonMapper;

/** JSON as this project reads and writes it: strict, UTF-8, keys in the order they were put. */
public final class JsonFiles {
  /** Deeper than any of the formats goes; GeoJSON in a book in a request is some ten deep. */
  private static final int DEEPEST = 40;

  /** What a gigabyte of memory holds as a tree, at some 45 bytes a token. */
  private static final long MOST_TOKENS = 8_000_000;

  private static final byte[] BYTE_ORDER_MARK = {(byte) 0xEF, (byte) 0xBB, (byte) 0xBF};

  private static final int LONGEST_TEXT = 1_000_000;
  private static final int LONGEST_NUMBER = 100;
  private static final int LONGEST_NAME = 1000;

  /** Bounds on what comes from outside, for every parser of JSON. */
  public static final StreamReadConstraints BOUNDS =
      StreamReadConstraints.builder()
          .maxNestingDepth(DEEPEST)
          .maxTokenCount(MOST_TOKENS)
          .maxStringLength(LONGEST_TEXT)
          .maxNumberLength(LONGEST_NUMBER)
          .maxNameLength(LONGEST_NAME)
          .build();

  /** The mapper of all formats; do not reconfigure. */
  public static final ObjectMapper MAPPER =
      JsonMapper.builder(
              JsonFactory.builder()
                  .disable(TokenStreamFactory.Feature.CHARSET_DETECTION)
                  .streamReadConstraints(BOUNDS)
                  .build())
          .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
          .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
          .disable(JsonReadFeature.ALLOW_NON_NUMERIC_NUMBERS)
          // Numbers are written as ever: a file given out again is the same to the byte.
          .disable(StreamWriteFeature.USE_FAST_DOUBLE_WRITER)
          .build();

  private JsonFiles() {}

  /**
   * Parses a file that is in memory.
   *
   * @throws BadFileException with line and column where it is not JSON
   */
  public static JsonNode parse(byte[] bytes) {
    try {
      return parse(new ByteArrayInputStream(bytes));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /**
   * Parses a file while it is read.
   *
   * @throws BadFileException with line and column where it is not JSON
   * @throws IOException if it cannot be read
   */
  public static JsonNode parse(InputStream file) throws IOException {
    FileEnd read = new FileEnd(withoutMark(new BufferedInputStream(file)));
    try {
      JsonNode tree = MAPPER.readTree(read);
      if (tree.isMissingNode()) {
        throw BadFileException.whole(Sentence.of("file.empty"));
      }
      JsonText.check(tree);
      return tree;
    } catch (StreamConstraintsException e) {
      throw BadFileException.whole(Sentence.of("file.beyond-bounds", "why", bound(e)));
    } catch (JacksonIOException e) {
      if (e.getCause() instanceof CharConversionException) {
        throw BadFileException.whole(Sentence.of("file.not-utf-8"));
      }
      throw e.getCause();
    } catch (JacksonException e) {
      throw notJson(e, read);
    }
  }

  private static InputStream withoutMark(InputStream file) throws IOException {
    file.mark(BYTE_ORDER_MARK.length);
    if (!Arrays.equals(file.readNBytes(BYTE_ORDER_MARK.length), BYTE_ORDER_MARK)) {
      file.reset();
    }
    return file;
  }

  private static BadFileException notJson(JacksonException e, FileEnd read) throws IOException {
    if (e.getOriginalMessage().startsWith("Invalid UTF-8")) {
      return BadFileException.whole(Sentence.of("file.not-utf-8"));
    }
    TokenStreamLocation at = e.getLocation();
    Sentence said =
        endsTooSoon(e, read)
            ? Sentence.of("file.json-cut-off")
            : Sentence.of("file.no-json", "why", plainly(e.getOriginalMessage()));
    return at == null
        ? BadFileException.whole(said)
        : BadFileException.atLine(at.getLineNr(), "column " + at.getColumnNr(), said);
  }

  private static String bound(StreamConstraintsException e) {
    return plainly(e.getOriginalMessage())
        .replaceFirst(" exceeds.*| \\(from `.*", " out of bounds");
  }

  /** Whether the parser stumbled over the end of the file, be it in the middle of a number. */
  private static boolean endsTooSoon(JacksonException e, FileEnd read) throws IOException {
    boolean atTheEnd =
        e.getLocation() != null && e.getLocation().getByteOffset() >= read.lastTextAt();
    return atTheEnd || e.getOriginalMessage().startsWith("Unexpected end-of-input");
  }

  /** Without the parser's own remarks on where it read from. */
  private static String plainly(String message) {
    return message.replaceAll("\\s*(\\(start marker )?at \\[Source:.*", "").strip();
  }

  /** Decodes UTF-8 strictly, without a byte order mark. */
  static String text(byte[] bytes) {
    try {
      String text =
          StandardCharsets.UTF_8
              .newDecoder()
              .onMalformedInput(CodingErrorAction.REPORT)
              .decode(ByteBuffer.wrap(bytes))
              .toString();
      return text.startsWith("\uFEFF") ? text.substring(1) : text;
    } catch (CharacterCodingException e) {
      throw BadFileException.whole(Sentence.of("file.not-utf-8"));
    }
  }

  /** One line of JSON. */
  public static String write(JsonNode node) {
    return MAPPER.writeValueAsString(node);
  }

  /** Indented JSON with a newline at its end, as files are written. */
  public static byte[] writeFile(JsonNode node) {
    String text = MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(node);
    return (text.replace("\r\n", "\n") + "\n").getBytes(StandardCharsets.UTF_8);
  }
}
