package marvek.server.sharing;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import org.apache.catalina.connector.Connector;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * A port without encryption, as a device that does not trust Marvek's root yet cannot read what is
 * encrypted by it: it gives out the root with the steps for each kind of device, says whether
 * Marvek is ready, and nothing else.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
@ConditionalOnProperty("marvek.share.trust-port")
class TrustDoor extends OncePerRequestFilter
    implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {
  private static final int MOST_CONNECTIONS = 100;
  private static final int BETWEEN_READS_MS = 5_000;
  private static final ClassPathResource STEPS = new ClassPathResource("marvek/trust.html");

  private final int port;
  private final String address;
  private final Path root;

  TrustDoor(
      @Value("${marvek.share.trust-port}") int port,
      @Value("${server.address}") String address,
      @Value("${marvek.share.root:}") Path root) {
    this.address = address;
    this.port = port;
    this.root = root;
  }

  @Override
  public void customize(TomcatServletWebServerFactory factory) {
    Connector plain = new Connector();
    plain.setPort(port);
    plain.setProperty("address", address);
    plain.setProperty("maxConnections", String.valueOf(MOST_CONNECTIONS));
    plain.setProperty("connectionTimeout", String.valueOf(BETWEEN_READS_MS));
    factory.addAdditionalConnectors(plain);
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    if (request.getLocalPort() != port) {
      chain.doFilter(request, response);
      return;
    }
    response.setHeader("X-Content-Type-Options", "nosniff");
    response.setHeader(
        "Content-Security-Policy",
        "default-src 'none'; style-src 'unsafe-inline'; frame-ancestors 'none'");
    String path = request.getRequestURI();
    if (!path.equals("/ready") && !Files.isReadable(root)) {
      // A certificate that one had already is trusted without this.
      response.setStatus(HttpServletResponse.SC_NOT_FOUND);
      return;
    }
    switch (path) {
      case "/ready" -> chain.doFilter(request, response);
      case "/root.crt" -> give(response, "application/x-x509-ca-cert", Files.readAllBytes(root));
      case "/" -> give(response, "text/html; charset=utf-8", steps());
      default -> response.setStatus(HttpServletResponse.SC_NOT_FOUND);
    }
  }

  private static byte[] steps() throws IOException {
    try (InputStream in = STEPS.getInputStream()) {
      return in.readAllBytes();
    }
  }

  private static void give(HttpServletResponse response, String type, byte[] what)
      throws IOException {
    response.setContentType(type);
    response.setContentLength(what.length);
    response.getOutputStream().write(what);
  }
}
