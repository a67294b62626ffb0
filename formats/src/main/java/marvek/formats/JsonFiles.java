package marvek.formats;

import com.fasterxml.jackson.core.JsonLocation;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.StreamReadFeature;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;

/** JSON as this project reads and writes it: strict, UTF-8, keys in the order they were put. */
public final class JsonFiles {
  /** The mapper of all formats; do not reconfigure. */
  public static final ObjectMapper MAPPER =
      JsonMapper.builder()
          .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
          .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
          .disable(JsonParser.Feature.ALLOW_NON_NUMERIC_NUMBERS)
          .build();

  private JsonFiles() {}

  /**
   * Parses a file.
   *
   * @throws BadFileException with line and column where it is not JSON
   */
  public static JsonNode parse(byte[] bytes) {
    String text = text(bytes);
    if (text.isBlank()) {
      throw BadFileException.whole("The file is empty.");
    }
    try {
      return MAPPER.readTree(text);
    } catch (JsonProcessingException e) {
      JsonLocation at = e.getLocation();
      String detail =
          endsTooSoon(e, text)
              ? "the file ends here in the middle of its JSON. It may have been cut off:"
                  + " export or copy it again."
              : "this is not JSON (" + plainly(e.getOriginalMessage()) + "). Export it again.";
      if (at == null) {
        throw BadFileException.whole(detail);
      }
      throw BadFileException.atLine(at.getLineNr(), "column " + at.getColumnNr(), detail);
    }
  }

  /** Whether the parser stumbled over the end of the file, be it in the middle of a number. */
  private static boolean endsTooSoon(JsonProcessingException e, String text) {
    boolean atTheEnd =
        e.getLocation() != null
            && e.getLocation().getCharOffset() >= text.stripTrailing().length() - 1;
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
      throw BadFileException.whole("The file is not UTF-8 text: save it as UTF-8 and try again.");
    }
  }

  /** One line of JSON. */
  public static String write(JsonNode node) {
    try {
      return MAPPER.writeValueAsString(node);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Indented JSON with a newline at its end, as files are written. */
  public static byte[] writeFile(JsonNode node) {
    try {
      String text = MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(node);
      return (text.replace("\r\n", "\n") + "\n").getBytes(StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
