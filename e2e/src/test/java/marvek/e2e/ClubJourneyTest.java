package marvek.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A club's server: two drivers, each with his own things, one of them the other's coach too. */
class ClubJourneyTest {
  private static final String PASSWORD = "kerb lantern otter seventeen";

  @TempDir private Path folder;
  private SharedMarvek club;
  private Browser keeper;
  private Browser orla;

  @BeforeEach
  void share() throws Exception {
    club = new SharedMarvek(folder, true);
    keeper = club.device();
    orla = club.device();
    orla.size(390, 844);
  }

  @AfterEach
  void end() {
    keeper.close();
    orla.close();
    club.close();
  }

  @Test
  void aDriverIsLetInTakesAPasswordIsGivenAnothersBooksAndChoosesWhatShowsHere() throws Exception {
    club.pairOwn(keeper);
    club.letSee(keeper, "Orla", "DRIVER");
    String code = keeper.text("[data-pairing-code]");
    keeper.press("Done");

    orla.open("/pair");
    orla.type("[data-code]", code);
    orla.press("Pair it");
    at("/shelf");
    orla.open("/me");
    orla.type("[data-own-password]", "orla orla orla");
    orla.click("[data-keep-account]");
    orla.seeText("[data-account] [role=alert]", "guessed first");
    orla.type("[data-own-password]", PASSWORD);
    orla.click("[data-keep-account]");
    orla.see("[data-account-kept]");

    orla.click("[data-sign-out]");
    at("/pair");
    orla.type("[data-sign-in-name]", "Orla");
    orla.type("[data-sign-in-password]", "something else entirely");
    orla.click("[data-sign-in]");
    orla.seeText("[role=alert]", "nobody of that name with that password");
    orla.type("[data-sign-in-password]", PASSWORD);
    orla.click("[data-sign-in]");
    at("/shelf");

    // The keeper has her for his coach too.
    club.letSee(keeper, "my coach", "COACH");
    String share = keeper.text("[data-pairing-code]");
    orla.open("/pair");
    orla.type("[data-code]", share);
    orla.click("[data-take-over]");
    at("/me");
    // She has no book of her own yet: what is shared is seen first, until she chooses.
    orla.until("the keeper's shelf", () -> orla.see("[data-shelf='Driver']").isSelected());
    orla.click("[data-shelf='Orla']");
    at("/shelf");
    orla.open("/me");
    orla.until("her own shelf", () -> orla.see("[data-shelf='Orla']").isSelected());
    orla.click("[data-shelf='Driver']");
    orla.see("[data-lap]");
    orla.seeText("[data-role]", "Orla, coach");

    // A key for a script is told once.
    orla.click("[data-role]");
    orla.type("[data-key-name]", "van");
    orla.click("[data-make-key]");
    assertThat(orla.text("[data-secret]")).startsWith("marvek_");
    orla.reload();
    orla.seeText("[data-key='van']", "not used yet");
    assertThat(orla.count("[data-secret]")).isZero();
    orla.press("End it", "[data-key='van']");
    orla.seeText("[data-keys]", "There is none");

    keeper.open("/people");
    keeper.seeText("[data-person='Orla']", "coach");
    assertThat(keeper.count("[data-person='my coach']")).isZero();
  }

  private void at(String path) {
    orla.until("stands at " + path, () -> orla.path().equals(path));
  }
}
