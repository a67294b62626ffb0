package marvek.server.lead;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import marvek.core.InvalidValueException;
import marvek.core.Require;
import marvek.core.lead.DriverSheet;
import marvek.core.lead.GroupRemark;
import marvek.core.lead.LeadDay;
import marvek.core.lead.Member;
import marvek.core.say.Sentence;
import marvek.formats.JsonFiles;
import marvek.formats.LeadDayJson;
import marvek.server.books.BookAttachment;
import marvek.server.books.Books;
import marvek.server.editions.Edition;
import marvek.server.editions.StaleException;
import marvek.server.laps.LapsOfDriver;
import marvek.server.problems.ConflictException;
import marvek.server.problems.NotFoundException;
import marvek.server.sessions.Sessions;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Keeps led days with their remarks; they go along in the book's file. */
@Service
class LeadDays implements BookAttachment {
  private static final String SESSION = "session";

  private final LeadDayRepository days;
  private final GroupRemarkRepository remarks;
  private final Sessions sessions;
  private final Books books;
  private final LapsOfDriver laps;
  private final TransactionTemplate transaction;

  LeadDays(
      LeadDayRepository days,
      GroupRemarkRepository remarks,
      Sessions sessions,
      Books books,
      LapsOfDriver laps,
      TransactionTemplate transaction) {
    this.days = days;
    this.remarks = remarks;
    this.sessions = sessions;
    this.books = books;
    this.laps = laps;
    this.transaction = transaction;
  }

  /**
   * A day with what was said on it.
   *
   * @param edition of the day
   * @param said by driver what his laps say
   */
  record Led(
      Sessions.Kept session,
      LeadDay day,
      long edition,
      List<StoredGroupRemark> remarks,
      List<LapsOfDriver.File> files,
      Map<String, LapsOfDriver.Said> said) {}

  Led led(UUID sessionId) {
    Sessions.Kept session = sessions.get(sessionId);
    StoredLeadDay stored = days.findById(sessionId).orElse(null);
    LeadDay day = dayOf(sessionId);
    Map<String, LapsOfDriver.Said> said =
        day.files().entrySet().stream()
            .collect(Collectors.toMap(Map.Entry::getKey, e -> laps.said(sessionId, e.getValue())));
    return new Led(
        session,
        day,
        stored == null ? Edition.NONE : stored.edition(),
        remarks.findBySessionIdOrderByCreatedAtAscIdAsc(sessionId),
        laps.files(sessionId),
        said);
  }

  private LeadDay dayOf(UUID sessionId) {
    return days.findById(sessionId).map(StoredLeadDay::day).orElseGet(LeadDay::fresh);
  }

  /**
   * Puts another state of the day in the place of the one that was seen.
   *
   * @param seen the edition that this is made from
   * @throws StaleException if somebody changed it since
   * @throws ConflictException if a driver with remarks is left out
   */
  Led change(UUID sessionId, LeadDay day, Edition seen) {
    sessions.get(sessionId);
    transaction.executeWithoutResult(
        status -> {
          StoredLeadDay stored = days.findById(sessionId).orElse(null);
          seen.check(
              stored == null ? Edition.NONE : stored.edition(),
              () -> LeadDayJson.write(dayOf(sessionId)));
          checkNobodyIsLost(sessionId, day);
          StoredLeadDay next = stored == null ? new StoredLeadDay(sessionId, day) : stored;
          next.becomes(day);
          days.saveAndFlush(next);
          giveFiles(day);
        });
    return led(sessionId);
  }

  /** A file that is given to a driver has his laps in the debrief as well. */
  private void giveFiles(LeadDay day) {
    for (Member member : day.drivers()) {
      Set<UUID> files = day.files().getOrDefault(member.key(), Set.of());
      laps.give(files, member.name(), member.vehicle());
    }
  }

  /** Whoever was told something stays in the day; he can leave it from a lap on. */
  private void checkNobodyIsLost(UUID sessionId, LeadDay day) {
    for (StoredGroupRemark stored : remarks.findBySessionIdOrderByCreatedAtAscIdAsc(sessionId)) {
      if (!day.has(stored.remark().driver())) {
        throw new ConflictException(Sentence.of("conflict.driver-was-told"));
      }
    }
  }

  /** Keeps what is said to a driver, or by himself, on the lap that is driven now. */
  StoredGroupRemark say(
      UUID sessionId, String driver, int corner, String words, boolean good, boolean own) {
    sessions.get(sessionId);
    LeadDay day = dayOf(sessionId);
    Member member =
        day.drivers().stream()
            .filter(d -> d.key().equals(driver))
            .findFirst()
            .orElseThrow(
                () ->
                    new InvalidValueException(
                        "driver", Sentence.of("refused.not-in-group", "given", driver)));
    Require.text("words", words, 200);
    GroupRemark said = GroupRemark.said(member.key(), corner, day.lap(), words, good);
    return remarks.save(new StoredGroupRemark(sessionId, own ? said.own() : said));
  }

  /** Closes a remark as taken or not on the lap that is driven now, or opens it again. */
  StoredGroupRemark see(UUID id, GroupRemark.State state, Edition seen) {
    return transaction.execute(
        status -> {
          StoredGroupRemark stored = remark(id);
          seen.check(stored.edition(), () -> StoredGroupRemark.written(stored.remark()));
          stored.becomes(stored.remark().seen(state, dayOf(stored.sessionId()).lap()));
          return remarks.saveAndFlush(stored);
        });
  }

  void takeBack(UUID id) {
    remarks.delete(remark(id));
  }

  private StoredGroupRemark remark(UUID id) {
    return remarks.findById(id).orElseThrow(() -> NotFoundException.of("remark", id));
  }

  /** A driver's day on one page. */
  DriverSheet sheet(Led led, String driver) {
    if (!led.day().has(driver)) {
      throw new NotFoundException(Sentence.of("missing.driver", "driver", driver));
    }
    LapsOfDriver.Said said = led.said().get(driver);
    return DriverSheet.of(
        driver,
        led.remarks().stream().map(StoredGroupRemark::remark).toList(),
        said == null ? Map.of() : said.lostS());
  }

  @Override
  public String member() {
    return "leadDays";
  }

  /** Files of laps do not go along, so whose they are does not either. */
  @Override
  public List<JsonNode> of(UUID bookId) {
    List<UUID> order = sessions.inOrderOfMaking(books.get(bookId));
    List<JsonNode> all = new ArrayList<>();
    for (int s = 0; s < order.size(); s++) {
      StoredLeadDay stored = days.findById(order.get(s)).orElse(null);
      if (stored != null) {
        ObjectNode node = JsonFiles.MAPPER.createObjectNode().put(SESSION, s);
        ObjectNode day = LeadDayJson.write(stored.day());
        day.remove("files");
        node.set("day", day);
        ArrayNode said = node.putArray("remarks");
        remarks.findBySessionIdOrderByCreatedAtAscIdAsc(order.get(s)).stream()
            .map(r -> StoredGroupRemark.written(r.remark()))
            .forEach(said::add);
        all.add(node);
      }
    }
    return all;
  }

  @Override
  public void add(UUID bookId, JsonNode document) {
    List<UUID> order = sessions.inOrderOfMaking(books.get(bookId));
    int s = document.path(SESSION).asInt(-1);
    Require.within("leadDays.session", s, 0, order.size() - 1.0);
    UUID session = order.get(s);
    LeadDay day = LeadDayJson.read(document.path("day"));
    days.save(new StoredLeadDay(session, day));
    List<GroupRemark> said = new ArrayList<>();
    document.path("remarks").forEach(r -> said.add(StoredGroupRemark.read(r)));
    Set<String> keys = day.drivers().stream().map(Member::key).collect(Collectors.toSet());
    for (GroupRemark remark : said) {
      if (!keys.contains(remark.driver())) {
        throw new InvalidValueException(
            "leadDays.remarks", Sentence.of("refused.of-outsider", "driver", remark.driver()));
      }
      remarks.save(new StoredGroupRemark(session, remark));
    }
  }
}
