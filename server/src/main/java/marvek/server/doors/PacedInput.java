package marvek.server.doors;

import java.io.IOException;
import java.net.SocketTimeoutException;
import java.nio.ByteBuffer;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.apache.coyote.InputBuffer;
import org.apache.tomcat.util.net.ApplicationBufferHandler;

/**
 * A body as it comes in: no larger than allowed, and at a pace. A server's own time limit is
 * between two reads, so that a byte now and then would hold a thread for ever; here the whole has
 * to come at some rate, and only so many may be waited for at once.
 */
final class PacedInput implements InputBuffer {
  /** A telephone on the edge of a paddock still sends faster (own assumption). */
  static final long SLOWEST_BYTES_PER_S = 2048;

  private static final long FINISHED = 2 * 1024 * 1024;

  private static final long GRACE_NS = TimeUnit.SECONDS.toNanos(10);

  private final InputBuffer inner;
  private final long limit;
  private final Semaphore waiting;
  private final long startedNs = System.nanoTime();
  private long taken;
  private boolean waits;
  private boolean ended;
  private boolean whole;

  PacedInput(InputBuffer inner, long limit, Semaphore waiting) {
    this.inner = inner;
    this.limit = limit;
    this.waiting = waiting;
  }

  @Override
  public int doRead(ApplicationBufferHandler handler) throws IOException {
    try {
      return paced(handler);
    } catch (IOException e) {
      ended = true;
      throw e;
    }
  }

  private int paced(ApplicationBufferHandler handler) throws IOException {
    takePlace();
    int read = inner.doRead(handler);
    if (read < 0) {
      whole = true;
      ended = true;
      leavePlace();
      return read;
    }
    taken += read;
    if (taken > limit) {
      throw new BodyTooLargeException(limit);
    }
    long allowedNs = GRACE_NS + TimeUnit.SECONDS.toNanos(taken) / SLOWEST_BYTES_PER_S;
    if (System.nanoTime() - startedNs > allowedNs) {
      throw new SocketTimeoutException("body slower than " + SLOWEST_BYTES_PER_S + " bytes/s");
    }
    return read;
  }

  /**
   * Takes what nobody read, as long as it is little and comes at a pace, so that its sender sees
   * the answer and not a broken line; whether all of it came.
   */
  boolean finish() {
    ByteBuffer[] unread = {ByteBuffer.allocate(0)};
    ApplicationBufferHandler away =
        new ApplicationBufferHandler() {
          @Override
          public void setByteBuffer(ByteBuffer buffer) {
            unread[0] = buffer;
          }

          @Override
          public ByteBuffer getByteBuffer() {
            return unread[0];
          }

          @Override
          public void expand(int size) {
            // Nothing is kept.
          }
        };
    long until = taken + FINISHED;
    try {
      while (!ended && taken < until) {
        doRead(away);
      }
    } catch (IOException e) {
      return false;
    }
    return whole;
  }

  /** What is here already is not waited for. */
  private void takePlace() throws TooManyUploadsException {
    if (!waits && inner.available() == 0) {
      if (!waiting.tryAcquire()) {
        throw new TooManyUploadsException();
      }
      waits = true;
    }
  }

  /** At the end of the request at the latest. */
  void leavePlace() {
    if (waits) {
      waits = false;
      waiting.release();
    }
  }

  @Override
  public int available() {
    return inner.available();
  }
}
