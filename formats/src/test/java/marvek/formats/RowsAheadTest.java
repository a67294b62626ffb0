package marvek.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import de.siegmar.fastcsv.reader.CsvParseException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Rows that are parted ahead come in their order, and end as the table or the caller ends. */
class RowsAheadTest {
  private static final int MANY = 5000;

  private static CsvText table(String end) {
    String rows =
        IntStream.range(0, MANY).mapToObj(i -> i + ",x").collect(Collectors.joining("\n"));
    return CsvText.of(FileText.of((rows + "\n" + end).getBytes(StandardCharsets.UTF_8)));
  }

  @Test
  void allRowsComeInTheirOrder() {
    List<Integer> seen = new ArrayList<>();
    RowsAhead.each(table(""), row -> seen.add(Integer.parseInt(row.getField(0))));
    assertThat(seen).hasSize(MANY).isSorted();
  }

  @Test
  void whatIsNoTableIsTheCallersToKnow() {
    List<String> seen = new ArrayList<>();
    String tooLong = "y".repeat(3000);
    assertThatThrownBy(() -> RowsAhead.each(table(tooLong), row -> seen.add(row.getField(0))))
        .isInstanceOf(CsvParseException.class);
    assertThat(seen).as("the rows before it").hasSize(MANY);
  }

  /** A caller that has seen enough leaves no thread behind that waits for him. */
  @Test
  void whoBreaksOffLeavesNobodyWaiting() {
    assertThatThrownBy(
            () ->
                RowsAhead.each(
                    table(""),
                    row -> {
                      throw new IllegalStateException("enough");
                    }))
        .hasMessage("enough");
    assertThat(partingThreads()).allSatisfy(RowsAheadTest::ends);
  }

  private static List<Thread> partingThreads() {
    return Thread.getAllStackTraces().keySet().stream()
        .filter(thread -> thread.getName().equals("rows of a table"))
        .toList();
  }

  private static void ends(Thread thread) {
    try {
      thread.join(10_000);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
    assertThat(thread.isAlive()).isFalse();
  }
}
