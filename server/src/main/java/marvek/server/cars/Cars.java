package marvek.server.cars;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import marvek.core.Require;
import marvek.core.say.Sentence;
import marvek.core.vehicle.Vehicle;
import marvek.formats.CarJson;
import marvek.formats.Imported;
import marvek.formats.JsonFiles;
import marvek.server.accounts.CurrentDriver;
import marvek.server.editions.Edited;
import marvek.server.editions.Edition;
import marvek.server.problems.NotFoundException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Takes cars in and gives them out. */
@Service
public class Cars {
  private static final int LONGEST_NAME = 120;

  private final CarRepository repository;
  private final CurrentDriver driver;

  Cars(CarRepository repository, CurrentDriver driver) {
    this.repository = repository;
    this.driver = driver;
  }

  /** What lists show of a car. */
  public record Summary(UUID id, String name, long edition) implements Edited {}

  /**
   * What an import answers.
   *
   * @param warnings in words, for scripts
   * @param said the same as sentences
   */
  public record ImportAnswer(UUID id, String name, List<String> warnings, List<Sentence> said) {
    ImportAnswer(UUID id, Ready read) {
      this(id, read.name(), read.said().stream().map(Sentence::words).toList(), read.said());
    }
  }

  /** A car ready to compute with, and its document. */
  public record Loaded(UUID id, Vehicle vehicle, JsonNode document) {}

  /** Takes in a car JSON. */
  public ImportAnswer importFile(byte[] bytes) {
    Ready read = ready(JsonFiles.parse(bytes));
    return new ImportAnswer(store(read), read);
  }

  /** A car read and not stored yet. */
  public record Ready(String name, String document, List<Sentence> said) {}

  /** Reads a parsed car JSON. */
  public Ready ready(JsonNode tree) {
    Imported<Vehicle> read = CarJson.read(tree);
    return new Ready(read.value().name(), JsonFiles.write(tree), read.warnings());
  }

  /** Stores a car that was read. */
  public UUID store(Ready read) {
    return repository.save(new StoredCar(driver.id(), read.name, read.document)).id();
  }

  /**
   * Calls a car otherwise.
   *
   * @param seen the edition that was looked at
   */
  @Transactional
  public Summary rename(UUID id, String name, Edition seen) {
    String called = Require.text("name", name == null ? "" : name.strip(), LONGEST_NAME);
    StoredCar car = stored(id);
    seen.check(car.edition(), () -> summary(car));
    car.becomes(called, JsonFiles.write(called(car, called)));
    return summary(repository.saveAndFlush(car));
  }

  /** Another car like one, under another name; its setup sheets stay with the first. */
  public ImportAnswer copy(UUID id, String name) {
    String called = Require.text("name", name == null ? "" : name.strip(), LONGEST_NAME);
    Ready read = ready(called(stored(id), called));
    return new ImportAnswer(store(read), read);
  }

  /** Another car like one, with some of its numbers changed; the first one stays as it is. */
  public ImportAnswer changed(UUID id, String name, Map<String, Double> changes) {
    String called = Require.text("name", name == null ? "" : name.strip(), LONGEST_NAME);
    Ready read = ready(CarChanges.in(called(stored(id), called), changes));
    return new ImportAnswer(store(read), read);
  }

  private static ObjectNode called(StoredCar car, String name) {
    JsonNode tree = JsonFiles.parse(car.document().getBytes(StandardCharsets.UTF_8));
    return ((ObjectNode) tree).put("name", name);
  }

  private static Summary summary(StoredCar car) {
    return new Summary(car.id(), car.name(), car.edition());
  }

  private StoredCar stored(UUID id) {
    return repository
        .findByIdAndDriverId(id, driver.id())
        .orElseThrow(() -> NotFoundException.of("car", id));
  }

  /** The driver's cars that are not put away, oldest first. */
  public List<Summary> list() {
    return repository.summaries(driver.id());
  }

  /** Names of some of the driver's cars. */
  public Map<UUID, String> names(Set<UUID> ids) {
    return repository.names(ids, driver.id()).stream()
        .collect(Collectors.toMap(Summary::id, Summary::name));
  }

  /**
   * Loads a car.
   *
   * @throws NotFoundException if there is none of that id
   */
  public Loaded load(UUID id) {
    JsonNode tree = JsonFiles.parse(stored(id).document().getBytes(StandardCharsets.UTF_8));
    return new Loaded(id, CarJson.read(tree).value(), tree);
  }
}
