package marvek.server.lead;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.UUID;
import marvek.core.lead.LeadDay;
import marvek.formats.JsonFiles;
import marvek.formats.LeadDayJson;
import marvek.server.editions.Edition;

/** The led day of a session. */
@Entity
@Table(name = "lead_day")
class StoredLeadDay {
  @Id private UUID sessionId;

  /** Null until it is stored for the first time. */
  @Version private Long edition;

  @Column(columnDefinition = "text")
  private String document;

  private Instant changedAt;

  protected StoredLeadDay() {}

  StoredLeadDay(UUID sessionId, LeadDay day) {
    this.sessionId = sessionId;
    becomes(day);
  }

  final void becomes(LeadDay day) {
    document = JsonFiles.write(LeadDayJson.write(day));
    changedAt = Instant.now().truncatedTo(ChronoUnit.MICROS);
  }

  LeadDay day() {
    return LeadDayJson.read(JsonFiles.parse(document.getBytes(StandardCharsets.UTF_8)));
  }

  Instant changedAt() {
    return changedAt;
  }

  long edition() {
    return edition == null ? Edition.NONE : edition;
  }
}
