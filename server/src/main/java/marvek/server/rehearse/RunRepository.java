package marvek.server.rehearse;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface RunRepository extends JpaRepository<StoredRun, UUID> {
  List<StoredRun> findByBookIdAndPersonIdOrderByCreatedAtAscIdAsc(UUID bookId, UUID personId);
}
