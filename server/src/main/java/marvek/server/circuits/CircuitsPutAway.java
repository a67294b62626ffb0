package marvek.server.circuits;

import jakarta.persistence.EntityManager;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import marvek.server.accounts.CurrentDriver;
import marvek.server.putaway.AwayTable;
import marvek.server.putaway.InTable;
import org.springframework.stereotype.Component;

/** Circuits that are put away, all layout versions of a place together: books go on with them. */
@Component
class CircuitsPutAway extends InTable {
  private final CircuitRepository circuits;
  private final Needs needs;

  CircuitsPutAway(
      EntityManager entities, CircuitRepository circuits, Needs needs, CurrentDriver driver) {
    super(
        "circuit",
        AwayTable.of(entities, "circuit", "name", "driver_id = :driver")
            .ofThings("place_id = (select c.place_id from circuit c where c.id = :id)"),
        driver::id);
    this.circuits = circuits;
    this.needs = needs;
  }

  @Override
  public List<Away> away() {
    List<UUID> rows = table.rows(driver()).stream().map(AwayTable.Row::id).toList();
    return circuits.findAllById(rows).stream()
        .collect(Collectors.groupingBy(StoredCircuit::placeId))
        .values()
        .stream()
        .map(this::place)
        .sorted(Comparator.comparing(Away::at).reversed())
        .toList();
  }

  private Away place(List<StoredCircuit> versions) {
    StoredCircuit newest =
        versions.stream().max(Comparator.comparingInt(StoredCircuit::version)).orElseThrow();
    return new Away(
        newest.id(),
        newest.name(),
        newest.putAwayAt(),
        List.of(new Goes("layout version", versions.size())),
        needs.needPlace(newest.id()));
  }
}
