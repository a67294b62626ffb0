package marvek.server.rehearse;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import marvek.core.rehearse.ImaginedLap;
import marvek.formats.JsonFiles;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A lap in the head as it is kept: its parts, so that a later revision does not change it. */
@Entity
@Table(name = "imagined_lap")
class StoredImaginedLap {
  @Id private UUID id;
  private UUID bookId;

  /** Who learned by it. */
  private UUID personId;

  private int revision;

  @Column(columnDefinition = "text")
  private String document;

  private Instant createdAt;

  protected StoredImaginedLap() {}

  StoredImaginedLap(UUID bookId, UUID personId, int revision, ImaginedLap lap) {
    this.id = UUID.randomUUID();
    this.bookId = bookId;
    this.personId = personId;
    this.revision = revision;
    this.document = JsonFiles.write(written(lap));
    this.createdAt = Instant.now().truncatedTo(ChronoUnit.MICROS);
  }

  private static ObjectNode written(ImaginedLap lap) {
    ObjectNode node = JsonFiles.MAPPER.createObjectNode();
    ArrayNode parts = node.putArray("parts");
    for (ImaginedLap.Part part : lap.parts()) {
      parts
          .addObject()
          .put("corner", part.corner())
          .put("reference_s", part.referenceS())
          .put("imagined_s", part.imaginedS());
    }
    return node;
  }

  UUID id() {
    return id;
  }

  UUID personId() {
    return personId;
  }

  UUID bookId() {
    return bookId;
  }

  int revision() {
    return revision;
  }

  Instant createdAt() {
    return createdAt;
  }

  ImaginedLap lap() {
    List<ImaginedLap.Part> parts = new ArrayList<>();
    JsonNode node = JsonFiles.parse(document.getBytes(StandardCharsets.UTF_8));
    for (JsonNode part : node.path("parts")) {
      parts.add(
          new ImaginedLap.Part(
              part.path("corner").asInt(0),
              part.path("reference_s").asDouble(0),
              part.path("imagined_s").asDouble(0)));
    }
    return new ImaginedLap(parts);
  }
}
