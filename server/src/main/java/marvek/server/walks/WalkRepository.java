package marvek.server.walks;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface WalkRepository extends JpaRepository<Walk, UUID> {
  Optional<Walk> findByIdAndDriverId(UUID id, UUID driverId);

  Optional<Walk> findFirstByCircuitIdAndDriverIdAndFinishedAtIsNull(UUID circuitId, UUID driverId);

  List<Walk> findByResultIdAndDriverId(UUID resultId, UUID driverId);
}
