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

  @LocalServerPort private int port;
  @Autowired private TestRestTemplate http;

  @Test
  void measure() {
    Scripts scripts = new Scripts(http);
    String course = "";
    for (var circuit : scripts.get("/api/circuits").body()) {
      course =
          circuit.path("length_m").asDouble(0) > 30_000 ? circuit.path("id").asString() : course;
    }
    String car = scripts.get("/api/cars").body().at("/0/id").asString();
    String book = scripts.newBook(course, car, "Round");
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
