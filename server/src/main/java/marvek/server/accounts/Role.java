package marvek.server.accounts;

import java.util.EnumSet;
import java.util.Set;

/** What somebody is to a driver's things. */
public enum Role {
  /** Whose they are. */
  DRIVER(EnumSet.allOf(Right.class)),
  /** Reads books and laps, and says what he thinks of them. */
  COACH(EnumSet.of(Right.READ, Right.LAPS, Right.LEARN, Right.REMARK, Right.EXPORT)),
  /** Leads the days of a group with one book. */
  INSTRUCTOR(EnumSet.of(Right.READ, Right.LAPS, Right.LEARN, Right.REMARK, Right.LEAD)),
  /** Reads one book. */
  GUEST(EnumSet.of(Right.READ));

  private final Set<Right> rights;

  Role(Set<Right> rights) {
    this.rights = rights;
  }

  /** Whether it is for one book alone, and for nothing else on the shelf. */
  public boolean isOfOneBook() {
    return this == INSTRUCTOR || this == GUEST;
  }

  /** Whether it may do something. */
  public boolean may(Right right) {
    return rights.contains(right);
  }
}
