package marvek.formats;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvRecordHandler;
import marvek.core.say.Sentence;

/** How much a row of a CSV file may hold: files come from outside, and a cell is no essay. */
final class CsvBounds {
  private static final int MOST_FIELDS = 20_000;
  private static final int LONGEST_CELL = 2000;
  private static final int LONGEST_ROW = 200_000;

  private CsvBounds() {}

  /** Gives records out, and refuses a row beyond the bounds. */
  static CsvRecordHandler records() {
    return CsvRecordHandler.builder()
        .maxFields(MOST_FIELDS)
        .maxFieldSize(LONGEST_CELL)
        .maxRecordSize(LONGEST_ROW)
        .build();
  }

  /** What the parser could not take. */
  static BadFileException notCsv(CsvParseException e) {
    String why = e.getCause() == null ? e.getMessage() : e.getCause().getMessage();
    return BadFileException.whole(Sentence.of("file.no-csv", "why", why));
  }
}
