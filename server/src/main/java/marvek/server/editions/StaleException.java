package marvek.server.editions;

import marvek.core.say.Sentence;

/** A change made from a state that is not the stored one any more. */
public class StaleException extends RuntimeException {
  private static final long serialVersionUID = 1L;

  private static final Sentence SAID = Sentence.of("conflict.stale");

  private final transient Object theirs;

  StaleException(Object theirs) {
    super(SAID.words());
    this.theirs = theirs;
  }

  /** Why, and what became of it. */
  public Sentence said() {
    return SAID;
  }

  /** What is stored now. */
  public Object theirs() {
    return theirs;
  }
}
