package marvek.server.sessions;

import java.util.List;
import marvek.core.brief.Focus;
import marvek.core.brief.QuietPlace;
import marvek.core.brief.ShortForm;
import marvek.core.brief.SideWarmth;
import marvek.core.brief.Targets;
import marvek.core.brief.WarmUp;
import marvek.core.circuit.Side;
import marvek.formats.ConditionsJson;
import marvek.formats.Spelled;
import marvek.server.books.LayoutMoves;
import marvek.server.contract.InFormat;
import marvek.server.contract.OneOf;
import tools.jackson.databind.JsonNode;

/** A brief as a client sees it. */
record BriefView(
    Sessions.Kept session,
    int revision,
    boolean issued,
    Integer parent,
    double lap_s,
    @InFormat("conditions") JsonNode conditions,
    List<WarmUpView> warmUp,
    List<ColdSideView> coldSides,
    List<FocusView> focus,
    List<Double> sectorEnds_m,
    List<TargetView> targets,
    List<ShortForm> shortForm,
    String tenSeconds,
    List<QuietPlace> quiet,
    List<StepBoard.StepView> steps,
    List<Briefs.HazardLine> hazards,
    List<Integer> intoTheSun,
    Double sunElevation_deg,
    List<LayoutMoves.CheckLine> toCheck) {

  /** A lap of the warm-up. */
  record WarmUpView(
      int lap, double gripShare, double brakeEarlier_m, List<Integer> lowerGearIn, double lap_s) {
    static WarmUpView of(WarmUp w) {
      return new WarmUpView(w.lap(), w.gripShare(), w.brakeEarlierM(), w.lowerGearIn(), w.lapS());
    }
  }

  /** A corner of the first lap that loads a side which is cold yet. */
  record ColdSideView(int corner, @OneOf(Side.class) String side, double share) {
    static ColdSideView of(SideWarmth s) {
      return new ColdSideView(s.corner(), Spelled.of(s.cold()), s.share());
    }
  }

  /** A corner to work on. */
  record FocusView(
      int corner,
      double stakes_s,
      double doubt,
      @OneOf(Focus.Slip.class) String why,
      double slip_s) {
    static FocusView of(Focus f) {
      return new FocusView(f.corner(), f.stakesS(), f.doubt(), Spelled.of(f.why()), f.slipS());
    }
  }

  /** A lap to drive. */
  record TargetView(@OneOf(Targets.Tier.class) String tier, double lap_s, List<Double> sectors_s) {
    static TargetView of(Targets.Target t) {
      return new TargetView(Spelled.of(t.tier()), t.lapS(), t.sectorsS());
    }
  }

  static BriefView of(Briefs.Brief b) {
    return new BriefView(
        b.session(),
        b.revision(),
        b.issued(),
        b.parent(),
        b.lap_s(),
        ConditionsJson.write(b.conditions()),
        b.warmUp().stream().map(WarmUpView::of).toList(),
        b.coldSides().stream().map(ColdSideView::of).toList(),
        b.focus().stream().map(FocusView::of).toList(),
        b.targets().sectorEndsM(),
        b.targets().targets().stream().map(TargetView::of).toList(),
        b.shortForm(),
        b.tenSeconds(),
        b.quiet(),
        b.steps(),
        b.hazards(),
        b.intoTheSun(),
        b.sunElevation_deg(),
        b.toCheck());
  }
}
