package marvek.server.sessions;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface StepRepository extends JpaRepository<StoredStep, UUID> {
  List<StoredStep> findByBookIdOrderByCornerAscSurfaceAsc(UUID bookId);

  Optional<StoredStep> findByBookIdAndCornerAndSurface(UUID bookId, int corner, String surface);
}
