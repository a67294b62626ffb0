package marvek.server.accounts;

import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import marvek.core.InvalidValueException;
import marvek.core.Require;
import marvek.core.say.Sentence;
import marvek.server.problems.ConflictException;
import marvek.server.problems.SaidException;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** People who come in by a name and a password of their own, on a club's server. */
@Service
class Accounts {
  private static final int MOST_WRONG = 10;
  private static final int LONGEST_NAME = 80;

  private final SignInMode mode;
  private final PersonRepository people;
  private final DeviceRepository devices;
  private final WrongSignIns wrongOnes;
  private final Passwords passwords;
  private final CurrentDriver driver;

  Accounts(
      SignInMode mode,
      PersonRepository people,
      DeviceRepository devices,
      WrongSignIns wrongOnes,
      Passwords passwords,
      CurrentDriver driver) {
    this.mode = mode;
    this.people = people;
    this.devices = devices;
    this.wrongOnes = wrongOnes;
    this.passwords = passwords;
    this.driver = driver;
  }

  /** A wrong name or password, or one too many. */
  static final class RefusedSignInException extends SaidException {
    private final boolean tooMany;

    RefusedSignInException(boolean tooMany) {
      super(Sentence.of(tooMany ? "forbidden.passwords-tried" : "forbidden.password"));
      this.tooMany = tooMany;
    }

    boolean tooMany() {
      return tooMany;
    }
  }

  /**
   * Signs a device in.
   *
   * @throws RefusedSignInException if name or password are wrong; which, is not told
   */
  @Transactional(noRollbackFor = RefusedSignInException.class)
  public Device signIn(String name, String password, String device) {
    needAccounts();
    Require.text("device", device, LONGEST_NAME);
    Person person = people.named(name.strip()).orElse(null);
    check(name, password, person == null ? null : person.password());
    return devices.save(new Device(person.id(), device.strip(), Instant.now()));
  }

  /**
   * Gives somebody a name and a password of his own, or others; all his other devices are signed
   * out.
   *
   * @param before his password until now, where he has one
   * @param device that stays signed in
   */
  @Transactional(noRollbackFor = RefusedSignInException.class)
  public void own(
      UUID id, String name, String password, @Nullable String before, @Nullable UUID device) {
    needAccounts();
    Require.text("signIn", name, LONGEST_NAME);
    Person person = people.findById(id).orElseThrow();
    if (person.password() != null) {
      check(person.signIn(), before == null ? "" : before, person.password());
    }
    people
        .named(name.strip())
        .filter(other -> !other.id().equals(id))
        .ifPresent(
            other -> {
              throw new InvalidValueException("signIn", Sentence.of("refused.name-taken"));
            });
    String kept = passwords.kept(password, List.of(name, person.name(), "marvek"));
    person.ownAccount(name.strip(), kept, driver.first());
    people.flush();
    devices.endOthersOf(id, device);
  }

  private void check(String name, String password, @Nullable String kept) {
    String digest = Secrets.digest(name.strip().toLowerCase(Locale.ROOT));
    if (wrongOnes.ofLate(digest) >= MOST_WRONG) {
      throw new RefusedSignInException(true);
    }
    if (!passwords.matches(password, kept)) {
      wrongOnes.forget();
      wrongOnes.wrong(digest);
      throw new RefusedSignInException(false);
    }
  }

  private void needAccounts() {
    if (mode != SignInMode.ACCOUNTS) {
      throw new ConflictException(Sentence.of("conflict.no-accounts"));
    }
  }
}
