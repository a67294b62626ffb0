package marvek.server.accounts;

import java.security.SecureRandom;
import java.util.Locale;

/**
 * A code that is read from one screen and typed on another: eight signs that are not mistaken for
 * each other, 39 bits. It is used once, within ten minutes, and at most some twenty guesses are
 * taken in that time.
 */
final class PairingCode {
  private static final String SIGNS = "23456789ABCDEFGHJKMNPQRSTUVWXYZ";
  private static final int LENGTH = 8;
  private static final SecureRandom RANDOM = new SecureRandom();

  private PairingCode() {}

  /** A new one, as it is shown: ABCD-EFGH. */
  static String fresh() {
    StringBuilder code = new StringBuilder();
    for (int k = 0; k < LENGTH; k++) {
      code.append(k == LENGTH / 2 ? "-" : "").append(SIGNS.charAt(RANDOM.nextInt(SIGNS.length())));
    }
    return code.toString();
  }

  /** What is kept of one, however it is typed: small or large, with or without its dash. */
  static String digest(String typed) {
    String plain = typed.toUpperCase(Locale.ROOT).replaceAll("[^0-9A-Z]", "");
    return Secrets.digest(plain);
  }
}
