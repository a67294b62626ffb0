package marvek.server.doors;

import jakarta.annotation.PreDestroy;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.apache.catalina.connector.Connector;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;

/** Bounds of the server itself: connections, time, bodies. */
@Component
class Doors implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {
  private static final int MOST_CONNECTIONS = 1000;
  private static final int BETWEEN_READS_MS = 10_000;
  private static final int BETWEEN_REQUESTS_MS = 30_000;

  private final ScheduledExecutorService watch =
      Executors.newSingleThreadScheduledExecutor(
          work -> {
            Thread thread = new Thread(work, "slow-heads");
            thread.setDaemon(true);
            return thread;
          });

  @Override
  public void customize(TomcatServletWebServerFactory factory) {
    factory.setProtocol(WatchedProtocol.class.getName());
    factory.addEngineValves(new BodyValve());
    factory.addConnectorCustomizers(this::bound);
  }

  private void bound(Connector connector) {
    connector.setMaxParameterCount(1000);
    WatchedProtocol protocol = (WatchedProtocol) connector.getProtocolHandler();
    protocol.setMaxConnections(MOST_CONNECTIONS);
    protocol.setConnectionTimeout(BETWEEN_READS_MS);
    protocol.setKeepAliveTimeout(BETWEEN_REQUESTS_MS);
    SlowHeads heads = new SlowHeads(protocol.connections());
    watch.scheduleWithFixedDelay(heads::hangUp, 1, 1, TimeUnit.SECONDS);
  }

  @PreDestroy
  void stop() {
    watch.shutdownNow();
  }
}
