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
import org.openqa.selenium.Keys;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
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
    String id = scripts.copyOfTheDemo();
    book = "/books/" + id;
    session = scripts.get("/api" + book + "/sessions").body().at("/0/id").asString();
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

  private Path simulated(String kind, String name) throws IOException {
    String path = "/api/sessions/" + session + "/simulated.laps.csv?seed=4&laps=6&kind=" + kind;
    return Files.write(folder.resolve(name), scripts.download(path));
  }

  /** Looks at a file and takes it as it is. */
  private void bringIn(Path file) {
    browser.chooseFile("[data-laps-in]", file);
    browser.see("[data-previewed]");
    browser.press("Bring the laps in");
    browser.seeNoMore("[role=dialog]");
    browser.see("[data-file='" + file.getFileName() + "']");
  }

  /** A lap's path becomes the line of the book, as a draft that is undone like any other. */
  @Test
  void aLapIsTakenAsTheLine() throws IOException {
    browser.open(book + "/sessions/" + session + "/debrief");
    bringIn(simulated(2));
    browser.click("[data-lap='2']");
    browser.clickWords("[role=menuitem]", "Its path as the line of the book");
    browser.seeText("[data-traced]", "positions");
    browser.seeText("aside", "1 change");
    browser.seeValue("[data-line-choice]", "own");
    Path nothing = Files.writeString(folder.resolve("nothing.csv"), "time_s,speed_kmh\n1,2\n");
    browser.chooseFile("[data-own-line]", nothing);
    browser.seeText("main", "neither x_m and y_m nor lat_deg and lon_deg");
    browser.seeValue("[data-line-choice]", "own");
    browser.clickWords("button", "Undo");
    browser.seeNoMore("[data-traced]");
    browser.seeValue("[data-line-choice]", "fastest");
  }

  @Test
  void aFileIsReadCornerByCornerAndHabitsAreFound() throws IOException {
    browser.open(book + "/sessions/" + session + "/debrief");
    browser.seeText("main", "No laps yet");
    bringIn(simulated(5));
    browser.see("[data-findings]");
    assertThat(browser.text("[data-lap-chips]"))
        .contains("1 out")
        .contains("best")
        .contains("7 in");
    browser.seeCount("[data-corners] tbody tr", 13);
    assertThat(browser.text("[data-findings]"))
        .contains("early")
        .contains("over-slowed by")
        .contains("to your own best there");
    assertThat(browser.count("[data-scatter] .tick")).isGreaterThanOrEqualTo(10);

    // The line of the best lap lies over the road; it is drawn and so has no text to wait for.
    browser.seePresent("[data-line^='lap ']");
    browser.click("[data-corner='9'] button");
    browser.seeText("[data-corner-title]", "9 Quarry");
    // Two laps are told, and nothing of them is said to be a habit.
    for (int lap = 2; lap <= 4; lap++) {
      browser.click("[data-lap='" + lap + "']");
      browser.clickWords("[role=menuitemradio]", "Does not count: off");
      browser.seeText("[data-lap='" + lap + "']", "off or stopped");
    }
    browser.seeText("main", "Three laps that count");
    browser.click("[data-lap-told] summary");
    browser.seeText("[data-lap-told]", "to the page");
    browser.seePresent("[data-told]");
    List<String> serious =
        new AxeBuilder()
            .analyze(browser.driver()).getViolations().stream()
                .filter(rule -> List.of("serious", "critical").contains(rule.getImpact()))
                .map(rule -> rule.getId())
                .toList();
    assertThat(serious).isEmpty();

    browser.click("[data-file='practice.laps.csv']");
    browser.press("Put practice.laps.csv away");
    browser.seeText("main", "No laps yet");
  }

  @Test
  void whatIsNoLapIsRefusedWithWords() throws IOException {
    browser.open(book + "/sessions/" + session + "/debrief");
    browser.seeText("main", "No laps yet");
    Path words = Files.writeString(folder.resolve("words.csv"), "corner,remark\n4,late\n");
    browser.chooseFile("[data-laps-in]", words);
    browser.seeText("[role=dialog]", "no column of times is known");
    browser.press("Leave it");
    browser.seeNoMore("[role=dialog]");
    Path binary = Files.write(folder.resolve("binary.csv"), new byte[] {80, 75, 3, 4, 0, 0, 0});
    browser.chooseFile("[data-laps-in]", binary);
    browser.seeText("[role=alert]", "This is a zip without a file in it, or another binary file");
    Path file = simulated(1);
    bringIn(file);
    browser.see("[data-corners]");
    browser.chooseFile("[data-laps-in]", file);
    browser.see("[data-previewed]");
    browser.press("Bring the laps in");
    browser.seeText("[role=alert]", "This very file is in already");
  }

  /** The demo's own practice: six habits, each in its corner, the costliest first. */
  @Test
  void theDemosPracticeShowsItsSixHabits() {
    String demo = scripts.get("/api/books").body().at("/0/id").asString();
    String practice = scripts.get("/api/books/" + demo + "/sessions").body().at("/1/id").asString();
    browser.open("/books/" + demo + "/sessions/" + practice + "/debrief");
    browser.see("[data-findings]");
    browser.seeCount("[data-findings] [data-finding]", 3);
    browser.click("[data-more] summary");
    // The dearest finding of each corner is the habit that was planted there.
    for (String habit :
        List.of(
            "1 braked-early",
            "2 over-slowed",
            "4 late-throttle",
            "8 throttle-twice",
            "9 missed-apex",
            "13 other-gear")) {
      String corner = habit.substring(0, habit.indexOf(' ') + 1);
      assertThat(browser.attribute("[data-finding^='" + corner + "']", "data-finding"))
          .isEqualTo(habit);
      assertThat(browser.text("[data-finding='" + habit + "']")).contains("on 12 of 12 laps");
    }

    // Two laps along the corner, the best one beside the page.
    browser.click("#debrief-along");
    browser.see("[data-along] svg");
    browser.seeText("[data-along]", "behind");
  }

  /** A driver says what he felt before he looks, and then sees it beside what the laps say. */
  @Test
  void aDriverSaysItHimselfFirst() throws IOException {
    scripts.upload("/api/sessions/" + session + "/laps", "a.csv", Files.readAllBytes(simulated(5)));
    browser.open(book + "/sessions/" + session + "/debrief");
    browser.see("[data-findings]");
    String dearest = browser.attribute("[data-finding]", "data-finding");
    String corner = dearest.substring(0, dearest.indexOf(' '));
    String cause = dearest.substring(dearest.indexOf(' ') + 1);
    browser.press("Say it yourself first");
    browser.seeNoMore("[data-findings]");
    browser.choose("[data-guesses] [aria-label='Corner']", corner);
    browser.choose("[data-guesses] [aria-label='What']", cause);
    browser.press("Say it", "[data-guesses] form");
    browser.see("[data-guess='" + dearest + "']");
    browser.press("Show what the laps say", "[data-guesses]");
    browser.seeText("[data-guess]", "the laps say so too");
    browser.see("[data-findings]");
    browser.press("Take back", "[data-guess]");
    browser.seeNoMore("[data-guesses]");
  }

  @Test
  void aFindingIsDismissedWithAReasonAndARemarkStandsBesideIt() throws IOException {
    scripts.upload("/api/sessions/" + session + "/laps", "a.csv", Files.readAllBytes(simulated(4)));
    browser.open(book + "/sessions/" + session + "/debrief");
    browser.see("[data-findings]");
    int before = browser.count("[data-finding]");
    browser.press("Dismiss", "[data-finding]");
    browser.set("[aria-label='Why it is dismissed']", "Traffic in that corner");
    browser.press("Dismiss for these laps");
    browser.seeText("[data-dismissed] summary", "1 dismissed");
    browser.seeCount("[data-finding]", before - 1);
    browser.reload();
    browser.click("[data-dismissed] summary");
    browser.seeText("[data-dismissed]", "Traffic in that corner");
    browser.press("Show again");
    browser.seeNoMore("[data-dismissed]");
    browser.seeCount("[data-finding]", before);

    browser.click("#debrief-remarks");
    browser.choose("[aria-label='Who says it']", "coach");
    browser.set("[aria-label^='Remark on corner']", "Look at the inside sooner");
    browser.press("Say it", "[data-say-remark]");
    browser.seeText("[data-remarks]", "Coach: Look at the inside sooner");
    browser.click("#debrief-history");
    browser.seeText("[data-history]", "Practice of");
  }

  @Test
  void aForeignHeaderIsMappedOnce() throws IOException {
    Path file = simulated(1);
    String foreign =
        Files.readString(file).replaceFirst("time_s,x_m,y_m,speed_mps", "Zeit,Ost,Nord,Fahrt");
    Path other = Files.writeString(folder.resolve("other.csv"), foreign);
    browser.open(book + "/sessions/" + session + "/debrief");
    browser.seeText("main", "No laps yet");
    browser.chooseFile("[data-laps-in]", other);
    browser.see("[data-columns]");
    browser.seeText("[role=dialog]", "no column of times is known");
    browser.choose("[aria-label='Zeit is']", "time_s");
    browser.choose("[aria-label='Ost is']", "x_m");
    browser.choose("[aria-label='Nord is']", "y_m");
    browser.choose("[aria-label='Fahrt is']", "speed_mps");
    browser.see("[data-previewed]");
    browser.press("Bring the laps in");
    browser.see("[data-corners]");
    // The next file with that header needs no words.
    Path next = Files.writeString(folder.resolve("next.csv"), foreign + "\n");
    browser.chooseFile("[data-laps-in]", next);
    browser.seeText("[role=dialog]", "as you named them the last time");
    browser.press("Bring the laps in");
    browser.see("[data-file='next.csv']");
  }

  /** A receiver's file: places on the earth, no pedals. */
  @Test
  void positionsOnTheEarthAreLaidOnTheRoad() throws IOException {
    String path = "/api/sessions/" + session + "/simulated.laps.csv?kind=position&laps=4";
    Path file = Files.write(folder.resolve("receiver.csv"), scripts.download(path));
    assertThat(Files.readString(file)).startsWith("time_s,lat_deg,lon_deg,speed_mps");
    browser.open(book + "/sessions/" + session + "/debrief");
    browser.seeText("main", "No laps yet");
    bringIn(file);
    browser.see("[data-corners]");
    browser.click("[data-file='receiver.csv']");
    browser.seeText(
        "[data-popover-content]", "Without a brake sensor braking is told by the deceleration");
    browser.click("[data-file='receiver.csv']");
    browser.seePresent("[data-line^='lap ']");
  }

  /**
   * A telephone's log, a table whose channels come at their own rates below lines of another kind,
   * and one whose positions come late: each is shown with what is put right, and read right.
   */
  @Test
  void filesAsTheyComeAreShownPutRightAndRead() throws IOException {
    browser.open(book + "/sessions/" + session + "/debrief");
    browser.seeText("main", "No laps yet");
    browser.chooseFile("[data-laps-in]", simulated("telephone", "walk.nmea"));
    browser.seeText("[data-previewed]", "a receiver’s log (NMEA 0183)");
    browser.seeText("[data-kinds]", "6 flying laps");
    browser.seeText("[role=dialog]", "brake points are not told");
    browser.press("Leave it");
    browser.seeNoMore("[role=dialog]");
    browser.seeText("main", "No laps yet");

    browser.chooseFile("[data-laps-in]", simulated("mixed", "mixed.csv"));
    browser.seeText("[data-corrections]", "The row of headers is line 5");
    browser.seeText("[data-corrections]", "brake 20, throttle 20");
    // Somebody points at a wrong row, is told, and points back.
    browser.click("[data-header-lines] summary");
    browser.click("[data-header-lines] li:nth-child(2) input");
    browser.seeText("[role=dialog] .text-warning", "no column of times is known");
    browser.click("[data-header-lines] li:nth-child(4) input");
    browser.see("[data-previewed]");
    browser.press("Leave it");
    browser.seeNoMore("[role=dialog]");

    browser.chooseFile("[data-laps-in]", simulated("late", "late.csv"));
    browser.seeText("[data-moved]", "Lag of the positions 3");
    browser.seeText("[data-corrections]", "behind the car's other channels: put right");
    browser.seeText("[data-corrections]", "south-east of where the road is: brought back");
    browser.press("Bring the laps in");
    browser.see("[data-findings]");
    browser.seeText("[data-best]", "slower than the page");
  }

  /** A stint with a flag and a stop; and somebody else's laps, which are not taken with it. */
  @Test
  void slowLapsDoNotCountAndTwoDriversAreNeverPooled() throws IOException {
    browser.open(book + "/sessions/" + session + "/debrief");
    browser.seeText("main", "No laps yet");
    bringIn(simulated("stint", "stint.csv"));
    browser.seeText("[data-lap='4']", "slow");
    browser.seeText("[data-lap='6']", "off or stopped");
    browser.click("[data-lap='4']");
    browser.clickWords("[role=menuitemradio]", "Counts");
    browser.seeTextNoMore("[data-lap='4']", "slow");
    browser.chooseFile("[data-laps-in]", simulated("rough", "theirs.csv"));
    browser.see("[data-previewed]");
    browser.set("[data-whose-driver]", "R. Quill");
    browser.press("Bring the laps in");
    browser.seeText("[aria-label='Whose laps'] [aria-pressed=true]", "R. Quill");
    browser.seeNoMore("[data-file='stint.csv']");
    browser.click("[data-driver='you']");
    browser.see("[data-file='stint.csv']");
    browser.seeNoMore("[data-file='theirs.csv']");
  }

  /** The session was planned for rain, and the sun came out: its laps are read on dry pages. */
  @Test
  void aSessionThatWasDryAfterAllIsReadOnDryPages() throws IOException {
    Path dry = simulated(4);
    String wet = scripts.get("/api" + book + "/sessions").body().at("/1/id").asString();
    scripts.post("/api/sessions/" + wet + "/issue", java.util.Map.of("reason", "rain"), "*");
    browser.open(book + "/sessions/" + wet + "/debrief");
    browser.seeText("main", "No laps yet");
    bringIn(dry);
    browser.seeText("[data-seems]", "The laps go with a dry road, and the page is for a wet one");
    browser.see("[data-findings-wait]");
    browser.press("It was dry after all");
    browser.seeNoMore("[data-seems]");
    browser.see("[data-findings]");
    browser.seeText("[data-best]", "slower than the page");
  }

  /** Laps to the next revision: two proposals accepted, the revision kept, its card printed. */
  @Test
  void proposalsBecomeTheNextRevisionAndItsCard() throws IOException {
    scripts.upload("/api/sessions/" + session + "/laps", "a.csv", Files.readAllBytes(simulated(6)));
    browser.open(book + "/sessions/" + session + "/review");
    browser.see("[data-proposals]");
    browser.press("Accept", "[data-proposals] li");
    browser.press("Accept", "[data-judgements] li");
    browser.seeText("form", "2 accepted on 2 pages");
    browser.press("Keep as revision 3");
    browser.seeText("[data-kept]", "Revision 3 is kept");
    var revision = scripts.get("/api" + book + "/revisions/3").body();
    String corner = "";
    for (var page : revision.path("pages")) {
      boolean measured = page.path("sources").toString().contains("measured");
      corner = measured ? page.path("corner").asString() : corner;
    }
    assertThat(corner).isNotEmpty();
    byte[] card = scripts.download("/api" + book + "/revisions/3/card.pdf");
    assertThat(new String(card, 0, 5, java.nio.charset.StandardCharsets.US_ASCII))
        .isEqualTo("%PDF-");
    browser.open(book + "/corner/" + corner);
    browser.seeText("[data-laps-behind]", "Measured: Practice of");
  }

  /** The car by its laps: chosen values, what they do to the lap, and a car of their own. */
  @Test
  void aCarOfTheLapsIsKeptWithABook() throws IOException {
    scripts.upload("/api/sessions/" + session + "/laps", "a.csv", Files.readAllBytes(simulated(4)));
    browser.open(book + "/sessions/" + session + "/review");
    browser.seeText("[data-car-value='power 0']", "Power");
    browser.seeText("[data-predicted]", "Driven: best");
    // By the keyboard: the bar with what is accepted lies over the lowest lines.
    browser.see("[data-car-value='grip-across 0'] input").sendKeys(Keys.SPACE);
    browser.seeText("[data-predicted]", "slower");
    browser.see("[data-car-of-laps] > button").sendKeys(Keys.ENTER);
    browser.type("[data-name]", "Measured coupé");
    browser.press("Keep the name");
    browser.seeText("h1", "Measured coupé");
    assertThat(browser.path()).endsWith("/car");
  }

  /** Hands, feet and edges of a corner, lap by lap. */
  @Test
  void handsFeetAndEdgesAreToldLapByLap() throws IOException {
    scripts.upload("/api/sessions/" + session + "/laps", "a.csv", Files.readAllBytes(simulated(2)));
    browser.open(book + "/sessions/" + session + "/debrief");
    browser.see("[data-findings]");
    browser.press("Hands, feet, edges");
    browser.seeText("[data-work-of='2']", "quiet");
    browser.seeText("[data-work-of='2']", "cm");
    browser.press("Two laps");
    browser.seeText("[data-along]", "wheel, up is left");
  }

  @Test
  void lapsAppearWhileTheyAreDriven() {
    browser.open(book + "/sessions/" + session + "/debrief");
    browser.seeText("main", "No laps yet");
    scripts.post(
        "/api/sessions/" + session + "/live", "{\"laps\": 2, \"seed\": 5, \"timesFaster\": 60}");
    browser.reload();
    browser.see("[data-corners]");
    browser.see("[data-file='live.laps.csv']");
  }
}
