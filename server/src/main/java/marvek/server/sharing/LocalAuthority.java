package marvek.server.sharing;

import java.io.IOException;
import java.io.InputStream;
import java.io.StringWriter;
import java.math.BigInteger;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.GeneralSecurityException;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.PrivateKey;
import java.security.SecureRandom;
import java.security.cert.CertificateFactory;
import java.security.cert.X509Certificate;
import java.security.spec.ECGenParameterSpec;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Date;
import java.util.List;
import java.util.stream.Stream;
import org.bouncycastle.asn1.pkcs.PrivateKeyInfo;
import org.bouncycastle.asn1.x500.X500Name;
import org.bouncycastle.asn1.x509.BasicConstraints;
import org.bouncycastle.asn1.x509.ExtendedKeyUsage;
import org.bouncycastle.asn1.x509.Extension;
import org.bouncycastle.asn1.x509.GeneralName;
import org.bouncycastle.asn1.x509.GeneralNames;
import org.bouncycastle.asn1.x509.GeneralSubtree;
import org.bouncycastle.asn1.x509.KeyPurposeId;
import org.bouncycastle.asn1.x509.KeyUsage;
import org.bouncycastle.asn1.x509.NameConstraints;
import org.bouncycastle.cert.X509v3CertificateBuilder;
import org.bouncycastle.cert.jcajce.JcaX509CertificateConverter;
import org.bouncycastle.cert.jcajce.JcaX509ExtensionUtils;
import org.bouncycastle.cert.jcajce.JcaX509v3CertificateBuilder;
import org.bouncycastle.openssl.PEMParser;
import org.bouncycastle.openssl.jcajce.JcaPEMKeyConverter;
import org.bouncycastle.openssl.jcajce.JcaPEMWriter;
import org.bouncycastle.openssl.jcajce.JcaPKCS8Generator;
import org.bouncycastle.operator.OperatorCreationException;
import org.bouncycastle.operator.jcajce.JcaContentSignerBuilder;

/**
 * Makes a certificate authority that is good for the local network alone, and a certificate of this
 * machine's by it. A device that trusts its root trusts it for private addresses and local names,
 * by its name constraints, and for nothing that is on the internet (RFC 5280, 4.2.1.10). The root
 * stays, as devices keep it; this machine's certificate is made anew at each start, as its
 * addresses may be others.
 */
final class LocalAuthority {
  private static final Duration ROOT_LIVES = Duration.ofDays(3650);

  /** Browsers take no more (CA/Browser Forum, 398 days; from memory). */
  private static final Duration SERVER_LIVES = Duration.ofDays(397);

  /** A device's clock may be behind this machine's. */
  private static final Duration CLOCKS_DIFFER = Duration.ofDays(1);

  private static final List<String> PRIVATE_NETWORKS =
      List.of(
          "10.0.0.0/255.0.0.0",
          "172.16.0.0/255.240.0.0",
          "192.168.0.0/255.255.0.0",
          "169.254.0.0/255.255.0.0",
          "127.0.0.0/255.0.0.0");

  private static final SecureRandom RANDOM = new SecureRandom();

  private final Instant now;

  LocalAuthority(Instant now) {
    this.now = now;
  }

  /** A key and who vouches for it. */
  private record Signed(X509Certificate certificate, PrivateKey key) {}

  /**
   * Writes {@code certificate.pem} and {@code key.pem} for this machine, and {@code root.pem} with
   * its key where there is none yet.
   *
   * @param hosts names and IPv4 addresses of this machine
   */
  void write(Path folder, List<String> hosts) throws IOException {
    try {
      Files.createDirectories(folder);
      Signed root = rootIn(folder, hosts);
      KeyPair keys = keys();
      X509Certificate server = server(keys, hosts, root);
      secret(folder.resolve("key.pem"), new JcaPKCS8Generator(keys.getPrivate(), null));
      Files.writeString(folder.resolve("certificate.pem"), pem(server) + pem(root.certificate()));
    } catch (GeneralSecurityException | OperatorCreationException e) {
      throw new IOException("No certificate could be made", e);
    }
  }

  private Signed rootIn(Path folder, List<String> hosts)
      throws IOException, GeneralSecurityException, OperatorCreationException {
    Path certificate = folder.resolve("root.pem");
    Path key = folder.resolve("root-key.pem");
    if (Files.exists(certificate) && Files.exists(key)) {
      return new Signed(readCertificate(certificate), readKey(key));
    }
    KeyPair keys = keys();
    X509Certificate root = root(keys, hosts);
    secret(key, new JcaPKCS8Generator(keys.getPrivate(), null));
    Files.writeString(certificate, pem(root));
    return new Signed(root, keys.getPrivate());
  }

  private static X509Certificate readCertificate(Path file)
      throws IOException, GeneralSecurityException {
    try (InputStream in = Files.newInputStream(file)) {
      return (X509Certificate) CertificateFactory.getInstance("X.509").generateCertificate(in);
    }
  }

  private static PrivateKey readKey(Path file) throws IOException {
    try (PEMParser parser = new PEMParser(Files.newBufferedReader(file))) {
      return new JcaPEMKeyConverter().getPrivateKey((PrivateKeyInfo) parser.readObject());
    }
  }

  private static KeyPair keys() throws GeneralSecurityException {
    KeyPairGenerator generator = KeyPairGenerator.getInstance("EC");
    generator.initialize(new ECGenParameterSpec("secp256r1"), RANDOM);
    return generator.generateKeyPair();
  }

  private X509Certificate root(KeyPair keys, List<String> hosts)
      throws IOException, GeneralSecurityException, OperatorCreationException {
    X500Name name = new X500Name("CN=Marvek on " + named(hosts));
    X509v3CertificateBuilder builder = builder(name, name, keys, ROOT_LIVES);
    builder.addExtension(Extension.basicConstraints, true, new BasicConstraints(0));
    builder.addExtension(Extension.keyUsage, true, new KeyUsage(KeyUsage.keyCertSign));
    builder.addExtension(
        Extension.subjectKeyIdentifier,
        false,
        new JcaX509ExtensionUtils().createSubjectKeyIdentifier(keys.getPublic()));
    builder.addExtension(
        Extension.nameConstraints, true, new NameConstraints(permitted(hosts), null));
    return signed(builder, keys.getPrivate());
  }

  private static GeneralSubtree[] permitted(List<String> hosts) {
    List<GeneralName> names = new ArrayList<>();
    Stream.concat(Stream.of("local", "localhost"), hosts.stream().filter(h -> !isAddress(h)))
        .distinct()
        .forEach(host -> names.add(new GeneralName(GeneralName.dNSName, host)));
    PRIVATE_NETWORKS.forEach(net -> names.add(new GeneralName(GeneralName.iPAddress, net)));
    return names.stream().map(GeneralSubtree::new).toArray(GeneralSubtree[]::new);
  }

  private X509Certificate server(KeyPair keys, List<String> hosts, Signed root)
      throws IOException, GeneralSecurityException, OperatorCreationException {
    X509v3CertificateBuilder builder =
        builder(
            new X500Name(root.certificate().getSubjectX500Principal().getName()),
            new X500Name("O=Marvek"),
            keys,
            SERVER_LIVES);
    builder.addExtension(Extension.basicConstraints, true, new BasicConstraints(false));
    builder.addExtension(Extension.keyUsage, true, new KeyUsage(KeyUsage.digitalSignature));
    builder.addExtension(
        Extension.extendedKeyUsage, false, new ExtendedKeyUsage(KeyPurposeId.id_kp_serverAuth));
    builder.addExtension(
        Extension.authorityKeyIdentifier,
        false,
        new JcaX509ExtensionUtils().createAuthorityKeyIdentifier(root.certificate()));
    builder.addExtension(
        Extension.subjectAlternativeName,
        false,
        new GeneralNames(
            hosts.stream()
                .map(
                    h ->
                        new GeneralName(
                            isAddress(h) ? GeneralName.iPAddress : GeneralName.dNSName, h))
                .toArray(GeneralName[]::new)));
    return signed(builder, root.key());
  }

  /** What the root is called in a device's list: the machine's name where it has one. */
  private static String named(List<String> hosts) {
    return hosts.stream()
        .filter(host -> !isAddress(host) && !host.equals("localhost"))
        .findFirst()
        .orElse("this network");
  }

  private static boolean isAddress(String host) {
    return host.matches("[0-9.]+");
  }

  private X509v3CertificateBuilder builder(
      X500Name issuer, X500Name subject, KeyPair keys, Duration lives) {
    return new JcaX509v3CertificateBuilder(
        issuer,
        new BigInteger(120, RANDOM),
        Date.from(now.minus(CLOCKS_DIFFER)),
        Date.from(now.plus(lives).minus(CLOCKS_DIFFER)),
        subject,
        keys.getPublic());
  }

  private static X509Certificate signed(X509v3CertificateBuilder builder, PrivateKey by)
      throws GeneralSecurityException, OperatorCreationException {
    return new JcaX509CertificateConverter()
        .getCertificate(builder.build(new JcaContentSignerBuilder("SHA256withECDSA").build(by)));
  }

  private static String pem(Object what) throws IOException {
    StringWriter words = new StringWriter();
    try (JcaPEMWriter writer = new JcaPEMWriter(words)) {
      writer.writeObject(what);
    }
    return words.toString();
  }

  /** Written so that at no time anybody else can read it. */
  private static void secret(Path file, Object what) throws IOException {
    Files.deleteIfExists(file);
    Files.createFile(
        file, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
    Files.writeString(file, pem(what));
  }
}
