package marvek.server.cars;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface CarRepository extends JpaRepository<StoredCar, UUID> {
  Optional<StoredCar> findByIdAndDriverId(UUID id, UUID driverId);

  List<StoredCar> findByDriverIdOrderByCreatedAt(UUID driverId);
}
