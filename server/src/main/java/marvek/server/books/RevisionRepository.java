package marvek.server.books;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface RevisionRepository extends JpaRepository<Revision, UUID> {
  List<Revision> findByBookIdOrderByNumber(UUID bookId);

  Optional<Revision> findByBookIdAndNumber(UUID bookId, int number);

  Optional<Revision> findFirstByBookIdOrderByNumberDesc(UUID bookId);

  boolean existsByCircuitId(UUID circuitId);
}
