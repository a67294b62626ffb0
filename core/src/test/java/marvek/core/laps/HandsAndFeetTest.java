package marvek.core.laps;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Kerb;
import marvek.core.circuit.Road;
import marvek.core.circuit.Side;
import marvek.core.conditions.Conditions;
import marvek.core.laps.CornerReading.Correction.When;
import marvek.core.line.ChosenLine;
import marvek.core.page.CornerPage;
import marvek.core.reference.Reference;
import org.junit.jupiter.api.Test;

/** Wheel, clutch and both pedals, planted into a lap of the model and read again. */
class HandsAndFeetTest {
  private static final double G0 = 9.80665;
  private static final double WHEELBASE_M = 2.5;
  private static final double RATIO = 14;
  private static final double PER_G = 4;

  private static final Reference BOOK = book();
  private static final Road ROAD = BOOK.path().road();
  private static final Recording DRIVEN = steered(0.4);

  private static Reference book() {
    return book(List.of());
  }

  private static Reference book(List<Kerb> kerbs) {
    Reference.Basis basis =
        Reference.basis(
            Circuit.bare("varied", TestRoads.varied(5)).withKerbs(kerbs),
            TestVehicles.clubCar(),
            Conditions.DEFAULT,
            ChosenLine.SMOOTH);
    return Reference.on(basis, Conditions.DEFAULT, List.of());
  }

  /** The page's laps with the wheel of a single-track model, and the noise of its sensor. */
  private static Recording steered(double noiseDeg) {
    Recording exact = new ModelRecording(100, 0, true, 1).of(List.of(BOOK.lap(), BOOK.lap()));
    Random random = new Random(4);
    return with(exact, Channel.STEER, i -> needed(exact, i) + noiseDeg * random.nextGaussian());
  }

  private static double needed(Recording of, int i) {
    double g = of.at(Channel.LATERAL_G, i);
    double v = of.at(Channel.SPEED, i);
    return RATIO * Math.toDegrees(WHEELBASE_M * g * G0 / (v * v)) + PER_G * g;
  }

  private static Recording with(Recording of, Channel channel, IntToDoubleFunction value) {
    return of.with(channel, IntStream.range(0, of.size()).mapToDouble(value).toArray());
  }

  private static CornerReading read(Recording recording, int p) {
    return read(recording, BOOK, p);
  }

  private static CornerReading read(Recording recording, Reference book, int p) {
    Stations stations = Stations.of(recording, ROAD);
    RecordedLap lap =
        LapCutter.cut(recording, stations, ROAD).stream()
            .filter(RecordedLap::isWhole)
            .findFirst()
            .orElseThrow();
    LapReader reader = new LapReader(ROAD, book.pages(), Thresholds.DEFAULT, v -> 0);
    return reader.read(recording, stations, lap).get(p);
  }

  /** The tightest corner of the book. */
  private static int tightest() {
    return IntStream.range(0, BOOK.pages().size())
        .boxed()
        .min((a, b) -> Double.compare(page(a).lowestSpeedMps(), page(b).lowestSpeedMps()))
        .orElseThrow();
  }

  private static CornerPage page(int p) {
    return BOOK.pages().get(p);
  }

  /** Sample of the first lap at a station. */
  private static int at(Recording recording, double stationM) {
    Stations stations = Stations.of(recording, ROAD);
    RecordedLap lap = LapCutter.cut(recording, stations, ROAD).get(1);
    int i = lap.from();
    while (stations.stationAt(i) - lap.lineM() < stationM) {
      i++;
    }
    return i;
  }

  @Test
  void whatABendNeedsIsFoundFromGentleOnes() {
    SteerNeeded found = SteerNeeded.of(DRIVEN).orElseThrow();
    assertThat(found.perBend())
        .isCloseTo(RATIO * Math.toDegrees(WHEELBASE_M), within(0.01 * RATIO * 143));
    assertThat(found.perSideG()).isCloseTo(PER_G, within(0.3));
    assertThat(SteerNeeded.of(DRIVEN.without(Channel.LATERAL_G))).isEmpty();
  }

  @Test
  void aQuietWheelHasNothingToTell() {
    for (int p = 0; p < BOOK.pages().size(); p++) {
      CornerReading.Wheel wheel = read(DRIVEN, p).wheel();
      assertThat(wheel.corrections()).as("corner %d", p).isEmpty();
      assertThat(wheel.beyondDeg()).as("corner %d", p).isZero();
    }
    assertThat(read(DRIVEN.without(Channel.STEER), 0).wheel())
        .isEqualTo(CornerReading.Wheel.UNKNOWN);
  }

  /** A dip of the wheel of half a sine, as large as it is and where it is. */
  private static Recording slide(double stationM, double degrees, double seconds, int p) {
    int from = at(DRIVEN, stationM);
    int length = (int) (seconds * 100);
    int turn = page(p).direction() == Side.LEFT ? 1 : -1;
    return with(
        DRIVEN,
        Channel.STEER,
        i -> {
          double share = (double) (i - from) / length;
          double dip = share > 0 && share < 1 ? degrees * Math.sin(Math.PI * share) : 0;
          return DRIVEN.at(Channel.STEER, i) - turn * dip;
        });
  }

  @Test
  void aSlideIsToldByWhatTheCarWasDoing() {
    int p = tightest();
    double powerM = page(p).throttle().firstM() + 12;
    CornerReading.Wheel wheel = read(slide(powerM, 35, 0.5, p), p).wheel();
    assertThat(wheel.corrections()).hasSize(1);
    CornerReading.Correction caught = wheel.corrections().get(0);
    assertThat(caught.when()).isEqualTo(When.POWER);
    assertThat(caught.byDeg()).isCloseTo(35, within(3.0));
    assertThat(caught.atM()).isCloseTo(powerM, within(2.0));

    double entryM = page(p).lowestSpeedAtM() - 8;
    assertThat(read(slide(entryM, 35, 0.4, p), p).wheel().corrections())
        .extracting(CornerReading.Correction::when)
        .containsExactly(When.ENTRY);
    // Who takes two seconds for it has driven another bend.
    assertThat(read(slide(entryM, 35, 2.4, p), p).wheel().corrections()).isEmpty();
    assertThat(read(slide(entryM, 9, 0.4, p), p).wheel().corrections()).isEmpty();
  }

  /** The same dip of the wheel, beside the inside edge where there is a kerb. */
  @Test
  void aSlideOnAKerbIsToldAsOne() {
    int p = tightest();
    double lowestM = page(p).lowestSpeedAtM();
    Kerb kerb =
        new Kerb(
            page(p).direction(),
            lowestM - 40,
            lowestM + 40,
            Kerb.Profile.FLAT,
            30.0,
            1.5,
            Kerb.Use.NONE,
            Kerb.Use.NONE,
            "");
    Recording slid = slide(lowestM - 8, 35, 0.4, p);
    int at = at(slid, lowestM - 8);
    assertThat(clearOfInside(slid, p, at)).as("where the page goes").isGreaterThan(0.95);
    Recording inside = sideways(slid, clearOfInside(slid, p, at) - 0.8, p);
    assertThat(read(inside, book(List.of(kerb)), p).wheel().corrections())
        .extracting(CornerReading.Correction::when)
        .containsExactly(When.KERB);
    assertThat(read(slid, book(List.of(kerb)), p).wheel().corrections())
        .as("beside it")
        .extracting(CornerReading.Correction::when)
        .containsExactly(When.ENTRY);
    assertThat(read(inside, p).wheel().corrections())
        .as("where there is none")
        .extracting(CornerReading.Correction::when)
        .containsExactly(When.ENTRY);
  }

  /** From the car's middle to the inside edge [m]. */
  private static double clearOfInside(Recording of, int p, int sample) {
    int i = ROAD.indexOf(page(p).lowestSpeedAtM() - 8);
    double offset =
        (of.at(Channel.X, sample) - ROAD.xAt(i)) * ROAD.normalXAt(i)
            + (of.at(Channel.Y, sample) - ROAD.yAt(i)) * ROAD.normalYAt(i);
    return page(p).direction() == Side.LEFT
        ? ROAD.widthLeftAt(i) - offset
        : ROAD.widthRightAt(i) + offset;
  }

  /** All of it so much nearer to a corner's inside. */
  private static Recording sideways(Recording of, double metres, int p) {
    int i = ROAD.indexOf(page(p).lowestSpeedAtM());
    double left = page(p).direction() == Side.LEFT ? metres : -metres;
    Recording east = with(of, Channel.X, k -> of.at(Channel.X, k) + left * ROAD.normalXAt(i));
    return with(east, Channel.Y, k -> of.at(Channel.Y, k) + left * ROAD.normalYAt(i));
  }

  /**
   * Without it, what is needed is not known, and behind its farthest the wheel is opened anyway.
   */
  @Test
  void withoutASideForceTheWheelIsReadWhileItIsTurnedIn() {
    int p = tightest();
    CornerPage page = page(p);
    Recording blind = slide(page.turnIn().atM() + 12, 35, 0.4, p).without(Channel.LATERAL_G);
    CornerReading.Wheel wheel = read(blind, p).wheel();
    assertThat(wheel.corrections())
        .extracting(CornerReading.Correction::when)
        .containsExactly(When.ENTRY);
    assertThat(wheel.beyondDeg()).as("what was needed is not told").isNull();
    Recording late = slide(page.lowestSpeedAtM() + 4, 60, 0.6, p).without(Channel.LATERAL_G);
    assertThat(read(late, p).wheel().corrections()).isEmpty();
  }

  @Test
  void aFrontThatSlidesHasMoreWheelThanItsBendNeeds() {
    int p = tightest();
    int middle = at(DRIVEN, page(p).lowestSpeedAtM());
    int turn = page(p).direction() == Side.LEFT ? 1 : -1;
    Recording pushed =
        with(
            DRIVEN,
            Channel.STEER,
            i -> DRIVEN.at(Channel.STEER, i) + (Math.abs(i - middle) < 40 ? turn * 45 : 0));
    CornerReading.Wheel wheel = read(pushed, p).wheel();
    assertThat(wheel.beyondDeg()).isCloseTo(45, within(2.0));
    Stations stations = Stations.of(pushed, ROAD);
    double seen = stations.stationAt(middle + 39) - stations.stationAt(middle - 39);
    // The side force falls off towards both ends.
    assertThat(wheel.beyondM()).isBetween(0.8 * seen, 1.001 * seen);
  }

  /** Samples of the second change down of the first lap's hardest braking. */
  private static List<Integer> changesDown(Recording of, int from, int to) {
    return IntStream.range(from, to)
        .filter(i -> of.at(Channel.GEAR, i) < of.at(Channel.GEAR, i - 1))
        .boxed()
        .toList();
  }

  @Test
  void anEngineThatIsTooSlowForItsGearIsTold() {
    int p = tightest();
    int from = at(DRIVEN, page(p).brake().atM());
    int to = at(DRIVEN, page(p).exit().trackOutM());
    List<Integer> changes = changesDown(DRIVEN, from, to);
    assertThat(changes).isNotEmpty();
    Recording clutched =
        with(
            DRIVEN,
            Channel.CLUTCH,
            i -> changes.stream().anyMatch(c -> i >= c && i < c + 12) ? 100 : 0);
    CornerReading.Feet matched = read(clutched, p).feet();
    assertThat(matched.downshifts()).isEqualTo(changes.size());
    assertThat(matched.matched()).isEqualTo(changes.size());
    int first = changes.get(0);
    Recording slow =
        with(
            clutched,
            Channel.RPM,
            i -> DRIVEN.at(Channel.RPM, i) * (i >= first && i < first + 14 ? 0.8 : 1));
    CornerReading.Feet short20 = read(slow, p).feet();
    assertThat(short20.matched()).isEqualTo(changes.size() - 1);
    assertThat(short20.shortPct()).isCloseTo(20, within(1.5));
    assertThat(read(DRIVEN, p).feet().downshifts()).isNull();
  }

  @Test
  void bothPedalsTogetherAreToldUnlessItIsABlip() {
    int p = tightest();
    int from = at(DRIVEN, page(p).brake().atM()) + 60;
    IntToDoubleFunction held = i -> i >= from && i < from + 70 ? 30 : 0;
    Recording over =
        with(
            DRIVEN,
            Channel.THROTTLE,
            i -> Math.max(held.applyAsDouble(i), DRIVEN.at(Channel.THROTTLE, i)));
    assertThat(read(over, p).feet().overlapS()).isCloseTo(0.7, within(0.03));
    Recording blip =
        with(
            DRIVEN,
            Channel.THROTTLE,
            i -> i >= from && i < from + 30 ? 60 : DRIVEN.at(Channel.THROTTLE, i));
    assertThat(read(blip, p).feet().overlapS()).isZero();
  }

  @Test
  void gearsTurnTheEngineAsTheCarHasThem() {
    List<GearRatios.Ratio> ratios = GearRatios.of(DRIVEN);
    assertThat(ratios).hasSizeGreaterThan(2);
    for (GearRatios.Ratio r : ratios) {
      double wanted =
          TestVehicles.clubCar().gearbox().overallRatio(r.gear())
              / TestVehicles.clubCar().tyre().radiusM()
              * 30
              / Math.PI;
      assertThat(r.rpmPerMps()).isCloseTo(wanted, within(0.005 * wanted));
      assertThat(r.error()).isLessThan(0.005 * wanted);
    }
  }

  @Test
  void aMarginIsOnlyToldAsFarAsPositionsTellIt() {
    CornerPage page = page(tightest());
    double body = TestVehicles.clubCar().bodyWidthM();
    Double allowed = page.limits().apex().allowedM();
    assertThat(allowed).isNotNull();
    double clearM = body / 2 - allowed + 0.5;
    CornerReading.Way way = new CornerReading.Way(null, clearM, 0.0, null);
    EdgeMargin sure = EdgeMargin.inside(way, page, body, 0.1);
    assertThat(sure.leftM()).isCloseTo(0.5, within(1e-9));
    assertThat(sure.standing()).isEqualTo(EdgeMargin.Standing.CLEAR);
    assertThat(EdgeMargin.inside(way, page, body, 0.3).standing())
        .isEqualTo(EdgeMargin.Standing.TOO_CLOSE_TO_TELL);
    CornerReading.Way over = new CornerReading.Way(null, clearM - 1, 0.0, null);
    assertThat(EdgeMargin.inside(over, page, body, 0.1).standing())
        .isEqualTo(EdgeMargin.Standing.BEYOND);
    assertThat(EdgeMargin.outside(way, page, body, 0.1)).isNull();
  }
}
