package marvek.server.lead;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface GroupRemarkRepository extends JpaRepository<StoredGroupRemark, UUID> {
  List<StoredGroupRemark> findBySessionIdOrderByCreatedAtAscIdAsc(UUID sessionId);
}
