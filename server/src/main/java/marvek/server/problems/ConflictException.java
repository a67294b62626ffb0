package marvek.server.problems;

import marvek.core.say.Sentence;

/** A change that was made to something which has changed meanwhile. */
public class ConflictException extends SaidException {
  private static final long serialVersionUID = 1L;

  public ConflictException(Sentence said) {
    super(said);
  }
}
