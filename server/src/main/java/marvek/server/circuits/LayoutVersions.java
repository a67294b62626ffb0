package marvek.server.circuits;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import marvek.core.InvalidValueException;
import marvek.core.Require;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.CircuitEdits;
import marvek.core.circuit.LayoutChange;
import marvek.core.circuit.LayoutChanges;
import marvek.core.corner.CornerFinder;
import marvek.core.page.ResurveyedCircuit;
import marvek.core.page.StationMap;
import marvek.core.say.Sentence;
import marvek.formats.CircuitEditsJson;
import marvek.formats.CircuitImport;
import marvek.formats.ImportSettings;
import marvek.formats.JsonFiles;
import marvek.formats.LocalPlane;
import marvek.server.editions.Edited;
import marvek.server.editions.Edition;
import marvek.server.editions.StaleException;
import marvek.server.problems.ConflictException;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.JsonNode;

/**
 * Edits of a circuit: kept as a draft while they go on, then as a layout version. A version that no
 * book uses is changed in place; one that is used stays as it is and the edits become the next.
 */
@Service
public class LayoutVersions {
  private final CircuitRepository repository;
  private final Circuits circuits;
  private final CircuitUse use;
  private final ApplicationEventPublisher events;
  private final TransactionTemplate transaction;

  LayoutVersions(
      CircuitRepository repository,
      Circuits circuits,
      CircuitUse use,
      ApplicationEventPublisher events,
      TransactionTemplate transaction) {
    this.repository = repository;
    this.circuits = circuits;
    this.use = use;
    this.events = events;
    this.transaction = transaction;
  }

  /** Answer to edits: what they change against the version. */
  public record DraftAnswer(List<LayoutChange> changes, long edition) implements Edited {}

  /** Answer to a version kept. */
  public record Kept(UUID id, int version, List<LayoutChange> changes) {}

  /**
   * Keeps edits as the draft of the newest version.
   *
   * @param seen the edition of the version that these edits were made from
   * @throws StaleException if somebody changed it since
   * @throws ConflictException if the version is not the newest any more
   */
  public DraftAnswer keepDraft(UUID id, JsonNode edits, Edition seen) {
    newest(id);
    CircuitEdits read = CircuitEditsJson.read(edits);
    List<LayoutChange> changes = changes(id, read);
    // Edits that were all taken back are no draft.
    boolean same = read.equals(CircuitEdits.of(base(id)));
    return new DraftAnswer(
        changes, storeDraft(id, same ? null : JsonFiles.write(CircuitEditsJson.write(read)), seen));
  }

  /** Throws the draft away. */
  public void discardDraft(UUID id, Edition seen) {
    storeDraft(id, null, seen);
  }

  private long storeDraft(UUID id, String draft, Edition seen) {
    return transaction.execute(
        status -> {
          StoredCircuit stored = unchanged(draft == null ? circuits.stored(id) : newest(id), seen);
          stored.keepDraft(draft);
          return repository.saveAndFlush(stored).edition();
        });
  }

  private static StoredCircuit unchanged(StoredCircuit stored, Edition seen) {
    seen.check(stored.edition(), () -> stored.draft() == null ? Map.of() : parsed(stored.draft()));
    return stored;
  }

  private static JsonNode parsed(String document) {
    return JsonFiles.parse(document.getBytes(StandardCharsets.UTF_8));
  }

  /** The draft of a version, or null. */
  public JsonNode draft(UUID id) {
    String draft = circuits.stored(id).draft();
    return draft == null ? null : parsed(draft);
  }

  /** What a version's draft changes; empty without one. */
  public List<LayoutChange> draftChanges(UUID id) {
    JsonNode draft = draft(id);
    return draft == null ? List.of() : changes(id, CircuitEditsJson.read(draft));
  }

  private List<LayoutChange> changes(UUID id, CircuitEdits edits) {
    Circuit before = base(id);
    return LayoutChanges.between(before, edits.on(before));
  }

  /** A version as edits start from it: with its corners drawn. */
  private Circuit base(UUID id) {
    return CornerFinder.withCornersDrawn(circuits.load(id).circuit());
  }

  /**
   * A layout version worked out and not stored yet.
   *
   * @param next the version that is added, or null where the present one is changed in place
   */
  public record Ready(
      StoredCircuit stored, ReadyCircuit read, StoredCircuit next, List<LayoutChange> changes) {}

  /**
   * Makes the draft a layout version.
   *
   * @param asNext whether it becomes the next version even if nothing uses the present one
   * @param seen the edition of the version with the draft that was looked at
   * @throws InvalidValueException if there is nothing to keep
   */
  public Kept keep(UUID id, String reason, LocalDate validFrom, boolean asNext, Edition seen) {
    return store(ready(id, reason, validFrom, asNext, seen));
  }

  /**
   * Works out the layout version that a draft becomes.
   *
   * @param asNext whether it becomes the next version even if nothing uses the present one
   * @param seen the edition of the version with the draft that was looked at
   * @throws InvalidValueException if there is nothing to keep
   */
  public Ready ready(UUID id, String reason, LocalDate validFrom, boolean asNext, Edition seen) {
    StoredCircuit stored = newest(id);
    seen.check(stored.edition(), () -> draft(id));
    if (stored.draft() == null) {
      throw new InvalidValueException("draft", Sentence.of("refused.no-edits"));
    }
    Circuit before = base(id);
    Circuit edited = CircuitEditsJson.read(parsed(stored.draft())).on(before);
    List<LayoutChange> changes = LayoutChanges.between(before, edited);
    return asNext || use.isUsed(id)
        ? next(stored, edited, reason, validFrom, changes)
        : new Ready(stored, ReadyCircuit.of(edited), null, changes);
  }

  /**
   * Takes a file as the next layout version. What stood along the road stays at its places where
   * the file has only a line.
   */
  public Kept importNext(
      UUID id, byte[] bytes, String fileName, ImportSettings settings, String reason) {
    StoredCircuit stored = newest(id);
    if (stored.draft() != null) {
      throw new ConflictException(Sentence.of("conflict.edits-not-kept"));
    }
    Circuit before = base(id);
    Circuit read = CircuitImport.read(bytes, fileName, settings).circuit();
    Circuit after =
        read.marks().isEmpty() && read.kerbs().isEmpty() ? resurveyed(before, read) : read;
    List<LayoutChange> changes = LayoutChanges.between(before, after);
    return store(next(stored, after, reason, null, changes));
  }

  private static Circuit resurveyed(Circuit before, Circuit read) {
    double[] shift = {0, 0};
    if (before.origin() != null && read.origin() != null) {
      LocalPlane plane = new LocalPlane(read.origin());
      shift = plane.toPlane(before.origin().latDeg(), before.origin().lonDeg());
    }
    return ResurveyedCircuit.of(
        before, read, StationMap.between(before.road(), read.road(), shift[0], shift[1]));
  }

  private static Ready next(
      StoredCircuit stored,
      Circuit edited,
      String reason,
      LocalDate validFrom,
      List<LayoutChange> changes) {
    Require.text("reason", reason, 500);
    Circuit circuit = dated(edited, validFrom).asVersion(stored.version() + 1);
    ReadyCircuit read = ReadyCircuit.of(circuit);
    String told = JsonFiles.write(JsonFiles.MAPPER.valueToTree(changes));
    return new Ready(stored, read, new StoredCircuit(stored, read, reason.strip(), told), changes);
  }

  /**
   * Stores what was worked out; alone or in the caller's transaction.
   *
   * @throws StaleException if the version was changed since
   */
  public Kept store(Ready ready) {
    return transaction.execute(
        status -> {
          StoredCircuit stored = ready.stored;
          stored.keepDraft(null);
          if (ready.next != null) {
            // Of two that are kept at once the database refuses the second.
            repository.saveAndFlush(ready.next);
            repository.saveAndFlush(stored);
            return new Kept(ready.next.id(), ready.next.version(), ready.changes);
          }
          stored.hold(ready.read);
          repository.saveAndFlush(stored);
          events.publishEvent(new CircuitChanged(stored.id()));
          return new Kept(stored.id(), stored.version(), ready.changes);
        });
  }

  private static Circuit dated(Circuit circuit, LocalDate validFrom) {
    return validFrom == null
        ? circuit
        : new CircuitEdits(
                circuit.name(),
                circuit.layout(),
                validFrom,
                circuit.timeZone(),
                circuit.trackLimits(),
                circuit.marks(),
                circuit.kerbs(),
                circuit.zones(),
                circuit.hazards(),
                circuit.corners(),
                List.of(),
                circuit.stretches())
            .on(circuit);
  }

  private StoredCircuit newest(UUID id) {
    StoredCircuit stored = circuits.stored(id);
    StoredCircuit newest = circuits.newestOf(stored.placeId());
    if (!newest.id().equals(id)) {
      throw new ConflictException(
          Sentence.of(
              "conflict.layout-newer", "newest", newest.version(), "version", stored.version()));
    }
    return stored;
  }
}
