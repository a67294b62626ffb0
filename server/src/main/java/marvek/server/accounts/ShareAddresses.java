package marvek.server.accounts;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.security.cert.CertificateFactory;
import java.util.HexFormat;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Component;

/** Addresses at which other devices find this Marvek. */
@Component
class ShareAddresses {
  private final List<String> hosts;
  private final Environment settings;

  /**
   * @param hosts names and addresses of this machine, the stable name first, separated by commas
   */
  ShareAddresses(@Value("${marvek.share.hosts:}") String hosts, Environment settings) {
    this.hosts =
        Stream.of(hosts.split(",")).map(String::strip).filter(name -> !name.isEmpty()).toList();
    this.settings = settings;
  }

  /** All of them, the best first; none where Marvek is not shared. */
  List<String> all() {
    String port = settings.getProperty("local.server.port", "443");
    return hosts.stream().map(host -> "https://" + host + ":" + port).toList();
  }

  /**
   * Where a device that comes for the first time learns to trust this machine; null for nowhere.
   */
  @Nullable String trust() {
    String port = settings.getProperty("marvek.share.trust-port");
    return port == null || hosts.isEmpty() || fingerprint() == null
        ? null
        : "http://" + hosts.get(0) + ":" + port;
  }

  /**
   * The SHA-256 fingerprint of the root, as devices show it: AB:CD:…; null where there is none of
   * Marvek's own.
   */
  @Nullable String fingerprint() {
    String root = settings.getProperty("marvek.share.root");
    if (root == null || !Files.isReadable(Path.of(root))) {
      return null;
    }
    try (InputStream in = Files.newInputStream(Path.of(root))) {
      byte[] certificate =
          CertificateFactory.getInstance("X.509").generateCertificate(in).getEncoded();
      return HexFormat.ofDelimiter(":")
          .withUpperCase()
          .formatHex(MessageDigest.getInstance("SHA-256").digest(certificate));
    } catch (IOException | GeneralSecurityException e) {
      throw new IllegalStateException("The root in " + root + " cannot be read", e);
    }
  }

  /** The one that is given to others. */
  String best() {
    return all().stream().findFirst().orElse("");
  }
}
