package marvek.e2e;

import java.util.List;
import marvek.server.Scripts;
import marvek.server.ServerTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
import org.springframework.boot.test.web.server.LocalServerPort;

/**
 * Measures the frames while the strip of the road course is scrolled by the wheel, and the first
 * view of its book, for docs/performance.md. Not a test: run with {@code -Dtest=ScrollFrames
 * -Dbench=true}.
 */
@ServerTest
@EnabledIfSystemProperty(named = "bench", matches = "true")
class ScrollFrames {
  private static final Logger LOG = LoggerFactory.getLogger(ScrollFrames.class);

  private static final String SCROLL =
      """
      const done = arguments[0];
      const strip = document.querySelector('[data-strip]');
      const frames = [];
      let last = performance.now();
      const end = last + 5000;
      function frame(now) {
        frames.push(now - last);
        last = now;
        strip.dispatchEvent(new WheelEvent('wheel', {deltaY: -60, bubbles: true, cancelable: true}));
        if (now < end) requestAnimationFrame(frame);
        else done(frames.slice(5).sort((a, b) => a - b));
      }
      requestAnimationFrame(frame);
      """;

  /** Frames while something goes on by itself, or while a pointer is dragged along the traces. */
  private static final String FRAMES =
      """
      const [dragged, done] = arguments;
      const traces = document.querySelector('[data-lap-traces] svg');
      const box = traces.getBoundingClientRect();
      const frames = [];
      let last = performance.now();
      const begin = last;
      function frame(now) {
        frames.push(now - last);
        last = now;
        if (dragged) {
          const share = ((now - begin) % 2000) / 2000;
          traces.dispatchEvent(new PointerEvent('pointermove', {
            pointerType: 'mouse', bubbles: true,
            clientX: box.left + share * (box.width - 60), clientY: box.top + 60}));
        }
        if (now < begin + 5000) requestAnimationFrame(frame);
        else done(frames.slice(5).sort((a, b) => a - b));
      }
      requestAnimationFrame(frame);
      """;

  private static final String PLAN =
      """
      {"event": "Round", "kind": "practice", "startsAt": "2026-06-13T10:20", "length_min": 25,
       "purpose": "practice", "tyres": {"name": "A", "laps": 1, "goodLaps": 60},
       "conditions": {"surface": "dry", "gripUsed": 0.92}}
      """;

  @LocalServerPort private int port;
  @Autowired private TestRestTemplate http;

  private String course(Scripts scripts) {
    String course = "";
    for (var circuit : scripts.get("/api/circuits").body()) {
      course =
          circuit.path("length_m").asDouble(0) > 30_000 ? circuit.path("id").asString() : course;
    }
    return course;
  }

  private static String book(Scripts scripts, String course) {
    String car = scripts.get("/api/cars").body().at("/0/id").asString();
    return scripts.newBook(course, car, "Round");
  }

  /** Two laps of the road course: replayed, and dragged along. */
  @Test
  void measureReplay() {
    Scripts scripts = new Scripts(http);
    String book = book(scripts, course(scripts));
    String session =
        "/api/sessions/"
            + scripts.post("/api/books/" + book + "/sessions", PLAN).body().path("id").asString();
    byte[] laps = scripts.download(session + "/simulated.laps.csv?laps=2&seed=3");
    scripts.upload(session + "/laps", "round.laps.csv", laps);
    String file = scripts.get(session + "/debrief").body().at("/files/0/id").asString();
    try (Browser browser = new Browser(port)) {
      browser.open("/books/" + book + "/laps/beside?lap=" + file + ".2&with=" + file + ".3");
      browser.see("[data-lap-traces]");
      browser.click("[data-replay] button");
      log("two laps of the road course replayed for 5 s", browser, false);
      log("dragged along for 5 s", browser, true);
    }
  }

  private static void log(String what, Browser browser, boolean dragged) {
    @SuppressWarnings("unchecked")
    List<Number> frames = (List<Number>) browser.driver().executeAsyncScript(FRAMES, dragged);
    LOG.warn(
        "{}: {} frames, median {} ms, 95 % below {} ms, longest {} ms",
        what,
        frames.size(),
        frames.get(frames.size() / 2),
        frames.get(frames.size() * 95 / 100),
        frames.get(frames.size() - 1));
  }

  @Test
  void measure() {
    Scripts scripts = new Scripts(http);
    String course = course(scripts);
    String book = book(scripts, course);
    try (Browser browser = new Browser(port)) {
      browser.open("/circuits/" + course);
      browser.see("[data-strip]");
      @SuppressWarnings("unchecked")
      List<Number> frames = (List<Number>) browser.driver().executeAsyncScript(SCROLL);
      LOG.warn(
          "strip scrolled for 5 s: {} frames, median {} ms, 95 % below {} ms, longest {} ms",
          frames.size(),
          frames.get(frames.size() / 2),
          frames.get(frames.size() * 95 / 100),
          frames.get(frames.size() - 1));
    }
    for (int view = 0; view < 5; view++) {
      try (Browser browser = new Browser(port)) {
        browser.open("/books/" + book);
        browser.see("table");
        LOG.warn("first view of the road course's book: {} ms", browser.largestPaintMillis());
      }
    }
  }
}
