package marvek.server.accounts;

import java.time.Instant;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** The driver on whose behalf a request runs: until there are accounts, the only one there is. */
@Component
public class CurrentDriver {
  private final DriverRepository drivers;
  private volatile UUID known;

  CurrentDriver(DriverRepository drivers) {
    this.drivers = drivers;
  }

  /** Id of the driver; made on first use. */
  public UUID id() {
    if (known == null) {
      known = firstOrNew();
    }
    return known;
  }

  private synchronized UUID firstOrNew() {
    return drivers
        .findFirstByOrderByCreatedAt()
        .orElseGet(
            () -> drivers.saveAndFlush(new Driver(UUID.randomUUID(), "Driver", Instant.now())))
        .id();
  }
}
