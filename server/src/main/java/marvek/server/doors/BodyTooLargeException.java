package marvek.server.doors;

import java.io.IOException;

/** More came than the path allows. */
final class BodyTooLargeException extends IOException {
  private static final long serialVersionUID = 1L;

  private final long limit;

  BodyTooLargeException(long limit) {
    super("more than " + limit + " bytes");
    this.limit = limit;
  }

  long limit() {
    return limit;
  }
}
