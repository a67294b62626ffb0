package marvek.server.doors;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import marvek.server.Scripts;
import marvek.server.ServerTest;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Bodies that are too large, too deep, too slow. */
@ServerTest
class BodiesTest {
  private static final String JSON = "Content-Type: application/json";

  @LocalServerPort private int port;
  @Autowired private TestRestTemplate http;
  private RawHttp raw;
  private String book;

  @BeforeEach
  void open() {
    raw = new RawHttp(port);
    book = new Scripts(http).get("/api/books").body().at("/0/id").asString();
  }

  @Test
  void aSmallBodyHasALimit() throws Exception {
    String large = "{\"line\": \"" + "x".repeat(300_000) + "\"}";
    RawHttp.Answer answer = raw.ask("POST /api/books/" + book + "/try", List.of(JSON), large);
    assertThat(answer.status()).isEqualTo(413);
    assertThat(answer.body()).contains("256 kB").contains("Nothing was stored");
  }

  @Test
  void soHasOneThatDoesNotSayHowLongItIs() throws Exception {
    String piece = "20000\r\n" + " ".repeat(0x20000) + "\r\n";
    RawHttp.Answer answer =
        raw.ask(
            "POST /api/books/" + book + "/try",
            List.of(JSON, "Transfer-Encoding: chunked"),
            piece.repeat(4) + "0\r\n\r\n");
    assertThat(answer.status()).isEqualTo(413);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "{'name': 'a', 'name': 'b'}                      | a member twice",
        "{'parent': 1e999}                               | a number without end",
        "{'parent': 1} x                                 | something behind it",
        "{'ownValues': [null]}                           | a hole in a list",
        "{'ownValues': [{'corner': 1, 'notes': '\\u0000'}]} | no text",
        "[                                               | cut off"
      })
  void aBodyIsReadAsStrictlyAsAFile(String body, String why) throws Exception {
    RawHttp.Answer answer =
        raw.ask("POST /api/books/" + book + "/try", List.of(JSON), body.replace('\'', '"'));
    assertThat(answer.status()).as(why).isBetween(400, 422);
    assertThat(answer.body()).as(why).doesNotContain("java").doesNotContain("jackson");
  }

  /** What is sent and has no effect is said, and not dropped. */
  @Test
  void aMemberThatIsNotKnownIsNamedWithTheKnownOnes() throws Exception {
    RawHttp.Answer answer =
        raw.ask("POST /api/books/" + book + "/try", List.of(JSON), "{\"ownvalues\": []}");
    assertThat(answer.status()).isEqualTo(400);
    assertThat(answer.body())
        .contains("/ownvalues is not known; known are conditions, line, lineOffsets_m, own");
  }

  @Test
  void aTowerOfListsIsRefused() throws Exception {
    String tower = "{\"ownValues\": " + "[".repeat(50_000) + "]".repeat(50_000) + "}";
    assertThat(raw.ask("POST /api/books/" + book + "/try", List.of(JSON), tower).status())
        .isEqualTo(400);
  }

  /** A byte now and then once held every thread of the server for as long as it liked. */
  @Test
  void slowSendersHoldUpNobodyAndAreHungUpOn() throws Exception {
    List<Socket> slow = new ArrayList<>();
    String head =
        "POST /api/books/" + book + "/try HTTP/1.1\r\nHost: 127.0.0.1\r\n" + JSON + "\r\n";
    for (int k = 0; k < 230; k++) {
      slow.add(send(head + "Content-Length: 200000\r\n\r\n{"));
    }
    List<Socket> slowHeads = new ArrayList<>();
    for (int k = 0; k < 30; k++) {
      slowHeads.add(send(head));
    }
    long began = System.nanoTime();
    boolean open = true;
    for (int second = 0; open && second < 60; second++) {
      assertThat(raw.get("/api/books").status()).as("meanwhile").isEqualTo(200);
      Thread.sleep(1000);
      open = drip(slow) | drip(slowHeads);
    }
    assertThat(slow).as("bodies still held").allMatch(Socket::isClosed);
    assertThat(slowHeads).as("heads still held").allMatch(Socket::isClosed);
    // Ten seconds of grace, ten between two looks, and a slow machine.
    assertThat(TimeUnit.NANOSECONDS.toSeconds(System.nanoTime() - began)).isLessThan(45);
  }

  private Socket send(String text) throws IOException {
    Socket socket = raw.open();
    socket.getOutputStream().write(text.getBytes(StandardCharsets.US_ASCII));
    return socket;
  }

  /** One more byte on each; whether any is still taken. */
  private static boolean drip(List<Socket> sockets) throws IOException {
    boolean any = false;
    for (Socket socket : sockets) {
      if (!socket.isClosed()) {
        if (isHungUp(socket)) {
          socket.close();
        } else {
          any = true;
        }
      }
    }
    return any;
  }

  private static boolean isHungUp(Socket socket) {
    try {
      socket.setSoTimeout(1);
      socket.getOutputStream().write(' ');
      byte[] answer = new byte[4096];
      while (socket.getInputStream().read(answer) >= 0) {
        // Its refusal; the end comes behind it.
      }
      return true;
    } catch (java.net.SocketTimeoutException e) {
      return false;
    } catch (IOException e) {
      return true;
    }
  }
}
