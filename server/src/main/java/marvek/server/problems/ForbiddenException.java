package marvek.server.problems;

/** Somebody may not do what he asks for; the message says why. */
public class ForbiddenException extends RuntimeException {
  public ForbiddenException(String message) {
    super(message);
  }
}
