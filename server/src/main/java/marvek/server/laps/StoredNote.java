package marvek.server.laps;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.UUID;
import marvek.formats.JsonFiles;
import tools.jackson.databind.JsonNode;

/** A remark on laps, or a finding that was dismissed. */
@Entity
@Table(name = "debrief_note")
class StoredNote {
  @Id private UUID id;
  private UUID sessionId;

  @Column(columnDefinition = "text")
  private String document;

  private Instant createdAt;

  protected StoredNote() {}

  StoredNote(UUID sessionId, JsonNode document) {
    this.id = UUID.randomUUID();
    this.sessionId = sessionId;
    this.document = JsonFiles.write(document);
    this.createdAt = Instant.now().truncatedTo(ChronoUnit.MICROS);
  }

  UUID id() {
    return id;
  }

  UUID sessionId() {
    return sessionId;
  }

  JsonNode document() {
    return JsonFiles.parse(document.getBytes(StandardCharsets.UTF_8));
  }
}
