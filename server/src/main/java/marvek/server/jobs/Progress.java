package marvek.server.jobs;

/** Told by long work how far it is. */
public interface Progress {
  /**
   * @param share of the work that is done, 0 to 1
   * @throws java.util.concurrent.CancellationException if it was cancelled, wherever that was
   */
  void at(double share);
}
