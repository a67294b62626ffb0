package marvek.server.lead;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import marvek.core.brief.Purpose;
import marvek.core.brief.Session;
import marvek.core.brief.TyreSet;
import marvek.core.circuit.Side;
import marvek.core.conditions.Conditions;
import marvek.core.laps.SimulatedDriver.Habit;
import marvek.core.laps.SimulatedDriver.Kind;
import marvek.core.lead.GroupRemark;
import marvek.core.lead.GroupRemark.State;
import marvek.core.lead.LeadDay;
import marvek.core.lead.Member;
import marvek.formats.SessionFile;
import marvek.formats.SessionJson;
import marvek.server.books.DemoShelved;
import marvek.server.laps.LapsOfDriver;
import marvek.server.laps.SimulatedLaps;
import marvek.server.sessions.Sessions;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * An invented track day three days ago: four riders, one of whom went home early, remarks taken and
 * open, and the laps of one of them.
 */
@Component
class DemoTrackDay {
  private static final LocalDate EARLIEST = LocalDate.parse("2026-06-13");

  private static final String ISKA = "iska";
  private static final String TORBEN = "torben";
  private static final String MAREN = "maren";
  private static final String OLLE = "olle";

  /** Whose laps are there too. */
  private static final Member RIDER = new Member(ISKA, "Iska Vane", "middleweight twin", 1, null);

  private final Sessions sessions;
  private final LeadDayRepository days;
  private final GroupRemarkRepository remarks;
  private final SimulatedLaps laps;
  private final LapsOfDriver given;

  DemoTrackDay(
      Sessions sessions,
      LeadDayRepository days,
      GroupRemarkRepository remarks,
      SimulatedLaps laps,
      LapsOfDriver given) {
    this.sessions = sessions;
    this.days = days;
    this.remarks = remarks;
    this.laps = laps;
    this.given = given;
  }

  @EventListener
  void fill(DemoShelved demo) {
    LocalDate today = LocalDate.now(Clock.systemDefaultZone());
    LocalDate day = (today.isAfter(EARLIEST) ? today : EARLIEST.plusDays(1)).minusDays(3);
    SessionFile planned = new SessionFile(session(day), List.of(), 1);
    UUID session = sessions.plan(demo.motorcycleBookId(), SessionJson.write(planned)).id();
    UUID file =
        laps.bringIn(
            session,
            "iska-vane.laps.csv",
            6,
            5,
            Map.of(
                1, new Habit(Kind.BRAKES_EARLY, 16),
                6, new Habit(Kind.WIDE_AT_APEX, 1.5)));
    given.give(Set.of(file), RIDER.name(), RIDER.vehicle());
    days.save(new StoredLeadDay(session, day(Map.of(ISKA, Set.of(file)))));
    said().forEach(remark -> remarks.save(new StoredGroupRemark(session, remark)));
  }

  private static Session session(LocalDate day) {
    return new Session(
        "Fenland open day",
        Session.Kind.TRACK_DAY,
        120,
        false,
        Purpose.PRACTICE,
        new TyreSet("As they came", 20, 120, null),
        Conditions.DEFAULT.withGripUsed(0.85).at(day.atTime(9, 30)),
        List.of(),
        null,
        List.of(),
        null);
  }

  private static LeadDay day(Map<String, Set<UUID>> files) {
    LeadDay fresh = LeadDay.fresh();
    return new LeadDay(
        List.of(
            RIDER,
            new Member(TORBEN, "Torben Hale", "litre, first time here", 1, null),
            new Member(MAREN, "Maren Okoro", "Kestrel Litre", 1, null),
            new Member(OLLE, "Olle Brandt", "three-cylinder", 1, 5)),
        2,
        12,
        7,
        0.7,
        fresh.words(),
        List.of(
            new LeadDay.Cone(1, LeadDay.Point.BRAKE, LeadDay.What.BOARD, 205, Side.LEFT, ""),
            new LeadDay.Cone(1, LeadDay.Point.APEX, LeadDay.What.CONE, 507, Side.RIGHT, ""),
            new LeadDay.Cone(
                4,
                LeadDay.Point.TURN_IN,
                LeadDay.What.CONE,
                1406,
                Side.RIGHT,
                "blind from behind")),
        fresh.safetyBrief().stream().map(i -> new LeadDay.Item(i.text(), true)).toList(),
        files);
  }

  private static GroupRemark said(String who, int corner, int lap, String words) {
    return GroupRemark.said(who, corner, lap, words, false);
  }

  private static List<GroupRemark> said() {
    return List.of(
        said(ISKA, 1, 1, "Early").seen(State.NOT_TAKEN, 2),
        said(ISKA, 4, 1, "Wait for throttle").seen(State.TAKEN, 2),
        said(TORBEN, 2, 2, "Look further").seen(State.TAKEN, 3),
        said(OLLE, 9, 2, "Tighter").seen(State.NOT_TAKEN, 4),
        GroupRemark.said(MAREN, 8, 3, "Good", true),
        said(TORBEN, 6, 3, "Late").seen(State.NOT_TAKEN, 5),
        GroupRemark.said(ISKA, 4, 4, "Good", true),
        said(OLLE, 4, 4, "Wait for throttle"),
        said(MAREN, 11, 5, "Look further"),
        said(ISKA, 1, 6, "Early"),
        said(ISKA, 6, 6, "Tighter"),
        said(TORBEN, 6, 6, "Late"));
  }
}
