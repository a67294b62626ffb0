package marvek.formats;

import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import marvek.core.circuit.Survey;

/** Writes a survey as centreline CSV, to a tenth of a millimetre. */
public final class CentrelineCsvWriter {
  private CentrelineCsvWriter() {}

  /** The file's bytes. */
  public static byte[] write(Survey survey) {
    StringWriter text = new StringWriter();
    if (!survey.closed()) {
      text.write("# closed: false\n");
    }
    try (CsvWriter csv = CsvWriter.builder().lineDelimiter(LineDelimiter.LF).build(text)) {
      writeRecords(csv, survey);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return text.toString().getBytes(StandardCharsets.UTF_8);
  }

  private static void writeRecords(CsvWriter csv, Survey survey) {
    csv.writeRecord("x_m", "y_m", "z_m", "width_left_m", "width_right_m", "banking_deg");
    for (int i = 0; i < survey.size(); i++) {
      csv.writeRecord(
          number(survey.xAt(i)),
          number(survey.yAt(i)),
          number(survey.zAt(i)),
          number(survey.widthLeftAt(i)),
          number(survey.widthRightAt(i)),
          number(Math.toDegrees(survey.bankingAt(i))));
    }
  }

  private static String number(double value) {
    return FixedDecimals.of(value, 4);
  }
}
