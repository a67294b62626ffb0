package marvek.server.laps;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface LapBytesRepository extends JpaRepository<StoredLapBytes, UUID> {}
