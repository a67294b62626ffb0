package marvek.server.laps;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.UUID;
import marvek.core.say.Sentence;
import marvek.server.Scripts;
import marvek.server.ServerTest;
import marvek.server.accounts.CurrentDriver;
import marvek.server.books.Books;
import marvek.server.sessions.Sessions;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;

/** How columns were named is remembered for who named them, and for nobody else. */
@ServerTest
class RememberedColumnsTest {
  @Autowired private TestRestTemplate http;
  @Autowired private Laps laps;
  @Autowired private Debriefs debriefs;
  @Autowired private Sessions sessions;
  @Autowired private CurrentDriver driver;

  @Test
  void columnsAreRememberedForWhoNamedThem() {
    Scripts scripts = new Scripts(http);
    String book = scripts.copyOfTheDemo();
    UUID session =
        UUID.fromString(
            scripts.get("/api/books/" + book + "/sessions").body().at("/0/id").asString());
    String path = "/api/sessions/" + session + "/simulated.laps.csv?laps=2";
    byte[] foreign =
        new String(scripts.download(path), StandardCharsets.UTF_8)
            .replaceFirst("time_s", "Takt " + UUID.randomUUID())
            .getBytes(StandardCharsets.UTF_8);
    String header = new String(foreign, StandardCharsets.UTF_8).split(",", 2)[0];
    Books.Computed computed = debriefs.computed(sessions.get(session));
    laps.add(
        session,
        computed,
        new IncomingLaps(
            "a.csv",
            () -> new ByteArrayInputStream(foreign),
            Map.of(header, "time_s"),
            0,
            IncomingLaps.Whose.OWN));
    UUID bookId = UUID.fromString(book);
    IncomingLaps again = IncomingLaps.of("b.csv", foreign);
    Laps.Preview own = laps.preview(bookId, computed, again);
    assertThat(own.remembered()).isTrue();
    assertThat(own.laps()).isNotNull();
    Laps.Preview theirs = driver.as(UUID.randomUUID(), () -> laps.preview(bookId, computed, again));
    assertThat(theirs.remembered()).isFalse();
    assertThat(theirs.columns().missing())
        .extracting(Sentence::words)
        .containsExactly("no column of times is known");
  }
}
