package marvek.server.problems;

import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import java.util.List;

/**
 * Whether a failure is that the database was not there, or went away in the middle: then the same
 * may work in a moment. Told by its SQLSTATE (PostgreSQL documentation, appendix A), wherever in
 * the chain of causes it stands.
 */
final class DatabaseAway {
  /** Connection lost; ended by an operator or its server's end; no connection to be had. */
  private static final List<String> CLASSES = List.of("08", "57P", "53300");

  private DatabaseAway() {}

  static boolean isCauseOf(Throwable failure) {
    int depth = 0;
    for (Throwable cause = failure;
        cause != null && depth < 20;
        cause = cause.getCause(), depth++) {
      if (cause instanceof SQLTransientConnectionException
          || (cause instanceof SQLException sql && (isAway(sql.getSQLState()) || isClosed(sql)))) {
        return true;
      }
    }
    return false;
  }

  /** The pool's own word, without a state, for a connection that it has given up meanwhile. */
  private static boolean isClosed(SQLException failure) {
    return failure.getSQLState() == null && "Connection is closed".equals(failure.getMessage());
  }

  private static boolean isAway(String state) {
    return state != null && CLASSES.stream().anyMatch(state::startsWith);
  }
}
