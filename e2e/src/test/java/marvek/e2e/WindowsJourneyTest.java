package marvek.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.net.httpserver.HttpServer;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import marvek.server.Scripts;
import marvek.server.ServerTest;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
import org.springframework.boot.test.web.server.LocalServerPort;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Several windows, somebody else's pages, the way back, and keys that mean something else. */
@ServerTest
class WindowsJourneyTest {
  private static final String BRAKE = "input[aria-label^='Brake point']";

  /** Tries what a page can: send without asking, read, show in a frame; tells in its title. */
  private static final String FOREIGN_PAGE =
      """
      <!doctype html><title>waiting</title><iframe id="frame" src="ROOT/"></iframe>
      <a href="ROOT/api/sessions.ics">calendar</a>
      <script>
        const form = new FormData();
        form.append('file', new Blob([CAR]), 'a.car.json');
        const done = [];
        const tell = (what) => (ok) => done.push(what + '=' + ok);
        const send = (path, init) => fetch('ROOT' + path, { mode: 'no-cors', ...init });
        Promise.allSettled([
          send('/api/cars/import', { method: 'POST', body: form }).then(tell('form'), () => tell('form')('no')),
          send('CIRCUIT/walk', { method: 'POST' }).then(tell('walk'), () => tell('walk')('no')),
          fetch('ROOT/api/books').then((r) => r.text()).then(tell('read'), () => tell('read')('no')),
        ]).then(() => (document.title = done.sort().join(' ')));
      </script>
      """;

  @LocalServerPort private int port;
  @Autowired private TestRestTemplate http;
  private Browser browser;
  private Scripts scripts;
  private String book;

  @BeforeEach
  void start() {
    browser = new Browser(port);
    scripts = new Scripts(http);
    book = scripts.copyOfTheDemo();
  }

  @AfterEach
  void end() {
    browser.close();
  }

  @Test
  void aPageOfElsewhereStoresNothingReadsNothingAndShowsNothing() throws Exception {
    String circuit = "/api/circuits/" + scripts.get("/api/circuits").body().at("/0/id").asString();
    int cars = scripts.get("/api/cars").body().size();
    HttpServer elsewhere =
        HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
    String page =
        FOREIGN_PAGE
            .replace("ROOT", "http://127.0.0.1:" + port)
            .replace("CIRCUIT", circuit)
            .replace(
                "CAR",
                quoted(new String(Scripts.demo("teal-coupe.car.json"), StandardCharsets.UTF_8)));
    elsewhere.createContext(
        "/",
        exchange -> {
          exchange.getResponseHeaders().add("Content-Type", "text/html;charset=utf-8");
          exchange.sendResponseHeaders(200, 0);
          exchange.getResponseBody().write(page.getBytes(StandardCharsets.UTF_8));
          exchange.close();
        });
    elsewhere.start();
    try {
      browser.openElsewhere("http://localhost:" + elsewhere.getAddress().getPort() + "/");
      browser.waitForTitle("form=no read=no walk=no");
    } finally {
      elsewhere.stop(0);
    }
    assertThat(scripts.get("/api/cars").body()).hasSize(cars);
    assertThat(scripts.get(circuit + "/walk").body().path("id").isNull()).isTrue();
    browser.intoFrame("frame");
    assertThat(browser.count("#app")).as("Marvek in a frame of theirs").isZero();
  }

  private static String quoted(String text) {
    return tools.jackson.databind.node.StringNode.valueOf(text).toString();
  }

  @Test
  void anotherNameForThisMachineOpensNothing() {
    browser.openElsewhere("http://" + Browser.FOREIGN_NAME + ":" + port + "/api/books");
    browser.seeText("body", "Not an address of Marvek");
    browser.openElsewhere("http://" + Browser.FOREIGN_NAME + ":" + port + "/");
    browser.seeText("body", "Not an address of Marvek");
  }

  @Test
  void eachWindowHasADraftOfItsOwnAndIsOfferedTheOther() {
    browser.open("/books/" + book + "/corner/1");
    int before = Integer.parseInt(browser.value(BRAKE));
    browser.type(BRAKE, String.valueOf(before + 10));
    browser.seeText("aside[aria-label=Draft]", "1 change");

    String first = browser.anotherWindow();
    browser.open("/books/" + book + "/corner/1");
    browser.seeText("[data-other-draft]", "1 change");
    assertThat(browser.value(BRAKE)).as("the kept value").isEqualTo(String.valueOf(before));
    browser.type(BRAKE, String.valueOf(before + 4));
    browser.seeText("aside[aria-label=Draft]", "1 change");

    String second = browser.nameOfWindow();
    browser.toWindow(first);
    browser.reload();
    browser.seeText("aside[aria-label=Draft]", "1 change");
    browser.seeValue(BRAKE, String.valueOf(before + 10));

    browser.toWindow(second);
    browser.press("Take it over here");
    browser.seeValue(BRAKE, String.valueOf(before + 10));
    browser.press("Undo");
    browser.seeValue(BRAKE, String.valueOf(before + 4));
  }

  @Test
  void theScreenShowsTheBookOfItsAddressHoweverOneComesThere() {
    JsonNode books = scripts.get("/api/books").body();
    String other = "";
    for (JsonNode each : books) {
      if (each.path("car").asString().contains("Kestrel")
          && each.path("circuit").asString().contains("Harrowfen")) {
        other = each.path("id").asString();
      }
    }
    browser.open("/books/" + book);
    browser.seeText("h1", "Teal Coupé");
    browser.follow("a[href='/shelf']");
    browser.follow("main a[href='/books/" + other + "']");
    browser.seeText("h1", "Kestrel Litre");
    browser.back();
    browser.seePresent("main a[href='/books/" + other + "']");
    browser.back();
    browser.seeText("h1", "Teal Coupé");
    assertThat(browser.path()).startsWith("/books/" + book);
    browser.forward();
    browser.forward();
    browser.seeText("h1", "Kestrel Litre");
    // What is edited is that book's too.
    browser.open("/books/" + book + "/corner/1");
    browser.seeText("header", "Teal Coupé");
  }

  @Test
  void anotherSessionOfTheSameBookIsAnotherScreen() {
    JsonNode sessions = scripts.get("/api/books/" + book + "/sessions").body();
    String path = "/books/" + book + "/sessions/";
    browser.open(path + sessions.at("/0/id").asString() + "/prepare");
    browser.see("[data-changes], main h1");
    String first = browser.text("h1");
    browser.goTo(path + sessions.at("/1/id").asString() + "/prepare");
    browser.seeOther("h1", first);
    browser.back();
    browser.seeText("h1", first);
  }

  @Test
  void keysWithAModifierAndKeysOnTabsAreNoShortcuts() {
    JsonNode sessions = scripts.get("/api/books/" + book + "/sessions").body();
    String wet = sessions.at("/" + (sessions.size() - 1) + "/id").asString();
    browser.open("/books/" + book + "/sessions/" + wet + "/prepare");
    browser.see("[data-changes]");
    String open = browser.text("[aria-label='Changed pages']");
    browser.key(Keys.chord(Keys.CONTROL, "a"));
    browser.key(Keys.chord(Keys.SHIFT, "a"));
    browser.seeNoMore("[aria-busy=true]");
    assertThat(browser.text("[aria-label='Changed pages']")).isEqualTo(open);
    assertThat(scripts.get("/api/sessions/" + wet).body().at("/session/decisions").isEmpty())
        .isTrue();

    String lead = "/books/" + book + "/sessions/" + wet + "/lead";
    browser.open(lead);
    browser.click("#lead-group");
    browser.key(Keys.ARROW_RIGHT);
    browser.see("#lead-cones[aria-selected=true]");
    browser.key(Keys.END);
    browser.see("#lead-sheets[aria-selected=true]");
    browser.key(Keys.ARROW_RIGHT);
    browser.see("#lead-road[aria-selected=true]");
    assertThat(browser.path()).isEqualTo(lead);
  }

  @Test
  void aSessionChangedElsewhereIsLaidBesideWhatIsTyped() {
    String id = scripts.get("/api/books/" + book + "/sessions").body().at("/0/id").asString();
    browser.open("/books/" + book + "/sessions/" + id);
    browser.seeText("[data-keeping]", "Kept");
    JsonNode kept = scripts.get("/api/sessions/" + id).body();
    ObjectNode theirs = (ObjectNode) kept.path("session").deepCopy();
    scripts.put("/api/sessions/" + id, theirs.put("event", "Their meeting"));
    browser.type("input[aria-label='Event']", "My meeting");
    browser.seeText("[data-stale]", "Their meeting");
    browser.seeText("[data-stale]", "My meeting");
    assertThat(scripts.get("/api/sessions/" + id).body().at("/session/event").asString())
        .isEqualTo("Their meeting");
    browser.press("Keep mine over it");
    browser.seeText("[data-keeping]", "Kept");
    assertThat(scripts.get("/api/sessions/" + id).body().at("/session/event").asString())
        .isEqualTo("My meeting");
  }

  @Test
  void aLapToldElsewhereIsLaidBesideTheOneToldHere() {
    browser.open("/books/" + book + "/steps");
    browser.see("[data-steps]");
    String steps = "/api/books/" + book + "/revisions/2/steps";
    JsonNode begun = null;
    for (JsonNode step : scripts.get(steps).body()) {
      begun = step.path("begun").asBoolean(false) && begun == null ? step : begun;
    }
    String corner = begun.path("corner").asString();
    String seen = "\"" + begun.path("edition").asString() + "\"";
    scripts.post(steps + "/" + corner, Map.of("word", "made"), seen);
    browser.press("Missed", "[data-step='" + corner + "']");
    browser.seeText("[data-stale]", "missed");
    String state = "[data-step='" + corner + "'] [data-state]";
    String theirs = browser.text(state);
    browser.seeText("[data-stale]", theirs);
    browser.press("Tell mine too");
    browser.seeNoMore("[data-stale]");
    browser.seeOther(state, theirs);
  }
}
