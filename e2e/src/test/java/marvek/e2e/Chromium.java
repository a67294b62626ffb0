package marvek.e2e;

import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.chrome.ChromeDriverService;
import org.openqa.selenium.chrome.ChromeOptions;
import org.springframework.util.FileSystemUtils;

/** A running program with its profile. */
record Chromium(ChromeDriver driver, Path profile) {
  /** Leads to this machine and is none of Marvek's names. */
  static final String FOREIGN_NAME = "elsewhere.test";

  static Chromium started() {
    try {
      Path profile = Files.createTempDirectory("marvek-browser");
      return new Chromium(begin(profile, Map.of()), profile);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** One whose user has installed a root of his own, in the browser's own store. */
  static Chromium trusting(Path root) {
    try {
      Path home = Files.createTempDirectory("marvek-device");
      Path store = Files.createDirectories(home.resolve(".pki/nssdb"));
      certutil("-d", "sql:" + store, "-N", "--empty-password");
      certutil("-d", "sql:" + store, "-A", "-t", "C,,", "-n", "marvek", "-i", root.toString());
      return new Chromium(begin(home.resolve("profile"), Map.of("HOME", home.toString())), home);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static void certutil(String... arguments) throws IOException {
    List<String> command = new ArrayList<>(List.of("certutil"));
    command.addAll(List.of(arguments));
    try {
      if (new ProcessBuilder(command).inheritIO().start().waitFor() != 0) {
        throw new IOException(command + " failed");
      }
    } catch (InterruptedException e) {
      throw new IOException(e);
    }
  }

  void end() {
    driver.quit();
    try {
      FileSystemUtils.deleteRecursively(profile);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static ChromeDriver begin(Path profile, Map<String, String> environment) {
    ChromeOptions options = new ChromeOptions();
    options.setBinary("/usr/bin/chromium");
    options.addArguments(
        "--headless",
        "--no-sandbox",
        "--disable-gpu",
        "--disable-quic",
        "--no-first-run",
        "--disable-background-networking",
        "--disable-component-update",
        "--disable-sync",
        // A name of somebody else's that leads to this machine.
        "--host-resolver-rules=MAP " + FOREIGN_NAME + " 127.0.0.1",
        "--user-data-dir=" + profile);
    ChromeDriverService service =
        new ChromeDriverService.Builder()
            .usingDriverExecutable(new File("/usr/bin/chromedriver"))
            .withEnvironment(environment)
            .build();
    return new ChromeDriver(service, options);
  }
}
