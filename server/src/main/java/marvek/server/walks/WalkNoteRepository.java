package marvek.server.walks;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface WalkNoteRepository extends JpaRepository<WalkNote, UUID> {
  List<WalkNote> findByWalkIdOrderByStationM(UUID walkId);
}
