package marvek.core.measured;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import marvek.core.circuit.Path;
import marvek.core.laps.AlongLap;
import marvek.core.measured.CarValue.Kind;
import marvek.core.numeric.TwoFactors;
import marvek.core.profile.ForceModel;
import marvek.core.profile.Lap;
import marvek.core.vehicle.Vehicle;

/**
 * Grip as laps use it, against how the page's own lap uses it in the same places: so the line,
 * which is the page's for both, and the reader's smoothing fall out. Tyres and downforce are told
 * apart by slow and fast bends: what is used of the limit is {@code f_t (1 − a) + f_d a}, where a
 * share {@code a} of the load is air's.
 */
final class GripOfLaps {
  /** Cornering counts where the page uses so much of its own most across. */
  private static final double AT_THE_LIMIT = 0.97;

  /** Braking counts where the page uses so much of its own most along. */
  private static final double HARD = 0.9;

  /** A slope of the speed is taken over so far. */
  private static final double SLOPE_M = 8;

  /** Bends whose loads by air differ by less do not tell tyres from wings. */
  private static final double LEAST_SPREAD = 0.08;

  private static final int LEAST = 6;

  private final Lap page;
  private final AlongLap pageAlong;
  private final List<AlongLap> laps;

  GripOfLaps(Lap page, AlongLap pageAlong, List<AlongLap> laps) {
    this.page = page;
    this.pageAlong = pageAlong;
    this.laps = laps;
  }

  /** One run of places: what a lap used against the page, and air's share of the load. */
  private record Row(double used, double byAir) {}

  /** Side friction and, where bends are fast enough, downforce. */
  List<CarValue> across() {
    List<Row> rows = new ArrayList<>();
    double most = 0.0;
    for (int k = 0; k < pageAlong.size(); k++) {
      most = Math.max(most, across(pageAlong, k));
    }
    for (AlongLap lap : laps) {
      rows(lap, most * AT_THE_LIMIT, rows);
    }
    return rows.size() < LEAST ? List.of() : valuesAcross(rows);
  }

  private void rows(AlongLap lap, double least, List<Row> rows) {
    double used = 0;
    double air = 0;
    int count = 0;
    for (int k = 0; k < pageAlong.size(); k++) {
      boolean known = k < lap.size() && !Double.isNaN(lap.speedAt(k));
      if (known && across(pageAlong, k) >= least) {
        used += across(lap, k) / across(pageAlong, k);
        air += byAir(lap, k);
        count++;
      } else if (count > 0) {
        rows.add(new Row(used / count, air / count));
        used = 0;
        air = 0;
        count = 0;
      }
    }
  }

  private double across(AlongLap lap, int k) {
    double w = lap.speedAt(k) * lap.speedAt(k);
    double limit = page.forces().lateralLimitN(at(lap, k), w);
    return limit > 0 ? Math.abs(page.forces().lateralDemandN(at(lap, k), w)) / limit : 0;
  }

  private double byAir(AlongLap lap, int k) {
    double w = lap.speedAt(k) * lap.speedAt(k);
    ForceModel forces = page.forces();
    return forces.downforcePerSquaredSpeed() * w / forces.normalN(at(lap, k), w);
  }

  private List<CarValue> valuesAcross(List<Row> rows) {
    Vehicle car = page.vehicle();
    double mu = car.tyre().muLateral();
    double[] used = rows.stream().mapToDouble(Row::used).toArray();
    double[] tyres = rows.stream().mapToDouble(r -> 1 - r.byAir()).toArray();
    double[] air = rows.stream().mapToDouble(Row::byAir).toArray();
    double least = rows.stream().mapToDouble(Row::byAir).min().orElseThrow();
    double largest = rows.stream().mapToDouble(Row::byAir).max().orElseThrow();
    Optional<TwoFactors> fit =
        largest - least >= LEAST_SPREAD ? TwoFactors.of(used, tyres, air) : Optional.empty();
    if (fit.isEmpty()) {
      Measured all = Measured.of(rows.stream().map(Row::used).toList());
      return List.of(across(mu, all.value(), all.error(), rows.size()));
    }
    double first = fit.get().first();
    double area = car.aero().clAM2();
    double times = fit.get().second() / first;
    double error = Math.hypot(fit.get().secondError(), times * fit.get().firstError()) / first;
    return List.of(
        across(mu, first, fit.get().firstError(), rows.size()),
        new CarValue(
            Kind.DOWNFORCE_AREA, 0, area, Math.max(0, times) * area, error * area, rows.size()));
  }

  private static CarValue across(double mu, double times, double error, int from) {
    return new CarValue(Kind.GRIP_ACROSS, 0, mu, times * mu, error * mu, from);
  }

  /** Friction along the road, from the hardest braking. */
  Optional<CarValue> along() {
    double most = 0;
    for (int k = 0; k < pageAlong.size(); k++) {
      most = Math.max(most, along(pageAlong, k));
    }
    List<Double> found = new ArrayList<>();
    for (AlongLap lap : laps) {
      hardest(lap, most * HARD, found);
    }
    if (found.size() < LEAST) {
      return Optional.empty();
    }
    Measured all = Measured.of(found);
    double mu = page.vehicle().tyre().muLongitudinal();
    return Optional.of(
        new CarValue(Kind.GRIP_ALONG, 0, mu, all.value() * mu, all.error() * mu, all.from()));
  }

  /** The hardest of each braking against the page's hardest there. */
  private void hardest(AlongLap lap, double least, List<Double> found) {
    double driven = 0;
    double written = 0;
    int gap = 0;
    int reach = (int) Math.ceil(4 * SLOPE_M / lap.stepM());
    for (int k = 0; k < pageAlong.size(); k++) {
      boolean hard = along(pageAlong, k) >= least;
      if (hard || written > 0 && gap < reach) {
        gap = hard ? 0 : gap + 1;
        double used = along(lap, k);
        driven = used > driven ? used : driven;
        written = Math.max(written, along(pageAlong, k));
      } else if (written > 0) {
        found.add(driven / written);
        driven = 0;
        written = 0;
        gap = 0;
      }
    }
  }

  /** Braking beyond air, tyres and hills over the load: the friction that is used along. */
  private double along(AlongLap lap, int k) {
    int cells = (int) Math.max(1, Math.round(SLOPE_M / lap.stepM()));
    if (k + cells >= lap.size()) {
      return 0;
    }
    double w0 = lap.speedAt(k) * lap.speedAt(k);
    double w1 = lap.speedAt(k + cells) * lap.speedAt(k + cells);
    int i = at(lap, k);
    double metres = cells * page.path().elementAt(i) / page.path().road().stepM() * lap.stepM();
    ForceModel forces = page.forces();
    double brakes = forces.massKg() * (w0 - w1) / (2 * metres) - forces.resistanceN(i, w0);
    return brakes / forces.normalN(i, w0);
  }

  private int at(AlongLap lap, int k) {
    Path path = page.path();
    return Math.min(path.elements() - 1, (int) (lap.stationAt(k) / path.road().stepM()));
  }
}
