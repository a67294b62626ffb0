package marvek.server.accounts;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface PersonRepository extends JpaRepository<Person, UUID> {
  Optional<Person> findFirstByOrderByCreatedAt();
}
