package marvek.core.circuit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.function.UnaryOperator;
import marvek.core.InvalidValueException;
import marvek.core.TestRoads;
import org.junit.jupiter.api.Test;

class LayoutChangesTest {
  private static final Mark BOARD =
      new Mark("100 board", MarkType.DISTANCE_BOARD, Side.LEFT, 300, 300, 8, 100.0, 1.6, "");
  private static final Mark OAK =
      new Mark("oak", MarkType.TREE, Side.RIGHT, 700, 700, -12, null, 9.0, "");
  private static final Kerb KERB =
      new Kerb(Side.RIGHT, 400, 440, Kerb.Profile.RAMP, 40, 0.9, Kerb.Use.TYRE, Kerb.Use.NONE, "");
  private static final Zone BUMP = new Zone(Zone.Type.BUMP, Side.ROAD, 500, 520, 0.95, "");
  private static final Hazard WALL = new Hazard(Hazard.Type.WALL, Side.LEFT, 600, 660, 4, "");
  private static final DrawnCorner CORNER =
      new DrawnCorner(1, "Mill", Side.LEFT, 390, 480, false, null);

  private static final Circuit BEFORE =
      new Circuit(
          "Ring",
          "",
          1,
          null,
          "UTC",
          TrackLimits.ONE_WHEEL_INSIDE_LINE,
          null,
          TestRoads.circle(200, 5),
          1,
          List.of(BOARD, OAK),
          List.of(KERB),
          List.of(BUMP),
          List.of(WALL),
          List.of(CORNER));

  private static List<LayoutChange> changed(UnaryOperator<CircuitEdits> edit) {
    return LayoutChanges.between(BEFORE, edit.apply(CircuitEdits.of(BEFORE)).on(BEFORE));
  }

  private static CircuitEdits with(
      CircuitEdits e,
      List<Mark> marks,
      List<Kerb> kerbs,
      List<Zone> zones,
      List<DrawnCorner> corners,
      List<WidthEdit> widths) {
    return new CircuitEdits(
        e.name(),
        e.layout(),
        null,
        "UTC",
        e.trackLimits(),
        marks,
        kerbs,
        zones,
        e.hazards(),
        corners,
        widths,
        List.of());
  }

  private static CircuitEdits marks(CircuitEdits e, Mark... marks) {
    return with(e, List.of(marks), e.kerbs(), e.zones(), e.corners(), List.of());
  }

  @Test
  void nothingChangedIsAnEmptyList() {
    assertThat(changed(e -> e)).isEmpty();
  }

  @Test
  void aMovedMarkAGoneOneAndANewOneAreToldApart() {
    Mark moved = new Mark("100 board", BOARD.type(), Side.LEFT, 312, 312, 8, 100.0, 1.6, "");
    Mark post = new Mark("post 3", MarkType.MARSHAL_POST, Side.LEFT, 900, 900, 8, null, 2.0, "");
    assertThat(changed(e -> marks(e, moved, post)))
        .extracting(LayoutChange::kind, LayoutChange::label, c -> c.said().words())
        .containsExactly(
            org.assertj.core.groups.Tuple.tuple(
                LayoutChange.Kind.MARK_MOVED, "100 board", "100 board moved by 12 m, now at 312 m"),
            org.assertj.core.groups.Tuple.tuple(
                LayoutChange.Kind.MARK_GONE, "oak", "oak at 700 m is gone"),
            org.assertj.core.groups.Tuple.tuple(
                LayoutChange.Kind.MARK_NEW, "post 3", "post 3 at 900 m is new"));
  }

  @Test
  void aMarkOfAnotherNameInItsPlaceIsTheSameMark() {
    Mark renamed = new Mark("old oak", MarkType.TREE, Side.RIGHT, 700, 700, -12, null, 9.0, "");
    assertThat(changed(e -> marks(e, BOARD, renamed)))
        .singleElement()
        .satisfies(c -> assertThat(c.kind()).isEqualTo(LayoutChange.Kind.MARK_CHANGED));
  }

  @Test
  void aKerbUsedOtherwiseIsAChange() {
    Kerb avoided =
        new Kerb(KERB.side(), 400, 440, KERB.profile(), 40, 0.9, Kerb.Use.NONE, Kerb.Use.NONE, "");
    assertThat(
            changed(e -> with(e, e.marks(), List.of(avoided), e.zones(), e.corners(), List.of())))
        .singleElement()
        .satisfies(
            c -> {
              assertThat(c.kind()).isEqualTo(LayoutChange.Kind.KERB);
              assertThat(c.fromM()).isEqualTo(400);
              assertThat(c.said().words()).contains("use none");
            });
  }

  @Test
  void anotherWidthIsAStretch() {
    List<LayoutChange> changes =
        changed(
            e ->
                with(
                    e,
                    e.marks(),
                    e.kerbs(),
                    e.zones(),
                    e.corners(),
                    List.of(new WidthEdit(800, 850, 4.0, null))));
    assertThat(changes)
        .singleElement()
        .satisfies(
            c -> {
              assertThat(c.kind()).isEqualTo(LayoutChange.Kind.WIDTH);
              // Widths are linear between surveyed points, here 5 m apart.
              assertThat(c.fromM()).isBetween(794.0, 801.0);
              assertThat(c.toM()).isBetween(849.0, 856.0);
            });
  }

  @Test
  void aWidthAcrossTheStartLineIsSetOnBothSides() {
    CircuitEdits edits =
        with(
            CircuitEdits.of(BEFORE),
            BEFORE.marks(),
            BEFORE.kerbs(),
            BEFORE.zones(),
            BEFORE.corners(),
            List.of(new WidthEdit(1240, 20, null, 3.0)));
    Road road = edits.on(BEFORE).road();
    assertThat(road.widthRightAt(road.indexOf(1250))).isEqualTo(3.0);
    assertThat(road.widthRightAt(road.indexOf(10))).isEqualTo(3.0);
    assertThat(road.widthRightAt(road.indexOf(100))).isEqualTo(6.0);
  }

  @Test
  void aSurfaceThatIsMendedAndACornerThatIsRenamedAreSaid() {
    DrawnCorner renamed = new DrawnCorner(2, "Weir", Side.LEFT, 390, 480, false, null);
    assertThat(changed(e -> with(e, e.marks(), e.kerbs(), List.of(), List.of(renamed), List.of())))
        .extracting(c -> c.said().words())
        .containsExactly("corner 1 Mill is now 2 Weir", "the bump at 500 m is gone");
  }

  @Test
  void theRoadItselfIsComparedToo() {
    Survey wider = TestRoads.circle(203, 5);
    Circuit after = Circuit.bare("Ring", wider);
    assertThat(LayoutChanges.between(Circuit.bare("Ring", TestRoads.circle(200, 5)), after))
        .extracting(LayoutChange::kind)
        .contains(LayoutChange.Kind.GEOMETRY);
  }

  @Test
  void whatLiesBeyondTheLapIsRefusedWithItsPlaceInTheList() {
    Mark beyond = new Mark("far", MarkType.SIGN, Side.LEFT, 5200, 5200, 8, null, null, "");
    CircuitEdits edits = marks(CircuitEdits.of(BEFORE), BOARD, beyond);
    assertThatThrownBy(() -> edits.on(BEFORE))
        .isInstanceOfSatisfying(
            InvalidValueException.class,
            e -> {
              assertThat(e.field()).isEqualTo("marks");
              assertThat(e.index()).isEqualTo(1);
            })
        .hasMessageContaining("(5200 m) lies beyond the lap of 1257");
  }

  @Test
  void twoCornersOfOneNumberAreRefused() {
    DrawnCorner twin = new DrawnCorner(1, "", null, 800, 900, false, null);
    CircuitEdits edits =
        with(
            CircuitEdits.of(BEFORE),
            BEFORE.marks(),
            BEFORE.kerbs(),
            BEFORE.zones(),
            List.of(CORNER, twin),
            List.of());
    assertThatThrownBy(() -> edits.on(BEFORE)).hasMessageContaining("has the number 1 of another");
  }
}
