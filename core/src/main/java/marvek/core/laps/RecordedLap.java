package marvek.core.laps;

/**
 * One lap of a recording.
 *
 * @param number counted from 1 over the recording
 * @param from first sample behind the line
 * @param to sample after its last
 * @param beginS time at which the line was crossed, between samples; of an out-lap of the first
 *     sample
 * @param endS the same at its end
 * @param lineM station, going on over laps, of the line that it began at
 */
public record RecordedLap(
    int number, Kind kind, int from, int to, double beginS, double endS, double lineM) {
  /** What sort of lap it is. */
  public enum Kind {
    /** Begins before the line and has no time. */
    OUT,
    /** From line to line. */
    FLYING,
    /** From line to line, but off the road or standing for a while. */
    OFF,
    /** From line to line, but not raced: behind a flag or traffic, to cool down. */
    SLOW,
    /** From line to line with other grip than the laps about it. */
    OTHER_SURFACE,
    /** From line to line, but the clock jumped or samples are missing: its time is not known. */
    BROKEN,
    /** Ends before the line and has no time. */
    IN
  }

  /** Its time; of an out-lap or in-lap only the part that was recorded. */
  public double timeS() {
    return endS - beginS;
  }

  /** The same lap as one of another kind. */
  public RecordedLap as(Kind other) {
    return new RecordedLap(number, other, from, to, beginS, endS, lineM);
  }

  /** Whether it was recorded from line to line. */
  public boolean isWhole() {
    return kind != Kind.OUT && kind != Kind.IN;
  }
}
