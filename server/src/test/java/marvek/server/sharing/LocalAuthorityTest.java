package marvek.server.sharing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.cert.CertificateFactory;
import java.security.cert.X509Certificate;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Certificates for the local network, checked by OpenSSL's validation of paths (RFC 5280). */
class LocalAuthorityTest {
  private static final Instant NOW = Instant.parse("2026-05-01T10:00:00Z");

  @TempDir private Path folder;

  private void write(String... hosts) throws Exception {
    new LocalAuthority(NOW).write(folder, List.of(hosts));
  }

  private X509Certificate first(String file) throws Exception {
    try (InputStream in = Files.newInputStream(folder.resolve(file))) {
      return (X509Certificate) CertificateFactory.getInstance("X.509").generateCertificate(in);
    }
  }

  /** What OpenSSL says of this machine's certificate by the root, name constraints included. */
  private String verified(Instant at) throws Exception {
    Process openssl =
        new ProcessBuilder(
                "openssl",
                "verify",
                "-CAfile",
                folder.resolve("root.pem").toString(),
                "-attime",
                String.valueOf(at.getEpochSecond()),
                "-purpose",
                "sslserver",
                folder.resolve("certificate.pem").toString())
            .redirectErrorStream(true)
            .start();
    String said = new String(openssl.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    assertThat(openssl.waitFor() == 0).isEqualTo(said.endsWith(": OK\n"));
    return said;
  }

  @Test
  void theCertificateOfThisMachineIsGoodByTheRoot() throws Exception {
    write("192.168.7.4", "pit.local", "localhost");
    assertThat(verified(NOW)).endsWith(": OK\n");
    assertThat(first("certificate.pem").getSubjectAlternativeNames())
        .extracting(name -> (String) name.get(1))
        .containsExactly("192.168.7.4", "pit.local", "localhost");
    // A device's clock may be hours behind.
    assertThat(verified(NOW.minus(20, ChronoUnit.HOURS))).endsWith(": OK\n");
  }

  @Test
  void theRootVouchesForNothingOutsideTheLocalNetwork() throws Exception {
    write("pit.local");
    write("example.com");
    assertThat(verified(NOW)).contains("permitted subtree violation");
    write("8.8.8.8");
    assertThat(verified(NOW)).contains("permitted subtree violation");
    write("10.1.2.3");
    assertThat(verified(NOW)).endsWith(": OK\n");
  }

  @Test
  void theRootStaysWhenTheAddressChanges() throws Exception {
    write("192.168.7.4", "pit.local");
    String root = Files.readString(folder.resolve("root.pem"));
    write("10.0.0.9", "pit.local");
    assertThat(Files.readString(folder.resolve("root.pem"))).isEqualTo(root);
    assertThat(verified(NOW)).endsWith(": OK\n");
  }

  @Test
  void browsersTakeHowLongItLives() throws Exception {
    write("pit.local");
    X509Certificate machine = first("certificate.pem");
    assertThat(
            ChronoUnit.DAYS.between(
                machine.getNotBefore().toInstant(), machine.getNotAfter().toInstant()))
        .isLessThanOrEqualTo(398);
    assertThat(verified(NOW.plus(398, ChronoUnit.DAYS))).contains("certificate has expired");
  }

  @Test
  void nobodyElseReadsTheKeys() throws Exception {
    write("pit.local");
    for (String key : List.of("key.pem", "root-key.pem")) {
      assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(folder.resolve(key))))
          .isEqualTo("rw-------");
    }
  }

  @Test
  void aCertificateThatIsNotThereIsSaidSo() {
    SharedStart start =
        new SharedStart(
            Map.of(
                "MARVEK_SHARE", "1",
                "MARVEK_SHARE_FOLDER", folder.toString(),
                "MARVEK_TLS_CERTIFICATE", folder.resolve("mine.pem").toString()));
    assertThatThrownBy(start::arguments).hasMessageContaining("There is no file");
  }

  @Test
  void aloneNothingIsOpened() throws Exception {
    assertThat(new SharedStart(Map.of()).arguments("--a=b")).containsExactly("--a=b");
    assertThat(folder).isEmptyDirectory();
  }
}
