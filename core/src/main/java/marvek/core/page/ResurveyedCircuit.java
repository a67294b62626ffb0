package marvek.core.page;

import java.util.function.DoubleUnaryOperator;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.DrawnCorner;
import marvek.core.circuit.Hazard;
import marvek.core.circuit.Kerb;
import marvek.core.circuit.LimitStretch;
import marvek.core.circuit.Mark;
import marvek.core.circuit.Zone;

/**
 * A circuit whose line was surveyed anew: what was known along the old one is put at the same
 * places of the new one.
 */
public final class ResurveyedCircuit {
  private ResurveyedCircuit() {}

  /**
   * The new line with everything that stood along the old one.
   *
   * @param bare the new survey, as it was read
   * @param station station of the old road to that of the new one
   */
  public static Circuit of(Circuit before, Circuit bare, DoubleUnaryOperator station) {
    return new Circuit(
        before.name(),
        before.layout(),
        before.layoutVersion() + 1,
        before.validFrom(),
        before.timeZone(),
        before.trackLimits(),
        bare.origin(),
        bare.survey(),
        bare.smoothing(),
        before.marks().stream().map(m -> mark(m, station)).toList(),
        before.kerbs().stream().map(k -> kerb(k, station)).toList(),
        before.zones().stream().map(z -> zone(z, station)).toList(),
        before.hazards().stream().map(h -> hazard(h, station)).toList(),
        before.corners().stream().map(c -> corner(c, station)).toList(),
        before.stretches().stream().map(s -> stretch(s, station)).toList());
  }

  private static LimitStretch stretch(LimitStretch s, DoubleUnaryOperator station) {
    return new LimitStretch(
        s.side(),
        station.applyAsDouble(s.fromM()),
        station.applyAsDouble(s.toM()),
        s.wheels(),
        s.line(),
        s.beyondM(),
        s.backBeforeM() == null ? null : station.applyAsDouble(s.backBeforeM()),
        s.consequence(),
        s.penaltyS(),
        s.sessions(),
        s.note());
  }

  private static Mark mark(Mark m, DoubleUnaryOperator station) {
    double from = station.applyAsDouble(m.fromM());
    double to = m.hasLength() ? station.applyAsDouble(m.toM()) : from;
    return new Mark(
        m.label(),
        m.type(),
        m.side(),
        from,
        to,
        m.offsetM(),
        m.valueM(),
        m.heightM(),
        m.note(),
        m.notedAt());
  }

  private static Kerb kerb(Kerb k, DoubleUnaryOperator station) {
    return new Kerb(
        k.side(),
        station.applyAsDouble(k.fromM()),
        station.applyAsDouble(k.toM()),
        k.profile(),
        k.heightMm(),
        k.widthM(),
        k.use(),
        k.useWet(),
        k.note());
  }

  private static Zone zone(Zone z, DoubleUnaryOperator station) {
    return new Zone(
        z.type(),
        z.side(),
        station.applyAsDouble(z.fromM()),
        station.applyAsDouble(z.toM()),
        z.gripFactor(),
        z.note());
  }

  private static Hazard hazard(Hazard h, DoubleUnaryOperator station) {
    return new Hazard(
        h.type(),
        h.side(),
        station.applyAsDouble(h.fromM()),
        station.applyAsDouble(h.toM()),
        h.distanceM(),
        h.note());
  }

  private static DrawnCorner corner(DrawnCorner c, DoubleUnaryOperator station) {
    return new DrawnCorner(
        c.number(),
        c.name(),
        c.side(),
        station.applyAsDouble(c.fromM()),
        station.applyAsDouble(c.toM()),
        c.linkWithNext(),
        c.rule());
  }
}
