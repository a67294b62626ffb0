package marvek.server.accounts;

import java.util.EnumSet;
import java.util.Set;

/** What is done for somebody: by himself on a device all that he may, by a script less. */
enum Scope {
  /** Look things up and take them out. */
  READ(EnumSet.of(Right.READ, Right.LAPS, Right.EXPORT)),
  /** Change things too, but neither remove any nor let anybody in. */
  EDIT(EnumSet.complementOf(EnumSet.of(Right.OWN))),
  /** All that the person may. */
  ALL(EnumSet.allOf(Right.class));

  private final Set<Right> rights;

  Scope(Set<Right> rights) {
    this.rights = rights;
  }

  boolean may(Right right) {
    return rights.contains(right);
  }
}
