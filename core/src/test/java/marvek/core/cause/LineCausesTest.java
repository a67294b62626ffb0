package marvek.core.cause;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.function.UnaryOperator;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.cause.CornerAccount.Part;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Kerb;
import marvek.core.laps.CornerReading;
import marvek.core.laps.CornerReading.Braking;
import marvek.core.laps.CornerReading.Way;
import marvek.core.laps.ReadLap;
import marvek.core.page.CornerPage;
import org.junit.jupiter.api.Test;

/** Another way through one corner than the page's, all else being as the page has it. */
class LineCausesTest {
  private static final int P = 2;
  private static final double LOST_S = 0.4;

  private static final DrivenBook BARE =
      DrivenBook.smooth(Circuit.bare("varied", TestRoads.varied(5)), TestVehicles.clubCar());

  private static final DrivenBook KERBED =
      DrivenBook.smooth(withInsideKerb(BARE.book().pages().get(P)), TestVehicles.clubCar());

  private static Circuit withInsideKerb(CornerPage page) {
    double apex = page.apexes().get(0).atM();
    Kerb kerb =
        new Kerb(
            page.direction(),
            apex - 40,
            apex + 40,
            Kerb.Profile.FLAT,
            30,
            1.5,
            Kerb.Use.HALF_CAR,
            Kerb.Use.NONE,
            "");
    return Circuit.bare("varied", TestRoads.varied(5)).withKerbs(List.of(kerb));
  }

  private static double halfMetreS(DrivenBook book) {
    return book.stakes().get(P).apexHalfMetreOffS();
  }

  private static List<Part> causes(DrivenBook book, double errorM, UnaryOperator<Way> way) {
    return causes(book, errorM, way, 0);
  }

  /**
   * @param heldM metres that the brake comes off later than the page's
   */
  private static List<Part> causes(
      DrivenBook book, double errorM, UnaryOperator<Way> way, double heldM) {
    ReadLap page = book.page(true);
    CornerReading as = page.corners().get(P);
    CornerReading lap =
        new CornerReading(
            as.corner(),
            released(as.braking(), heldM),
            as.slowest(),
            as.throttle(),
            way.apply(as.way()),
            as.wheel(),
            as.feet(),
            as.entryMps(),
            as.exitMps(),
            as.timeS());
    double off = as.braking().releaseM();
    return LineCauses.of(
        new CornerCase(
            book.road(),
            book.book().pages().get(P),
            book.stakes().get(P),
            as,
            lap,
            page.along(),
            page.along(),
            off - 100,
            off,
            off + 150,
            errorM,
            null,
            null),
        LOST_S);
  }

  private static Braking released(Braking b, double laterM) {
    return new Braking(b.onM(), b.peakPct(), b.atTurnInPct(), b.releaseM() + laterM, b.locked());
  }

  private static UnaryOperator<Way> farther(double metres) {
    return w -> new Way(w.turnInM(), w.insideM() + metres, w.insideAtM(), w.outsideM());
  }

  /** Early at the inside, and out of road behind it. */
  private static UnaryOperator<Way> early(double apexM, double turnInM) {
    return w ->
        new Way(w.turnInM() - turnInM, w.insideM(), w.insideAtM() - apexM, w.outsideM() - 0.6);
  }

  @Test
  void whoGoesBesideTheKerbThatThePageUsesIsToldSo() {
    assertThat(causes(KERBED, 0.1, farther(0.4)))
        .singleElement()
        .satisfies(
            part -> {
              assertThat(part.cause()).isEqualTo(Cause.MISSED_KERB);
              assertThat(part.amount()).isCloseTo(0.4, within(1e-9));
              assertThat(part.seconds())
                  .isCloseTo(Math.min(LOST_S, halfMetreS(KERBED) * 0.8), within(1e-9));
            });
    assertThat(causes(KERBED, 0.1, farther(0.25))).as("near enough").isEmpty();
    assertThat(causes(KERBED, 0.21, farther(0.4))).as("not sure").isEmpty();
    assertThat(causes(BARE, 0.1, farther(0.4))).as("no kerb there").isEmpty();
  }

  @Test
  void fartherOffTheKerbIsNamedBesideTheApex() {
    assertThat(causes(KERBED, 0.1, farther(0.8)))
        .singleElement()
        .satisfies(
            part -> {
              assertThat(part.cause()).isEqualTo(Cause.MISSED_APEX);
              assertThat(part.with()).isEqualTo(Cause.MISSED_KERB);
            });
    assertThat(causes(BARE, 0.1, farther(0.8)))
        .singleElement()
        .satisfies(part -> assertThat(part.with()).isNull());
  }

  @Test
  void whoTurnedInEarlyIsToldSoBesideAnEarlyApex() {
    assertThat(causes(BARE, 0.1, early(9, 10), 25))
        .singleElement()
        .satisfies(
            part -> {
              assertThat(part.cause()).isEqualTo(Cause.EARLY_APEX);
              assertThat(part.with()).isEqualTo(Cause.TURNED_IN_EARLY);
              assertThat(part.amount()).isCloseTo(9, within(1e-9));
              assertThat(part.seconds()).isEqualTo(LOST_S);
            });
    assertThat(causes(BARE, 0.1, early(9, 6), 25))
        .singleElement()
        .satisfies(part -> assertThat(part.with()).isNull());
    assertThat(causes(BARE, 0.1, early(4, 10), 25)).as("no early apex").isEmpty();
    assertThat(causes(BARE, 0.1, early(9, 10))).as("and nothing came of it").isEmpty();
  }
}
