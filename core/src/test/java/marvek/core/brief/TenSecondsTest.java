package marvek.core.brief;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import marvek.core.TestBooks;
import marvek.core.circuit.Kerb;
import marvek.core.circuit.Road;
import marvek.core.page.CornerPage;
import marvek.core.page.CornerPage.ApexKind;
import marvek.core.page.CornerPage.BrakeStyle;
import marvek.core.page.GearChange;
import marvek.core.page.PagePoint;
import marvek.core.profile.Lap;
import org.junit.jupiter.api.Test;

class TenSecondsTest {
  private static final CornerPage PAGE = TestBooks.VARIED.pages().get(1);

  private static CornerPage page(BrakeStyle style, ApexKind kind, Kerb.Use kerbs, double seconds) {
    CornerPage.Brake brake = new CornerPage.Brake(null, null, style, null, null, List.of());
    double apexM = PAGE.apexes().get(0).atM();
    return PAGE.but()
        .brake(brake)
        .apexes(List.of(new CornerPage.Apex(apexM, 0, kind, 30)))
        .throttle(new CornerPage.Throttle(apexM, 50.0, apexM + 30))
        .kerbs(new CornerPage.Kerbs(Kerb.Use.NONE, kerbs, kerbs))
        .timeS(seconds)
        .build();
  }

  private static final CornerPage HARD = page(BrakeStyle.HARD, ApexKind.MID, Kerb.Use.NONE, 8);
  private static final CornerPage FLAT = page(BrakeStyle.NONE, ApexKind.MID, Kerb.Use.NONE, 4);
  private static final CornerPage KERBS = page(BrakeStyle.LIFT, ApexKind.MID, Kerb.Use.TYRE, 5);
  private static final CornerPage LATE = page(BrakeStyle.HARD, ApexKind.LATE, Kerb.Use.NONE, 9);

  /** The same pages as a lap of corners with numbers and names of its own. */
  private static String said(CornerPage... pages) {
    List<CornerPage> numbered = new ArrayList<>();
    for (int k = 0; k < pages.length; k++) {
      numbered.add(numbered(pages[k], k + 1));
    }
    return TenSeconds.of(numbered);
  }

  private static CornerPage numbered(CornerPage p, int number) {
    return new CornerPage(
        number,
        number == 8 ? "Bellmouth" : "",
        p.direction(),
        p.fromM(),
        p.toM(),
        p.approach(),
        p.brake(),
        p.gears(),
        p.turnIn(),
        p.trailBrake(),
        p.apexes(),
        p.kerbs(),
        p.limits(),
        p.throttle(),
        p.pedals(),
        p.feet(),
        p.lift(),
        p.exit(),
        p.timeS(),
        p.lowestSpeedMps(),
        p.lowestSpeedAtM(),
        p.sources(),
        p.confidence(),
        p.notes(),
        p.wayOut(),
        p.points(),
        p.annotations());
  }

  @Test
  void cornersAreGroupedByWhatIsDone() {
    assertThat(said(HARD, FLAT, FLAT, FLAT, KERBS, KERBS, KERBS, LATE))
        .isEqualTo(
            "Brake hard into 1, flat through 2 to 4, bounce through 5 to 7, patience in Bellmouth.");
    assertThat(said(FLAT, FLAT)).isEqualTo("Flat through 1 and 2.");
    assertThat(TenSeconds.of(List.of())).isEmpty();
  }

  /** Of too many the least in time is passed over. */
  @Test
  void atMostFiveClausesAreLeftAndTheyTakeTenSeconds() {
    String words = said(HARD, FLAT, HARD, KERBS, LATE, FLAT, HARD, LATE, KERBS);
    assertThat(words.split(",")).hasSizeLessThanOrEqualTo(TenSeconds.MOST_CLAUSES);
    assertThat(CallOuts.secondsOf(words)).isLessThanOrEqualTo(10);
    CornerPage brief = page(BrakeStyle.NONE, ApexKind.MID, Kerb.Use.NONE, 0.5);
    assertThat(said(HARD, brief, HARD, KERBS, LATE, FLAT, KERBS))
        .startsWith("Brake hard into 1 and 3,");
  }

  /** A kink that is flat is passed over, not told as a corner to brake for. */
  @Test
  void whatIsFlatBesideAHardCornerIsNotNamedWithIt() {
    assertThat(said(LATE, KERBS, LATE, KERBS, HARD, FLAT)).endsWith(", brake hard into 5.");
    assertThat(said(FLAT, HARD, LATE, KERBS, LATE, KERBS)).startsWith("Brake hard into 2,");
  }

  /** Nobody is told to brake hard into a corner that he only lifts for. */
  @Test
  void whatIsDrivenOtherwiseIsPassedOver() {
    CornerPage lift = page(BrakeStyle.LIFT, ApexKind.MID, Kerb.Use.NONE, 1);
    assertThat(said(HARD, lift, HARD, HARD, KERBS, LATE, KERBS, LATE))
        .startsWith("Brake hard into 1, 3 and 4, bounce");
    assertThat(said(HARD, lift, HARD, HARD, HARD, KERBS, LATE, KERBS, LATE))
        .startsWith("Brake hard into 1 and 3 to 5, bounce");
    assertThat(said(HARD, lift, KERBS, LATE, KERBS, LATE)).startsWith("Brake hard into 1, bounce");
  }

  /** A lap that is made: every corner is in one clause, in order. */
  @Test
  void aWholeLapIsSaidInTenSeconds() {
    String words = TenSeconds.of(TestBooks.VARIED.pages());
    assertThat(CallOuts.secondsOf(words)).isLessThanOrEqualTo(10);
    assertThat(words).endsWith(".");
  }

  /** No point lies in a quiet place, and each is told with the time that the lap takes for it. */
  @Test
  void inAQuietPlaceNothingIsToBeDone() {
    Lap lap = TestBooks.VARIED.lap();
    Road road = lap.path().road();
    List<QuietPlace> quiet = QuietPlace.of(lap, TestBooks.VARIED.pages());
    assertThat(quiet).isNotEmpty();
    double before = Double.POSITIVE_INFINITY;
    for (QuietPlace place : quiet) {
      assertThat(place.seconds()).isGreaterThan(2).isLessThanOrEqualTo(before);
      before = place.seconds();
      double length = road.distance(place.fromM(), place.toM());
      double mean = length / place.seconds();
      assertThat(mean).isBetween(5.0, lap.topSpeedMps() + 1);
      for (CornerPage page : TestBooks.VARIED.pages()) {
        List<Double> points = new ArrayList<>();
        PagePoint.of(page).forEach(point -> points.add(point.atM(page)));
        page.gears().changes().stream().map(GearChange::atM).forEach(points::add);
        for (double point : points) {
          double way = road.distance(place.fromM(), point);
          assertThat(way < 1e-6 || way >= length - 1e-6).as("%.1f m", point).isTrue();
        }
      }
    }
    assertThat(
            lap.timeBetween(road.indexOf(quiet.get(0).fromM()), road.indexOf(quiet.get(0).toM())))
        .isCloseTo(quiet.get(0).seconds(), within(1e-9));
  }
}
