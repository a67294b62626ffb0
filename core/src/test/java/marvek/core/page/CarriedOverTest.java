package marvek.core.page;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import marvek.core.TestRoads;
import marvek.core.circuit.Kerb;
import marvek.core.circuit.Road;
import marvek.core.circuit.Side;
import marvek.core.conditions.Footwork;
import marvek.core.corner.Corner;
import marvek.core.line.School;
import marvek.core.mark.By;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CarriedOverTest {
  private static final Road ROAD = Road.through(TestRoads.circle(200, 5));

  private static final ToldPoints TOLD =
      new ToldPoints(
          List.of(new ToldPoint(PagePoint.THROTTLE, By.LEAVES_SIGHT, "post 2", null, null)));
  private static final PointNote WALL =
      new PointNote(PagePoint.EXIT, PointNote.Kind.DANGER, 3, "wall close to the line");

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

  /**
   * The guide: the brake goes to the first part, the throttle and the kerb outside to the last one,
   * what belongs to the tightest place to the part that has it.
   */
  @ParameterizedTest
  @CsvSource({
    "BRAKE,first",
    "BRAKE_INITIAL,first",
    "BRAKE_MARK,first",
    "BRAKE_WORDS,first",
    "TURN_IN,first",
    "TURN_IN_PRESSURE,first",
    "TURN_IN_MARK,first",
    "TURN_IN_WORDS,first",
    "LOOK,first",
    "LINE,second",
    "PRESSES,first",
    "GIVES_WAY,first",
    "FEET,all",
    "GEAR_IN,first",
    "GEAR,second",
    "GEAR_OUT,third",
    "GEAR_CHANGES,third",
    "RELEASE,second",
    "APEX_SPEED,second",
    "APEX_OFFSET,second",
    "APEX_KERB,second",
    "EXIT_KERB,third",
    "THROTTLE_FIRST,third",
    "THROTTLE_FULL,third",
    "PHASES,third",
    "TOLD,all",
    "GATES,all",
    "POINT_NOTES,all",
    "VARIANTS,all",
    "CONFIDENCE,all",
    "NOTES,all",
    "WAY_OUT,all"
  })
  void eachFieldHasItsHeir(PageField field, String part) {
    Object value =
        switch (field.quantity()) {
          case STATION -> 410.0;
          case GEAR, OF_FIVE -> 3;
          case KERB_USE -> Kerb.Use.TYRE;
          case SCHOOL -> School.V;
          case WORDS, NOTE -> "words";
          case PRESSES ->
              new PedalWork.Presses(List.of(new Press(410, 80, List.of(new Knot(415, 30)), 420)));
          case PHASES -> new PedalWork.Phases(List.of(new Phase(Phase.Kind.FLAT, 410, 100, null)));
          case FEET -> Footwork.LEFT;
          case GEAR_CHANGES -> new GearChanges(List.of(new GearChange(410, 3, null)));
          case GIVES_WAY -> GivesWay.PRESSURE;
          case TOLD -> TOLD;
          case GATES -> new Gates(List.of(new Gate(410, Gate.Kind.HERE, 1.0, null)));
          case POINT_NOTES -> new PointNotes(List.of(WALL));
          case VARIANTS -> new Variants(Map.of(DayKind.COLD, Map.of(PageField.BRAKE, 405.0)));
          case PERCENT, PRESS, SPEED, OFFSET -> 30.0;
        };
    List<OwnValues> carried =
        carried(
            List.of(OwnValues.in(1).put(field, value).build()),
            List.of(corner(1, 300, 600, 450)),
            List.of(corner(1, 300, 400, 350), corner(2, 400, 500, 450), corner(3, 500, 600, 550)));
    List<Integer> heirs =
        carried.stream().filter(o -> value.equals(o.get(field))).map(OwnValues::corner).toList();
    List<Integer> expected =
        part.equals("all")
            ? List.of(1, 2, 3)
            : List.of(List.of("first", "second", "third").indexOf(part) + 1);
    assertThat(heirs).isEqualTo(expected);
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

  /** Nothing of two corners is lost that became one: no warning, no gate, no mark of a point. */
  @Test
  void joinedCornersKeepAllTheirNotesAndGates() {
    Gate inside = new Gate(380, Gate.Kind.NO_FARTHER_LEFT, 2.0, null);
    Gate outside = new Gate(450, Gate.Kind.HERE, -2.0, null);
    PointNote damp = new PointNote(PagePoint.BRAKE, PointNote.Kind.SURFACE, 1, "damp");
    ToldPoints exit =
        new ToldPoints(
            List.of(
                new ToldPoint(PagePoint.EXIT, By.AIM, "pine", null, null),
                new ToldPoint(PagePoint.THROTTLE, By.AIM, "barn", null, null)));
    OwnValues one =
        OwnValues.in(1)
            .told(TOLD)
            .gates(new Gates(List.of(inside)))
            .pointNotes(new PointNotes(List.of(damp)))
            .build();
    OwnValues two =
        OwnValues.in(2)
            .told(exit)
            .gates(new Gates(List.of(outside)))
            .pointNotes(new PointNotes(List.of(WALL)))
            .build();
    OwnValues joined =
        carried(
                List.of(one, two),
                List.of(corner(1, 300, 400, 350), corner(2, 400, 500, 430)),
                List.of(corner(1, 300, 500, 430)))
            .get(0);
    assertThat(joined.gates().list()).containsExactly(inside, outside);
    assertThat(joined.pointNotes().list()).containsExactly(damp, WALL);
    assertThat(joined.pointNotes().byWeight()).containsExactly(WALL, damp);
    assertThat(joined.told().list()).containsExactly(TOLD.list().get(0), exit.list().get(0));
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

  /** Lists of places move with the road, entry by entry. */
  @Test
  void aMovedRoadMovesKnotsAndChanges() {
    OwnValues shaped =
        OwnValues.in(1)
            .presses(
                new PedalWork.Presses(List.of(new Press(250, 80, List.of(new Knot(300, 30)), 330))))
            .phases(new PedalWork.Phases(List.of(new Phase(Phase.Kind.HOLD, 335, 20, 350.0))))
            .gearChanges(new GearChanges(List.of(new GearChange(360, 3, GearChange.Kind.SHORT))))
            .build();
    OwnValues moved =
        CarriedOver.of(
                List.of(shaped),
                ROAD,
                List.of(corner(1, 300, 400, 350)),
                List.of(corner(1, 312, 412, 362)),
                s -> s + 12)
            .get(0);
    assertThat(moved.presses().list())
        .containsExactly(new Press(262, 80, List.of(new Knot(312, 30)), 342));
    assertThat(moved.phases().list()).containsExactly(new Phase(Phase.Kind.HOLD, 347, 20, 362.0));
    assertThat(moved.gearChanges().list())
        .containsExactly(new GearChange(372, 3, GearChange.Kind.SHORT));
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
