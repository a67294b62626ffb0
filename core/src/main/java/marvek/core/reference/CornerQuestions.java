package marvek.core.reference;

import java.util.List;
import java.util.stream.Stream;
import marvek.core.InvalidValueException;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.corner.Corner;
import marvek.core.line.Corridor;
import marvek.core.line.LinkSweep;
import marvek.core.line.School;
import marvek.core.line.Schools;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;
import marvek.core.say.Sentence;

/** What a driver asks of one corner beside its page, answered by runs of the model on a basis. */
public final class CornerQuestions {
  private CornerQuestions() {}

  /** All schools of one corner on the line of a basis, quickest first. */
  public static List<SchoolLine> schools(Reference.Basis basis, Conditions conditions, int corner) {
    int index = Reference.indexOf(basis.corners(), corner);
    Road road = basis.path().road();
    Lap lap = SpeedProfile.solve(basis.path(), basis.vehicle(), conditions);
    Corridor corridor = Reference.corridor(basis.circuit(), road, basis.vehicle(), conditions);
    List<Schools.Tried> tried = Schools.of(lap, corridor, basis.corners(), index);
    return SchoolLine.of(tried, road, basis.corners().get(index));
  }

  /**
   * One corner driven from the inside, on laps of the model on the line of a basis.
   *
   * @param present the line is found for; it takes a search where the basis is of least time
   * @param then driven on the same line with another grip
   * @return one for each of the two
   */
  public static List<SchoolLine> inside(Reference.Basis basis, Lap present, Lap then, int corner) {
    List<Corner> corners = basis.corners();
    int index = Reference.indexOf(corners, corner);
    Road road = basis.path().road();
    Corridor corridor =
        Reference.corridor(basis.circuit(), road, basis.vehicle(), present.conditions());
    boolean fastest = basis.line().isFastest();
    Schools.Tried found =
        Schools.one(present, corridor, corners, index, School.DEFEND, fastest).orElseThrow();
    Schools.Tried again = Schools.again(found, then, corridor, corners, index);
    return Stream.of(found, again)
        .map(tried -> SchoolLine.of(List.of(tried), road, corners.get(index)).get(0))
        .toList();
  }

  /** Positions across the road that a sweep of a link tries with smooth lines. */
  private static final int SMOOTH_POSITIONS = 41;

  /** ... and with lines of least time, each of which takes a search. */
  private static final int FASTEST_POSITIONS = 15;

  /**
   * The link after a corner swept across the road.
   *
   * @throws InvalidValueException if the corner is not linked with the next
   */
  public static LinkSweep.Result link(Reference.Basis basis, Conditions conditions, int corner) {
    int index = Reference.indexOf(basis.corners(), corner);
    if (!basis.corners().get(index).linkWithNext()) {
      throw new InvalidValueException("corner", Sentence.of("refused.not-linked", "given", corner));
    }
    Lap lap = SpeedProfile.solve(basis.path(), basis.vehicle(), conditions);
    Corridor corridor =
        Reference.corridor(basis.circuit(), basis.path().road(), basis.vehicle(), conditions);
    boolean fastest = basis.line().isFastest();
    int positions = fastest ? FASTEST_POSITIONS : SMOOTH_POSITIONS;
    return LinkSweep.of(lap, corridor, basis.corners(), index, positions, fastest);
  }

  /** The gears of one corner of the model's own lap explained. */
  public static CornerGears gears(ModelReference model, int corner) {
    int index = Reference.indexOf(model.basis().corners(), corner);
    return CornerGears.of(model.lap(), model.pages(), index);
  }
}
