package marvek.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.stream.Stream;
import marvek.server.StartedServer;
import marvek.server.sharing.SharedStart;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;
import org.springframework.context.ConfigurableApplicationContext;

/** A coach's tablet beside the driver's computer, over HTTPS, with the root installed on both. */
class SharingJourneyTest {
  @TempDir private Path folder;
  private ConfigurableApplicationContext server;
  private Browser driver;
  private Browser coach;

  @BeforeEach
  void share() throws Exception {
    String[] settings =
        Stream.of(
                new SharedStart(
                        Map.of("MARVEK_SHARE", "1", "MARVEK_SHARE_FOLDER", folder.toString()))
                    .arguments("--marvek.demo=false"))
            // The tests stay on loopback.
            .map(s -> s.startsWith("--server.address=") ? "--server.address=127.0.0.1" : s)
            .toArray(String[]::new);
    server = StartedServer.beside(settings);
    String root =
        "https://localhost:" + server.getEnvironment().getRequiredProperty("local.server.port");
    driver = new Browser(root, folder.resolve("root.pem"));
    coach = new Browser(root, folder.resolve("root.pem"));
    coach.size(820, 1180);
  }

  @AfterEach
  void end() {
    driver.close();
    coach.close();
    server.close();
  }

  @Test
  void aCoachIsPairedReadsIsRefusedTheRestAndIsEnded() throws Exception {
    String link = Files.readString(folder.resolve("owner-link")).strip();
    driver.open("/pair" + link.substring(link.indexOf('#')));
    driver.press("Pair it");
    driver.see("[data-lap]");
    String book = driver.path();

    driver.open("/people");
    driver.press("Let somebody see");
    driver.type("[data-name]", "Ines");
    driver.press("Let them see");
    driver.see("[data-person='Ines']");
    driver.press("Pair a device", "[data-person='Ines']");
    String code = driver.text("[data-pairing-code]");
    driver.press("Done");

    // Nobody yet: nothing is shown, and the way in is.
    coach.open(book);
    coach.see("[data-signed-out]");
    assertThat(coach.count("[data-lap]")).isZero();
    coach.open("/pair");
    coach.type("[data-code]", "AAAA-AAAA");
    coach.press("Pair it");
    coach.seeText("[role=alert]", "pairs nothing");
    coach.type("[data-code]", code);
    coach.press("Pair it");
    coach.see("[data-lap]");
    coach.seeText("[data-role]", "Ines, coach");

    // Tries a change in the model, and cannot keep it.
    coach.open(book + "/corner/4");
    coach.see("[data-plate=B]").sendKeys(Keys.ARROW_DOWN);
    coach.seeText("aside", "1 change");
    coach.seeText("[data-role]", "Ines, coach");
    assertThat(coach.see("aside .btn-primary").isEnabled()).isFalse();
    coach.open("/people");
    coach.seeText("[role=alert]", "A coach may not do that");

    coach.open(book + "/corner/4");
    coach.seeText("aside", "1 change");
    driver.reload();
    driver.press("End it", "[data-person='Ines']");
    driver.seeText("[data-person='Ines']", "No device is paired");
    // In the middle of an edit: it is said, and what was tried stays.
    int before = brakeAt();
    coach.see("[data-plate=B]").sendKeys(Keys.ARROW_DOWN);
    coach.see("[data-signed-out]");
    assertThat(brakeAt()).isEqualTo(before - 1);
    coach.reload();
    coach.see("[data-signed-out]");
  }

  private int brakeAt() {
    return Integer.parseInt(coach.see("[data-plate=B]").getDomAttribute("aria-valuenow"));
  }
}
