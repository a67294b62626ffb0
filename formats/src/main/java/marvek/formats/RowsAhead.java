package marvek.formats;

import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import java.util.function.Consumer;

/**
 * Rows of a long table, parted into cells by a thread of its own while the caller works on those
 * before: an hour of laps has its numbers by the time that its last row is parted.
 */
final class RowsAhead {
  /** Rows handed over at a time: enough that handing over costs nothing beside parting them. */
  private static final int AT_ONCE = 512;

  /** How many lots may wait; a file of any length takes no more room than these. */
  private static final int MOST_WAITING = 4;

  private final CsvText text;
  private final BlockingQueue<Lot> waiting = new ArrayBlockingQueue<>(MOST_WAITING);

  /** Some rows; the last lot says so, and what ended it if that was no end of the file. */
  private record Lot(List<CsvRecord> rows, boolean last, Throwable failure) {}

  private RowsAhead(CsvText text) {
    this.text = text;
  }

  /**
   * Hands every row that is not empty to the caller's work, in order and on the caller's thread.
   *
   * @throws de.siegmar.fastcsv.reader.CsvParseException where the text is no table, after the rows
   *     before that place
   */
  static void each(CsvText text, Consumer<CsvRecord> work) {
    new RowsAhead(text).each(work);
  }

  private void each(Consumer<CsvRecord> work) {
    Thread parser = new Thread(this::part, "rows of a table");
    parser.setDaemon(true);
    parser.start();
    try {
      Lot lot;
      do {
        lot = waiting.take();
        lot.rows().forEach(work);
      } while (!lot.last());
      rethrow(lot.failure());
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException("Reading the file was broken off.", e);
    } finally {
      parser.interrupt();
    }
  }

  private void part() {
    List<CsvRecord> rows = new ArrayList<>(AT_ONCE);
    Throwable failure = null;
    try (CsvReader<CsvRecord> reader = text.reader()) {
      for (CsvRecord row : reader) {
        rows.add(row);
        if (rows.size() == AT_ONCE) {
          waiting.put(new Lot(rows, false, null));
          rows = new ArrayList<>(AT_ONCE);
        }
      }
    } catch (InterruptedException e) {
      return; // the caller wants no more of them
    } catch (Throwable e) { // also an Error: the caller's thread must not wait for ever
      failure = e;
    }
    try {
      waiting.put(new Lot(rows, true, failure));
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  private static void rethrow(Throwable failure) {
    if (failure instanceof IOException e) {
      throw new UncheckedIOException(e);
    }
    if (failure instanceof RuntimeException e) {
      throw e;
    }
    if (failure instanceof Error e) {
      throw e;
    }
  }
}
