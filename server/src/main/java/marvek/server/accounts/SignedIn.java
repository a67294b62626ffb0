package marvek.server.accounts;

import java.security.Principal;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * Who a request comes from.
 *
 * @param device that was paired; null alone on one's own machine, where nothing is
 */
record SignedIn(UUID person, @Nullable UUID device) implements Principal {
  @Override
  public String getName() {
    return person.toString();
  }
}
