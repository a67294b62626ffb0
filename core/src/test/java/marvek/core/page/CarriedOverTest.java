package marvek.core.page;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import marvek.core.TestRoads;
import marvek.core.circuit.Road;
import marvek.core.circuit.Side;
import marvek.core.corner.Corner;
import org.junit.jupiter.api.Test;

class CarriedOverTest {
  private static final Road ROAD = Road.through(TestRoads.circle(200, 5));

  private static Corner corner(int number, double from, double to, double tightest) {
    return new Corner(
        number,
        "",
        Side.LEFT,
        from,
        to,
        ROAD.distance(from, to),
        60,
        40,
        tightest,
        0,
        0,
        0,
        false,
        Corner.Kind.MEDIUM);
  }

  private static OwnValues own(int corner, double brake, double throttle, String notes) {
    return OwnValues.in(corner)
        .brakeAtM(brake)
        .initialPct(70.0)
        .cornerGear(2)
        .apexSpeedMps(20.0)
        .throttleFirstM(throttle)
        .confidence(3)
        .notes(notes)
        .build();
  }

  private static List<OwnValues> carried(
      List<OwnValues> own, List<Corner> before, List<Corner> after) {
    return CarriedOver.of(own, ROAD, before, after, s -> s);
  }

  @Test
  void anotherNumberTakesEverythingAlong() {
    List<OwnValues> carried =
        carried(
            List.of(own(3, 250, 380, "late")),
            List.of(corner(3, 300, 400, 350)),
            List.of(corner(5, 300, 400, 350)));
    assertThat(carried)
        .singleElement()
        .satisfies(
            o -> {
              assertThat(o.corner()).isEqualTo(5);
              assertThat(o.brakeAtM()).isEqualTo(250);
              assertThat(o.throttleFirstM()).isEqualTo(380);
              assertThat(o.notes()).isEqualTo("late");
            });
  }

  @Test
  void ofASplitCornerEachPartGetsWhatIsDrivenInIt() {
    List<OwnValues> carried =
        carried(
            List.of(own(1, 250, 480, "two bends")),
            List.of(corner(1, 300, 500, 430)),
            List.of(corner(1, 300, 400, 350), corner(2, 400, 500, 430)));
    assertThat(carried).hasSize(2);
    OwnValues first = carried.get(0);
    OwnValues second = carried.get(1);
    assertThat(first.brakeAtM()).isEqualTo(250);
    assertThat(first.throttleFirstM()).isNull();
    assertThat(first.apexSpeedMps()).isNull();
    assertThat(second.brakeAtM()).isNull();
    assertThat(second.throttleFirstM()).isEqualTo(480);
    assertThat(second.apexSpeedMps()).isEqualTo(20.0);
    assertThat(first.notes()).isEqualTo("two bends").isEqualTo(second.notes());
  }

  @Test
  void joinedCornersGiveTheirsTogether() {
    List<OwnValues> carried =
        carried(
            List.of(own(1, 250, 390, "in"), own(2, 395, 480, "out")),
            List.of(corner(1, 300, 400, 350), corner(2, 400, 500, 430)),
            List.of(corner(1, 300, 500, 430)));
    assertThat(carried)
        .singleElement()
        .satisfies(
            o -> {
              assertThat(o.brakeAtM()).isEqualTo(250);
              assertThat(o.throttleFirstM()).isEqualTo(480);
              assertThat(o.notes()).isEqualTo("in out");
            });
  }

  @Test
  void aMovedRoadMovesTheStations() {
    List<OwnValues> carried =
        CarriedOver.of(
            List.of(own(1, 250, 390, "")),
            ROAD,
            List.of(corner(1, 300, 400, 350)),
            List.of(corner(1, 312, 412, 362)),
            s -> s + 12);
    assertThat(carried.get(0).brakeAtM()).isEqualTo(262);
  }

  @Test
  void aFewSharedMetresMakeNoHeir() {
    List<OwnValues> carried =
        carried(
            List.of(own(1, 250, 390, "a")),
            List.of(corner(1, 300, 405, 350)),
            List.of(corner(1, 300, 400, 350), corner(2, 400, 500, 430)));
    assertThat(carried).extracting(OwnValues::corner).containsExactly(1);
  }
}
