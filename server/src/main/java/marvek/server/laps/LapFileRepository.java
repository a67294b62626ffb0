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

  /** Files of all sessions of a book, put away or not. */
  @Query(
      value =
          "select count(*) from lap_file f join session s on s.id = f.session_id"
              + " where s.book_id = :book",
      nativeQuery = true)
  long countOfBook(UUID book);

  boolean existsBySessionId(UUID sessionId);
}
