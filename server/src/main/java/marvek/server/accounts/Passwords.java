package marvek.server.accounts;

import com.nulabinc.zxcvbn.Strength;
import com.nulabinc.zxcvbn.Zxcvbn;
import java.util.List;
import marvek.core.InvalidValueException;
import marvek.core.say.Sentence;
import org.jspecify.annotations.Nullable;
import org.springframework.security.crypto.argon2.Argon2PasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;

/**
 * What is taken for a password, and what is kept of one: Argon2id with the library's parameters (16
 * MiB, two passes), a salt to each.
 */
@Component
class Passwords {
  /** NIST SP 800-63B and ASVS 2.1.1, 2.1.2 (from memory): long ones, and no rules of signs. */
  private static final int SHORTEST = 12;

  private static final int LONGEST = 128;

  /** Of 0 to 4; from 3 on it takes some 10⁸ guesses. */
  private static final int LEAST_SCORE = 3;

  private final Zxcvbn guessing = new Zxcvbn();
  private final PasswordEncoder encoder = Argon2PasswordEncoder.defaultsForSpringSecurity_v5_8();
  private final String nobodys =
      encoder.encode("of nobody, so that who is not there takes as long");

  /**
   * What is kept of a new one.
   *
   * @param names that who guesses tries first
   * @throws InvalidValueException if it is short, long or easily guessed
   */
  String kept(String password, List<String> names) {
    if (password.length() < SHORTEST || password.length() > LONGEST) {
      throw new InvalidValueException(
          "password",
          Sentence.of(
              "refused.password-length",
              "given",
              password.length(),
              "least",
              SHORTEST,
              "most",
              LONGEST));
    }
    Strength strength = guessing.measure(password, names);
    if (strength.getScore() < LEAST_SCORE) {
      throw new InvalidValueException("password", Sentence.of("refused.password-guessed"));
    }
    return encoder.encode(password);
  }

  /**
   * Whether it is the one that was kept.
   *
   * @param kept null for nobody's: it takes as long, so that no one learns who is there
   */
  boolean matches(String typed, @Nullable String kept) {
    boolean same =
        typed.length() <= LONGEST && encoder.matches(typed, kept == null ? nobodys : kept);
    return same && kept != null;
  }
}
