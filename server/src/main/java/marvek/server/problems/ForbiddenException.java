package marvek.server.problems;

import marvek.core.say.Sentence;

/** Somebody may not do what he asks for; the sentence says why. */
public class ForbiddenException extends SaidException {
  private static final long serialVersionUID = 1L;

  public ForbiddenException(Sentence said) {
    super(said);
  }
}
