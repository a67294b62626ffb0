package marvek.server.problems;

/** A change that was made to something which has changed meanwhile. */
public class ConflictException extends RuntimeException {
  private static final long serialVersionUID = 1L;

  public ConflictException(String what) {
    super(what);
  }
}
