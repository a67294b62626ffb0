package marvek.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import marvek.server.Scripts;
import marvek.server.ServerTest;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
import org.springframework.boot.test.web.server.LocalServerPort;
import tools.jackson.databind.JsonNode;

/** A newcomer's shelf: where he stands, and things that are called otherwise, put away and back. */
@ServerTest
class ShelfJourneyTest {
  @LocalServerPort private int port;
  @Autowired private TestRestTemplate http;

  private String nameOfFirst(Browser browser) {
    return browser.driver().findElement(By.cssSelector("[data-step='1']")).getText();
  }

  private void more(Browser browser, String thing, String item) {
    browser.clickWords("[data-more]", "More with " + thing);
    browser.clickWords("[role=menuitem]", item);
  }

  @Test
  void aNewcomerMakesHisCarFromTenFactsOnATelephone() {
    try (Browser browser = new Browser(port)) {
      browser.size(390, 844);
      browser.open("/cars/new");
      browser.see("[data-facts]");
      browser.type("[data-field=Name] input", "My hatch");
      fact(browser, "Mass without driver and fuel", "1000");
      fact(browser, "Power", "96");
      fact(browser, "at", "6800");
      fact(browser, "Limiter", "6500");
      fact(browser, "Gears", "5");
      fact(browser, "Top speed", "900");
      browser.seeText("[data-field='Top speed']", "cannot be");
      fact(browser, "Top speed", "204");
      browser.seeText("[data-field=Limiter]", "must not be below");
      fact(browser, "Limiter", "7300");
      fact(browser, "0 to 100 km/h, if known", "8");
      browser.seeText("[data-made]", "8.0 s");
      browser.seeText("[data-made]", "204 km/h");
      fact(browser, "Grip sideways", "1.31");
      browser.seeText("[data-made]", "yours");
      browser.click("[data-take-car]");
      browser.seePresent("#car");
    }
    Scripts scripts = new Scripts(http);
    JsonNode cars = scripts.get("/api/cars").body();
    JsonNode mine = cars.get(cars.size() - 1);
    assertThat(mine.path("name").asString()).isEqualTo("My hatch");
    JsonNode document = scripts.get("/api/cars/" + mine.path("id").asString()).body();
    assertThat(document.at("/tyre/muLateral").asDouble(0)).isEqualTo(1.31);
    assertThat(document.at("/gearbox/ratios")).hasSize(5);
  }

  private static void fact(Browser browser, String name, String value) {
    browser.type("[data-field='" + name + "'] input", value);
  }

  @Test
  void aBookIsRenamedPutAwayTakenBackAndRemovedForGood() {
    Scripts scripts = new Scripts(http);
    String id = scripts.copyOfTheDemo();
    scripts.put("/api/books/" + id + "/name", Map.of("name", "Mine for once"));
    try (Browser browser = new Browser(port)) {
      browser.size(390, 844);
      browser.open("/shelf");
      browser.seeText("main", "Mine for once");
      assertThat(nameOfFirst(browser)).contains("Your circuit").containsPattern("\\d+ circuit");

      more(browser, "Mine for once", "Rename");
      browser.type("[data-name]", "Mine for good");
      browser.press("Keep the name");
      browser.seeText("main", "Mine for good");

      more(browser, "Mine for good", "Put away");
      browser.seeText("main", "Mine for good is put away");
      browser.click("[data-take-back]");
      browser.seeNoMore("[data-take-back]");
      assertThat(scripts.get("/api/books/" + id).status().value()).isEqualTo(200);

      more(browser, "Mine for good", "Put away");
      browser.seeText("[data-away]", "Mine for good");
      browser.press("Remove for good", "[data-away]");
      browser.seeText("[role=dialog]", "2 revisions");
      browser.click("[data-remove]");
      browser.seeNoMore("[role=dialog]");
      browser.seeNoMore("main[aria-busy=true]");
      assertThat(scripts.get("/api/put-away").body().toString()).doesNotContain(id);
    }
  }
}
