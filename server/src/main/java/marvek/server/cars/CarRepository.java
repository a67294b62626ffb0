package marvek.server.cars;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface CarRepository extends JpaRepository<StoredCar, UUID> {
  Optional<StoredCar> findByIdAndDriverId(UUID id, UUID driverId);

  @Query(
      """
      select new marvek.server.cars.Cars$Summary(c.id, c.name, c.edition)
      from StoredCar c where c.driverId = :driverId and c.putAwayAt is null order by c.createdAt""")
  List<Cars.Summary> summaries(UUID driverId);

  @Query(
      """
      select new marvek.server.cars.Cars$Summary(c.id, c.name, c.edition)
      from StoredCar c where c.id in :ids and c.driverId = :driverId""")
  List<Cars.Summary> names(Collection<UUID> ids, UUID driverId);
}
