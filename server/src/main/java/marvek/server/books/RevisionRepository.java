package marvek.server.books;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface RevisionRepository extends JpaRepository<Revision, UUID> {
  List<Revision> findByBookIdOrderByNumber(UUID bookId);

  /** Heads of the revisions of books, by number. */
  @Query(
      """
      select new marvek.server.books.RevisionHead(
        r.bookId, r.number, r.parent, r.createdAt, r.reason, r.timeS)
      from Revision r where r.bookId in :books order by r.number""")
  List<RevisionHead> heads(Collection<UUID> books);

  @Query("select coalesce(max(r.number), 0) from Revision r where r.bookId = :bookId")
  int newestNumber(UUID bookId);

  Optional<Revision> findByBookIdAndNumber(UUID bookId, int number);

  long countByBookId(UUID bookId);

  boolean existsByCircuitId(UUID circuitId);

  /** Corners of the newest revision of each of a driver's books that are not put away. */
  @Query(
      value =
          """
          select b.id, b.name, (p ->> 'corner')::int, coalesce(p ->> 'name', ''),
            coalesce(p ->> 'notes', ''), coalesce(p ->> 'wayOut', '')
          from book b
            join revision r on r.book_id = b.id and r.number =
              (select max(o.number) from revision o where o.book_id = b.id)
            cross join jsonb_array_elements(r.page_words) with ordinality as pages (p, place)
          where b.driver_id = :driver and b.put_away_at is null
          order by b.created_at, b.id, place""",
      nativeQuery = true)
  List<BookSearch.FoundCorner> cornersOf(UUID driver);
}
