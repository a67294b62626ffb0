package marvek.server.circuits;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface CircuitRepository extends JpaRepository<StoredCircuit, UUID> {
  Optional<StoredCircuit> findByIdAndDriverId(UUID id, UUID driverId);

  List<StoredCircuit> findByDriverIdOrderByCreatedAt(UUID driverId);

  List<StoredCircuit> findByPlaceIdOrderByVersion(UUID placeId);
}
