package marvek.server.sharing;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import marvek.server.StartedServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.context.ConfigurableApplicationContext;

/** The port without encryption gives out the root, and nothing of anybody's. */
class TrustDoorTest {
  @TempDir private Path folder;

  private static int freePort() throws Exception {
    try (ServerSocket socket = new ServerSocket(0)) {
      return socket.getLocalPort();
    }
  }

  private static HttpResponse<String> ask(int port, String path) throws Exception {
    return HttpClient.newHttpClient()
        .send(
            HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path)).build(),
            HttpResponse.BodyHandlers.ofString());
  }

  @Test
  void itGivesOutTheRootAndTheStepsAndNothingElse() throws Exception {
    new LocalAuthority(Instant.now()).write(folder, List.of("pit.local"));
    int port = freePort();
    try (ConfigurableApplicationContext server =
        StartedServer.beside(
            "--server.address=127.0.0.1",
            "--marvek.sign-in=pairing",
            "--marvek.demo=false",
            "--marvek.share.trust-port=" + port,
            "--marvek.share.root=" + folder.resolve("root.pem"))) {
      assertThat(server.isRunning()).isTrue();
      assertThat(ask(port, "/").body()).contains("Take the certificate").contains("Android");
      HttpResponse<String> root = ask(port, "/root.crt");
      assertThat(root.body()).isEqualTo(Files.readString(folder.resolve("root.pem")));
      assertThat(root.headers().firstValue("Content-Type")).hasValue("application/x-x509-ca-cert");
      assertThat(ask(port, "/ready").body()).isEqualTo("ready");
      for (String path :
          List.of(
              "/api/me", "/api/books", "/shelf", "/index.html", "/api/openapi.json", "/key.pem")) {
        assertThat(ask(port, path).statusCode()).as(path).isEqualTo(404);
      }
    }
  }
}
