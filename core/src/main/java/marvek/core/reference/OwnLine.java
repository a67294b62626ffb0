package marvek.core.reference;

import java.util.ArrayList;
import java.util.List;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Kerb;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.corner.Corner;
import marvek.core.drive.OwnKerbs;
import marvek.core.line.Corridor;
import marvek.core.line.LineWish;
import marvek.core.page.CornerPage;
import marvek.core.page.OwnValues;
import marvek.core.page.Remark;
import marvek.core.profile.Lap;
import marvek.core.say.Sentence;

/**
 * The line as a driver wants it: through another place at the apex, over kerbs, turned in
 * elsewhere.
 */
final class OwnLine {
  /** Before a moved turn-in the line changes from here on. */
  private static final double BEFORE_TURN_IN_M = 60;

  /** A turn-in cannot move by more than this share of the way to the apex. */
  private static final double MOST_SHARE = 0.45;

  private final Reference.Basis basis;
  private final Lap lap;
  private final Road road;
  private final Corridor corridor;
  private final boolean leastTime;
  private final List<Remark> remarks = new ArrayList<>();

  private OwnLine(Reference.Basis basis, Lap lap, Corridor corridor) {
    this.basis = basis;
    this.lap = lap;
    this.road = lap.path().road();
    this.corridor = corridor;
    this.leastTime = basis.line().isFastest() || !basis.schools().isEmpty();
  }

  /**
   * A line and what could not be put into it.
   *
   * @param path the lap's own where nothing is wanted otherwise
   */
  record Result(Path path, List<Remark> remarks) {}

  static Result of(Reference.Basis basis, Lap lap, List<CornerPage> pages, List<OwnValues> own) {
    Circuit circuit = basis.circuit();
    Circuit wished = OwnKerbs.wished(circuit, pages, own);
    Corridor corridor = Corridor.of(wished, lap.path().road(), lap.vehicle(), lap.conditions());
    OwnLine worker = new OwnLine(basis, lap, corridor);
    double[] offsets = lap.path().offsets();
    boolean changed = false;
    for (OwnValues values : own) {
      for (CornerPage page : pages) {
        if (page.corner() == values.corner()) {
          changed |= worker.wished(page, values, offsets);
          changed |= worker.turnedIn(page, values, offsets);
        }
      }
    }
    Path path = changed ? Path.at(worker.road, offsets, lap.path().surface()) : lap.path();
    return new Result(path, worker.remarks);
  }

  private boolean wished(CornerPage page, OwnValues own, double[] offsets) {
    boolean apexKerb = hasKerb(page, "kerbs.apex", own.kerbApex(), page.limits().apex().kerb());
    boolean exitKerb = hasKerb(page, "kerbs.exit", own.kerbExit(), page.limits().exit().kerb());
    CornerPage.Apex apex = page.apexes().get(0);
    Double offset = own.apexOffsetM();
    if (offset != null && !within(page, apex.atM(), offset)) {
      return false;
    }
    if (offset == null && !apexKerb && !exitKerb) {
      return false;
    }
    double[] wished =
        new LineWish(apex.atM(), offset)
            .on(lap, corridor, basis.corners(), indexOf(page), leastTime);
    boolean moved = false;
    for (int i = 0; i < offsets.length; i++) {
      double change = wished[i] - lap.path().offsetAt(i);
      offsets[i] += change;
      moved |= Math.abs(change) > 1e-6;
    }
    return moved;
  }

  /** Whether a kerb is wished to be used otherwise than the circuit has it. */
  private boolean hasKerb(CornerPage page, String field, Kerb.Use use, Kerb kerb) {
    if (use == null) {
      return false;
    }
    if (kerb == null && use != Kerb.Use.NONE) {
      remarks.add(new Remark(page.corner(), field, Sentence.of("own.no-kerb")));
    }
    return kerb != null && use != kerb.use();
  }

  private int indexOf(CornerPage page) {
    List<Corner> corners = basis.corners();
    for (int c = 0; c < corners.size(); c++) {
      if (corners.get(c).number() == page.corner()) {
        return c;
      }
    }
    throw new IllegalStateException("a page without its corner");
  }

  /** Whether an apex offset lies on the road at all, with what kerbs there are. */
  private boolean within(CornerPage page, double atM, double offset) {
    int i = road.indexOf(atM);
    double half = lap.vehicle().bodyWidthM() / 2;
    Kerb kerb = page.limits().apex().kerb();
    double more = kerb == null ? 0 : kerb.widthM();
    boolean on =
        offset <= road.widthLeftAt(i) - half + more
            && offset >= -road.widthRightAt(i) + half - more;
    if (!on) {
      remarks.add(new Remark(page.corner(), "apexes.offset_m", Sentence.of("own.beyond-kerb")));
    }
    return on;
  }

  /** The line of the corner moved along the road at its turn-in, fading out to the apex. */
  private boolean turnedIn(CornerPage page, OwnValues own, double[] offsets) {
    if (own.turnInM() == null) {
      return false;
    }
    double atM = page.turnIn().atM();
    double later = road.offsetBetween(atM, own.turnInM());
    double toApex = Math.max(road.stepM(), road.distance(atM, page.apexes().get(0).atM()));
    double most = MOST_SHARE * Math.min(toApex, BEFORE_TURN_IN_M);
    if (Math.abs(later) > most) {
      remarks.add(
          new Remark(page.corner(), "turnIn.at_m", Sentence.of("own.turn-in-far", "most_m", most)));
      later = Math.signum(later) * most;
    }
    double[] before = offsets.clone();
    int turnIn = road.indexOf(atM);
    int back = road.samples(BEFORE_TURN_IN_M);
    int ahead = road.samples(toApex);
    for (int k = -back; k <= ahead; k++) {
      boolean there = road.closed() || turnIn + k >= 0 && turnIn + k < road.size();
      if (there) {
        double share = k < 0 ? -k / (double) back : k / (double) ahead;
        double moved = later * 0.5 * (1 + Math.cos(Math.PI * share));
        offsets[road.wrap(turnIn + k)] = at(before, turnIn + k - moved / road.stepM());
      }
    }
    return Math.abs(later) > 0.01;
  }

  private double at(double[] offsets, double position) {
    int low = (int) Math.floor(position);
    double f = position - low;
    // Cubic through four neighbours: a straight piece between two would put corners in the line.
    double a = offsets[road.wrap(low - 1)];
    double b = offsets[road.wrap(low)];
    double c = offsets[road.wrap(low + 1)];
    double d = offsets[road.wrap(low + 2)];
    return b + 0.5 * f * (c - a + f * (2 * a - 5 * b + 4 * c - d + f * (3 * (b - c) + d - a)));
  }
}
