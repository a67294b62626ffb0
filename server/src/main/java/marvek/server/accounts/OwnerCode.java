package marvek.server.accounts;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * The driver's own way in while Marvek is shared: a link with a code, written at each start into a
 * file that only he can read; the start command prints it.
 */
@Component
class OwnerCode {
  private static final Logger LOG = LoggerFactory.getLogger(OwnerCode.class);

  private final SignInMode mode;
  private final CurrentDriver driver;
  private final People people;
  private final ShareAddresses addresses;
  private final String file;

  OwnerCode(
      SignInMode mode,
      CurrentDriver driver,
      People people,
      ShareAddresses addresses,
      @Value("${marvek.share.owner-link:}") String file) {
    this.mode = mode;
    this.driver = driver;
    this.people = people;
    this.addresses = addresses;
    this.file = file;
  }

  @EventListener(ApplicationReadyEvent.class)
  void write() {
    if (mode == SignInMode.NONE || file.isEmpty()) {
      return;
    }
    Path link = Path.of(file);
    try {
      Files.deleteIfExists(link);
      Files.createFile(
          link, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
      String code = driver.as(driver.first(), () -> people.code(driver.first()));
      Files.writeString(link, addresses.best() + "/pair#" + code + "\n");
    } catch (IOException e) {
      LOG.error("The driver's own link could not be written to {}", link, e);
    }
  }
}
