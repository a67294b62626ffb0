package marvek.formats;

import marvek.core.InvalidValueException;
import marvek.core.line.ChosenLine;
import marvek.core.line.LineChoice;
import marvek.core.line.LineOffsets;
import marvek.core.say.Sentence;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The line of a revision: its name and, where it is the driver's own, its offsets. */
public final class LineJson {
  private static final String OFFSETS = "lineOffsets_m";

  private LineJson() {}

  /**
   * Reads a line.
   *
   * @param name null for the smooth one
   * @param offsets array of numbers; looked at only where the line is the driver's own
   * @throws BadFileException with the pointer of what is no number
   * @throws InvalidValueException if the name is not known or its offsets are missing
   */
  public static ChosenLine read(@Nullable String name, @Nullable JsonNode offsets) {
    LineChoice choice =
        name == null ? LineChoice.SMOOTH : Spelled.read(LineChoice.class, "line", name);
    return new ChosenLine(choice, choice == LineChoice.OWN ? offsets(offsets) : null);
  }

  private static @Nullable LineOffsets offsets(@Nullable JsonNode node) {
    if (node == null || node.isNull() || node.isMissingNode()) {
      return null;
    }
    if (!node.isArray()) {
      throw BadFileException.atPointer("/" + OFFSETS, Sentence.of("file.numbers-expected"));
    }
    double[] offsets = new double[node.size()];
    for (int i = 0; i < offsets.length; i++) {
      if (!node.get(i).isNumber()) {
        throw BadFileException.atPointer(
            "/" + OFFSETS + "/" + i, Sentence.of("file.offset-expected"));
      }
      offsets[i] = node.get(i).asDouble();
    }
    return LineOffsets.of(offsets);
  }

  /** Writes {@code line} and, for the driver's own, {@code lineOffsets_m}. */
  static void write(ObjectNode node, ChosenLine line) {
    node.put("line", Spelled.of(line.choice()));
    ArrayNode offsets = offsets(line);
    if (offsets != null) {
      node.set(OFFSETS, offsets);
    }
  }

  /** The offsets in whole millimetres; null where the line is found by Marvek. */
  public static @Nullable ArrayNode offsets(ChosenLine line) {
    return line.offsets() == null ? null : offsets(line.offsets());
  }

  /** The offsets in whole millimetres. */
  public static ArrayNode offsets(LineOffsets line) {
    ArrayNode written = JsonFiles.MAPPER.createArrayNode();
    for (double offset : line.offsetsM()) {
      written.add(Math.round(offset * 1000) / 1000.0);
    }
    return written;
  }
}
