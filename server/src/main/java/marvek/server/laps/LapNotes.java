package marvek.server.laps;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.UUID;
import marvek.core.Require;
import marvek.core.cause.Cause;
import marvek.core.cause.Finding;
import marvek.core.say.Sentence;
import marvek.formats.JsonFiles;
import marvek.formats.Spelled;
import marvek.server.books.BookAttachment;
import marvek.server.books.Books;
import marvek.server.contract.OneOf;
import marvek.server.problems.ConflictException;
import marvek.server.problems.NotFoundException;
import marvek.server.sessions.Sessions;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * What somebody says of laps: remarks of the driver and the coach by corner and lap, guesses, and
 * findings that are dismissed with a reason. They go along in the book's file, with the number of
 * their session there.
 */
@Service
class LapNotes implements BookAttachment {
  private static final int LONGEST = 500;
  private static final double LONGEST_LAP_M = 1e6;
  private static final String KIND = "kind";
  private static final String AT = "at_m";
  private static final String REMARK = "remark";
  private static final String DISMISSED = "dismissed";
  private static final String GUESS = "guess";

  private final NoteRepository repository;
  private final Sessions sessions;
  private final Books books;

  LapNotes(NoteRepository repository, Sessions sessions, Books books) {
    this.repository = repository;
    this.sessions = sessions;
    this.books = books;
  }

  /** Who says a remark. */
  enum Author {
    DRIVER,
    COACH
  }

  /**
   * A remark.
   *
   * @param corner null for the lap as a whole
   * @param lap by its name; null for all of them
   * @param at_m metre of the lap that it is pinned to; null for none
   */
  record Remark(
      UUID id,
      Integer corner,
      @Nullable String lap,
      @Nullable Double at_m,
      Author author,
      String words) {}

  /**
   * A finding that somebody does not want to see again.
   *
   * @param laps that showed it then; with another one among them it comes back
   */
  record Dismissed(
      UUID id, int corner, @OneOf(Cause.class) String rule, String reason, List<String> laps) {}

  /** What somebody thinks cost time, said before it is looked at. */
  record Guess(UUID id, int corner, @OneOf(Cause.class) String rule) {}

  List<Guess> guesses(UUID sessionId) {
    return of(sessionId, GUESS).map(LapNotes::guess).toList();
  }

  private static Guess guess(StoredNote note) {
    JsonNode d = note.document();
    return new Guess(note.id(), d.path("corner").asInt(0), d.path("rule").asString());
  }

  Guess guess(UUID sessionId, int corner, String rule) {
    sessions.get(sessionId);
    Require.within("corner", corner, 1, 1000);
    Spelled.read(Cause.class, "rule", rule);
    boolean said =
        guesses(sessionId).stream().anyMatch(g -> g.corner() == corner && g.rule().equals(rule));
    if (said) {
      throw new ConflictException(Sentence.of("conflict.said-already", "corner", corner));
    }
    ObjectNode d = JsonFiles.MAPPER.createObjectNode().put(KIND, GUESS);
    d.put("corner", corner).put("rule", rule);
    return guess(repository.save(new StoredNote(sessionId, d)));
  }

  List<Remark> remarks(UUID sessionId) {
    return of(sessionId, REMARK).map(LapNotes::remark).toList();
  }

  List<Dismissed> dismissed(UUID sessionId) {
    return of(sessionId, DISMISSED).map(LapNotes::dismissal).toList();
  }

  private java.util.stream.Stream<StoredNote> of(UUID sessionId, String kind) {
    return repository.findBySessionIdOrderByCreatedAtAscIdAsc(sessionId).stream()
        .filter(note -> note.document().path(KIND).asString().equals(kind));
  }

  private static Remark remark(StoredNote note) {
    JsonNode d = note.document();
    return new Remark(
        note.id(),
        d.hasNonNull("corner") ? d.path("corner").asInt(0) : null,
        d.hasNonNull("lap") ? d.path("lap").asString() : null,
        d.hasNonNull(AT) ? d.path(AT).asDouble(0) : null,
        Author.valueOf(d.path("author").asString("DRIVER").toUpperCase(Locale.ROOT)),
        d.path("words").asString());
  }

  private static Dismissed dismissal(StoredNote note) {
    JsonNode d = note.document();
    List<String> laps = new ArrayList<>();
    d.path("laps").forEach(lap -> laps.add(lap.asString()));
    return new Dismissed(
        note.id(),
        d.path("corner").asInt(0),
        d.path("rule").asString(),
        d.path("reason").asString(),
        laps);
  }

  /** What dismisses a finding: the same rule there, for all of its laps; null without. */
  static Dismissed covering(List<Dismissed> all, Finding finding, List<String> laps) {
    String rule = Spelled.of(finding.cause());
    return all.stream()
        .filter(d -> d.corner() == finding.corner() && d.rule().equals(rule))
        .filter(d -> new HashSet<>(d.laps()).containsAll(laps))
        .findFirst()
        .orElse(null);
  }

  /** Where a remark belongs; each of them may be left out. */
  record Where(@Nullable Integer corner, @Nullable String lap, @Nullable Double atM) {}

  Remark say(UUID sessionId, Where where, Author author, String words) {
    Integer corner = where.corner();
    String lap = where.lap();
    sessions.get(sessionId);
    Require.text("words", words, LONGEST);
    ObjectNode d = JsonFiles.MAPPER.createObjectNode().put(KIND, REMARK);
    if (corner != null) {
      d.put("corner", (int) Require.within("corner", corner, 1, 1000));
    }
    if (lap != null && !lap.isBlank()) {
      d.put("lap", lap.strip());
    }
    if (where.atM() != null) {
      d.put(AT, Require.within(AT, where.atM(), 0, LONGEST_LAP_M));
    }
    d.put("author", Spelled.of(author)).put("words", words.strip());
    return remark(repository.save(new StoredNote(sessionId, d)));
  }

  Dismissed dismiss(UUID sessionId, int corner, String rule, String reason, Set<String> laps) {
    sessions.get(sessionId);
    Require.text("reason", reason, LONGEST);
    Spelled.read(Cause.class, "rule", rule);
    ObjectNode d = JsonFiles.MAPPER.createObjectNode().put(KIND, DISMISSED);
    d.put("corner", corner).put("rule", rule).put("reason", reason.strip());
    ArrayNode list = d.putArray("laps");
    laps.stream().sorted().forEach(list::add);
    return dismissal(repository.save(new StoredNote(sessionId, d)));
  }

  /** Takes a remark or a dismissal back. */
  void remove(UUID id) {
    repository.delete(repository.findById(id).orElseThrow(() -> NotFoundException.of("note", id)));
  }

  @Override
  public String member() {
    return "debriefNotes";
  }

  @Override
  public List<JsonNode> of(UUID bookId) {
    List<UUID> order = sessions.inOrderOfMaking(books.get(bookId));
    List<JsonNode> notes = new ArrayList<>();
    for (int s = 0; s < order.size(); s++) {
      for (StoredNote note : repository.findBySessionIdOrderByCreatedAtAscIdAsc(order.get(s))) {
        ObjectNode d = JsonFiles.MAPPER.createObjectNode().put("session", s);
        d.setAll((ObjectNode) note.document());
        notes.add(d);
      }
    }
    return notes;
  }

  @Override
  public void add(UUID bookId, JsonNode document) {
    List<UUID> order = sessions.inOrderOfMaking(books.get(bookId));
    int session = document.path("session").asInt(-1);
    Require.within("debriefNotes.session", session, 0, order.size() - 1.0);
    ObjectNode d = (ObjectNode) document.deepCopy();
    d.remove("session");
    repository.save(new StoredNote(order.get(session), d));
  }
}
