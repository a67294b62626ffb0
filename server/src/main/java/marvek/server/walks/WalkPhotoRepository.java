package marvek.server.walks;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.repository.Repository;

interface WalkPhotoRepository extends Repository<WalkPhoto, UUID> {
  Optional<WalkPhoto> findById(UUID note);
}
