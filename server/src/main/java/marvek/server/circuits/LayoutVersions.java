package marvek.server.circuits;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
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
import marvek.formats.CircuitEditsJson;
import marvek.formats.CircuitGeoJsonWriter;
import marvek.formats.CircuitImport;
import marvek.formats.ImportSettings;
import marvek.formats.JsonFiles;
import marvek.formats.LocalPlane;
import marvek.server.problems.ConflictException;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

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

  LayoutVersions(
      CircuitRepository repository,
      Circuits circuits,
      CircuitUse use,
      ApplicationEventPublisher events) {
    this.repository = repository;
    this.circuits = circuits;
    this.use = use;
    this.events = events;
  }

  /** Answer to edits: what they change against the version. */
  public record DraftAnswer(List<LayoutChange> changes) {}

  /** Answer to a version kept. */
  public record Kept(UUID id, int version, List<LayoutChange> changes) {}

  /**
   * Keeps edits as the draft of the newest version.
   *
   * @throws ConflictException if the version is not the newest any more
   */
  @Transactional
  public DraftAnswer keepDraft(UUID id, JsonNode edits) {
    StoredCircuit stored = newest(id);
    CircuitEdits read = CircuitEditsJson.read(edits);
    List<LayoutChange> changes = changes(id, read);
    // Edits that were all taken back are no draft.
    boolean same = read.equals(CircuitEdits.of(base(id)));
    stored.keepDraft(same ? null : JsonFiles.write(CircuitEditsJson.write(read)));
    repository.save(stored);
    return new DraftAnswer(changes);
  }

  /** Throws the draft away. */
  @Transactional
  public void discardDraft(UUID id) {
    StoredCircuit stored = circuits.stored(id);
    stored.keepDraft(null);
    repository.save(stored);
  }

  /** The draft of a version, or null. */
  @Transactional(readOnly = true)
  public JsonNode draft(UUID id) {
    String draft = circuits.stored(id).draft();
    return draft == null ? null : JsonFiles.parse(draft.getBytes(StandardCharsets.UTF_8));
  }

  /** What a version's draft changes; empty without one. */
  @Transactional(readOnly = true)
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
   * Makes the draft a layout version.
   *
   * @param asNext whether it becomes the next version even if nothing uses the present one
   * @throws InvalidValueException if there is nothing to keep
   */
  @Transactional
  public Kept keep(UUID id, String reason, LocalDate validFrom, boolean asNext) {
    StoredCircuit stored = newest(id);
    JsonNode draft = draft(id);
    if (draft == null) {
      throw new InvalidValueException("draft", "is empty: nothing was changed on this circuit");
    }
    Circuit before = base(id);
    Circuit edited = CircuitEditsJson.read(draft).on(before);
    List<LayoutChange> changes = LayoutChanges.between(before, edited);
    return asNext || use.isUsed(id)
        ? next(stored, edited, reason, validFrom, changes)
        : inPlace(stored, edited, changes);
  }

  /**
   * Takes a file as the next layout version. What stood along the road stays at its places where
   * the file has only a line.
   */
  @Transactional
  public Kept importNext(
      UUID id, byte[] bytes, String fileName, ImportSettings settings, String reason) {
    StoredCircuit stored = newest(id);
    if (stored.draft() != null) {
      throw new ConflictException(
          "The circuit has edits that are not kept yet: keep or discard them first.");
    }
    Circuit before = base(id);
    Circuit read = CircuitImport.read(bytes, fileName, settings).circuit();
    Circuit after =
        read.marks().isEmpty() && read.kerbs().isEmpty() ? resurveyed(before, read) : read;
    List<LayoutChange> changes = LayoutChanges.between(before, after);
    return next(stored, after, reason, null, changes);
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

  private Kept next(
      StoredCircuit stored,
      Circuit edited,
      String reason,
      LocalDate validFrom,
      List<LayoutChange> changes) {
    Require.text("reason", reason, 500);
    Circuit circuit = dated(edited, validFrom).asVersion(stored.version() + 1);
    StoredCircuit next =
        repository.save(
            new StoredCircuit(
                stored,
                circuit,
                CornerFinder.find(circuit, circuit.road()).size(),
                document(circuit),
                reason.strip(),
                JsonFiles.write(JsonFiles.MAPPER.valueToTree(changes))));
    stored.keepDraft(null);
    repository.save(stored);
    return new Kept(next.id(), next.version(), changes);
  }

  private Kept inPlace(StoredCircuit stored, Circuit edited, List<LayoutChange> changes) {
    stored.hold(edited, CornerFinder.find(edited, edited.road()).size(), document(edited));
    stored.keepDraft(null);
    repository.save(stored);
    events.publishEvent(new CircuitChanged(stored.id()));
    return new Kept(stored.id(), stored.version(), changes);
  }

  private static String document(Circuit circuit) {
    ObjectNode tree = CircuitGeoJsonWriter.write(circuit);
    return JsonFiles.write(tree);
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
                List.of())
            .on(circuit);
  }

  private StoredCircuit newest(UUID id) {
    StoredCircuit stored = circuits.stored(id);
    StoredCircuit newest = circuits.newestOf(stored.placeId());
    if (!newest.id().equals(id)) {
      throw new ConflictException(
          "Layout version "
              + newest.version()
              + " is newer than version "
              + stored.version()
              + ": open the newest one and edit that.");
    }
    return stored;
  }
}
