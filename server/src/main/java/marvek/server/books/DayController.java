package marvek.server.books;

import java.util.List;
import java.util.UUID;
import marvek.core.brief.Day;
import marvek.core.brief.DayShift;
import marvek.core.brief.InsideEntry;
import marvek.core.brief.Purpose;
import marvek.core.brief.TyreSaving;
import marvek.core.circuit.Kerb;
import marvek.core.circuit.Path;
import marvek.core.page.CornerPage;
import marvek.core.reference.Reference;
import marvek.formats.Spelled;
import marvek.server.contract.OneOf;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

@RestController
class DayController {
  /** A screen shows no more than this. */
  private static final double SHOWN_STEP_M = 2;

  private final DayAnswers answers;

  DayController(DayAnswers answers) {
    this.answers = answers;
  }

  /** One corner on another day; the stations are those of its page then. */
  record ShiftView(
      int corner,
      Double brakeEarlier_m,
      boolean brakeHeld,
      boolean begins,
      int gearsLower,
      Double releaseEarlier_m,
      double lowestSlower_mps,
      Double throttleLater_m,
      @OneOf(Kerb.Use.class) @Nullable String apexKerb,
      @OneOf(Kerb.Use.class) @Nullable String exitKerb,
      double lost_s,
      Double brakeAt_m,
      Double throttleFirst_m,
      int gear) {
    static ShiftView of(DayShift s, CornerPage then) {
      return new ShiftView(
          s.corner(),
          rounded(s.brakeEarlierM(), 1),
          s.brakeHeld(),
          s.begins(),
          s.gearsLower(),
          rounded(s.releaseEarlierM(), 1),
          rounded(s.lowestSlowerMps(), 2),
          rounded(s.throttleLaterM(), 1),
          Spelled.of(s.apexKerb()),
          Spelled.of(s.exitKerb()),
          rounded(s.lostS(), 3),
          rounded(then.brake().atM(), 1),
          rounded(then.throttle().firstM(), 1),
          then.gears().corner());
    }
  }

  /** A lap on another day, its line one offset every step from the start line on. */
  record DayView(
      @OneOf(Day.class) String day,
      double lap_s,
      double lost_s,
      double step_m,
      double[] offset_m,
      List<ShiftView> shifts) {}

  /** The same of a lap for a purpose. */
  record PurposeView(
      @OneOf(Purpose.class) String day,
      double lap_s,
      double lost_s,
      double step_m,
      double[] offset_m,
      List<ShiftView> shifts) {}

  /** One corner from the inside. */
  record InsideView(
      int corner,
      double brakeAt_m,
      double brakeEarlier_m,
      double lost_s,
      double lowest_mps,
      double exit_mps,
      double exitSlower_mps,
      double endsAt_m,
      double widest_m) {
    static InsideView of(InsideEntry e) {
      return new InsideView(
          e.corner(),
          rounded(e.brakeAtM(), 1),
          rounded(e.brakeEarlierM(), 1),
          rounded(e.lostS(), 3),
          rounded(e.lowestMps(), 2),
          rounded(e.exitMps(), 2),
          rounded(e.exitSlowerMps(), 2),
          rounded(e.endsAtM(), 0),
          rounded(e.widestM(), 2));
    }
  }

  record CutView(double lessGrip, double savedShare, double lost_s, double savedPerTenth) {}

  /** Corners in the order of what a tenth buys. */
  record SavingView(int corner, double workShare, List<CutView> cuts) {
    static SavingView of(TyreSaving s) {
      return new SavingView(
          s.corner(),
          rounded(s.workShare(), 4),
          s.cuts().stream()
              .map(
                  c ->
                      new CutView(
                          c.lessGrip(),
                          rounded(c.savedShare(), 5),
                          rounded(c.lostS(), 3),
                          rounded(c.savedPerTenth(), 5)))
              .toList());
    }
  }

  record PurposesView(
      List<PurposeView> laps,
      List<InsideView> defend,
      List<InsideView> attack,
      List<SavingView> saving) {}

  /** A draft's lap on other days, and what each does to the corners. */
  @PostMapping("/api/books/{id}/days")
  List<DayView> computeDays(@PathVariable UUID id, @RequestBody BookController.DraftBody body) {
    return answers.days(id, body.draft()).stream().map(DayController::view).toList();
  }

  /** A draft's lap for other purposes: to defend, to attack, to save tyres. */
  @PostMapping("/api/books/{id}/purposes")
  PurposesView computePurposes(@PathVariable UUID id, @RequestBody BookController.DraftBody body) {
    DayAnswers.Purposes purposes = answers.purposes(id, body.draft());
    return new PurposesView(
        purposes.laps().stream()
            .map(DayController::view)
            .map(v -> new PurposeView(v.day, v.lap_s, v.lost_s, v.step_m, v.offset_m, v.shifts))
            .toList(),
        purposes.defend().stream().map(InsideView::of).toList(),
        purposes.attack().stream().map(InsideView::of).toList(),
        purposes.saving().stream().map(SavingView::of).toList());
  }

  private static DayView view(DayAnswers.Variant<? extends Enum<?>> on) {
    Reference reference = on.reference();
    Path path = reference.path();
    int stride = Math.max(1, (int) Math.round(SHOWN_STEP_M / path.road().stepM()));
    double[] offsets = new double[(path.size() + stride - 1) / stride];
    for (int k = 0; k < offsets.length; k++) {
      offsets[k] = rounded(path.offsetAt(k * stride), 2);
    }
    List<ShiftView> shifts =
        java.util.stream.IntStream.range(0, on.shifts().size())
            .mapToObj(p -> ShiftView.of(on.shifts().get(p), reference.modelPages().get(p)))
            .toList();
    return new DayView(
        Spelled.of(on.what()),
        rounded(reference.modelLap().timeS(), 3),
        rounded(on.lostS(), 3),
        path.road().stepM() * stride,
        offsets,
        shifts);
  }

  private static Double rounded(Double value, int decimals) {
    if (value == null) {
      return null;
    }
    double scale = Math.pow(10, decimals);
    return Math.round(value * scale) / scale;
  }
}
