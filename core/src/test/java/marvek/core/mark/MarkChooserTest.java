package marvek.core.mark;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Mark;
import marvek.core.circuit.MarkType;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.circuit.Side;
import marvek.core.circuit.Survey;
import marvek.core.circuit.TrackLimits;
import marvek.core.conditions.Conditions;
import marvek.core.corner.Corner;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;
import marvek.core.say.Sentence;
import org.junit.jupiter.api.Test;

class MarkChooserTest {
  private static final Road ROAD = Road.through(TestRoads.circle(200, 5));

  private static Mark mark(String label, MarkType type, Side side, double at) {
    return new Mark(label, type, side, at, at, side == Side.LEFT ? 8 : -8, null, null, "");
  }

  private static MarkReference target(double point, Mark... marks) {
    return new MarkChooser(List.of(marks), ROAD).target(point, Side.LEFT).orElse(null);
  }

  @Test
  void aPointIsToldFromTheMarkWithItsSide() {
    MarkReference reference =
        target(312, mark("100 board", MarkType.DISTANCE_BOARD, Side.LEFT, 300));
    assertThat(reference.text()).isEqualTo("12 m past the 100 board, left");
    assertThat(reference.thing()).isEqualTo("the 100 board, left");
    assertThat(reference.offsetM()).isCloseTo(12, within(1e-9));
  }

  @Test
  void closeByIsAtTheMarkAndBelowABridgeIsUnderIt() {
    assertThat(target(301, mark("100 board", MarkType.DISTANCE_BOARD, Side.LEFT, 300)).text())
        .isEqualTo("at the 100 board, left");
    assertThat(target(299, mark("footbridge", MarkType.BRIDGE, Side.OVER, 300)).text())
        .isEqualTo("under the footbridge");
  }

  @Test
  void beforeTheMarkIsSaidSo() {
    assertThat(target(280, mark("marshal post 4", MarkType.MARSHAL_POST, Side.RIGHT, 300)).text())
        .isEqualTo("20 m before marshal post 4, right");
  }

  /** Common practice: what stays where it is beats what is near. */
  @Test
  void aBoardBeatsANearerTreeAndAConeLosesToBoth() {
    Mark board = mark("150 board", MarkType.DISTANCE_BOARD, Side.LEFT, 290);
    Mark tree = mark("lone tree", MarkType.TREE, Side.LEFT, 305);
    Mark cone = mark("cone", MarkType.CONE, Side.LEFT, 301);
    assertThat(target(302, board, tree, cone).mark()).isEqualTo("150 board");
    assertThat(target(302, tree, cone).mark()).isEqualTo("lone tree");
  }

  /** Common practice: the outside of the coming corner is where the eyes are. */
  @Test
  void theOutsideComesFirst() {
    Mark inside = mark("inner post", MarkType.LAMP, Side.RIGHT, 302);
    Mark outside = mark("outer post", MarkType.LAMP, Side.LEFT, 298);
    assertThat(target(300, inside, outside).mark()).isEqualTo("outer post");
  }

  @Test
  void whatMovesWithinTheHourIsNoMark() {
    assertThat(target(300, mark("shadow", MarkType.SHADOW, Side.LEFT, 300))).isNull();
    assertThat(target(300, mark("parked van", MarkType.PARKED_VEHICLE, Side.LEFT, 300))).isNull();
  }

  @Test
  void outOfReachIsNoMark() {
    assertThat(target(300, mark("100 board", MarkType.DISTANCE_BOARD, Side.LEFT, 400))).isNull();
  }

  @Test
  void ofALongThingTheNearerEndCounts() {
    Mark banner = new Mark("mill banner", MarkType.BANNER, Side.LEFT, 250, 295, 8, null, null, "");
    assertThat(target(300, banner).text()).isEqualTo("5 m past the end of the mill banner, left");
    assertThat(target(255, banner).text()).isEqualTo("5 m past the start of the mill banner, left");
  }

  @Test
  void ofALongThingTheMiddleIsToldToo() {
    Mark banner = new Mark("mill banner", MarkType.BANNER, Side.LEFT, 250, 300, 8, null, null, "");
    assertThat(target(276, banner).text()).isEqualTo("half-way along the mill banner, left");
    assertThat(target(282, banner).text())
        .isEqualTo("7 m past the middle of the mill banner, left");
    // Of something short only the ends can be told.
    Mark gate = new Mark("gate", MarkType.FENCE_END, Side.LEFT, 270, 278, 8, null, null, "");
    assertThat(target(275, gate).text()).isEqualTo("3 m before the end of the gate, left");
  }

  @Test
  void twoMoreAreOfferedBestFirst() {
    MarkChooser marks =
        new MarkChooser(
            List.of(
                mark("100 board", MarkType.DISTANCE_BOARD, Side.LEFT, 300),
                mark("oak", MarkType.TREE, Side.LEFT, 306),
                mark("post 4", MarkType.MARSHAL_POST, Side.RIGHT, 315),
                mark("far sign", MarkType.SIGN, Side.LEFT, 350)),
            ROAD);
    assertThat(marks.choices(306, Side.LEFT, 3))
        .extracting(MarkReference::mark)
        .containsExactly("100 board", "post 4", "oak");
    assertThat(marks.named("far sign", 306).orElseThrow().text())
        .isEqualTo("44 m before the far sign, left");
    assertThat(marks.named("no such thing", 306)).isEmpty();
  }

  /** A board that says 100 but stands 130 m before the corner is said so. */
  @Test
  void aBoardThatDoesNotTellTheTruthIsSaidSo() {
    Corner corner =
        new Corner(4, "", Side.LEFT, 430, 520, 90, 60, 40, 470, 0, 0, 0, false, Corner.Kind.MEDIUM);
    Mark wrong =
        new Mark("100 board", MarkType.DISTANCE_BOARD, Side.LEFT, 300, 300, 8, 100.0, 1.6, "");
    Mark right =
        new Mark("50 board", MarkType.DISTANCE_BOARD, Side.LEFT, 382, 382, 8, 50.0, 1.6, "");
    assertThat(MarkChooser.untrueBoards(List.of(wrong, right), ROAD, List.of(corner)))
        .containsExactly(new MarkChooser.Board("100 board", 300, 100, 130, 4));
  }

  /** Brow of a hill at 400 m of an open straight, which is begun at speed. */
  private static Circuit hill(Mark... marks) {
    Survey hill =
        TestRoads.changed(
            TestRoads.every(5).straight(900).survey(false, 6, 0, 0),
            (p, i) -> new double[] {p[0], p[1], -(p[0] - 400) * (p[0] - 400) / 3000});
    return new Circuit(
        "hill",
        "",
        1,
        null,
        "UTC",
        TrackLimits.FREE,
        null,
        hill,
        1,
        List.of(marks),
        List.of(),
        List.of(),
        List.of(),
        List.of());
  }

  private static MarkChooser seenOver(Circuit hill, Corner... corners) {
    Lap lap =
        SpeedProfile.solve(
            Path.centreline(hill.road(), List.of()), TestVehicles.clubCar(), Conditions.DEFAULT);
    // At 60 m/s a second and a half are 90 m: the driver is before the brow when it counts.
    assertThat(lap.speedAt(hill.road().indexOf(400))).isGreaterThan(45);
    return MarkChooser.seenOn(hill, lap, null, List.of(corners));
  }

  private static final Mark DRAIN =
      new Mark("drain", MarkType.DRAIN, Side.ROAD, 455, 455, 0, null, null, "");
  private static final Mark LAMP =
      new Mark("lamp 2", MarkType.LAMP, Side.LEFT, 470, 470, 9, null, 8.0, "");

  /** What lies flat behind a brow is seen too late, what is tall in time. */
  @Test
  void whatIsHiddenByACrestIsNotChosen() {
    Circuit hill = hill(DRAIN, LAMP);
    assertThat(seenOver(hill).choices(458, Side.LEFT, 3))
        .extracting(MarkReference::mark)
        .containsExactly("lamp 2");
    assertThat(new MarkChooser(hill.marks(), hill.road()).target(458, Side.LEFT))
        .hasValueSatisfying(m -> assertThat(m.mark()).isEqualTo("drain"));
    assertThat(new MarkChooser(hill.marks(), hill.road()).safe(500, Side.LEFT)).isPresent();
    assertThat(seenOver(hill(DRAIN)).safe(500, Side.LEFT)).isEmpty();
  }

  /** Where a driver has not been on the road for so long he may have seen it from the start. */
  @Test
  void soonAfterTheStartAllIsSeen() {
    Mark board = mark("board", MarkType.DISTANCE_BOARD, Side.LEFT, 40);
    assertThat(seenOver(hill(board)).target(45, Side.LEFT)).isPresent();
  }

  /** A post that leaves sight behind a brow is no such mark: it was not seen before. */
  @Test
  void fromTheSeatOnlyWhatWasSeenLeavesSight() {
    Mark stone = new Mark("stone", MarkType.MARSHAL_POST, Side.LEFT, 470, 470, 9, null, 0.3, "");
    assertThat(seenOver(hill(LAMP, stone)).seen(By.LEAVES_SIGHT, 466, 3))
        .extracting(MarkReference::mark)
        .containsExactly("lamp 2");
    Mark soon = new Mark("post 1", MarkType.MARSHAL_POST, Side.LEFT, 40, 40, 9, null, 2.0, "");
    assertThat(seenOver(hill(soon)).seen(By.LEAVES_SIGHT, 36, 3)).hasSize(1);
  }

  @Test
  void aPointIsToldBesideAheadOrFromTheSeatAsAsked() {
    Mark ahead = new Mark("lamp 9", MarkType.LAMP, Side.LEFT, 240, 240, 1, null, 8.0, "");
    MarkChooser marks = seenOver(hill(ahead));
    assertThat(marks.seen(By.AIM, 150, 3)).extracting(MarkReference::by).containsExactly(By.AIM);
    assertThat(marks.seen(By.BESIDE, 238, 3)).isEmpty();
    assertThat(marks.seen(By.LEAVES_SIGHT, 238, 3))
        .extracting(MarkReference::by)
        .containsExactly(By.LEAVES_SIGHT);
    assertThat(marks.named(By.AIM, "lamp 9", 150).orElseThrow().by()).isEqualTo(By.AIM);
    assertThat(marks.named(By.BESIDE, "lamp 9", 230).orElseThrow().by()).isEqualTo(By.BESIDE);
    assertThat(marks.named(By.BESIDE, "lamp 9", 50)).isEmpty();
  }

  /** On the mark itself: that its figure is not its way to the corner, or that it may be moved. */
  @Test
  void whatToKnowOfAMarkIsSaidWithIt() {
    Corner corner =
        new Corner(
            4, "", Side.LEFT, 500, 600, 100, 60, 40, 550, 0, 0, 0, false, Corner.Kind.MEDIUM);
    assertThat(cautions(board(370, 100.0), corner)).containsExactly("mark.board-untrue");
    assertThat(cautions(board(400, 100.0), corner)).isEmpty();
    // So far off it is another corner's, or none's.
    assertThat(cautions(board(105, 100.0), corner)).containsExactly("mark.board-untrue");
    assertThat(cautions(board(95, 100.0), corner)).isEmpty();
    Mark cone = new Mark("cone", MarkType.CONE, Side.LEFT, 300, 300, 8, null, 0.7, "");
    assertThat(cautions(cone, corner)).containsExactly("mark.passing");
    assertThat(cautions(mark("oak", MarkType.TREE, Side.LEFT, 300), corner)).isEmpty();
  }

  private static Mark board(double at, double says) {
    return new Mark("board", MarkType.DISTANCE_BOARD, Side.LEFT, at, at, 8, says, 1.6, "");
  }

  private static List<String> cautions(Mark mark, Corner corner) {
    return seenOver(hill(mark), corner)
        .target(mark.fromM(), Side.LEFT)
        .orElseThrow()
        .cautions()
        .stream()
        .map(Sentence::code)
        .toList();
  }

  /** Of two corners the board is the next one's, round the lap; without corners it is no one's. */
  @Test
  void aBoardIsTheNextCorners() {
    Corner first =
        new Corner(1, "", Side.LEFT, 100, 160, 60, 60, 40, 130, 0, 0, 0, false, Corner.Kind.MEDIUM);
    Corner fourth =
        new Corner(4, "", Side.LEFT, 430, 520, 90, 60, 40, 470, 0, 0, 0, false, Corner.Kind.MEDIUM);
    List<Mark> boards = List.of(board(300, 100.0), board(600, 100.0));
    assertThat(MarkChooser.untrueBoards(boards, ROAD, List.of(first, fourth)))
        .extracting(MarkChooser.Board::corner)
        .containsExactly(4, 1);
    assertThat(MarkChooser.untrueBoards(boards, ROAD, List.of())).isEmpty();
  }

  @Test
  void theSafeMarkIsTheNextSolidOneEarlier() {
    MarkChooser marks =
        new MarkChooser(
            List.of(
                mark("200 board", MarkType.DISTANCE_BOARD, Side.LEFT, 200),
                mark("150 board", MarkType.DISTANCE_BOARD, Side.LEFT, 250),
                mark("oak", MarkType.TREE, Side.LEFT, 280),
                mark("100 board", MarkType.DISTANCE_BOARD, Side.LEFT, 300)),
            ROAD);
    MarkReference safe = marks.safe(304, Side.LEFT).orElseThrow();
    assertThat(safe.mark()).isEqualTo("150 board");
    assertThat(safe.text()).isEqualTo("at the 150 board, left");
  }

  @Test
  void marksAreFoundAcrossTheStartLine() {
    Mark board = mark("50 board", MarkType.DISTANCE_BOARD, Side.LEFT, ROAD.lengthM() - 10);
    assertThat(target(5, board).text()).isEqualTo("15 m past the 50 board, left");
  }

  /** Six metres for the side where nobody looks, a quarter more for what comes after the point. */
  @Test
  void nearnessSideAndWhatComesFirstAreWeighed() {
    Mark right = mark("right", MarkType.LAMP, Side.RIGHT, 297);
    assertThat(target(300, right, mark("left", MarkType.LAMP, Side.LEFT, 292)).mark())
        .isEqualTo("left");
    assertThat(target(300, right, mark("left", MarkType.LAMP, Side.LEFT, 290)).mark())
        .isEqualTo("right");
    Mark ahead = mark("ahead", MarkType.LAMP, Side.LEFT, 310);
    assertThat(target(300, ahead, mark("behind", MarkType.LAMP, Side.LEFT, 288)).mark())
        .isEqualTo("behind");
    assertThat(target(300, ahead, mark("behind", MarkType.LAMP, Side.LEFT, 287)).mark())
        .isEqualTo("ahead");
    // What hangs over the road is on no side.
    assertThat(target(300, right, mark("gantry", MarkType.LAMP, Side.OVER, 292)).mark())
        .isEqualTo("gantry");
  }

  @Test
  void aSafeMarkLiesEightToAHundredAndTenMetresBefore() {
    assertThat(safe(7)).isFalse();
    assertThat(safe(8.5)).isTrue();
    assertThat(safe(109)).isTrue();
    assertThat(safe(111)).isFalse();
    assertThat(safe(-20)).isFalse();
  }

  private static boolean safe(double beforeM) {
    Mark board = mark("board", MarkType.DISTANCE_BOARD, Side.LEFT, 300 - beforeM);
    return new MarkChooser(List.of(board), ROAD).safe(300, Side.LEFT).isPresent();
  }

  /** By hand a mark is told from three times as far as one that is proposed. */
  @Test
  void aMarkByItsNameIsTheNearestOfThatName() {
    MarkChooser marks =
        new MarkChooser(
            List.of(
                mark("lamp", MarkType.LAMP, Side.LEFT, 250),
                mark("lamp", MarkType.LAMP, Side.LEFT, 290),
                mark("lamp", MarkType.LAMP, Side.LEFT, 350)),
            ROAD);
    assertThat(marks.named("lamp", 300).orElseThrow().offsetM()).isCloseTo(10, within(1e-9));
    assertThat(marks.named("lamp", 525)).isPresent();
    assertThat(marks.named("lamp", 535)).isEmpty();
    assertThat(marks.named(By.BESIDE, "lamp", 340).orElseThrow().offsetM())
        .isCloseTo(-10, within(1e-9));
  }

  /** Without a lap nobody sits anywhere. */
  @Test
  void withoutALapNothingIsToldFromTheSeat() {
    MarkChooser marks = new MarkChooser(List.of(mark("lamp", MarkType.LAMP, Side.LEFT, 290)), ROAD);
    assertThat(marks.seen(By.AIM, 200, 3)).isEmpty();
    assertThat(marks.seen(By.LEAVES_SIGHT, 288, 3)).isEmpty();
    assertThat(marks.named(By.AIM, "lamp", 300).orElseThrow().by()).isEqualTo(By.BESIDE);
  }

  @Test
  void theEarlierOfTwoStationsIsTheOneDrivenOverFirst() {
    MarkChooser marks = new MarkChooser(List.of(), ROAD);
    assertThat(marks.earlier(300, 290.0)).isEqualTo(290);
    assertThat(marks.earlier(300, 310.0)).isEqualTo(300);
    assertThat(marks.earlier(300, null)).isEqualTo(300);
    assertThat(marks.earlier(5, ROAD.lengthM() - 10)).isEqualTo(ROAD.lengthM() - 10);
  }

  @Test
  void aThingHasAnArticleUnlessItHasANumberOrOneOfItsOwn() {
    assertThat(MarkChooser.article("barn")).isEqualTo("the barn");
    assertThat(MarkChooser.article("lamp 4")).isEqualTo("lamp 4");
    assertThat(MarkChooser.article("The Mill")).isEqualTo("The Mill");
  }
}
