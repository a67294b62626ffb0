package marvek.server.books;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface PageCheckRepository extends JpaRepository<PageCheckRow, UUID> {
  List<PageCheckRow> findByBookIdAndClearedAtIsNullOrderByCorner(UUID bookId);
}
