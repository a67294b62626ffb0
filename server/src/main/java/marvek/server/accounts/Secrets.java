package marvek.server.accounts;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** What is kept of something that opens a door, when it is long or short-lived enough for it. */
final class Secrets {
  private Secrets() {}

  /**
   * SHA-256, 64 hexadecimal digits. Not for passwords: these can be guessed, see {@link Passwords}.
   */
  static String digest(String secret) {
    try {
      byte[] bytes = secret.getBytes(StandardCharsets.UTF_8);
      return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }
}
