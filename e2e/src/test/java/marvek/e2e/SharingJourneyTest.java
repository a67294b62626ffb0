package marvek.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;

/** A coach's tablet beside the driver's computer, over HTTPS, with the root installed on both. */
class SharingJourneyTest {
  @TempDir private Path folder;
  private SharedMarvek shared;
  private Browser driver;
  private Browser coach;

  @BeforeEach
  void share() throws Exception {
    shared = new SharedMarvek(folder);
    driver = shared.device();
    coach = shared.device();
    coach.size(820, 1180);
  }

  @AfterEach
  void end() {
    driver.close();
    coach.close();
    shared.close();
  }

  @Test
  void aCoachIsPairedReadsIsRefusedTheRestAndIsEnded() throws Exception {
    shared.pairOwn(driver);
    String book = driver.path();

    shared.letSee(driver, "Ines", "COACH");
    String code = driver.text("[data-pairing-code]");
    driver.press("Done");

    assertThat(shared.fingerprint()).hasSize(95);
    driver.seeText("[data-fingerprint]", shared.fingerprint());

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

  /** Who is paired for one book comes to it at once, and to no shelf. */
  @Test
  void aGuestComesToHisOneBook() throws Exception {
    shared.pairOwn(driver);
    shared.letSee(driver, "Ottilie", "GUEST");
    String code = driver.text("[data-pairing-code]");
    coach.open("/pair");
    coach.type("[data-code]", code);
    coach.press("Pair it");
    coach.see("[data-lap]");
    coach.seeText("[data-role]", "Ottilie, guest");
    coach.click("header a[aria-label='Marvek, to the book']");
    coach.see("[data-lap]");
    assertThat(coach.count("[role=alert]")).isZero();
  }

  private int brakeAt() {
    return Integer.parseInt(coach.see("[data-plate=B]").getDomAttribute("aria-valuenow"));
  }
}
