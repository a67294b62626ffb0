package marvek.server.jobs;

import java.util.UUID;

/**
 * A kind of long work, found by its name on whichever server runs it.
 *
 * @param <A> what is asked for; stored as JSON until it is done
 */
public interface JobWork<A> {
  /** Name that it is stored under. */
  String kind();

  Class<A> asked();

  /**
   * Does it. Where the server dies meanwhile, it is begun again by another: what it stores must
   * then not be stored twice, for which {@code job} is the same both times.
   */
  Made run(UUID job, A asked, Progress progress);

  /**
   * What it gives: a book, and the revision that is its newest then.
   *
   * @param id of the book
   */
  record Made(UUID id, int revision) {}
}
