package marvek.server.accounts;

import java.util.EnumSet;
import java.util.Set;

/** What somebody is to a driver's things. */
public enum Role {
  /** Whose they are. */
  DRIVER(EnumSet.allOf(Right.class)),
  /** Reads books and laps, and says what he thinks of them. */
  COACH(EnumSet.of(Right.READ, Right.LAPS, Right.LEARN, Right.REMARK, Right.EXPORT)),
  /** Leads days of a group. */
  INSTRUCTOR(EnumSet.of(Right.READ, Right.LAPS, Right.LEARN, Right.REMARK, Right.LEAD)),
  /** Reads one book. */
  GUEST(EnumSet.of(Right.READ));

  private final Set<Right> rights;

  Role(Set<Right> rights) {
    this.rights = rights;
  }

  /** Whether it may do something. */
  public boolean may(Right right) {
    return rights.contains(right);
  }
}
