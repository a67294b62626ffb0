package marvek.core.cause;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import marvek.core.MadeRoads;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.cause.CornerAccount.Part;
import marvek.core.cause.SlipDriver.Kind;
import marvek.core.cause.SlipDriver.Slip;
import marvek.core.circuit.Circuit;
import marvek.core.laps.AlongLap;
import marvek.core.laps.Channel;
import marvek.core.laps.ModelRecording;
import marvek.core.laps.ReadLap;
import marvek.core.laps.Recording;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What accounts have to add up to, whatever was driven. */
class AccountsTest {
  private static final DrivenBook BOOK =
      DrivenBook.smooth(Circuit.bare("varied", TestRoads.varied(5)), TestVehicles.clubCar());

  /** With corners that its page takes flat. */
  private static final DrivenBook FLAT =
      DrivenBook.fastest(MadeRoads.of(8, 1), TestVehicles.clubCar());

  private static List<ReadLap> driven(Slip... slips) {
    return BOOK.read(BOOK.driver().drive(List.of(List.of(slips), List.of(slips)), 11), 100, 0.5);
  }

  @Test
  void thePageItselfLosesNothing() {
    LapAccounts page = BOOK.accounts(true).of(BOOK.page(true));
    assertThat(page.lostS()).isCloseTo(0, within(1e-9));
    assertThat(page.corners())
        .allSatisfy(
            corner -> {
              assertThat(corner.lostS()).isCloseTo(0, within(1e-9));
              assertThat(corner.parts()).isEmpty();
            });
  }

  /** Corners, what was brought over the line and what is handed on over it are the lap's loss. */
  @ParameterizedTest
  @CsvSource({
    "2, OVER_SLOWS, 2",
    "0, BRAKES_EARLY, 15",
    "9, THROTTLE_LATE, 20",
    "4, LIFTS, 50",
    "7, COASTS, 1"
  })
  void accountsAddUpToTheLap(int corner, Kind kind, double amount) {
    for (ReadLap lap : driven(new Slip(corner, kind, amount))) {
      LapAccounts accounts = BOOK.accounts(true).of(lap);
      double corners = accounts.corners().stream().mapToDouble(CornerAccount::lostS).sum();
      assertThat(corners + accounts.broughtS() - accounts.handedOnS())
          .isCloseTo(accounts.lostS(), within(0.001));
      assertThat(accounts.lostS())
          .as("the reader's own lap times")
          .isCloseTo(lapS(lap) - lapS(BOOK.page(true)), within(0.001));
    }
  }

  /** The whole braking sooner, or less of it drawn out to the same end. */
  @Test
  void whatAnEarlyBrakeWasUsedForIsToldBesideIt() {
    for (ReadLap lap : driven(new Slip(0, Kind.BRAKES_EARLY_AND_ROLLS, 14))) {
      Part early =
          BOOK.accounts(true).of(lap).corners().get(0).part(Cause.BRAKED_EARLY).orElseThrow();
      assertThat(early.with()).isEqualTo(Cause.RELEASED_SOON);
    }
    for (ReadLap lap : driven(new Slip(0, Kind.BRAKES_EARLY, 16))) {
      Part early =
          BOOK.accounts(true).of(lap).corners().get(0).part(Cause.BRAKED_EARLY).orElseThrow();
      assertThat(early.with()).isEqualTo(Cause.PRESSED_LITTLE);
    }
  }

  /** Two stretches behind each other cost what both of them do as one, and none costs nothing. */
  @Test
  void stretchesOfAWayOutAddUp() {
    ReadLap lap = driven(new Slip(2, Kind.OVER_SLOWS, 3)).get(0);
    CostToGo toGo = CostToGo.of(BOOK.book().lap());
    ReadLap page = BOOK.page(true);
    double off = page.corners().get(2).braking().releaseM();
    CornerCase corner =
        new CornerCase(
            BOOK.road(),
            BOOK.book().pages().get(2),
            null,
            page.corners().get(2),
            lap.corners().get(2),
            page.along(),
            lap.along(),
            off - 100,
            off,
            off + 200,
            0,
            new RunningLoss(lap.along(), page.along(), BOOK.road(), toGo),
            new ExitDrive(BOOK.book().lap(), toGo));
    assertThat(corner.stretchS(off + 20, off + 20)).isCloseTo(0, within(1e-12));
    double first = corner.stretchS(off, off + 30);
    double second = corner.stretchS(off + 30, off + 80);
    assertThat(first + second).isCloseTo(corner.stretchS(off, off + 80), within(1e-9));
    assertThat(corner.stretchS(off - 500, off + 900))
        .as("kept within the way out")
        .isCloseTo(corner.stretchS(off, off + 200), within(1e-9));
  }

  /** Off the throttle before the slowest place of a corner that the page takes flat. */
  @Test
  void aLiftOnTheWayIntoAFlatCornerTakesWhatWasLostThere() {
    int p = flat();
    ReadLap page = FLAT.page(true);
    double from = FLAT.book().pages().get(p).turnIn().atM();
    int begin = page.along().indexOf(from);
    double[] foot = page.along().column(page.along()::throttleAt);
    Arrays.fill(foot, begin + 5, begin + 15, 0);
    double[] brake = page.along().column(page.along()::brakeAt);
    CornerCase lifted = flatCorner(p, from, page.along().withPedals(brake, foot));
    assertThat(LiftCause.of(lifted, 0.2))
        .singleElement()
        .satisfies(
            part -> {
              assertThat(part.cause()).isEqualTo(Cause.LIFTED);
              assertThat(part.seconds()).isEqualTo(0.2);
              assertThat(part.amount()).isCloseTo(20, within(0.1));
            });
    assertThat(LiftCause.of(flatCorner(p, from, page.along()), 0.2)).isEmpty();
    Arrays.fill(foot, begin - 10, begin + 15, 0);
    assertThat(LiftCause.of(flatCorner(p, from, page.along().withPedals(brake, foot)), 0.2))
        .as("still on the way out of the corner before")
        .isEmpty();
  }

  private static int flat() {
    return IntStream.range(0, FLAT.book().pages().size())
        .filter(p -> FLAT.page(true).corners().get(p).braking().onM() == null)
        .filter(p -> FLAT.book().pages().get(p).throttle().firstM() == null)
        .filter(
            p -> {
              AlongLap page = FLAT.page(true).along();
              double turnIn = FLAT.book().pages().get(p).turnIn().atM();
              return page.throttleAt(page.indexOf(turnIn - 20)) > 99;
            })
        .findFirst()
        .orElseThrow();
  }

  private static CornerCase flatCorner(int p, double fromM, AlongLap lap) {
    ReadLap page = FLAT.page(true);
    return new CornerCase(
        FLAT.road(),
        FLAT.book().pages().get(p),
        null,
        page.corners().get(p),
        page.corners().get(p),
        page.along(),
        lap,
        fromM,
        fromM + 60,
        fromM + 90,
        0,
        null,
        null);
  }

  private static double lapS(ReadLap lap) {
    int k = lap.along().size() - 1;
    double rest = BOOK.road().lengthM() - lap.along().stationAt(k);
    return lap.along().timeAt(k) - lap.along().timeAt(0) + rest / lap.along().speedAt(k);
  }

  /** Causes take no more than there is of what they take it from. */
  @Test
  void causesNeverTakeMoreThanWasLost() {
    for (ReadLap lap : driven(new Slip(0, Kind.BRAKES_EARLY, 15), new Slip(2, Kind.LIFTS, 60))) {
      for (CornerAccount corner : BOOK.accounts(true).of(lap).corners()) {
        double lost =
            Math.max(0, corner.approachS()) + Math.max(0, corner.speedS() + corner.exitS());
        double taken = corner.parts().stream().mapToDouble(Part::seconds).sum();
        assertThat(taken).isLessThanOrEqualTo(lost + 1e-9);
        assertThat(corner.parts()).allMatch(part -> part.seconds() > 0);
      }
    }
  }

  /** A late throttle is paid for on the straight behind the corner, and charged to the corner. */
  @Test
  void theStraightBehindACornerIsItsOwn() {
    ReadLap late = driven(new Slip(2, Kind.THROTTLE_LATE, 20)).get(0);
    ReadLap clean = driven().get(0);
    LapAccounts with = BOOK.accounts(true).of(late);
    LapAccounts without = BOOK.accounts(true).of(clean);
    double whole = with.lostS() - without.lostS();
    double there = with.corners().get(2).lostS() - without.corners().get(2).lostS();
    assertThat(whole).isGreaterThan(0.3);
    assertThat(there).isCloseTo(whole, within(0.02));
    assertThat(with.corners().get(2).part(Cause.LATE_THROTTLE)).isPresent();
  }

  /** On an open road nothing lies before the start: what is lost there is not the last corner's. */
  @Test
  void theStartOfAnOpenRoadIsNotItsEndsFault() {
    DrivenBook hill = DrivenBook.smooth(MadeRoads.open(), TestVehicles.clubCar());
    Lap own = hill.book().lap();
    Vehicle weak = own.vehicle().withEngine(own.vehicle().engine().scaled(0.8));
    Lap slow = SpeedProfile.solve(own.path(), weak, own.conditions());
    ReadLap lap = hill.read(new ModelRecording(100, 0, true, 1).of(List.of(slow))).get(0);
    LapAccounts accounts = hill.accounts(true).of(lap);
    List<CornerAccount> corners = accounts.corners();
    double onTheStraight = behindAt(lap, hill, 400) - behindAt(lap, hill, 50);
    assertThat(onTheStraight).isGreaterThan(0.05);
    assertThat(corners.get(0).lostS()).isGreaterThan(onTheStraight);
    double sum = corners.stream().mapToDouble(CornerAccount::lostS).sum();
    assertThat(sum + accounts.broughtS() - accounts.handedOnS())
        .isCloseTo(accounts.lostS(), within(0.001));
  }

  private static double behindAt(ReadLap lap, DrivenBook book, double stationM) {
    int k = lap.along().indexOf(stationM);
    return lap.along().timeAt(k) - book.page(true).along().timeAt(k);
  }

  /** A receiver that loses the speed for some metres, just where the brake comes off. */
  @Test
  void aHoleInTheSpeedStopsNoAccount() {
    Recording whole = BOOK.driver().drive(List.of(List.of()), 11).recorded(50, 0.5, true, 3);
    int at = BOOK.road().indexOf(BOOK.page(true).corners().get(2).braking().releaseM());
    double[] speed = whole.channel(Channel.SPEED).clone();
    for (int i = 0; i < speed.length; i++) {
      double east = whole.at(Channel.X, i) - BOOK.road().xAt(at);
      double north = whole.at(Channel.Y, i) - BOOK.road().yAt(at);
      speed[i] = Math.hypot(east, north) < 12 ? Double.NaN : speed[i];
    }
    assertThat(speed).contains(Double.NaN);
    LapAccounts known = BOOK.accounts(true).of(BOOK.read(whole).get(0));
    LapAccounts holed = BOOK.accounts(true).of(BOOK.read(whole.with(Channel.SPEED, speed)).get(0));
    assertThat(holed.lostS()).isCloseTo(known.lostS(), within(0.03));
    assertThat(holed.corners().get(2).lostS())
        .isCloseTo(known.corners().get(2).lostS(), within(0.1));
  }

  /** A lap without pedals names no gear, one without a good position no line. */
  @Test
  void whatIsNotRecordedIsNotNamed() {
    Slip[] slips = {new Slip(2, Kind.GEAR_HIGHER, 1), new Slip(5, Kind.WIDE_AT_APEX, 1.4)};
    SlipDriver.Drive drive = BOOK.driver().drive(List.of(List.of(slips)), 11);
    LapAccounts blind = BOOK.accounts(false).of(BOOK.read(drive.recorded(10, 1, false, 3)).get(0));
    Set<Cause> gears = Set.of(Cause.OTHER_GEAR, Cause.SHORT_SHIFT);
    assertThat(blind.corners())
        .flatExtracting(CornerAccount::parts)
        .extracting(Part::cause)
        .doesNotContainAnyElementsOf(gears);
  }
}
