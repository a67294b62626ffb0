package marvek.server.accounts;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Who is there, who may see what, and how a device comes in. */
@RestController
class PeopleController {
  private final People people;
  private final Access access;
  private final SignInMode mode;
  private final ShareAddresses addresses;

  PeopleController(People people, Access access, SignInMode mode, ShareAddresses addresses) {
    this.people = people;
    this.access = access;
    this.mode = mode;
    this.addresses = addresses;
  }

  /**
   * Who asks.
   *
   * @param shared whether Marvek is open to other devices
   * @param name empty for nobody
   * @param role null for nobody
   * @param device null where none was paired
   * @param bookId the one book that an instructor or a guest sees
   */
  record Me(
      boolean shared,
      String name,
      @Nullable Role role,
      @Nullable UUID device,
      @Nullable UUID bookId) {}

  /**
   * People, and the addresses at which they find Marvek.
   *
   * @param fingerprint SHA-256 of the root that devices are to trust, or null
   */
  record Sharing(
      boolean shared,
      List<String> addresses,
      @Nullable String fingerprint,
      List<People.Seen> people) {}

  record NewPerson(@NotNull String name, @NotNull Role role, @Nullable UUID bookId) {}

  record Let(UUID id) {}

  /**
   * A code that pairs one device within ten minutes.
   *
   * @param link that leads there with the code in it
   * @param trust where a device learns to trust this machine first, where it must
   * @param picture the same as a code to be photographed: an SVG path in a square of so many units
   */
  record Code(String code, String link, @Nullable String trust, String picture, int units) {}

  record PairBody(@NotNull String code, @NotNull String device) {}

  /** Who asks, and what he is to the things that he sees. */
  @GetMapping(SignInSecurity.ME)
  Me whoAmI() {
    SignedIn who = signedIn();
    if (who == null) {
      return new Me(mode != SignInMode.NONE, "", null, null, null);
    }
    Role role =
        access
            .sharedShelf(who.person())
            .map(owner -> access.anyRole(who.person(), owner))
            .orElse(Role.DRIVER);
    UUID book = role.isOfOneBook() ? access.onlyBook(who.person()).orElse(null) : null;
    return new Me(mode != SignInMode.NONE, people.nameOf(who.person()), role, who.device(), book);
  }

  private static @Nullable SignedIn signedIn() {
    Authentication found = SecurityContextHolder.getContext().getAuthentication();
    return found == null ? null : (SignedIn) found.getPrincipal();
  }

  /** Pairs this device by a code of the driver's. */
  @PostMapping(SignInSecurity.PAIR)
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void pairDevice(@Valid @RequestBody PairBody body, HttpServletRequest request) {
    Device device = people.pair(body.code(), body.device());
    HttpSession before = request.getSession(false);
    if (before != null) {
      // Who had another's session at hand must not get into this one by it.
      before.invalidate();
    }
    request.getSession(true).setAttribute(DeviceFilter.DEVICE, device.id().toString());
  }

  /** Ends this device. */
  @PostMapping("/api/sign-out")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void signOut(HttpServletRequest request) {
    SignedIn who = signedIn();
    if (who != null && who.device() != null) {
      people.endDevice(who.device());
    }
    HttpSession session = request.getSession(false);
    if (session != null) {
      session.invalidate();
    }
  }

  /** The driver, and those whom he lets see his things, with their devices. */
  @GetMapping("/api/people")
  Sharing listPeople() {
    return new Sharing(
        mode != SignInMode.NONE, addresses.all(), addresses.fingerprint(), people.all());
  }

  /** Lets somebody see the driver's things: all of them, an instructor or a guest one book. */
  @PostMapping("/api/people")
  @ResponseStatus(HttpStatus.CREATED)
  Let addPerson(@Valid @RequestBody NewPerson body) {
    return new Let(people.let(body.name(), body.role(), body.bookId()));
  }

  /** Lets somebody see nothing any more. */
  @DeleteMapping("/api/people/{person}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void endPerson(@PathVariable UUID person) {
    people.end(person);
  }

  /** A code that pairs one more device of somebody's. */
  @PostMapping("/api/people/{person}/code")
  @ResponseStatus(HttpStatus.CREATED)
  Code makeCode(@PathVariable UUID person) {
    String code = people.code(person);
    String link = addresses.best() + "/pair#" + code;
    QrPicture picture = QrPicture.of(link);
    return new Code(code, link, addresses.trust(), picture.path(), picture.units());
  }

  /** Ends a device of somebody's. */
  @DeleteMapping("/api/devices/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void endDevice(@PathVariable UUID id) {
    people.endDevice(id);
  }
}
