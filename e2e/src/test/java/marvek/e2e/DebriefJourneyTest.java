package marvek.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.selenium.AxeBuilder;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import marvek.server.Scripts;
import marvek.server.ServerTest;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.client.TestRestTemplate;
import org.springframework.boot.test.web.server.LocalServerPort;

/** After a session: a logger's file in, what happened, what it cost. */
@ServerTest
class DebriefJourneyTest {
  @LocalServerPort private int port;
  @Autowired private TestRestTemplate http;
  @TempDir private Path folder;
  private Browser browser;
  private Scripts scripts;
  private String book;
  private String session;

  /** A copy of the demo's book with its weekend, so that nobody else's changes matter. */
  @BeforeEach
  void start() {
    browser = new Browser(port);
    scripts = new Scripts(http);
    String demo = scripts.get("/api/books").body().at("/0/id").asText();
    byte[] file = scripts.download("/api/books/" + demo + "/export");
    String id = scripts.upload("/api/books/import", "d.book.json", file).body().path("id").asText();
    book = "/books/" + id;
    session = scripts.get("/api" + book + "/sessions").body().at("/0/id").asText();
  }

  @AfterEach
  void end() {
    browser.close();
  }

  private Path simulated(int laps) throws IOException {
    Path file = folder.resolve("practice.laps.csv");
    String path = "/api/sessions/" + session + "/simulated.laps.csv?seed=4&laps=" + laps;
    return Files.write(file, scripts.download(path));
  }

  @Test
  void aFileIsReadCornerByCornerAndHabitsAreFound() throws IOException {
    browser.open(book + "/sessions/" + session + "/debrief");
    browser.seeText("main", "No laps yet");
    browser.chooseFile("[data-laps-in]", simulated(5));
    browser.see("[data-findings]");
    assertThat(browser.text("[data-lap-chips]"))
        .contains("1 out")
        .contains("best")
        .contains("7 in");
    assertThat(browser.count("[data-corners] tbody tr")).isEqualTo(13);
    assertThat(browser.text("[data-findings]"))
        .contains("early")
        .contains("too slow at the lowest place")
        .contains("a lap, by the model");
    assertThat(browser.count("[data-scatter] .tick")).isGreaterThanOrEqualTo(10);

    // The line of the best lap lies over the road; it is drawn and so has no text to wait for.
    browser.seePresent("[data-line^='lap ']");
    browser.click("[data-corner='9'] button");
    browser.seeText("h2", "9 Quarry");
    // Of two laps nothing is said to be a habit.
    for (int lap = 2; lap <= 4; lap++) {
      browser.click("[data-lap-chips] li:nth-child(" + lap + ") button");
    }
    browser.seeText("main", "Three laps that count");
    List<String> serious =
        new AxeBuilder()
            .analyze(browser.driver()).getViolations().stream()
                .filter(rule -> List.of("serious", "critical").contains(rule.getImpact()))
                .map(rule -> rule.getId())
                .toList();
    assertThat(serious).isEmpty();

    browser.click("[data-file='practice.laps.csv']");
    browser.press("Take practice.laps.csv out");
    browser.seeText("main", "No laps yet");
  }

  @Test
  void whatIsNoLapIsRefusedWithWords() throws IOException {
    browser.open(book + "/sessions/" + session + "/debrief");
    browser.seeText("main", "No laps yet");
    Path words = Files.writeString(folder.resolve("words.csv"), "corner,remark\n4,late\n");
    browser.chooseFile("[data-laps-in]", words);
    browser.seeText("[role=alert]", "no column of times is known; found corner, remark");
    Path file = simulated(1);
    browser.chooseFile("[data-laps-in]", file);
    browser.see("[data-corners]");
    browser.chooseFile("[data-laps-in]", file);
    browser.seeText("[role=alert]", "This very file is in already");
  }
}
