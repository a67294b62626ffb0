package marvek.server.accounts;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import marvek.core.InvalidValueException;
import marvek.core.Require;
import marvek.core.say.Sentence;
import marvek.server.problems.ConflictException;
import marvek.server.problems.NotFoundException;
import marvek.server.problems.SaidException;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Whom a driver lets see his things, their devices, and the codes that pair them. */
@Service
@Transactional
class People {
  private static final int MOST_WRONG = 20;
  private static final int LONGEST_NAME = 80;

  private final CurrentDriver driver;
  private final PersonRepository people;
  private final ShareRepository shares;
  private final DeviceRepository devices;
  private final PairingRepository pairings;
  private final TokenRepository tokens;
  private final SignInMode mode;

  People(
      CurrentDriver driver,
      PersonRepository people,
      ShareRepository shares,
      DeviceRepository devices,
      PairingRepository pairings,
      TokenRepository tokens,
      SignInMode mode) {
    this.driver = driver;
    this.people = people;
    this.shares = shares;
    this.devices = devices;
    this.pairings = pairings;
    this.tokens = tokens;
    this.mode = mode;
  }

  /**
   * Somebody with his devices.
   *
   * @param self whether it is who asks
   * @param role what he is to the things of who asks; a driver who is not who asks has his own
   * @param bookId the one book he sees, or null for all
   * @param letIn whether who asks makes codes for him
   * @param devices none of somebody who comes in by himself: they are his own affair
   */
  record Seen(
      UUID id,
      String name,
      boolean self,
      Role role,
      @Nullable UUID bookId,
      boolean letIn,
      List<Paired> devices) {}

  /** A device. */
  record Paired(UUID id, String name, Instant pairedAt, Instant seenAt) {}

  /** A wrong code, or one too many. */
  static final class RefusedCodeException extends SaidException {
    private final boolean tooMany;

    RefusedCodeException(boolean tooMany) {
      super(Sentence.of(tooMany ? "forbidden.codes-tried" : "forbidden.code"));
      this.tooMany = tooMany;
    }

    boolean tooMany() {
      return tooMany;
    }
  }

  /** The driver himself, those whom he lets see his things, other drivers whom he let in. */
  @Transactional(readOnly = true)
  public List<Seen> all() {
    UUID owner = driver.id();
    List<Seen> seen = new ArrayList<>();
    seen.add(seen(person(owner), Role.DRIVER, null));
    shares.open(owner).forEach(s -> seen.add(seen(person(s.personId()), s.role(), s.bookId())));
    people.letInBy(owner).forEach(p -> seen.add(seen(p, Role.DRIVER, null)));
    return seen;
  }

  private Seen seen(Person person, Role role, @Nullable UUID book) {
    boolean self = person.id().equals(driver.id());
    boolean letIn = self || driver.id().equals(person.letInBy());
    return new Seen(
        person.id(),
        person.name(),
        self,
        role,
        book,
        letIn,
        self || !person.isHisOwn() ? devicesOf(person.id()) : List.of());
  }

  private List<Paired> devicesOf(UUID person) {
    return devices.findByPersonIdInAndEndedAtIsNullOrderByPairedAt(List.of(person)).stream()
        .map(d -> new Paired(d.id(), d.name(), d.pairedAt(), d.seenAt()))
        .toList();
  }

  private Person person(UUID id) {
    return people
        .findById(id)
        .orElseThrow(() -> new NotFoundException(Sentence.of("missing.nobody", "id", id)));
  }

  @Transactional(readOnly = true)
  public String nameOf(UUID person) {
    return people.findById(person).map(Person::name).orElse("");
  }

  /**
   * Lets somebody see the driver's things; on a club's server who keeps it lets other drivers in,
   * who see none of his and have their own.
   *
   * @param book the one book, or null for all; instructors and guests see one
   * @return his id
   */
  public UUID let(String name, Role role, @Nullable UUID book) {
    Require.text("name", name, LONGEST_NAME);
    boolean otherDriver = role == Role.DRIVER;
    if (otherDriver && !(mode == SignInMode.ACCOUNTS && driver.id().equals(driver.first()))) {
      throw new InvalidValueException("role", Sentence.of("refused.role-driver"));
    }
    if (role.isOfOneBook() != (book != null)) {
      throw new InvalidValueException("bookId", Sentence.of("refused.book-of-role"));
    }
    Person person =
        people.saveAndFlush(
            new Person(UUID.randomUUID(), name.strip(), Instant.now(), driver.id(), otherDriver));
    if (!otherDriver) {
      shares.save(new Share(driver.id(), person.id(), role, book, Instant.now()));
    }
    return person.id();
  }

  /** A code that pairs one device of somebody's, the driver's own among them. */
  public String code(UUID person) {
    if (mode == SignInMode.NONE) {
      throw new ConflictException(Sentence.of("conflict.open-to-this-machine"));
    }
    if (all().stream().noneMatch(seen -> seen.id().equals(person) && seen.letIn())) {
      throw new NotFoundException(Sentence.of("missing.nobody", "id", person));
    }
    String code = PairingCode.fresh();
    pairings.keep(UUID.randomUUID(), PairingCode.digest(code), driver.id(), person);
    return code;
  }

  /**
   * Pairs a device by a code, which is used up by it.
   *
   * @throws RefusedCodeException if the code pairs nothing
   */
  @Transactional(noRollbackFor = RefusedCodeException.class)
  public Device pair(String code, String name) {
    Require.text("device", name, LONGEST_NAME);
    return devices.save(new Device(useUp(code), name.strip(), Instant.now()));
  }

  /**
   * Takes what a code lets see to somebody who comes in by himself, instead of to a device.
   *
   * @throws RefusedCodeException if the code pairs nothing
   * @throws ConflictException if it lets see nothing that is another's; it is not used up then
   */
  @Transactional(noRollbackFor = RefusedCodeException.class)
  public void takeOver(UUID me, String code) {
    UUID other = useUp(code);
    if (!person(me).isHisOwn()) {
      throw new ConflictException(Sentence.of("conflict.no-name-yet"));
    }
    if (person(other).isHisOwn() || shares.moveTo(other, me) == 0) {
      throw new ConflictException(Sentence.of("conflict.code-of-person"));
    }
    devices.endAllOf(other);
    pairings.end(other);
  }

  private UUID useUp(String code) {
    if (pairings.wrongOfLate() >= MOST_WRONG) {
      throw new RefusedCodeException(true);
    }
    return pairings
        .use(PairingCode.digest(code))
        .orElseThrow(
            () -> {
              pairings.forgetWrong();
              pairings.wrong();
              return new RefusedCodeException(false);
            });
  }

  /** Ends a device: whoever holds it is signed out with his next step. */
  public void endDevice(UUID device) {
    if (devices.findByIdAndEndedAtIsNull(device).isEmpty()) {
      throw NotFoundException.of("device", device);
    }
    devices.end(device);
  }

  /** Lets somebody see nothing of the driver's any more; another driver is locked out. */
  public void end(UUID id) {
    boolean shared = shares.end(driver.id(), id) > 0;
    Person person = person(id);
    boolean letIn = !id.equals(driver.id()) && driver.id().equals(person.letInBy());
    if (!shared && !letIn) {
      throw new NotFoundException(Sentence.of("missing.nobody", "id", id));
    }
    // Who comes in by himself sees other things too: those stay.
    if (letIn && !(shared && person.isHisOwn())) {
      person.lockOut();
      devices.endAllOf(id);
      tokens.endAllOf(id);
      pairings.end(id);
    }
  }
}
