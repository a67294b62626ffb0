package marvek.core.laps;

import static marvek.core.profile.Constants.G0;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.DoubleUnaryOperator;
import marvek.core.TestLaps;
import marvek.core.circuit.Road;
import marvek.core.page.CornerPage;
import marvek.core.reference.Reference;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A line of known offsets through a left-hander, and one through its mirror image. */
class WayReaderTest {
  private static final double WIDTH_M = 6;
  private static final double SPEED_MPS = 25;
  private static final double HZ = 50;

  /** Where the line is nearest to the inside and, behind that, to the outside. */
  private static final double IN_M = 770;

  private static final double OUT_M = 860;

  /** The side force rises from here over thirty metres. */
  private static final double RISES_M = 700;

  /** To the left or to the right. */
  private record Oval(Reference book, Road road, int turn) {
    static Oval of(int turn) {
      Reference book = OvalBook.of(turn);
      return new Oval(book, book.path().road(), turn);
    }

    /** Toward the inside positive. */
    double inward(double s) {
      return 1 + 2 * bell(s, IN_M) - 3 * bell(s, OUT_M);
    }

    private static double bell(double s, double at) {
      return Math.exp(-Math.pow((s - at) / 30, 2));
    }

    double sideG(double s) {
      return turn * Math.max(0, Math.min(1, (s - RISES_M) / 30)) * (s < 900 ? 1 : 0);
    }

    /** A lap and a half, of the channels that are wanted besides place and speed. */
    Recording recorded(Map<Channel, DoubleUnaryOperator> channels) {
      int n = (int) (1.5 * road.lengthM() / SPEED_MPS * HZ);
      double[] time = new double[n];
      Arrays.setAll(time, i -> i / HZ);
      Map<Channel, double[]> columns = new EnumMap<>(Channel.class);
      columns.put(Channel.SPEED, column(n, s -> SPEED_MPS));
      channels.forEach((channel, of) -> columns.put(channel, column(n, of)));
      return new Recording(time, columns);
    }

    private double[] column(int n, DoubleUnaryOperator of) {
      double[] values = new double[n];
      double begin = 0.2 * road.lengthM();
      for (int i = 0; i < n; i++) {
        double s = i / HZ * SPEED_MPS - begin;
        values[i] = of.applyAsDouble(s - road.lengthM() * Math.floor(s / road.lengthM()));
      }
      return values;
    }

    /** Along the middle of the road, offset by the line. */
    double placed(double s, boolean x) {
      double position = s / road.stepM();
      int i = (int) position;
      double part = position - i;
      int to = road.wrap(i + 1);
      double dx = road.xAt(to) - road.xAt(i);
      double dy = road.yAt(to) - road.yAt(i);
      double left = turn * inward(s) / Math.hypot(dx, dy);
      return x ? road.xAt(i) + part * dx - left * dy : road.yAt(i) + part * dy + left * dx;
    }

    CornerReading.Way read(Map<Channel, DoubleUnaryOperator> more) {
      Map<Channel, DoubleUnaryOperator> channels = new EnumMap<>(Channel.class);
      channels.put(Channel.X, s -> placed(s, true));
      channels.put(Channel.Y, s -> placed(s, false));
      channels.putAll(more);
      return first(recorded(channels));
    }

    CornerReading.Way first(Recording recording) {
      Stations stations = Stations.of(recording, road);
      RecordedLap lap = TestLaps.whole(recording, stations, road);
      List<CornerPage> pages = book.pages();
      return new LapReader(road, pages, Thresholds.DEFAULT, v -> 0)
          .read(recording, stations, lap)
          .get(0)
          .way();
    }
  }

  @ParameterizedTest
  @ValueSource(ints = {1, -1})
  void roomsAreThoseOfTheLine(int turn) {
    Oval oval = Oval.of(turn);
    CornerReading.Way way = oval.read(Map.of(Channel.LATERAL_G, oval::sideG));
    assertThat(way.insideM()).isCloseTo(WIDTH_M - oval.inward(IN_M), within(0.1));
    assertThat(way.insideAtM()).isCloseTo(IN_M, within(4.0));
    assertThat(way.outsideM()).isCloseTo(WIDTH_M + oval.inward(OUT_M), within(0.1));
  }

  /** Through three tenths of the strongest: nine metres behind where it begins to rise. */
  @ParameterizedTest
  @ValueSource(ints = {1, -1})
  void theTurnInIsWhereTheSideForceRises(int turn) {
    Oval oval = Oval.of(turn);
    double turnInM = oval.book().pages().get(0).turnIn().atM();
    assertThat(turnInM).as("of the page").isBetween(RISES_M - 60, RISES_M + 40);
    CornerReading.Way felt = oval.read(Map.of(Channel.LATERAL_G, oval::sideG));
    assertThat(felt.turnInM()).isCloseTo(RISES_M + 9, within(0.3));
    CornerReading.Way turned =
        oval.read(Map.of(Channel.YAW_RATE, s -> Math.toDegrees(oval.sideG(s) * G0 / SPEED_MPS)));
    assertThat(turned.turnInM()).isCloseTo(RISES_M + 9, within(0.3));
    double rising = 2 * RISES_M;
    CornerReading.Way other =
        oval.read(Map.of(Channel.LATERAL_G, s -> -oval.sideG(s) * (s < rising ? 1 : 0)));
    assertThat(other.turnInM()).as("to the other side").isNull();
  }

  /** From positions alone: the bend's curvature rises over its first twenty metres. */
  @ParameterizedTest
  @ValueSource(ints = {1, -1})
  void positionsAloneTellTheTurnInRoughly(int turn) {
    Oval oval = Oval.of(turn);
    CornerReading.Way way = oval.read(Map.of());
    assertThat(way.turnInM()).isBetween(695.0, 725.0);
    Recording blind = oval.recorded(Map.of(Channel.DISTANCE, s -> s));
    CornerReading.Way unknown = oval.first(blind);
    assertThat(unknown.turnInM()).isNull();
    assertThat(unknown.insideM()).isNull();
    assertThat(unknown.outsideM()).isNull();
  }
}
