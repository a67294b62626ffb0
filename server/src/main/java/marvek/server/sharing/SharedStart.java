package marvek.server.sharing;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * Settings of a Marvek that is shared, from the environment that the start command gives it:
 *
 * <ul>
 *   <li>{@code MARVEK_SHARE=1} opens it on the local network over HTTPS, to paired devices.
 *   <li>{@code MARVEK_ACCOUNTS=1} lets people sign in by a name and a password of their own too,
 *       and other drivers have shelves: a club's server.
 *   <li>{@code MARVEK_SHARE_FOLDER} keeps the authority.
 *   <li>{@code MARVEK_HOST} is a name that is known to lead to this machine.
 *   <li>{@code MARVEK_TLS_CERTIFICATE} and {@code MARVEK_TLS_KEY} are files of a certificate that
 *       one has already, as PEM; none is made then.
 *   <li>{@code MARVEK_TRUST_PORT} is where the root's page is, over plain HTTP.
 * </ul>
 */
public final class SharedStart {
  private final Map<String, String> environment;

  public SharedStart(Map<String, String> environment) {
    this.environment = environment;
  }

  /** Whether Marvek is to be shared. */
  private boolean isWanted() {
    return "1".equals(environment.get("MARVEK_SHARE"));
  }

  /**
   * Arguments of the application, those for sharing among them.
   *
   * @throws IOException if there is no certificate to be had
   */
  public String[] arguments(String... given) throws IOException {
    if (!isWanted()) {
      return given;
    }
    List<String> arguments = new ArrayList<>(List.of(given));
    LocalNames names = LocalNames.ofThisMachine(environment.get("MARVEK_HOST"));
    Path folder = Path.of(environment.getOrDefault("MARVEK_SHARE_FOLDER", "."));
    arguments.add("--server.address=0.0.0.0");
    boolean accounts = "1".equals(environment.get("MARVEK_ACCOUNTS"));
    arguments.add("--marvek.sign-in=" + (accounts ? "accounts" : "pairing"));
    arguments.add("--marvek.hosts=" + String.join(",", names.all()));
    arguments.add("--marvek.share.hosts=" + String.join(",", names.all()));
    arguments.add("--marvek.share.owner-link=" + folder.resolve("owner-link"));
    boolean own = !environment.containsKey("MARVEK_TLS_CERTIFICATE");
    arguments.add("--marvek.share.root=" + folder.resolve(own ? "root.pem" : "no-root"));
    arguments.add("--server.servlet.session.cookie.secure=true");
    if (environment.containsKey("MARVEK_TRUST_PORT")) {
      arguments.add("--marvek.share.trust-port=" + environment.get("MARVEK_TRUST_PORT"));
    }
    arguments.addAll(certificate(folder, names));
    return arguments.toArray(String[]::new);
  }

  private List<String> certificate(Path folder, LocalNames names) throws IOException {
    String given = environment.get("MARVEK_TLS_CERTIFICATE");
    if (given == null) {
      new LocalAuthority(Instant.now()).write(folder, names.all());
      return pem(folder.resolve("certificate.pem"), folder.resolve("key.pem"));
    }
    return pem(there(given), there(environment.getOrDefault("MARVEK_TLS_KEY", "")));
  }

  private static Path there(String name) throws IOException {
    Path file = Path.of(name);
    if (name.isEmpty() || !Files.isReadable(file)) {
      throw new IOException(
          "There is no file \""
              + name
              + "\" that can be read. MARVEK_TLS_CERTIFICATE and MARVEK_TLS_KEY name the two files of"
              + " a certificate; without them Marvek makes its own.");
    }
    return file;
  }

  private static List<String> pem(Path certificate, Path key) {
    return List.of(
        "--server.ssl.certificate=file:" + certificate,
        "--server.ssl.certificate-private-key=file:" + key);
  }
}
