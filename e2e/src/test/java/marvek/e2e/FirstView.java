package marvek.e2e;

import java.util.Arrays;
import marvek.server.ServerTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.test.web.server.LocalServerPort;

/**
 * Not a test: measures how long a browser with an empty cache takes from the address to the whole
 * book on the screen, for docs/performance.md. Run with {@code mvn -pl e2e test -Dtest=FirstView
 * -Dbench=true}.
 */
@ServerTest
@EnabledIfSystemProperty(named = "bench", matches = "true")
class FirstView {
  private static final Logger LOG = LoggerFactory.getLogger(FirstView.class);
  private static final int VIEWS = 7;

  @LocalServerPort private int port;

  @Test
  void measure() {
    double[] millis = new double[VIEWS];
    for (int k = 0; k < VIEWS; k++) {
      try (Browser browser = new Browser(port)) {
        browser.forgetFiles();
        browser.openBook();
        millis[k] = browser.largestPaintMillis();
      }
    }
    LOG.warn("first views [ms]: {}", Arrays.toString(millis));
  }
}
