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
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Who asks, how he comes in and goes, and whose things he sees. */
@RestController
class MeController {
  private final People people;
  private final Accounts accounts;
  private final Shelves shelves;
  private final PersonRepository names;
  private final CurrentDriver driver;
  private final SignInMode mode;

  MeController(
      People people,
      Accounts accounts,
      Shelves shelves,
      PersonRepository names,
      CurrentDriver driver,
      SignInMode mode) {
    this.people = people;
    this.accounts = accounts;
    this.shelves = shelves;
    this.names = names;
    this.driver = driver;
    this.mode = mode;
  }

  /**
   * Who asks.
   *
   * @param shared whether Marvek is open to other devices
   * @param accounts whether people sign in by a name and a password
   * @param keeper whether it is who keeps this machine, and lets other drivers in
   * @param name empty for nobody
   * @param signIn by which he signs in; null without a password
   * @param role what he is to the things that he sees; null for nobody
   * @param device null where none was paired
   * @param bookId the one book that an instructor or a guest sees
   * @param shelf owner of the things that he sees; null for nobody
   * @param shelves that he may choose from
   */
  record Me(
      boolean shared,
      boolean accounts,
      boolean keeper,
      String name,
      @Nullable String signIn,
      @Nullable Role role,
      @Nullable UUID device,
      @Nullable UUID bookId,
      @Nullable UUID shelf,
      List<Shelves.Shelf> shelves) {}

  record PairBody(@NotNull String code, @NotNull String device) {}

  record SignInBody(@NotNull String name, @NotNull String password, @NotNull String device) {}

  /**
   * A name and a password of one's own.
   *
   * @param before the password until now, where there is one
   */
  record AccountBody(@NotNull String signIn, @NotNull String password, @Nullable String before) {}

  record ShelfBody(@NotNull UUID owner) {}

  record CodeBody(@NotNull String code) {}

  /** Who asks, and what he is to the things that he sees. */
  @GetMapping(SignInSecurity.ME)
  Me whoAmI() {
    boolean shared = mode != SignInMode.NONE;
    boolean withAccounts = mode == SignInMode.ACCOUNTS;
    SignedIn who = signedIn();
    if (who == null) {
      return new Me(shared, withAccounts, false, "", null, null, null, null, null, List.of());
    }
    Person person = names.findById(who.person()).orElseThrow();
    Shelves.Shelf shelf = shelves.nowOf(who);
    return new Me(
        shared,
        withAccounts,
        person.id().equals(driver.first()),
        person.name(),
        person.signIn(),
        shelf.role(),
        who.device(),
        shelf.bookId(),
        shelf.owner(),
        shelves.of(who.person()));
  }

  private static @Nullable SignedIn signedIn() {
    Authentication found = SecurityContextHolder.getContext().getAuthentication();
    return found == null ? null : (SignedIn) found.getPrincipal();
  }

  /** Pairs this device by a code of the driver's. */
  @PostMapping(SignInSecurity.PAIR)
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void pairDevice(@Valid @RequestBody PairBody body, HttpServletRequest request) {
    begin(people.pair(body.code(), body.device()), request);
  }

  /** Signs this device in by a name and a password. */
  @PostMapping(SignInSecurity.SIGN_IN)
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void signIn(@Valid @RequestBody SignInBody body, HttpServletRequest request) {
    begin(accounts.signIn(body.name(), body.password(), body.device()), request);
  }

  private static void begin(Device device, HttpServletRequest request) {
    HttpSession before = request.getSession(false);
    if (before != null) {
      // Who had another's session at hand must not get into this one by it.
      before.invalidate();
    }
    request.getSession(true).setAttribute(DeviceFilter.DEVICE, device.id().toString());
  }

  /** Gives who asks a name and a password; his other devices are signed out. */
  @PutMapping("/api/me/account")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void ownAccount(@Valid @RequestBody AccountBody body, HttpServletRequest request) {
    SignedIn who = signedIn();
    accounts.own(who.person(), body.signIn(), body.password(), body.before(), who.device());
    request.changeSessionId();
  }

  /** Chooses whose things are seen on this device. */
  @PutMapping("/api/me/shelf")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void chooseShelf(@Valid @RequestBody ShelfBody body, HttpServletRequest request) {
    UUID owner = shelves.chosen(driver.person(), body.owner()).owner();
    request.getSession(true).setAttribute(DeviceFilter.SHELF, owner);
  }

  /** Takes what a code lets see to who asks, instead of to a new device. */
  @PostMapping("/api/me/shares")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void takeShare(@Valid @RequestBody CodeBody body) {
    people.takeOver(driver.person(), body.code());
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
}
