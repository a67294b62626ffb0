package marvek.e2e;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.stream.Stream;
import marvek.server.StartedServer;
import marvek.server.sharing.SharedStart;
import org.springframework.context.ConfigurableApplicationContext;

/**
 * A Marvek that is shared as {@code ./marvek share} does it, but on loopback, as tests stay there.
 */
final class SharedMarvek implements AutoCloseable {
  private final Path folder;
  private final ConfigurableApplicationContext server;

  SharedMarvek(Path folder) throws IOException {
    this(folder, false);
  }

  /**
   * @param accounts whether it is a club's server, with names and passwords
   */
  SharedMarvek(Path folder, boolean accounts) throws IOException {
    this.folder = folder;
    String[] settings =
        Stream.of(
                new SharedStart(
                        Map.of(
                            "MARVEK_SHARE",
                            "1",
                            "MARVEK_SHARE_FOLDER",
                            folder.toString(),
                            "MARVEK_ACCOUNTS",
                            accounts ? "1" : ""))
                    .arguments("--marvek.demo=false"))
            .map(s -> s.startsWith("--server.address=") ? "--server.address=127.0.0.1" : s)
            .toArray(String[]::new);
    server = StartedServer.beside(settings);
  }

  /** A device whose user has installed the root. */
  Browser device() {
    String root =
        "https://localhost:" + server.getEnvironment().getRequiredProperty("local.server.port");
    return new Browser(root, folder.resolve("root.pem"));
  }

  /** Pairs the driver's own device by the link that the start prints; his book is open then. */
  void pairOwn(Browser own) throws IOException {
    String link = Files.readString(folder.resolve("owner-link")).strip();
    own.open("/pair" + link.substring(link.indexOf('#')));
    own.press("Pair it");
    own.see("[data-lap]");
  }

  /** Lets somebody see the driver's things; the code for a device of theirs is shown then. */
  void letSee(Browser own, String name, String role) {
    own.open("/people");
    own.click("[data-let]");
    own.type("[data-name]", name);
    own.click("input[value='" + role + "']");
    own.press("Let them see");
    own.press("Pair a device", "[data-person='" + name + "']");
    own.see("[data-pairing-code]");
  }

  /** SHA-256 of the root, as OpenSSL tells it: AB:CD:… */
  String fingerprint() throws IOException {
    Process openssl =
        new ProcessBuilder(
                "openssl",
                "x509",
                "-in",
                folder.resolve("root.pem").toString(),
                "-noout",
                "-fingerprint",
                "-sha256")
            .start();
    String said = new String(openssl.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    return said.substring(said.indexOf('=') + 1).strip();
  }

  @Override
  public void close() {
    server.close();
  }
}
