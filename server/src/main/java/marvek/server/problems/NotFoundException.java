package marvek.server.problems;

import marvek.core.say.Sentence;

/** Something asked for by its id that is not there, or is not this driver's. */
public class NotFoundException extends SaidException {
  private static final long serialVersionUID = 1L;

  public NotFoundException(Sentence said) {
    super(said);
  }

  /**
   * A thing that is not there.
   *
   * @param thing a word of the catalogue
   */
  public static NotFoundException of(String thing, Object id) {
    return new NotFoundException(Sentence.of("missing.one", "thing", thing, "id", id));
  }
}
