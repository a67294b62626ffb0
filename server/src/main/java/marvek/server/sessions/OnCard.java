package marvek.server.sessions;

import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import marvek.core.page.DayKind;
import tools.jackson.databind.JsonNode;

/**
 * What is printed on a card beside the pages of its revision.
 *
 * @param title the session, or empty without one
 * @param targets laps to drive, most useful first
 * @param steps the present steps of brake points that are worked up to, by corner
 * @param focus corners to think of
 * @param days kinds of day whose own values are told, cold tyres always
 */
public record OnCard(
    String title,
    List<Target> targets,
    Map<Integer, Step> steps,
    Set<Integer> focus,
    Set<DayKind> days) {
  /** A card of the pages alone: every run begins on cold tyres. */
  public static final OnCard NOTHING =
      new OnCard("", List.of(), Map.of(), Set.of(), Set.of(DayKind.COLD));

  public OnCard {
    targets = List.copyOf(targets);
    steps = Map.copyOf(steps);
    focus = Set.copyOf(focus);
    Set<DayKind> inOrder = EnumSet.of(DayKind.COLD);
    inOrder.addAll(days);
    days = Collections.unmodifiableSet(inOrder);
  }

  /** A lap to drive, with whose it is. */
  public record Target(String whose, double lapS) {}

  /**
   * The present step of a brake point.
   *
   * @param number counted from 1
   * @param mark as the book format writes one, or null where nothing is seen in time
   */
  public record Step(int number, int of, double atM, JsonNode mark) {}
}
