package marvek.e2e;

import java.util.List;
import marvek.server.Scripts;
import marvek.server.ServerTest;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.client.TestRestTemplate;
import org.springframework.boot.test.web.server.LocalServerPort;

/**
 * Measures the frames while the strip of the road course is scrolled by the wheel, and the first
 * view of its book. Not one of the tests: run it with {@code -Dtest=ScrollFrames}; it prints.
 */
@ServerTest
class ScrollFrames {
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
      course = circuit.path("length_m").asDouble() > 30_000 ? circuit.path("id").asText() : course;
    }
    String car = scripts.get("/api/cars").body().at("/0/id").asText();
    String book = scripts.newBook(course, car, "Round");
    try (Browser browser = new Browser(port)) {
      browser.open("/circuits/" + course);
      browser.see("[data-strip]");
      @SuppressWarnings("unchecked")
      List<Number> frames = (List<Number>) browser.driver().executeAsyncScript(SCROLL);
      System.out.printf(
          "strip of the road course, scrolled for 5 s: %d frames, median %.1f ms, 95 %% below %.1f ms,"
              + " longest %.1f ms%n",
          frames.size(),
          frames.get(frames.size() / 2).doubleValue(),
          frames.get(frames.size() * 95 / 100).doubleValue(),
          frames.get(frames.size() - 1).doubleValue());
    }
    for (int view = 0; view < 5; view++) {
      try (Browser browser = new Browser(port)) {
        browser.open("/books/" + book);
        browser.see("table");
        System.out.printf(
            "first view of the road course's book: %.0f ms%n", browser.largestPaintMillis());
      }
    }
  }
}
