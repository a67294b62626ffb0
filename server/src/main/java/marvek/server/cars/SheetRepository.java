package marvek.server.cars;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface SheetRepository extends JpaRepository<StoredSheet, UUID> {
  long countByCarId(UUID carId);

  List<StoredSheet> findByCarIdOrderByCreatedAtAscIdAsc(UUID carId);
}
