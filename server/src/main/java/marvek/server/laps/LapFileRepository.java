package marvek.server.laps;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface LapFileRepository extends JpaRepository<StoredLapFile, UUID> {
  List<StoredLapFile> findBySessionIdOrderByTakenAtAscIdAsc(UUID sessionId);

  boolean existsBySessionIdAndDigest(UUID sessionId, String digest);

  boolean existsBySessionId(UUID sessionId);
}
