package marvek.server.doors;

import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.apache.coyote.Processor;
import org.apache.tomcat.util.net.NioChannel;
import org.apache.tomcat.util.net.SocketWrapperBase;

/**
 * Hangs up on connections whose request line and headers do not come to an end. They hold no thread
 * but a place, and the server's own time limit begins anew with every byte.
 */
final class SlowHeads {
  /** From the first byte of a request to the end of its headers. */
  static final long LONGEST_NS = TimeUnit.SECONDS.toNanos(10);

  private final Supplier<Set<SocketWrapperBase<NioChannel>>> connections;
  private Map<SocketWrapperBase<?>, Long> seen = new HashMap<>();

  SlowHeads(Supplier<Set<SocketWrapperBase<NioChannel>>> connections) {
    this.connections = connections;
  }

  /** To be called every second or two. */
  void hangUp() {
    long now = System.nanoTime();
    Map<SocketWrapperBase<?>, Long> still = new HashMap<>();
    for (SocketWrapperBase<?> connection : connections.get()) {
      if (isAtItsHead(connection)) {
        long since = seen.getOrDefault(connection, now);
        if (now - since > LONGEST_NS) {
          connection.close();
        } else {
          still.put(connection, since);
        }
      }
    }
    seen = still;
  }

  /** A request in service has its processor with its thread, a connection between requests none. */
  private static boolean isAtItsHead(SocketWrapperBase<?> connection) {
    return connection.getCurrentProcessor() instanceof Processor waiting
        && !waiting.isAsync()
        && !waiting.isUpgrade();
  }
}
