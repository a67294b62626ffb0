package marvek.server.rehearse;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface ImaginedLapRepository extends JpaRepository<StoredImaginedLap, UUID> {
  List<StoredImaginedLap> findByBookIdAndPersonIdOrderByCreatedAtAscIdAsc(
      UUID bookId, UUID personId);
}
