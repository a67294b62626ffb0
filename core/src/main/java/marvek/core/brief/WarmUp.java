package marvek.core.brief;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import marvek.core.conditions.Conditions;
import marvek.core.conditions.Conditions.TyreState;
import marvek.core.reference.Reference;

/**
 * The first laps, until tyres and brakes are as the book has them.
 *
 * @param lap 1 for the first
 * @param gripShare of warm tyres
 * @param brakeEarlierM the middle of what the corners ask for
 * @param lowerGearIn corners that are taken in a lower gear
 * @param lapS time of such a lap
 */
public record WarmUp(
    int lap, double gripShare, double brakeEarlierM, List<Integer> lowerGearIn, double lapS) {
  public WarmUp {
    lowerGearIn = List.copyOf(lowerGearIn);
  }

  /** Three to five laps until tyres are warm (common practice). */
  private static final int LAPS = 3;

  /** On a cold road it takes a lap more, on a hot one a lap less (own assumption). */
  private static final double COLD_ROAD_C = 15;

  /** Hot asphalt in summer, see above. */
  private static final double HOT_ROAD_C = 35;

  /** Number of laps to warm the tyres in some conditions. */
  public static int laps(Conditions conditions) {
    double road =
        conditions.trackTemperatureC() == null
            ? conditions.airTemperatureC()
            : conditions.trackTemperatureC();
    boolean wet = conditions.surface() != Conditions.Surface.DRY;
    return LAPS + (road < COLD_ROAD_C || wet ? 1 : 0) - (road > HOT_ROAD_C && !wet ? 1 : 0);
  }

  /**
   * The plan lap by lap, against warm tyres in the same conditions.
   *
   * @param basis whose line is driven
   */
  public static List<WarmUp> of(Reference.Basis basis, Conditions conditions) {
    Conditions warm = conditions.withTyres(TyreState.WARM);
    Reference base = Reference.on(basis, warm, List.of());
    List<WarmUp> plan = new ArrayList<>();
    for (int lap = 1; lap <= laps(conditions); lap++) {
      Conditions then = conditions.but().tyres(TyreState.COLD).coldLap(lap).build();
      Reference cold = Reference.on(basis, then, List.of());
      plan.add(lap(lap, then, cold, DayShift.between(base, cold)));
    }
    return plan;
  }

  private static WarmUp lap(int lap, Conditions conditions, Reference cold, List<DayShift> shifts) {
    double[] earlier =
        shifts.stream()
            .filter(s -> s.brakeEarlierM() != null)
            .mapToDouble(DayShift::brakeEarlierM)
            .sorted()
            .toArray();
    List<Integer> lower =
        shifts.stream().filter(s -> s.gearsLower() > 0).map(DayShift::corner).toList();
    return new WarmUp(
        lap,
        conditions.tyreFactor(),
        earlier.length == 0
            ? 0
            : Arrays.stream(earlier).skip(earlier.length / 2).findFirst().orElse(0),
        lower,
        cold.modelLap().timeS());
  }
}
