package marvek.server.accounts;

import java.security.Principal;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * Who a request comes from.
 *
 * @param device that signed in; null for a script, and alone on one's own machine
 * @param shelf whose things were chosen to be seen; null for none
 * @param scope what may be done for him
 */
record SignedIn(UUID person, @Nullable UUID device, @Nullable UUID shelf, Scope scope)
    implements Principal {
  @Override
  public String getName() {
    return person.toString();
  }
}
