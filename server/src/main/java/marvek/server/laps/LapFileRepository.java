package marvek.server.laps;

import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface LapFileRepository extends JpaRepository<StoredLapFile, UUID> {
  List<StoredLapFile> findBySessionIdOrderByTakenAtAscIdAsc(UUID sessionId);

  List<StoredLapFile> findByDigestAndSessionIdIn(String digest, List<UUID> sessionIds);

  /** Those of some sessions that files were taken in for. */
  @Query("select distinct f.sessionId from StoredLapFile f where f.sessionId in :sessions")
  Set<UUID> sessionsAmong(Collection<UUID> sessions);

  boolean existsBySessionId(UUID sessionId);
}
