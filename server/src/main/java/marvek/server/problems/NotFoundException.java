package marvek.server.problems;

/** Something asked for by its id that is not there, or is not this driver's. */
public class NotFoundException extends RuntimeException {
  private static final long serialVersionUID = 1L;

  public NotFoundException(String what) {
    super(what);
  }
}
