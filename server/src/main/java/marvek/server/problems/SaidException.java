package marvek.server.problems;

import marvek.core.say.Sentence;

/** Something that cannot be, told in a sentence. */
public abstract class SaidException extends RuntimeException {
  private static final long serialVersionUID = 1L;

  private final transient Sentence said;

  protected SaidException(Sentence said) {
    super(said.sentence());
    this.said = said;
  }

  /** Why, and what to do. */
  public final Sentence said() {
    return said;
  }
}
