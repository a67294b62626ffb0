package marvek.server.books;

import java.util.List;
import java.util.Locale;
import java.util.UUID;
import marvek.core.brief.DayShift;
import marvek.core.circuit.Path;
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

  /** One corner on another day. */
  record ShiftView(
      int corner,
      Double brakeEarlier_m,
      boolean begins,
      int gearsLower,
      double lowestSlower_mps,
      Double throttleLater_m,
      String apexKerb,
      String exitKerb,
      double lost_s) {
    static ShiftView of(DayShift s) {
      return new ShiftView(
          s.corner(),
          rounded(s.brakeEarlierM(), 1),
          s.begins(),
          s.gearsLower(),
          rounded(s.lowestSlowerMps(), 2),
          rounded(s.throttleLaterM(), 1),
          spelled(s.apexKerb()),
          spelled(s.exitKerb()),
          rounded(s.lostS(), 3));
    }
  }

  /** A lap on another day, its line one offset every step from the start line on. */
  record DayView(
      String day,
      double lap_s,
      double lost_s,
      double step_m,
      double[] offset_m,
      List<ShiftView> shifts) {}

  @PostMapping("/api/books/{id}/days")
  List<DayView> days(@PathVariable UUID id, @RequestBody BookController.DraftBody body) {
    return answers.days(id, body.draft()).stream().map(DayController::view).toList();
  }

  private static DayView view(DayAnswers.OnDay on) {
    Path path = on.reference().path();
    int stride = Math.max(1, (int) Math.round(SHOWN_STEP_M / path.road().stepM()));
    double[] offsets = new double[(path.size() + stride - 1) / stride];
    for (int k = 0; k < offsets.length; k++) {
      offsets[k] = rounded(path.offsetAt(k * stride), 2);
    }
    return new DayView(
        spelled(on.day()),
        rounded(on.reference().modelLap().timeS(), 3),
        rounded(on.lostS(), 3),
        path.road().stepM() * stride,
        offsets,
        on.shifts().stream().map(ShiftView::of).toList());
  }

  private static String spelled(Enum<?> constant) {
    return constant == null ? null : constant.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  private static Double rounded(Double value, int decimals) {
    if (value == null) {
      return null;
    }
    double scale = Math.pow(10, decimals);
    return Math.round(value * scale) / scale;
  }
}
