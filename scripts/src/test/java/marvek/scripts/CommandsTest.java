package marvek.scripts;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What ./marvek says where it cannot go on. */
class CommandsTest {
  @TempDir private Path folder;
  private Machine machine;

  @BeforeEach
  void machine() throws Exception {
    machine = Machine.bare(folder);
  }

  @Test
  void anOrdinaryUserIsToldTheOneLineForThePackages() throws Exception {
    Machine.Outcome outcome =
        machine.with("apt-get", "exit 1").asOrdinaryUser().run("./marvek", "start");
    assertThat(outcome.status()).isEqualTo(1);
    assertThat(outcome.said())
        .containsPattern("apt-get install .* maven .*npm")
        .contains("start again");
  }

  @Test
  void anOldDebianIsRefusedBeforeAnythingIsInstalled() throws Exception {
    Path release =
        Files.writeString(
            folder.resolve("os-release"), "ID=debian\nVERSION_ID=11\nPRETTY_NAME=Old\n");
    machine.set("MARVEK_OS_RELEASE", release.toString());
    machine.with("apt-get", "echo must not be called");
    Machine.Outcome outcome = machine.run("./marvek", "start");
    assertThat(outcome.status()).isEqualTo(1);
    assertThat(outcome.said()).contains("Old is too old").doesNotContain("must not be called");
  }

  @Test
  void aBuildThatFailsIsShownWithWhatItMeans() throws Exception {
    machine.with("node", "echo v22.12.0").with("npm", "echo 11.1.0").with("javac", "exit 0");
    machine.with("mvn", "echo '[ERROR] Could not transfer artifact x: Unknown host repo'; exit 1");
    Machine.Outcome outcome = machine.run("./marvek", "start");
    assertThat(outcome.status()).isEqualTo(1);
    assertThat(outcome.said()).contains("Unknown host repo").contains("cannot be reached");
  }

  @Test
  void theSecondStartOnOneFolderSaysWhereTheFirstOneIs() throws Exception {
    Path data = Files.createDirectories(machine.home().resolve(".local"));
    Files.writeString(data.resolve("address"), "http://127.0.0.1:8099");
    Machine.Outcome outcome =
        machine.run("flock", data.resolve("start.lock").toString(), "./marvek", "start");
    assertThat(outcome.status()).isEqualTo(1);
    assertThat(outcome.said()).contains("already runs").contains("http://127.0.0.1:8099");
    assertThat(data.resolve("address")).exists();
  }

  /** The server is told what it needs for it, and the driver what to open where. */
  @Test
  void sharingTellsTheAddressesAndTheDriversOwnLink() throws Exception {
    Machine.Outcome outcome =
        machine.run(
            "bash",
            "-euo",
            "pipefail",
            "-c",
            """
            . scripts/say.sh; . scripts/serve.sh
            data=$PWD/data; mkdir -p "$data/share"
            echo old > "$data/share/owner-link"
            share_settings
            [ ! -e "$data/share/owner-link" ] && stat -c %a "$data/share"
            echo "$MARVEK_SHARE $MARVEK_TRUST_PORT" "${MARVEK_SHARE_FOLDER#"$PWD"/}"
            echo 'https://pit.local:8080/pair#ABCD-EFGH' > "$data/share/owner-link"
            trust=8181
            tell_share
            cat "$data/address\"""");
    assertThat(outcome.said())
        .containsPattern("(?m)^700$")
        .containsPattern("(?m)^1 8[12]\\d\\d data/share$")
        .contains("Marvek is at https://pit.local:8080\n")
        .contains("opens http://pit.local:8181\n")
        .contains("https://pit.local:8080/pair#ABCD-EFGH")
        .endsWith("\nhttps://pit.local:8080\n");
    assertThat(outcome.status()).isZero();
  }

  @Test
  void aLongStepSaysThatItGoesOnAndWithWhat() throws Exception {
    Machine.Outcome outcome =
        machine.run(
            "bash",
            "-c",
            ". scripts/say.sh; step Measuring bash -c 'echo the third corner; sleep 6'");
    assertThat(outcome.status()).isZero();
    assertThat(outcome.said()).startsWith("Measuring …\n").contains(" s: the third corner");
  }

  /**
   * Lines as apt, npm and Maven print them (from memory, but for those that ToolchainTest
   * provokes).
   */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
      npm error code ENOSPC                                                              | disk is full
      [ERROR] java.io.IOException: No space left on device                               | disk is full
      E: You don't have enough free space in /var/cache/apt/archives/.                   | disk is full
      [ERROR] Could not transfer artifact a: repo: Name or service not known: Unknown host repo | cannot be reached
      E: Failed to fetch http://deb/x  Temporary failure resolving 'deb'                 | cannot be reached
      npm error network request to https://r/ failed, reason: connect ECONNREFUSED       | cannot be reached
      E: Unable to locate package postgresql                                             | Debian 12
      [ERROR] PKIX path building failed: unable to find valid certification path         | certificate
      npm error code SELF_SIGNED_CERT_IN_CHAIN self-signed certificate in chain          | certificate
      [ERROR] Could not transfer artifact a: status code: 403, reason phrase: Forbidden  | registry refused
      [ERROR] authentication failed, status code: 407, Proxy Authentication Required     | proxy wants a name
      E: Failed to fetch x  Hash Sum mismatch                                            | expected checksum
      mkdir: cannot create directory '.tools': Permission denied                         | belong to you
      """)
  void aFailureIsToldWithHowToGoOn(String line, String hint) throws Exception {
    Path log = Files.writeString(folder.resolve("log"), line + "\n");
    assertThat(machine.run("bash", "-c", ". scripts/say.sh; explain " + log).said()).contains(hint);
  }

  @Test
  void stoppingWhatDoesNotRunIsFine() throws Exception {
    Machine.Outcome outcome = machine.run("./marvek", "stop");
    assertThat(outcome.status()).isZero();
    assertThat(outcome.said()).contains("is stopped");
  }
}
