package marvek.server.sessions;

import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.UUID;
import marvek.core.brief.Purpose;
import marvek.core.brief.Session;
import marvek.core.brief.Session.Kind;
import marvek.core.brief.Session.OpenPoint;
import marvek.core.brief.TyreSet;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.conditions.Conditions.Surface;
import marvek.core.conditions.SurfacePart;
import marvek.core.review.StepPlan;
import marvek.core.review.StepState;
import marvek.formats.SessionFile;
import marvek.formats.SessionJson;
import marvek.server.books.Books;
import marvek.server.books.DemoFilled;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/**
 * An invented weekend for the demo book, around the day of the first start: a dry practice that was
 * driven yesterday, a wet qualifying tomorrow, a race on a drying road the day after; and a
 * practice of the year before.
 */
@Component
class DemoWeekend {
  /** The demo's layout is as it is since then; a clock that is behind does not stop the start. */
  private static final LocalDate EARLIEST = LocalDate.parse("2026-06-13");

  private static final LocalDate TYRES_SINCE = LocalDate.parse("2026-04-18");

  /** Corners whose brake points are worked up to. */
  private static final int SLUICE = 1;

  private static final int CHAPEL_DROP = 11;

  private final Sessions sessions;
  private final Steps steps;
  private final StepPlans plans;
  private final Books books;

  DemoWeekend(Sessions sessions, Steps steps, StepPlans plans, Books books) {
    this.sessions = sessions;
    this.steps = steps;
    this.plans = plans;
    this.books = books;
  }

  @EventListener
  @Order(1)
  void fill(DemoFilled demo) {
    LocalDate today = LocalDate.now(Clock.systemDefaultZone());
    LocalDate day = today.isAfter(EARLIEST) ? today : EARLIEST.plusDays(1);
    for (Session session : weekend(day)) {
      sessions.plan(demo.bookId(), SessionJson.write(new SessionFile(session, List.of(), null)));
    }
    beginSteps(demo.bookId(), demo.revision());
  }

  private static List<Session> weekend(LocalDate today) {
    return List.of(
        session(
            Kind.PRACTICE,
            today.minusDays(1).atTime(14, 40),
            25,
            Purpose.PRACTICE,
            new TyreSet("Set 2", 11, 60, TYRES_SINCE),
            Conditions.DEFAULT.but().gripUsed(0.92).fuelKg(20).trackTemperatureC(26.0).build(),
            List.of(new OpenPoint(8, "Exit kerb: from a third on, not all of it.")),
            new Session.Result(
                12, 115.09, "Sluice a step later was fine. Chapel Drop: once too late, ran wide.")),
        session(
            Kind.QUALIFYING,
            today.plusDays(1).atTime(10, 20),
            20,
            Purpose.QUALIFYING,
            new TyreSet("Wet set", 4, 40, TYRES_SINCE),
            Conditions.DEFAULT
                .but()
                .surface(Surface.WET)
                .gripUsed(0.9)
                .fuelKg(12)
                .airTemperatureC(13)
                .trackTemperatureC(14.0)
                .pressureHpa(1004)
                .windSpeedMps(5)
                .windFromDeg(230)
                .build(),
            List.of(
                new OpenPoint(8, "Exit kerb: from a third on, not all of it."),
                new OpenPoint(0, "Find out by the first lap where water stands.")),
            null),
        session(
            Kind.RACE,
            today.plusDays(2).atTime(15, 5),
            40,
            Purpose.RACE,
            new TyreSet("Set 2", 23, 60, TYRES_SINCE),
            Conditions.DEFAULT
                .but()
                .gripUsed(0.9)
                .fuelKg(38)
                .airTemperatureC(16)
                .trackTemperatureC(19.0)
                .windSpeedMps(3)
                .windFromDeg(250)
                .parts(
                    List.of(
                        new SurfacePart(700, 1350, Surface.DAMP),
                        new SurfacePart(2900, 3350, Surface.DAMP)))
                .build(),
            List.of(),
            null),
        new Session(
            "Fenland Meeting, last year",
            Kind.PRACTICE,
            25,
            false,
            Purpose.PRACTICE,
            new TyreSet("Set 1", 30, 60, null),
            Conditions.DEFAULT
                .but()
                .gripUsed(0.9)
                .fuelKg(20)
                .build()
                .at(today.minusYears(1).atTime(14, 10)),
            List.of(),
            null,
            List.of(),
            null));
  }

  private static Session session(
      Kind kind,
      LocalDateTime at,
      int minutes,
      Purpose purpose,
      TyreSet tyres,
      Conditions conditions,
      List<OpenPoint> open,
      Session.Result result) {
    return new Session(
        "Fenland Meeting",
        kind,
        minutes,
        false,
        purpose,
        tyres,
        conditions.at(at),
        List.of(),
        null,
        open,
        result);
  }

  /** What twelve laps of practice left of two brake points. */
  private void beginSteps(UUID bookId, int revision) {
    Books.Computed computed = books.recompute(bookId, revision);
    Road road = computed.basis().path().road();
    plans
        .of(
            computed.basis(),
            computed.conditions(),
            computed.reference().pages(),
            steps.on(bookId, Surface.DRY))
        .forEach(
            plan -> {
              if (plan.corner() == SLUICE) {
                steps.keep(bookId, made(plan, road, 5));
              }
              if (plan.corner() == CHAPEL_DROP) {
                steps.keep(bookId, made(made(plan, road, 4).missed(plan, road), plan, road, 1));
              }
            });
  }

  private static StepState made(StepPlan plan, Road road, int laps) {
    return made(StepState.begin(plan, Surface.DRY), plan, road, laps);
  }

  private static StepState made(StepState from, StepPlan plan, Road road, int laps) {
    StepState state = from;
    for (int lap = 0; lap < laps; lap++) {
      state = state.made(plan, road);
    }
    return state;
  }
}
