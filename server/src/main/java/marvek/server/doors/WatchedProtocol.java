package marvek.server.doors;

import java.util.Set;
import java.util.function.Supplier;
import org.apache.coyote.http11.Http11NioProtocol;
import org.apache.tomcat.util.net.NioChannel;
import org.apache.tomcat.util.net.SocketWrapperBase;

/** The server's own protocol, whose open connections can be looked at. */
public final class WatchedProtocol extends Http11NioProtocol {
  Supplier<Set<SocketWrapperBase<NioChannel>>> connections() {
    return () -> getEndpoint().getConnections();
  }
}
