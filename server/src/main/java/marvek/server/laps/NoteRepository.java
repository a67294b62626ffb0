package marvek.server.laps;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface NoteRepository extends JpaRepository<StoredNote, UUID> {
  List<StoredNote> findBySessionIdOrderByCreatedAtAscIdAsc(UUID sessionId);
}
