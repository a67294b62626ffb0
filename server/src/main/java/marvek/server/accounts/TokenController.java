package marvek.server.accounts;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.security.SecureRandom;
import java.time.Duration;
import java.time.Instant;
import java.util.Base64;
import java.util.List;
import java.util.UUID;
import marvek.core.InvalidValueException;
import marvek.core.Require;
import marvek.core.say.Sentence;
import marvek.server.problems.ConflictException;
import marvek.server.problems.NotFoundException;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Keys of scripts: a person's own, for a purpose, until a day. */
@RestController
class TokenController {
  private static final int SECRET_BYTES = 32;
  private static final int LONGEST_NAME = 80;
  private static final int MOST_DAYS = 366;
  private static final int MOST_TOKENS = 50;
  private static final SecureRandom RANDOM = new SecureRandom();

  private final SignInMode mode;
  private final CurrentDriver driver;
  private final TokenRepository tokens;

  TokenController(SignInMode mode, CurrentDriver driver, TokenRepository tokens) {
    this.mode = mode;
    this.driver = driver;
    this.tokens = tokens;
  }

  /**
   * A key, without what opens.
   *
   * @param scope READ or EDIT
   * @param seenAt when it was used last, to the quarter of an hour; null for never
   */
  record Key(UUID id, String name, Scope scope, Instant expiresAt, @Nullable Instant seenAt) {}

  /**
   * A key to be made.
   *
   * @param scope READ or EDIT
   * @param days for which it opens, 1 to 366
   */
  record NewKey(@NotNull String name, @NotNull Scope scope, int days) {}

  /**
   * A key that was made.
   *
   * @param secret that opens, told this once: sent as {@code Authorization: Bearer …}
   */
  record MadeKey(UUID id, String secret) {}

  /** The keys of who asks. */
  @GetMapping("/api/me/tokens")
  List<Key> listTokens() {
    return tokens.openOf(driver.person()).stream()
        .map(t -> new Key(t.id(), t.name(), t.scope(), t.expiresAt(), t.seenAt()))
        .toList();
  }

  /** Makes a key; what opens is told this once. */
  @PostMapping("/api/me/tokens")
  @ResponseStatus(HttpStatus.CREATED)
  MadeKey makeToken(@Valid @RequestBody NewKey body) {
    if (mode == SignInMode.NONE) {
      throw new ConflictException(Sentence.of("conflict.no-key-needed"));
    }
    Require.text("name", body.name(), LONGEST_NAME);
    Require.within("days", body.days(), 1, MOST_DAYS);
    if (body.scope() == Scope.ALL) {
      throw new InvalidValueException("scope", Sentence.of("refused.scope"));
    }
    if (tokens.openOf(driver.person()).size() >= MOST_TOKENS) {
      throw new ConflictException(Sentence.of("conflict.keys-most", "most", MOST_TOKENS));
    }
    byte[] random = new byte[SECRET_BYTES];
    RANDOM.nextBytes(random);
    String secret =
        TokenFilter.SIGN + Base64.getUrlEncoder().withoutPadding().encodeToString(random);
    Instant now = Instant.now();
    Token token =
        tokens.saveAndFlush(
            new Token(
                driver.person(),
                body.name().strip(),
                Secrets.digest(secret),
                body.scope(),
                now,
                now.plus(Duration.ofDays(body.days()))));
    return new MadeKey(token.id(), secret);
  }

  /** Ends a key: the script that has it is out with its next step. */
  @DeleteMapping("/api/tokens/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void endToken(@PathVariable UUID id) {
    if (tokens.end(id) == 0) {
      throw NotFoundException.of("key", id);
    }
  }
}
