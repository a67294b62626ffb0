package marvek.server.accounts;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Whom a driver lets see his things, and the codes for their devices. */
@RestController
class PeopleController {
  private final People people;
  private final SignInMode mode;
  private final ShareAddresses addresses;

  PeopleController(People people, SignInMode mode, ShareAddresses addresses) {
    this.people = people;
    this.mode = mode;
    this.addresses = addresses;
  }

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

  /** The driver, and those whom he lets see his things, with their devices. */
  @GetMapping("/api/people")
  Sharing listPeople() {
    return new Sharing(
        mode != SignInMode.NONE, addresses.all(), addresses.fingerprint(), people.all());
  }

  /**
   * Lets somebody see the driver's things: all of them, an instructor or a guest one book; on a
   * club's server lets another driver in, who has his own.
   */
  @PostMapping("/api/people")
  @ResponseStatus(HttpStatus.CREATED)
  Let addPerson(@Valid @RequestBody NewPerson body) {
    return new Let(people.let(body.name(), body.role(), body.bookId()));
  }

  /** Lets somebody see nothing any more; locks another driver out. */
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
