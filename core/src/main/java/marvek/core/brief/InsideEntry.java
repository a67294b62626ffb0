package marvek.core.brief;

import java.util.List;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.page.CornerPage;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;
import marvek.core.reference.CornerQuestions;
import marvek.core.reference.Reference;
import marvek.core.reference.SchoolLine;

/**
 * One corner taken from the inside, to keep somebody behind or to come past.
 *
 * @param brakeAtM where the driver acts
 * @param brakeEarlierM against the reference's own brake point; negative where it is later
 * @param lostS over the corner and the straight after it, against the reference's line driven with
 *     the same grip
 * @param exitSlowerMps at the corner's exit, which is where the answer comes from
 * @param endsAtM where the two lines have come together again
 * @param widestM farthest distance of the two lines after the apex
 */
public record InsideEntry(
    int corner,
    double brakeAtM,
    double brakeEarlierM,
    double lostS,
    double lowestMps,
    double exitMps,
    double exitSlowerMps,
    double endsAtM,
    double widestM) {

  /** Only corners with a hard stop before them are places to pass (own assumption) [m/s]. */
  private static final double LEAST_SPEED_LOSS_MPS = 8;

  /** So far behind the corner the line is still a matter of it (own assumption). */
  private static final double AFTER_EXIT_M = 20;

  /** Lines nearer than this are the same to a driver. */
  private static final double TOGETHER_M = 0.5;

  /**
   * The corners in which somebody could come past, in driving order.
   *
   * @param defend with what the conditions use of the grip
   * @param attack with the brakes as late as the tyres allow, with the whole grip
   */
  public record Places(List<InsideEntry> defend, List<InsideEntry> attack) {}

  /**
   * The places of a lap; both on the line from the inside that is found for the conditions.
   *
   * @param reference made on the basis in the conditions
   */
  public static Places of(Reference.Basis basis, Conditions conditions, Reference reference) {
    Lap own = SpeedProfile.solve(basis.path(), basis.vehicle(), conditions);
    Conditions whole = Purpose.ATTACK.of(conditions);
    Lap late = SpeedProfile.solve(basis.path(), basis.vehicle(), whole);
    // Each takes a search for a line of least time: as many at once as there are cores.
    List<List<InsideEntry>> entries =
        reference.modelPages().parallelStream()
            .filter(InsideEntry::isPlaceToPass)
            .map(page -> of(basis, own, late, page))
            .filter(both -> !both.isEmpty())
            .toList();
    return new Places(
        entries.stream().map(both -> both.get(0)).toList(),
        entries.stream().map(both -> both.get(1)).toList());
  }

  private static List<InsideEntry> of(Reference.Basis basis, Lap own, Lap late, CornerPage page) {
    List<SchoolLine> inside = CornerQuestions.inside(basis, own, late, page.corner());
    boolean braked = inside.stream().allMatch(line -> line.brakeAtM() != null);
    return braked
        ? List.of(of(own, page, inside.get(0)), of(late, page, inside.get(1)))
        : List.of();
  }

  private static boolean isPlaceToPass(CornerPage page) {
    return page.brake().atM() != null
        && page.approach().speedMps() - page.lowestSpeedMps() >= LEAST_SPEED_LOSS_MPS;
  }

  private static InsideEntry of(Lap present, CornerPage page, SchoolLine inside) {
    Road road = present.path().road();
    double[] offsets = inside.offsetsM();
    int apex =
        (int)
            Math.round(road.distance(inside.fromM(), page.apexes().get(0).atM()) / inside.stepM());
    int together = offsets.length - 1;
    double widest = 0;
    for (int k = offsets.length - 1; k >= Math.min(apex, offsets.length - 1); k--) {
      double apart = Math.abs(offsets[k] - present.path().offsetAt(sample(road, inside, k)));
      widest = Math.max(widest, apart);
      together = widest < TOGETHER_M ? k : together;
    }
    int exit = road.indexOf(road.wrapStation(page.toM() + AFTER_EXIT_M));
    return new InsideEntry(
        page.corner(),
        inside.brakeAtM(),
        road.offsetBetween(inside.brakeAtM(), page.brake().atM()),
        inside.lostS(),
        inside.lowestMps(),
        inside.exitMps(),
        present.speedAt(exit) - inside.exitMps(),
        road.stationAt(sample(road, inside, together)),
        widest);
  }

  private static int sample(Road road, SchoolLine line, int k) {
    return road.indexOf(road.wrapStation(line.fromM() + k * line.stepM()));
  }
}
