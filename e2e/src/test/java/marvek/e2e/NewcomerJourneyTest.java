package marvek.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import marvek.server.ServerTest;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Somebody who got Marvek an hour ago, with a telephone: own circuit, own car, first page. */
@ServerTest
class NewcomerJourneyTest {
  @LocalServerPort private int port;
  @TempDir private Path folder;
  private Browser browser;

  @BeforeEach
  void start() {
    browser = new Browser(port);
    browser.size(390, 844);
  }

  @AfterEach
  void end() {
    browser.close();
  }

  private void fact(String name, String value) {
    browser.type("[data-field='" + name + "'] input", value);
  }

  @Test
  void fromATrackOfATelephoneAndTenFactsToAPageWithAMark() throws IOException {
    Path lap = folder.resolve("walk.gpx");
    Files.writeString(lap, Laps.gpx(2.2));
    browser.open("/shelf");
    browser.click("[data-step='1'] a.btn");
    browser.chooseFile("input[data-take='circuit']", lap);
    browser.seeText("main", "the median of its 2 whole laps is used");
    browser.type("input[aria-label='Name']", "My own place");
    browser.seeText("[data-preview] h2", "My own place");
    browser.click("[data-take-in]");
    browser.see("[data-strip]");

    browser.click("header a[href='/shelf']");
    browser.click("[data-step='2'] a.btn");
    browser.type("[data-field=Name] input", "My own hatch");
    fact("Mass without driver and fuel", "1040");
    fact("Power", "100");
    fact("at", "6500");
    fact("Limiter", "7000");
    fact("Gears", "5");
    fact("Top speed", "198");
    browser.seeText("[data-made]", "198 km/h");
    browser.click("[data-take-car]");

    browser.seePresent("#car");
    browser.chooseWords("#circuit", "My own place");
    browser.chooseWords("#car", "My own hatch");
    browser.press("Compute the reference");
    browser.seeText("h1", "My own place");
    browser.seeText("[data-marks-wanted]", "want a mark");
    browser.click("[data-marks-wanted] a");
    browser.seeText("h1", "turn ");
    browser.seeText("article", "No mark is seen in time");
    int half = browser.see("[data-margin=LEFT]").getRect().height / 2;
    browser.clickAt("[data-margin=LEFT]", 0, half - 60);
    browser.click("[data-kind=MARSHAL_POST]");
    browser.seeText("[data-noted]", "One mark noted");
    browser.press("Tell the pages by them");
    browser.seeText("article", "past the post, left");
    assertThat((Long) browser.driver().executeScript("return document.documentElement.scrollWidth"))
        .isLessThanOrEqualTo(390);
  }
}
