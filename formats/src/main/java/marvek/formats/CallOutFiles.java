package marvek.formats;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import marvek.core.brief.CallOut;

/**
 * Call-outs of a lap as files: WebVTT (W3C, <i>WebVTT: The Web Video Text Tracks Format</i>,
 * section 4, from memory) and plain text for a helper on the radio. What is said before the start
 * line is put at the end of the lap.
 */
public final class CallOutFiles {
  private CallOutFiles() {}

  /**
   * The calls as cues in the order of their begins.
   *
   * @param lapS time of the lap at the pace that the calls are made for
   */
  public static String webVtt(List<CallOut> calls, double lapS) {
    StringBuilder file = new StringBuilder("WEBVTT\n");
    for (CallOut call : inOrder(calls, lapS)) {
      file.append('\n')
          .append(timestamp(call.fromS()))
          .append(" --> ")
          .append(timestamp(call.toS()))
          .append('\n')
          .append(escaped(call.words()))
          .append('\n');
    }
    return file.toString();
  }

  /** A line a call: when it begins, its corner, its words. */
  public static String text(List<CallOut> calls, double lapS) {
    StringBuilder file = new StringBuilder();
    for (CallOut call : inOrder(calls, lapS)) {
      file.append(
          String.format(
              Locale.ROOT,
              "%6.1f s  corner %d: %s\n",
              call.fromS(),
              call.corner(),
              inOneLine(call.words())));
    }
    return file.toString();
  }

  private static List<CallOut> inOrder(List<CallOut> calls, double lapS) {
    return calls.stream()
        .map(call -> call.fromS() < 0 ? later(call, lapS) : call)
        .sorted(Comparator.comparingDouble(CallOut::fromS))
        .toList();
  }

  private static CallOut later(CallOut c, double lapS) {
    return new CallOut(
        c.corner(), c.fromS() + lapS, c.toS() + lapS, c.pointM(), c.pointS() + lapS, c.words());
  }

  /** Hours, minutes, seconds and thousandths, as cues have them. */
  static String timestamp(double seconds) {
    long ms = Math.round(1000 * Math.max(0, seconds));
    return String.format(
        Locale.ROOT,
        "%02d:%02d:%02d.%03d",
        ms / 3_600_000,
        ms / 60_000 % 60,
        ms / 1000 % 60,
        ms % 1000);
  }

  private static String escaped(String words) {
    return inOneLine(words).replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;");
  }

  private static String inOneLine(String words) {
    return words.replaceAll("\\s+", " ").strip();
  }
}
