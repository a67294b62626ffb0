package marvek.server;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.persistence.EntityManagerFactory;
import java.util.Map;
import org.hibernate.SessionFactory;
import org.hibernate.stat.Statistics;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
import tools.jackson.databind.JsonNode;

/** What reading costs the database, and what lists say of what is stored. */
@ExtendWith(StartedServer.class)
class ReadingTest {
  @Autowired private TestRestTemplate client;
  @Autowired private EntityManagerFactory entities;
  private Scripts scripts;

  @BeforeEach
  void scripts() {
    scripts = new Scripts(client);
  }

  private long statements(String path) {
    Statistics statistics = entities.unwrap(SessionFactory.class).getStatistics();
    statistics.setStatisticsEnabled(true);
    statistics.clear();
    assertThat(scripts.get(path).status().is2xxSuccessful()).as(path).isTrue();
    long count = statistics.getPrepareStatementCount();
    statistics.setStatisticsEnabled(false);
    return count;
  }

  /** A list asks the same few questions however many entries it has. */
  @ParameterizedTest
  @ValueSource(strings = {"/api/books", "/api/circuits", "/api/cars", "/api/sessions"})
  void aListAsksFewQuestions(String list) {
    scripts.copyOfTheDemo();
    long before = statements(list);
    assertThat(before).isBetween(1L, 4L);
    scripts.copyOfTheDemo();
    assertThat(statements(list)).isEqualTo(before);
  }

  /** No document is read for a list: of a revision only its head. */
  @Test
  void aListReadsNoDocuments() {
    String book = "/api/books/" + scripts.copyOfTheDemo();
    Statistics statistics = entities.unwrap(SessionFactory.class).getStatistics();
    statistics.setStatisticsEnabled(true);
    statistics.clear();
    scripts.get("/api/books");
    scripts.get(book);
    scripts.get("/api/circuits");
    scripts.get("/api/cars");
    assertThat(statistics.getEntityStatistics("marvek.server.books.Revision").getLoadCount())
        .isZero();
    assertThat(
            statistics.getEntityStatistics("marvek.server.circuits.StoredCircuit").getLoadCount())
        .isZero();
    assertThat(statistics.getEntityStatistics("marvek.server.cars.StoredCar").getLoadCount())
        .isZero();
    statistics.setStatisticsEnabled(false);
  }

  /** What a list says of a revision is what its document says. */
  @Test
  void aHistoryIsThatOfTheDocuments() {
    String book = "/api/books/" + scripts.copyOfTheDemo();
    scripts.post(
        book + "/revisions", Map.of("parent", 2, "line", "smooth", "reason", "  for the list  "));
    JsonNode lines = scripts.get(book).body().path("revisions");
    assertThat(lines.size()).isEqualTo(3);
    for (JsonNode line : lines) {
      JsonNode document = scripts.get(book + "/revisions/" + line.path("number").asInt()).body();
      assertThat(line.path("reason")).isEqualTo(document.path("reason"));
      assertThat(line.path("time_s").asDouble())
          .isEqualTo(document.at("/lap/time_s").asDouble())
          .isPositive();
      assertThat(line.path("createdAt")).isEqualTo(document.path("createdAt"));
    }
    assertThat(lines.get(2).path("reason").asString()).isEqualTo("for the list");
  }
}
