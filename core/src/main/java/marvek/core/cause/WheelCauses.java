package marvek.core.cause;

import java.util.ArrayList;
import java.util.List;
import marvek.core.cause.CornerAccount.Part;
import marvek.core.laps.CornerReading.Correction;
import marvek.core.laps.CornerReading.Wheel;

/**
 * What the wheel tells: a slide that was caught, and a front that slides. They cost what the
 * stretch did where they happened; what the feet did about them there is told beside them.
 */
final class WheelCauses {
  /** A slide costs until the car has settled behind it. */
  private static final double SETTLES_M = 15;

  private WheelCauses() {}

  /** Slides that were caught before the brake was off. */
  static List<Part> wayIn(CornerCase corner) {
    List<Part> parts = new ArrayList<>();
    slides(corner, corner.fromM(), corner.offM(), parts);
    return parts;
  }

  /** Slides that were caught behind it, and a front that slid. */
  static List<Part> wayOut(CornerCase corner) {
    List<Part> parts = new ArrayList<>();
    slides(corner, corner.offM(), corner.toM(), parts);
    Wheel wheel = corner.lap().wheel();
    if (wheel.beyondDeg() != null && wheel.beyondDeg() >= Cause.MORE_STEERING.least()) {
      double lost = corner.stretchS(wheel.beyondAtM(), wheel.beyondAtM() + wheel.beyondM());
      add(parts, new Part(Cause.MORE_STEERING, lost, wheel.beyondDeg(), wheel.beyondAtM()));
    }
    return parts;
  }

  private static void slides(CornerCase corner, double fromM, double toM, List<Part> parts) {
    List<Correction> all = corner.lap().wheel().corrections();
    for (Correction.When when : Correction.When.values()) {
      List<Correction> here =
          all == null
              ? List.of()
              : all.stream()
                  .filter(c -> c.when() == when && c.atM() >= fromM && c.atM() < toM)
                  .toList();
      slides(corner, here, parts);
    }
  }

  /** All corrections of one kind are one cause; told by the largest. */
  private static void slides(CornerCase corner, List<Correction> here, List<Part> parts) {
    double lost = 0;
    Correction largest = null;
    for (Correction c : here) {
      double end = c.atM() + c.overM() + SETTLES_M;
      boolean wayIn = c.atM() < corner.offM();
      lost += Math.max(0, wayIn ? corner.lostS(c.atM(), end) : corner.stretchS(c.atM(), end));
      largest = largest == null || c.byDeg() > largest.byDeg() ? c : largest;
    }
    if (largest != null) {
      add(parts, new Part(cause(largest.when()), lost, largest.byDeg(), largest.atM()));
    }
  }

  private static void add(List<Part> parts, Part part) {
    if (part.seconds() > 0) {
      parts.add(part);
    }
  }

  private static Cause cause(Correction.When when) {
    return switch (when) {
      case ENTRY -> Cause.SLID_IN;
      case POWER -> Cause.SLID_OUT;
      case KERB -> Cause.SLID_ON_KERB;
    };
  }
}
