package marvek.server.editions;

/** A change made from a state that is not the stored one any more. */
public class StaleException extends RuntimeException {
  private static final long serialVersionUID = 1L;

  private final transient Object theirs;

  StaleException(Object theirs) {
    super(
        "This was changed meanwhile, in another window or by somebody else. Nothing of theirs was"
            + " overwritten, and what you typed is still here.");
    this.theirs = theirs;
  }

  /** What is stored now. */
  public Object theirs() {
    return theirs;
  }
}
