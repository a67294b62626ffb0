package marvek.server.circuits;

import java.nio.charset.StandardCharsets;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import marvek.core.Require;
import marvek.core.circuit.Circuit;
import marvek.formats.CircuitGeoJson;
import marvek.formats.CircuitImport;
import marvek.formats.ImportSettings;
import marvek.formats.JsonFiles;
import marvek.server.accounts.CurrentDriver;
import marvek.server.problems.NotFoundException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.event.TransactionalEventListener;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Takes circuits in and gives them out. */
@Service
public class Circuits {
  /** Circuits that are kept ready: reading one means fitting its road. */
  private static final int READY = 8;

  private final CircuitRepository repository;
  private final CurrentDriver driver;
  private final Map<UUID, Loaded> ready =
      new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<UUID, Loaded> eldest) {
          return size() > READY;
        }
      };

  Circuits(CircuitRepository repository, CurrentDriver driver) {
    this.repository = repository;
    this.driver = driver;
  }

  /** What lists show of a circuit: the newest version of each place. */
  public record Summary(
      UUID id,
      String name,
      String layout,
      int version,
      double length_m,
      int corners,
      boolean draft) {}

  /** What an import answers. */
  public record ImportAnswer(
      UUID id, String name, double length_m, int corners, List<String> warnings) {}

  /** What is said of a circuit without computing its road. */
  public record Facts(
      String name,
      String layout,
      ZoneId zone,
      double lengthM,
      int version,
      UUID newestId,
      int newestVersion) {}

  /** A circuit ready to compute with, and its document. */
  public record Loaded(UUID id, Circuit circuit, JsonNode document) {}

  /**
   * Takes in a circuit GeoJSON, a centreline CSV, a GPX track or a GeoJSON line.
   *
   * @param fileName name of the file, for one without a name of its own
   */
  public ImportAnswer importFile(byte[] bytes, String fileName, ImportSettings settings) {
    ReadyCircuit read = ReadyCircuit.of(CircuitImport.read(bytes, fileName, settings));
    return new ImportAnswer(
        store(read), read.circuit().name(), read.lengthM(), read.corners(), read.words());
  }

  /** Reads the circuit of a book. */
  public ReadyCircuit ready(JsonNode tree) {
    byte[] bytes = JsonFiles.write(tree).getBytes(StandardCharsets.UTF_8);
    return ReadyCircuit.of(CircuitImport.read(bytes, null, ImportSettings.NONE));
  }

  /** Reads a further version of a place that comes with a book. */
  public ReadyCircuit readyEarlier(JsonNode tree) {
    return ReadyCircuit.of(CircuitGeoJson.read(tree).value(), tree);
  }

  /** Another circuit like a layout version, as the first version of a place of its own. */
  public ImportAnswer copy(UUID id, String name) {
    String called = Require.text("name", name == null ? "" : name.strip(), 120);
    ObjectNode tree = (ObjectNode) tree(stored(id));
    ((ObjectNode) tree.get("marvek")).put("name", called).put("layoutVersion", 1);
    ReadyCircuit read = ready(tree);
    return new ImportAnswer(store(read), called, read.lengthM(), read.corners(), read.words());
  }

  /** Stores a circuit as the first version of a new place. */
  public UUID store(ReadyCircuit read) {
    return repository.save(new StoredCircuit(driver.id(), read)).id();
  }

  /** Stores a further version of a place that came with a book. */
  public UUID storeEarlier(UUID newest, ReadyCircuit read) {
    return repository.save(new StoredCircuit(stored(newest), read, "", "[]")).id();
  }

  /** The newest version of each of the driver's places, oldest place first. */
  public List<Summary> list() {
    Map<UUID, CircuitHead> newest = new LinkedHashMap<>();
    for (CircuitHead c : repository.heads(driver.id())) {
      newest.merge(c.placeId(), c, (a, b) -> a.version() > b.version() ? a : b);
    }
    return newest.values().stream().map(Circuits::summary).toList();
  }

  private static Summary summary(CircuitHead c) {
    return new Summary(
        c.id(), c.name(), c.layout(), c.version(), c.lengthM(), c.corners(), c.draft());
  }

  /**
   * Loads a circuit.
   *
   * @throws NotFoundException if there is none of that id
   */
  public Loaded load(UUID id) {
    StoredCircuit stored = stored(id);
    synchronized (ready) {
      Loaded known = ready.get(id);
      if (known != null) {
        return known;
      }
    }
    JsonNode tree = tree(stored);
    Loaded loaded = new Loaded(id, CircuitGeoJson.read(tree).value(), tree);
    synchronized (ready) {
      ready.put(id, loaded);
    }
    return loaded;
  }

  /** Once the change is there for all: before, one could read what was and keep it. */
  @TransactionalEventListener(fallbackExecution = true)
  void forget(CircuitChanged changed) {
    synchronized (ready) {
      ready.remove(changed.circuitId());
    }
  }

  /**
   * Name, layout and length of a circuit, and the newest version of its place.
   *
   * @throws NotFoundException if there is none of that id
   */
  public Facts facts(UUID id) {
    Facts facts = facts(Set.of(id)).get(id);
    if (facts == null) {
      throw noCircuit(id);
    }
    return facts;
  }

  /** The same of several circuits; what the driver does not have is left out. */
  public Map<UUID, Facts> facts(Set<UUID> ids) {
    List<CircuitHead> heads = repository.headsBeside(ids, driver.id());
    Map<UUID, CircuitHead> newest =
        heads.stream()
            .collect(
                Collectors.toMap(
                    CircuitHead::placeId, c -> c, (a, b) -> a.version() > b.version() ? a : b));
    return heads.stream()
        .filter(head -> ids.contains(head.id()))
        .collect(
            Collectors.toMap(CircuitHead::id, head -> facts(head, newest.get(head.placeId()))));
  }

  private static Facts facts(CircuitHead head, CircuitHead newest) {
    return new Facts(
        head.name(),
        head.layout(),
        zone(head.timeZone()),
        head.lengthM(),
        head.version(),
        newest.id(),
        newest.version());
  }

  /** What no calendar knows counts as UTC. */
  private static ZoneId zone(String name) {
    try {
      return ZoneId.of(name);
    } catch (DateTimeException e) {
      return ZoneId.of("UTC");
    }
  }

  private static NotFoundException noCircuit(UUID id) {
    return NotFoundException.of("circuit", id);
  }

  /** First day for which a version holds, or null. */
  public LocalDate validFrom(UUID id) {
    return stored(id).validFrom();
  }

  StoredCircuit newestOf(UUID placeId) {
    List<StoredCircuit> versions = repository.findByPlaceIdOrderByVersion(placeId);
    return versions.get(versions.size() - 1);
  }

  StoredCircuit stored(UUID id) {
    return repository.findByIdAndDriverId(id, driver.id()).orElseThrow(() -> noCircuit(id));
  }

  static JsonNode tree(StoredCircuit stored) {
    return JsonFiles.parse(stored.document().getBytes(StandardCharsets.UTF_8));
  }

  /** A name that was given with a request; null where none was. */
  static String given(String name) {
    return name == null || name.isBlank() ? null : Require.text("name", name.strip(), 120);
  }
}
