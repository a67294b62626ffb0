package marvek.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;

/**
 * What an earlier version stored: a dump of its database (version 11: circuit, car, book with own
 * values, session, laps, sheet) and what it gave out of it.
 */
class OldDataTest {
  @TempDir private Path folder;
  private TestDatabase database;
  private ConfigurableApplicationContext server;
  private Scripts scripts;

  @BeforeEach
  void serverOnTheOldDatabase() throws Exception {
    Path dump = folder.resolve("old.backup");
    try (InputStream in = stored("version-11.backup")) {
      Files.copy(in, dump);
    }
    database = TestDatabase.restoredFrom(dump, folder.resolve("cluster"));
    withWordsOnly();
    server = StartedServer.on(database, "--marvek.demo=false");
    scripts = new Scripts(StartedServer.clientOf(server));
  }

  @AfterEach
  void down() throws Exception {
    server.close();
    database.down();
  }

  /** What that version kept in words and the dump has none of. */
  private void withWordsOnly() throws SQLException {
    try (Connection to =
            DriverManager.getConnection(database.url(), "marvek", database.password());
        Statement statement = to.createStatement()) {
      statement.execute(
          """
          update circuit set changes =
            '[{"kind":"KERB","fromM":80.0,"toM":90.0,"label":"","text":"the left kerb is gone"}]';
          insert into page_check (id, book_id, corner, reason, layout_version, made_at)
            select gen_random_uuid(), id, 2, 'oak at 700 m is gone', 2, now() from book;
          """);
    }
  }

  private static InputStream stored(String name) {
    return OldDataTest.class.getResourceAsStream("/stored/" + name);
  }

  @Test
  void isServedAndGivenOutAgainToTheByte() throws Exception {
    JsonNode book = null;
    for (JsonNode b : scripts.get("/api/books").body()) {
      book = b.path("revisions").size() == 2 ? b : book;
    }
    assertThat(book).isNotNull();
    String path = "/api/books/" + book.path("id").asString();
    JsonNode first = scripts.get(path + "/revisions/1").body();
    assertThat(book.at("/revisions/0/reason")).isEqualTo(first.path("reason"));
    assertThat(book.at("/revisions/0/time_s").asDouble())
        .isEqualTo(first.at("/lap/time_s").asDouble())
        .isPositive();
    assertThat(book.path("layout"))
        .isEqualTo(
            scripts
                .get("/api/circuits/" + book.path("circuitId").asString() + "/circuit.geojson")
                .body()
                .at("/marvek/layout"));
    try (InputStream in = stored("version-11.book.json")) {
      assertThat(scripts.download(path + "/export")).isEqualTo(in.readAllBytes());
    }
    JsonNode session = scripts.get(path + "/sessions").body().get(0);
    assertThat(session.get("driven").asBoolean(false)).isTrue();
    JsonNode debrief =
        scripts.get("/api/sessions/" + session.path("id").asString() + "/debrief").body();
    assertThat(debrief.path("laps").size()).isPositive();
    String car = "/api/cars/" + book.path("carId").asString();
    assertThat(scripts.get(car + "/sheets").body().at("/0/sheet/name").asString()).isEqualTo("Wet");
  }

  @Test
  void canBeWrittenOn() {
    JsonNode book = scripts.get("/api/books").body().get(0);
    String path = "/api/books/" + book.path("id").asString();
    int newest = book.path("revisions").size();
    Scripts.Answer kept =
        scripts.post(
            path + "/revisions",
            java.util.Map.of("parent", newest, "line", "smooth", "reason", "on the new platform"));
    assertThat(kept.status().value()).as("%s", kept.body()).isEqualTo(201);
  }

  @Test
  void whatWasKeptInWordsIsToldInThem() {
    JsonNode book = scripts.get("/api/books").body().get(0);
    JsonNode check =
        scripts.get("/api/books/" + book.path("id").asString() + "/checks").body().get(0);
    assertThat(check.at("/reason/facts/words").asString()).isEqualTo("oak at 700 m is gone");
    JsonNode change =
        scripts
            .get("/api/circuits/" + book.path("circuitId").asString())
            .body()
            .at("/versions/0/changes/0");
    assertThat(change.at("/said/code").asString()).isEqualTo("as-told");
    assertThat(change.at("/said/facts/words").asString()).isEqualTo("the left kerb is gone");
    assertThat(change.has("text")).isFalse();
    assertThat(change.path("fromM").asDouble()).isEqualTo(80);
  }
}
