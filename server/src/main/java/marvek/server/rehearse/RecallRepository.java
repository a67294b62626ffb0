package marvek.server.rehearse;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface RecallRepository extends JpaRepository<StoredRecall, UUID> {
  List<StoredRecall> findByBookId(UUID bookId);

  Optional<StoredRecall> findByBookIdAndQuestion(UUID bookId, String question);
}
