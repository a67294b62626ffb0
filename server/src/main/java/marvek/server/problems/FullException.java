package marvek.server.problems;

/** More long work waits already than may. */
public final class FullException extends RuntimeException {
  private static final long serialVersionUID = 1L;
}
