package marvek.server.accounts;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface DriverRepository extends JpaRepository<Driver, UUID> {
  Optional<Driver> findFirstByOrderByCreatedAt();
}
