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
import java.util.Locale;
import java.util.UUID;
import marvek.core.rehearse.Act;
import marvek.core.rehearse.RunThrough;
import marvek.formats.JsonFiles;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A run-through as it was scored, so that a later revision does not change it. */
@Entity
@Table(name = "run_through")
class StoredRun {
  @Id private UUID id;
  private UUID bookId;

  /** Who learned by it. */
  private UUID personId;

  private int revision;

  @Column(columnDefinition = "text")
  private String document;

  private Instant createdAt;

  protected StoredRun() {}

  StoredRun(
      UUID bookId, UUID personId, int revision, double speedShare, Help help, RunThrough run) {
    this.id = UUID.randomUUID();
    this.bookId = bookId;
    this.personId = personId;
    this.revision = revision;
    this.document = JsonFiles.write(written(speedShare, help, run));
    this.createdAt = Instant.now().truncatedTo(ChronoUnit.MICROS);
  }

  /** What is shown while it runs. */
  enum Help {
    PLATES,
    MARKS,
    ROAD,
    DARK
  }

  private static ObjectNode written(double speedShare, Help help, RunThrough run) {
    ObjectNode node = JsonFiles.MAPPER.createObjectNode();
    node.put("speedShare", speedShare).put("help", help.name()).put("until_s", run.untilS());
    node.put("extra", run.extra());
    ArrayNode hits = node.putArray("hits");
    for (RunThrough.Hit hit : run.hits()) {
      Act act = hit.act();
      ObjectNode h = hits.addObject().put("corner", act.corner()).put("kind", act.kind().name());
      h.put("at_m", act.atM()).put("at_s", act.atS());
      h.put("off_s", hit.offS()).put("off_m", hit.offM());
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

  double speedShare() {
    return read().path("speedShare").asDouble(0);
  }

  Help help() {
    return Help.valueOf(read().path("help").asString().toUpperCase(Locale.ROOT));
  }

  RunThrough run() {
    JsonNode node = read();
    List<RunThrough.Hit> hits = new ArrayList<>();
    for (JsonNode h : node.path("hits")) {
      Act act =
          new Act(
              h.path("corner").asInt(0),
              Act.Kind.valueOf(h.path("kind").asString()),
              h.path("at_m").asDouble(0),
              h.path("at_s").asDouble(0));
      hits.add(new RunThrough.Hit(act, number(h, "off_s"), number(h, "off_m")));
    }
    return new RunThrough(node.path("until_s").asDouble(0), hits, node.path("extra").asInt(0));
  }

  private static Double number(JsonNode node, String name) {
    return node.hasNonNull(name) ? node.path(name).asDouble(0) : null;
  }

  private JsonNode read() {
    return JsonFiles.parse(document.getBytes(StandardCharsets.UTF_8));
  }
}
