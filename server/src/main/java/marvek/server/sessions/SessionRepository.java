package marvek.server.sessions;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface SessionRepository extends JpaRepository<StoredSession, UUID> {
  List<StoredSession> findByBookIdInOrderByCreatedAtAscIdAsc(Collection<UUID> bookIds);

  List<StoredSession> findByBookIdOrderByCreatedAtAscIdAsc(UUID bookId);
}
