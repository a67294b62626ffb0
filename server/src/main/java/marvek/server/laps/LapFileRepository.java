package marvek.server.laps;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface LapFileRepository extends JpaRepository<StoredLapFile, UUID> {
  List<StoredLapFile> findBySessionIdOrderByTakenAtAscIdAsc(UUID sessionId);

  List<StoredLapFile> findByDigestAndSessionIdIn(String digest, List<UUID> sessionIds);

  boolean existsBySessionId(UUID sessionId);
}
