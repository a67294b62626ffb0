package marvek.server.books;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface BookRepository extends JpaRepository<Book, UUID> {
  Optional<Book> findByIdAndDriverId(UUID id, UUID driverId);

  boolean existsByDriverId(UUID driverId);

  List<Book> findByDriverIdOrderByCreatedAt(UUID driverId);
}
