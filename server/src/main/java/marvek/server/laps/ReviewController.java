package marvek.server.laps;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import marvek.core.cause.Cause;
import marvek.core.cause.Finding;
import marvek.core.conditions.Conditions;
import marvek.core.measured.CarValue;
import marvek.core.review.Calibration;
import marvek.core.review.MeasuredCar;
import marvek.core.review.Proposal;
import marvek.formats.Spelled;
import marvek.server.books.Books;
import marvek.server.contract.OneOf;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What laps propose, the revision that comes of it, and a corner over the sessions. */
@RestController
class ReviewController {
  private final Reviews reviews;
  private final History history;
  private final CarOfLaps car;

  ReviewController(Reviews reviews, History history, CarOfLaps car) {
    this.reviews = reviews;
    this.history = history;
    this.car = car;
  }

  /**
   * A change that laps speak for.
   *
   * @param kind by its name in small letters
   * @param field by its name in the book format; null for the confidence
   * @param gain_s a lap, against how it is driven now
   * @param page_s by how much the page's lap becomes slower
   */
  record ProposalView(
      int corner,
      @OneOf(Proposal.Kind.class) String kind,
      @Nullable String field,
      Double before,
      double after,
      int count,
      List<String> laps,
      Double gain_s,
      Double page_s) {
    static ProposalView of(Proposal p) {
      return new ProposalView(
          p.corner(),
          Spelled.of(p.kind()),
          p.field() == null ? null : p.field().path(),
          LapViews.rounded(p.before(), 2),
          LapViews.rounded(p.after(), 2),
          p.count(),
          p.laps(),
          LapViews.rounded(p.gainS(), 3),
          LapViews.rounded(p.pageS(), 3));
    }
  }

  /**
   * The model held against the laps, with what it would do to the book.
   *
   * @param power engine's pull over the mass as a factor on the book's car; null without a throttle
   * @param powerError its standard error
   * @param drag drag over the mass likewise
   * @param powerFactor of the engine that the next revision would have; null where it is the book's
   * @param mass_kg of the book's car with driver and fuel: both factors hold at this mass
   */
  record CalibrationView(
      double gripUsedBefore,
      double gripUsed,
      double gripFactor,
      double peak_g,
      double peakPage_g,
      double top_mps,
      double topPage_mps,
      double cdABefore_m2,
      Double cdA_m2,
      @Nullable Double power,
      @Nullable Double powerError,
      @Nullable Double drag,
      @Nullable Double dragError,
      @Nullable Double powerFactor,
      double mass_kg,
      double lap_s,
      double calibratedLap_s) {
    static CalibrationView of(Reviews.Calibrated c) {
      Calibration of = c.calibration();
      MeasuredCar car = of.car();
      return new CalibrationView(
          c.gripUsedBefore(),
          LapViews.rounded(of.gripUsed(), 3),
          LapViews.rounded(of.gripFactor(), 3),
          LapViews.rounded(of.peakG(), 3),
          LapViews.rounded(of.peakPageG(), 3),
          LapViews.rounded(of.topMps(), 2),
          LapViews.rounded(of.topPageMps(), 2),
          c.cdABefore(),
          LapViews.rounded(of.cdAM2(), 3),
          car == null ? null : LapViews.rounded(car.power().value(), 3),
          car == null ? null : LapViews.rounded(car.power().error(), 4),
          car == null ? null : LapViews.rounded(car.drag().value(), 3),
          car == null ? null : LapViews.rounded(car.drag().error(), 4),
          LapViews.rounded(of.powerFactor(), 3),
          LapViews.rounded(c.massKg(), 0),
          LapViews.rounded(c.lapS(), 3),
          LapViews.rounded(c.calibratedS(), 3));
    }
  }

  /** A step plan that the laps move; stations of the steps before and after. */
  record MovedView(
      int corner, int made, int missed, int stepBefore, int step, int steps, boolean proven) {
    static MovedView of(Reviews.Moved m) {
      return new MovedView(
          m.corner(),
          m.outcome().made(),
          m.outcome().missed(),
          m.stepBefore(),
          m.stepAfter(),
          m.plan().stepsM().size(),
          m.outcome().after().proven());
    }
  }

  /**
   * Something that costs time on a page that is right and has to be driven.
   *
   * @param cost_s in a lap that shows it
   * @param laps so many show it, of so many
   */
  record DriveView(
      int corner,
      @OneOf(Cause.class) String rule,
      @OneOf(Cause.class) @Nullable String with,
      @Nullable Double amount,
      double cost_s,
      int laps,
      int of) {
    static DriveView of(Finding f) {
      return new DriveView(
          f.corner(),
          Spelled.of(f.cause()),
          Spelled.of(f.with()),
          LapViews.rounded(f.amount(), 2),
          LapViews.rounded(f.costS(), 3),
          f.laps().size(),
          f.of());
    }
  }

  /**
   * What the laps propose.
   *
   * @param bookOnLayout version of the layout that the book is on, where the laps were driven on
   *     another one and nothing can be kept of them; null otherwise
   * @param seems surface that the laps go with, where that is not the page's: then they propose
   *     nothing
   */
  record ReviewView(
      int revision,
      int newest,
      Integer bookOnLayout,
      @OneOf(Conditions.Surface.class) @Nullable String seems,
      List<ProposalView> proposals,
      List<DriveView> drive,
      @Nullable CalibrationView calibration,
      List<MovedView> steps,
      boolean stepsNoted) {}

  /** What the laps of a session speak for changing. */
  @GetMapping("/api/sessions/{id}/review")
  ReviewView getReview(@PathVariable UUID id) {
    Reviews.Review r = reviews.review(id);
    return new ReviewView(
        r.revision(),
        r.newest(),
        r.bookOnLayout(),
        Spelled.of(r.seems()),
        r.proposals().stream().map(ProposalView::of).toList(),
        r.drive().stream().map(DriveView::of).toList(),
        r.calibration() == null ? null : CalibrationView.of(r.calibration()),
        r.steps().stream().map(MovedView::of).toList(),
        r.stepsNoted());
  }

  /** The step plans moved on or back by the laps. */
  @PostMapping("/api/sessions/{id}/review/steps")
  List<MovedView> noteStepsOfLaps(@PathVariable UUID id) {
    return reviews.noteSteps(id).stream().map(MovedView::of).toList();
  }

  /** A proposal that is taken; with a value it is altered. */
  record AcceptedBody(int corner, @OneOf(Proposal.Kind.class) String kind, Double value) {}

  /** What the next revision is made of. */
  record KeepBody(
      int parent,
      @Nullable List<AcceptedBody> accepted,
      Boolean calibrate,
      @Nullable String reason) {}

  /** Keeps accepted proposals as a revision. */
  @PostMapping("/api/sessions/{id}/review")
  @ResponseStatus(HttpStatus.CREATED)
  Books.RevisionLine keepReview(@PathVariable UUID id, @RequestBody KeepBody body) {
    List<AcceptedBody> accepted = body.accepted() == null ? List.of() : body.accepted();
    return reviews.keep(
        id,
        body.parent(),
        accepted.stream()
            .map(
                a ->
                    new Reviews.Decision(
                        a.corner(), Spelled.read(Proposal.Kind.class, "kind", a.kind()), a.value()))
            .toList(),
        Boolean.TRUE.equals(body.calibrate()),
        body.reason());
  }

  /**
   * One value of the car as its laps have it.
   *
   * @param gear of a ratio; 0 for what has none
   * @param before the book's
   * @param after the laps'
   * @param error standard error of that
   * @param from so many measurements
   * @param differs whether it is another one beyond doubt, and by enough to matter
   * @param over_mass whether laps tell it only over the mass
   * @param changes the numbers of the car's file that it changes, by their pointers
   */
  record CarValueView(
      @OneOf(CarValue.Kind.class) String kind,
      int gear,
      double before,
      double after,
      double error,
      int from,
      boolean differs,
      boolean over_mass,
      Map<String, Double> changes) {
    static CarValueView of(CarOfLaps.Value v) {
      CarValue value = v.value();
      return new CarValueView(
          Spelled.of(value.kind()),
          value.gear(),
          LapViews.rounded(value.before(), 4),
          LapViews.rounded(value.after(), 4),
          LapViews.rounded(value.error(), 5),
          value.from(),
          value.differs(),
          value.kind().isOverMass(),
          v.changes());
    }
  }

  /**
   * The car as the laps of a session have it.
   *
   * @param mass_kg with driver and fuel, that forces are told at
   * @param gripUsed share of the grip that the driver uses, that friction is told at
   * @param of_sheet numbers that the book's setup sheet changes of its car
   * @param weighed number that a weighing changes
   * @param laps that count; of fewer than three nothing is said
   */
  record CarOfLapsView(
      List<CarValueView> values,
      double mass_kg,
      double gripUsed,
      Map<String, Double> of_sheet,
      Map<String, Double> weighed,
      int laps,
      @Nullable Double best_s,
      @Nullable Double median_s) {}

  /**
   * The car as the laps of a session have it, value by value.
   *
   * @param mass_kg weighed with driver and fuel
   * @param gripUsed share of the grip that the driver says he uses
   */
  @GetMapping("/api/sessions/{id}/car")
  CarOfLapsView getCarOfLaps(
      @PathVariable UUID id,
      @RequestParam(required = false) @Nullable Double mass_kg,
      @RequestParam(required = false) @Nullable Double gripUsed) {
    CarOfLaps.Told told = car.of(id, mass_kg, gripUsed);
    return new CarOfLapsView(
        told.values().stream().map(CarValueView::of).toList(),
        LapViews.rounded(told.car().massKg(), 1),
        LapViews.rounded(told.car().gripUsed(), 3),
        told.ofSheet(),
        told.weighed(),
        told.laps(),
        LapViews.rounded(told.bestS(), 3),
        LapViews.rounded(told.medianS(), 3));
  }

  /** A corner over the sessions, oldest first. */
  @GetMapping("/api/books/{id}/corners/{corner}/history")
  List<History.Entry> getHistory(@PathVariable UUID id, @PathVariable int corner) {
    return history.of(id, corner);
  }
}
