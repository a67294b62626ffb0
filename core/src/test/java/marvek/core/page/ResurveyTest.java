package marvek.core.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.function.DoubleUnaryOperator;
import marvek.core.TestRoads;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.DrawnCorner;
import marvek.core.circuit.Hazard;
import marvek.core.circuit.Kerb;
import marvek.core.circuit.Mark;
import marvek.core.circuit.MarkType;
import marvek.core.circuit.Road;
import marvek.core.circuit.Side;
import marvek.core.circuit.Survey;
import marvek.core.circuit.TrackLimits;
import marvek.core.circuit.Zone;
import org.junit.jupiter.api.Test;

/** A line surveyed anew: what stands beside the road stays where it stands. */
class ResurveyTest {
  private static final Survey BEFORE =
      TestRoads.every(5).straight(200).corner(60, 90, 20).straight(300).survey(false, 5, 0, 0);
  private static final Road OLD = Circuit.bare("old", BEFORE).road();

  /** The same plane with another origin, as after a survey with another instrument. */
  private static Survey moved(double east, double north) {
    return TestRoads.changed(BEFORE, (p, i) -> new double[] {p[0] + east, p[1] + north, p[2]});
  }

  @Test
  void theSameLineKeepsItsFigures() {
    Road same = Circuit.bare("same", moved(30, -40)).road();
    DoubleUnaryOperator map = StationMap.between(OLD, same, 30, -40);
    assertThat(map.applyAsDouble(123.4567)).isEqualTo(123.4567);
    Road near = Circuit.bare("near", moved(30, -39.96)).road();
    assertThat(StationMap.between(OLD, near, 30, -40).applyAsDouble(123.4567)).isEqualTo(123.4567);
    // Moved by 6 cm it is another line: the nearest place of it.
    Road other = Circuit.bare("other", moved(30.06, -40)).road();
    double there = StationMap.between(OLD, other, 30, -40).applyAsDouble(123.4567);
    assertThat(there).isCloseTo(123.4567 - 0.06, within(0.01)).isNotEqualTo(123.4567);
  }

  /** Begun 50 m later, in another plane, and noted more coarsely: places, not figures, are kept. */
  @Test
  void aPlaceIsFoundAgainOnALineThatBeginsElsewhere() {
    Survey shorter =
        TestRoads.every(4).straight(150).corner(60, 90, 20).straight(300).survey(false, 5, 0, 0);
    Survey later = TestRoads.changed(shorter, (p, i) -> new double[] {p[0] + 57, p[1] + 9, p[2]});
    Road road = Circuit.bare("later", later).road();
    DoubleUnaryOperator map = StationMap.between(OLD, road, 7, 9);
    for (double s = 55; s < 550; s += 37) {
      assertThat(map.applyAsDouble(s)).isCloseTo(s - 50, within(0.1));
    }
  }

  @Test
  void allThatStoodAlongTheOldLineStandsAlongTheNew() {
    DoubleUnaryOperator later = s -> s + 10;
    Mark post = new Mark("post", MarkType.LAMP, Side.LEFT, 50, 50, 6.0, null, 4.0, "bent", null);
    Mark fence =
        new Mark("fence", MarkType.FENCE_END, Side.RIGHT, 60, 90, 7.0, null, 1.0, "", null);
    Kerb kerb =
        new Kerb(
            Side.LEFT, 200, 240, Kerb.Profile.RAMP, 40.0, 0.9, Kerb.Use.TYRE, Kerb.Use.NONE, "new");
    Zone zone = new Zone(Zone.Type.DUST, Side.RIGHT, 20, 30, 0.9, "sand");
    Hazard wall = new Hazard(Hazard.Type.WALL, Side.RIGHT, 210, 260, 3.0, "");
    DrawnCorner corner = new DrawnCorner(1, "Barn", Side.LEFT, 205, 280, true, TrackLimits.FREE);
    Circuit before =
        new Circuit(
            "Hill",
            "long",
            4,
            null,
            "Europe/Oslo",
            TrackLimits.FREE,
            null,
            BEFORE,
            1,
            List.of(post, fence),
            List.of(kerb),
            List.of(zone),
            List.of(wall),
            List.of(corner));
    Survey survey = moved(1, 1);
    Circuit now = ResurveyedCircuit.of(before, Circuit.bare("bare", survey).smoothed(2), later);
    assertThat(now.name()).isEqualTo("Hill");
    assertThat(now.layout()).isEqualTo("long");
    assertThat(now.layoutVersion()).isEqualTo(5);
    assertThat(now.survey()).isSameAs(survey);
    assertThat(now.smoothing()).isEqualTo(2);
    assertThat(now.marks())
        .containsExactly(
            new Mark("post", MarkType.LAMP, Side.LEFT, 60, 60, 6.0, null, 4.0, "bent", null),
            new Mark("fence", MarkType.FENCE_END, Side.RIGHT, 70, 100, 7.0, null, 1.0, "", null));
    assertThat(now.kerbs())
        .containsExactly(
            new Kerb(
                Side.LEFT,
                210,
                250,
                Kerb.Profile.RAMP,
                40.0,
                0.9,
                Kerb.Use.TYRE,
                Kerb.Use.NONE,
                "new"));
    assertThat(now.zones())
        .containsExactly(new Zone(Zone.Type.DUST, Side.RIGHT, 30, 40, 0.9, "sand"));
    assertThat(now.hazards())
        .containsExactly(new Hazard(Hazard.Type.WALL, Side.RIGHT, 220, 270, 3.0, ""));
    assertThat(now.corners())
        .containsExactly(new DrawnCorner(1, "Barn", Side.LEFT, 215, 290, true, TrackLimits.FREE));
  }
}
