package marvek.server.laps;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import marvek.core.laps.RecordedLap;
import marvek.formats.JsonFiles;
import org.hibernate.annotations.SQLRestriction;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A file of laps as it was brought in, with what was said of it. */
@Entity
@Table(name = "lap_file")
@SQLRestriction("put_away_at is null")
class StoredLapFile {
  @Id private UUID id;

  /** Null until it is stored for the first time. */
  @Version private Long edition;

  private UUID sessionId;
  private String name;
  private String digest;
  private int size;
  private Instant takenAt;

  @Column(columnDefinition = "text")
  private String mapping;

  @Column(columnDefinition = "text")
  private String kinds;

  @Column(columnDefinition = "text")
  private String summary;

  private boolean stepsNoted;
  private String driver;
  private String vehicle;
  private long headerLine;

  /** What a file holds: the digest of it, and how many bytes it has. */
  record Content(String digest, int size) {}

  /** How its columns are named, and where its headers stand; 0 where nobody pointed. */
  record Reading(Map<String, String> mapping, long headerLine) {}

  protected StoredLapFile() {}

  StoredLapFile(
      UUID sessionId, String name, Content content, Reading reading, IncomingLaps.Whose whose) {
    this.id = UUID.randomUUID();
    this.sessionId = sessionId;
    this.name = name;
    this.digest = content.digest();
    this.size = content.size();
    this.takenAt = Instant.now();
    this.mapping = JsonFiles.write(Mapping.write(reading.mapping()));
    this.headerLine = reading.headerLine();
    this.kinds = "{}";
    say(whose);
  }

  UUID id() {
    return id;
  }

  UUID sessionId() {
    return sessionId;
  }

  String name() {
    return name;
  }

  void call(String other) {
    name = other;
  }

  /** What tells whether anything of it has changed. */
  String state() {
    return String.join(
        " ", id.toString(), name, digest, kinds, Boolean.toString(stepsNoted), driver, vehicle);
  }

  String digest() {
    return digest;
  }

  long headerLine() {
    return headerLine;
  }

  IncomingLaps.Whose whose() {
    return new IncomingLaps.Whose(driver, vehicle);
  }

  final void say(IncomingLaps.Whose whose) {
    driver = whose.driver();
    vehicle = whose.vehicle();
  }

  Map<String, String> mapping() {
    return Mapping.read(tree(mapping));
  }

  /** What kind somebody said that a lap is; empty where nobody did. */
  Optional<RecordedLap.Kind> saidOf(int lap) {
    String said = tree(kinds).path(Integer.toString(lap)).asString("");
    return said.isEmpty() ? Optional.empty() : Optional.of(RecordedLap.Kind.valueOf(said));
  }

  /** Somebody says what kind a lap is; null takes it back. */
  void say(int lap, RecordedLap.Kind kind) {
    ObjectNode all = (ObjectNode) tree(kinds);
    if (kind == null) {
      all.remove(Integer.toString(lap));
    } else {
      all.put(Integer.toString(lap), kind.name());
    }
    kinds = JsonFiles.write(all);
  }

  /** Its laps in short as they were noted; empty before, and once the file has grown. */
  Optional<JsonNode> summary() {
    return Optional.ofNullable(summary)
        .map(StoredLapFile::tree)
        .filter(noted -> noted.path("digest").asString("").equals(digest));
  }

  /** Notes its laps in short; with the digest of what they were read from. */
  void summed(ObjectNode laps) {
    summary = JsonFiles.write(laps.put("digest", digest));
  }

  boolean stepsNoted() {
    return stepsNoted;
  }

  void noteSteps() {
    stepsNoted = true;
  }

  /** More samples have come: of a logger that is still writing. */
  void grow(Content now) {
    size = now.size();
    digest = now.digest();
  }

  private static JsonNode tree(String text) {
    return JsonFiles.parse(text.getBytes(StandardCharsets.UTF_8));
  }
}
