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
import marvek.core.lead.GroupRemark;
import marvek.formats.JsonFiles;
import marvek.server.editions.Edition;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A remark as it is kept: one row each, so that two touches at once lose nothing. */
@Entity
@Table(name = "group_remark")
class StoredGroupRemark {
  @Id private UUID id;

  /** Null until it is stored for the first time. */
  @Version private Long edition;

  private UUID sessionId;

  @Column(columnDefinition = "text")
  private String document;

  private Instant createdAt;

  protected StoredGroupRemark() {}

  StoredGroupRemark(UUID sessionId, GroupRemark remark) {
    this.id = UUID.randomUUID();
    this.sessionId = sessionId;
    this.createdAt = Instant.now().truncatedTo(ChronoUnit.MICROS);
    becomes(remark);
  }

  final void becomes(GroupRemark remark) {
    document = JsonFiles.write(written(remark));
  }

  static ObjectNode written(GroupRemark r) {
    ObjectNode node = JsonFiles.MAPPER.createObjectNode();
    node.put("driver", r.driver()).put("corner", r.corner()).put("lap", r.lap());
    node.put("words", r.words()).put("good", r.good()).put("state", r.state().name());
    node.put("closedOnLap", r.closedOnLap()).put("by", r.by().name());
    return node;
  }

  static GroupRemark read(JsonNode node) {
    return new GroupRemark(
        node.path("driver").asString(),
        node.path("corner").asInt(0),
        node.path("lap").asInt(0),
        node.path("words").asString(),
        node.path("good").asBoolean(false),
        GroupRemark.State.valueOf(node.path("state").asString("OPEN")),
        node.hasNonNull("closedOnLap") ? node.path("closedOnLap").asInt(0) : null,
        GroupRemark.By.valueOf(node.path("by").asString("INSTRUCTOR")));
  }

  UUID id() {
    return id;
  }

  UUID sessionId() {
    return sessionId;
  }

  GroupRemark remark() {
    return read(JsonFiles.parse(document.getBytes(StandardCharsets.UTF_8)));
  }

  long edition() {
    return edition == null ? Edition.NONE : edition;
  }
}
