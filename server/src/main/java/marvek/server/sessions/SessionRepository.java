package marvek.server.sessions;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;
import org.springframework.stereotype.Repository;

/** Named by itself: its own name is that of a bean which keeps who is signed in. */
@Repository("sessionsOfBooks")
interface SessionRepository extends JpaRepository<StoredSession, UUID> {
  List<StoredSession> findByBookIdInOrderByCreatedAtAscIdAsc(Collection<UUID> bookIds);

  List<StoredSession> findByBookIdOrderByCreatedAtAscIdAsc(UUID bookId);

  /** All of a book, put away or not. */
  @Query(value = "select count(*) from session where book_id = :book", nativeQuery = true)
  long countOfBook(UUID book);
}
