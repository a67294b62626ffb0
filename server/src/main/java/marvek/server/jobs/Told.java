package marvek.server.jobs;

import marvek.core.InvalidValueException;
import marvek.formats.BadFileException;
import marvek.server.problems.ConflictException;
import marvek.server.problems.NotFoundException;

/** What is said of a failure to who asked for the work. */
final class Told {
  private Told() {}

  /** Whether its own words are for the asker; those of others speak of classes and tables. */
  static boolean toItsAsker(RuntimeException failure) {
    return failure instanceof InvalidValueException
        || failure instanceof BadFileException
        || failure instanceof ConflictException
        || failure instanceof NotFoundException;
  }

  static String of(RuntimeException failure) {
    return toItsAsker(failure)
        ? failure.getMessage()
        : "Something went wrong inside Marvek; nothing was stored. The server's log has the details.";
  }
}
