package marvek.server.accounts;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import marvek.core.InvalidValueException;
import marvek.core.Require;
import marvek.server.problems.ConflictException;
import marvek.server.problems.NotFoundException;
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
  private final SignInMode mode;

  People(
      CurrentDriver driver,
      PersonRepository people,
      ShareRepository shares,
      DeviceRepository devices,
      PairingRepository pairings,
      SignInMode mode) {
    this.driver = driver;
    this.people = people;
    this.shares = shares;
    this.devices = devices;
    this.pairings = pairings;
    this.mode = mode;
  }

  /**
   * Somebody with his devices.
   *
   * @param bookId the one book he sees, or null for all
   */
  record Seen(UUID id, String name, Role role, @Nullable UUID bookId, List<Paired> devices) {}

  /** A device. */
  record Paired(UUID id, String name, Instant pairedAt, Instant seenAt) {}

  /** A wrong code, or one too many. */
  static final class RefusedCodeException extends RuntimeException {
    private final boolean tooMany;

    RefusedCodeException(boolean tooMany) {
      super(
          tooMany
              ? "Too many wrong codes were tried. Wait ten minutes."
              : "That code pairs nothing: it is wrong, used already, or older than ten minutes."
                  + " Let the driver make another.");
      this.tooMany = tooMany;
    }

    boolean tooMany() {
      return tooMany;
    }
  }

  /** The driver himself, then those whom he lets see his things. */
  @Transactional(readOnly = true)
  public List<Seen> all() {
    UUID owner = driver.id();
    List<Seen> seen = new ArrayList<>();
    seen.add(seen(owner, Role.DRIVER, null));
    shares.open(owner).forEach(s -> seen.add(seen(s.personId(), s.role(), s.bookId())));
    return seen;
  }

  private Seen seen(UUID person, Role role, @Nullable UUID book) {
    return new Seen(
        person,
        nameOf(person),
        role,
        book,
        devices.findByPersonIdInAndEndedAtIsNullOrderByPairedAt(List.of(person)).stream()
            .map(d -> new Paired(d.id(), d.name(), d.pairedAt(), d.seenAt()))
            .toList());
  }

  @Transactional(readOnly = true)
  public String nameOf(UUID person) {
    return people.findById(person).map(Person::name).orElse("");
  }

  /**
   * Lets somebody see the driver's things.
   *
   * @param book the one book, or null for all; instructors and guests see one
   * @return his id
   */
  public UUID let(String name, Role role, @Nullable UUID book) {
    Require.text("name", name, LONGEST_NAME);
    if (role == Role.DRIVER) {
      throw new InvalidValueException("role", "cannot be DRIVER: a driver's things are his own");
    }
    if (role.isOfOneBook() != (book != null)) {
      throw new InvalidValueException(
          "bookId", "is needed of an instructor and a guest, who see one book, and of nobody else");
    }
    Person person = people.save(new Person(UUID.randomUUID(), name.strip(), Instant.now()));
    people.flush();
    shares.save(new Share(driver.id(), person.id(), role, book, Instant.now()));
    return person.id();
  }

  /** A code that pairs one device of somebody's, the driver's own among them. */
  public String code(UUID person) {
    if (mode == SignInMode.NONE) {
      throw new ConflictException(
          "Marvek is open to this machine alone. Start it with ./marvek share first.");
    }
    if (all().stream().noneMatch(seen -> seen.id().equals(person))) {
      throw new NotFoundException("There is nobody " + person + ".");
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
    if (pairings.wrongOfLate() >= MOST_WRONG) {
      throw new RefusedCodeException(true);
    }
    UUID person =
        pairings
            .use(PairingCode.digest(code))
            .orElseThrow(
                () -> {
                  pairings.forgetWrong();
                  pairings.wrong();
                  return new RefusedCodeException(false);
                });
    return devices.save(new Device(person, name.strip(), Instant.now()));
  }

  /** Ends a device: whoever holds it is signed out with his next step. */
  public void endDevice(UUID device) {
    if (devices.findByIdAndEndedAtIsNull(device).isEmpty()) {
      throw new NotFoundException("There is no device " + device + ".");
    }
    devices.end(device);
  }

  /** Lets somebody see nothing any more, on none of his devices. */
  public void end(UUID person) {
    if (shares.end(driver.id(), person) == 0) {
      throw new NotFoundException("There is nobody " + person + ".");
    }
    devices.endAllOf(person);
    pairings.end(person);
  }
}
