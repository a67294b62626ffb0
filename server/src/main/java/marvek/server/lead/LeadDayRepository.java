package marvek.server.lead;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface LeadDayRepository extends JpaRepository<StoredLeadDay, UUID> {}
