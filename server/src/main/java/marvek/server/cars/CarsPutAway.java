package marvek.server.cars;

import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.stream.Stream;
import marvek.server.accounts.CurrentDriver;
import marvek.server.putaway.AwayTable;
import marvek.server.putaway.InTable;
import org.springframework.stereotype.Component;

/** Cars that are put away: books that have one go on with it. */
@Component
class CarsPutAway extends InTable {
  private final SheetRepository sheets;
  private final Needs needs;

  CarsPutAway(EntityManager entities, SheetRepository sheets, Needs needs, CurrentDriver driver) {
    super("car", AwayTable.of(entities, "car", "name", "driver_id = :driver"), driver::id);
    this.sheets = sheets;
    this.needs = needs;
  }

  @Override
  public List<Away> away() {
    return table.rows(driver()).stream()
        .map(
            row ->
                new Away(
                    row.id(),
                    row.name(),
                    row.at(),
                    Stream.of(new Goes("setup sheet", sheets.countByCarId(row.id())))
                        .filter(goes -> goes.count() > 0)
                        .toList(),
                    needs.needCar(row.id())))
        .toList();
  }
}
