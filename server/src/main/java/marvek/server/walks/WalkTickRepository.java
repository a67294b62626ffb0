package marvek.server.walks;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface WalkTickRepository extends JpaRepository<WalkTick, UUID> {
  List<WalkTick> findByWalkId(UUID walkId);

  void deleteByWalkIdAndItem(UUID walkId, String item);
}
