package marvek.scripts;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** When the front end's packages are installed anew. */
class InstallTest {
  private static final String INSTALLS =
      "[ \"$*\" = --version ] && echo ${NPM:-11.1.0} && exit\n"
          + "rm -rf node_modules && mkdir node_modules && echo x >> installs\n"
          + "[ -z \"${BREAKS:-}\" ]";

  @TempDir private Path folder;
  private Machine machine;

  @BeforeEach
  void machine() throws Exception {
    machine = Machine.bare(folder).with("node", "echo v${NODE:-22.23.3}").with("npm", INSTALLS);
  }

  @Test
  void onceAsLongAsNothingChanges() throws Exception {
    assertThat(install()).isZero();
    assertThat(install()).isZero();
    assertThat(installs()).isEqualTo(1);
  }

  @Test
  void againWithAnotherNodeOrNpm() throws Exception {
    install();
    machine.set("NODE", "20.19.5");
    install();
    machine.set("NPM", "11.2.0");
    install();
    assertThat(installs()).isEqualTo(3);
  }

  @Test
  void againAfterTheLockFileChanged() throws Exception {
    install();
    Files.writeString(machine.home().resolve("web/package-lock.json"), "{}");
    install();
    assertThat(installs()).isEqualTo(2);
  }

  @Test
  void againAfterOneThatCameToNoEnd() throws Exception {
    install();
    machine.set("NODE", "20.19.5").set("BREAKS", "yes");
    assertThat(install()).isNotZero();
    machine.set("NODE", "22.23.3").set("BREAKS", "");
    assertThat(install()).isZero();
    assertThat(installs()).isEqualTo(3);
  }

  private int install() throws Exception {
    return machine.run("web/npm-install-when-stale").status();
  }

  private int installs() throws Exception {
    return Files.readAllLines(machine.home().resolve("web/installs")).size();
  }
}
