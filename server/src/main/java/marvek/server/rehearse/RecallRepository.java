package marvek.server.rehearse;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface RecallRepository extends JpaRepository<StoredRecall, UUID> {
  List<StoredRecall> findByBookIdAndPersonId(UUID bookId, UUID personId);

  Optional<StoredRecall> findByBookIdAndPersonIdAndQuestion(
      UUID bookId, UUID personId, String question);
}
