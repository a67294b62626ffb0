package marvek.server.cars;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import marvek.core.Require;
import marvek.core.car.SetupSheet;
import marvek.core.say.Sentence;
import marvek.formats.JsonFiles;
import marvek.formats.SetupSheetJson;
import marvek.server.contract.InFormat;
import marvek.server.editions.Edited;
import marvek.server.editions.Edition;
import marvek.server.problems.NotFoundException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.JsonNode;

/** Keeps the setup sheets of cars. Revisions hold copies, so that a sheet may change and go. */
@Service
public class SetupSheets {
  private final SheetRepository repository;
  private final Cars cars;
  private final TransactionTemplate transaction;

  SetupSheets(SheetRepository repository, Cars cars, TransactionTemplate transaction) {
    this.repository = repository;
    this.cars = cars;
    this.transaction = transaction;
  }

  /** A kept sheet. */
  public record Kept(UUID id, long edition, @InFormat("setup") JsonNode sheet) implements Edited {}

  /** The sheets of a car, oldest first. */
  public List<Kept> of(UUID carId) {
    cars.load(carId);
    return repository.findByCarIdOrderByCreatedAtAscIdAsc(carId).stream()
        .map(SetupSheets::kept)
        .toList();
  }

  /** Keeps a new sheet of a car. */
  public Kept add(UUID carId, JsonNode document) {
    cars.load(carId);
    SetupSheet sheet = checked(document);
    return kept(
        repository.save(
            new StoredSheet(carId, sheet.name(), JsonFiles.write(SetupSheetJson.write(sheet)))));
  }

  /** Puts other values in the place of a sheet's. */
  public Kept change(UUID carId, UUID id, JsonNode document, Edition seen) {
    SetupSheet sheet = checked(document);
    return kept(
        transaction.execute(
            status -> {
              StoredSheet stored = unchanged(carId, id, seen);
              stored.becomes(sheet.name(), JsonFiles.write(SetupSheetJson.write(sheet)));
              return repository.saveAndFlush(stored);
            }));
  }

  /** Takes a sheet out of the list; revisions keep their copies. */
  public void remove(UUID carId, UUID id, Edition seen) {
    transaction.executeWithoutResult(status -> repository.delete(unchanged(carId, id, seen)));
  }

  private StoredSheet unchanged(UUID carId, UUID id, Edition seen) {
    StoredSheet stored = stored(carId, id);
    seen.check(stored.edition(), () -> kept(stored));
    return stored;
  }

  private static SetupSheet checked(JsonNode document) {
    return Require.present("sheet", SetupSheetJson.read(document, ""));
  }

  private StoredSheet stored(UUID carId, UUID id) {
    cars.load(carId);
    return repository
        .findById(id)
        .filter(sheet -> sheet.carId().equals(carId))
        .orElseThrow(() -> new NotFoundException(Sentence.of("missing.setup-sheet", "id", id)));
  }

  private static Kept kept(StoredSheet stored) {
    return new Kept(
        stored.id(),
        stored.edition(),
        JsonFiles.parse(stored.document().getBytes(StandardCharsets.UTF_8)));
  }
}
