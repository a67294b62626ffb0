package marvek.server.doors;

import java.io.IOException;
import java.io.InputStream;
import java.net.InetAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.List;

/**
 * Requests byte by byte: browsers and foreign senders set headers that client libraries refuse to.
 */
final class RawHttp {
  private final int port;

  RawHttp(int port) {
    this.port = port;
  }

  /** An answer; {@code status} 0 where the server only hung up. */
  record Answer(int status, String head, String body) {
    boolean has(String header) {
      return head.lines().anyMatch(line -> line.equalsIgnoreCase(header));
    }
  }

  /** Host and Connection are added where they are not given. */
  Answer ask(String line, List<String> headers, String body) throws IOException {
    try (Socket socket = open()) {
      socket.getOutputStream().write(request(line, headers, body).getBytes(StandardCharsets.UTF_8));
      return read(socket);
    }
  }

  Answer get(String path, String... headers) throws IOException {
    return ask("GET " + path, List.of(headers), "");
  }

  Socket open() throws IOException {
    Socket socket = new Socket(InetAddress.getLoopbackAddress(), port);
    socket.setSoTimeout(20_000);
    return socket;
  }

  private String request(String line, List<String> headers, String body) {
    StringBuilder text = new StringBuilder(line).append(" HTTP/1.1\r\n");
    if (headers.stream().noneMatch(h -> h.startsWith("Host:"))) {
      text.append("Host: 127.0.0.1:").append(port).append("\r\n");
    }
    headers.forEach(header -> text.append(header).append("\r\n"));
    if (headers.stream().noneMatch(h -> h.startsWith("Transfer-Encoding"))) {
      int length = body.getBytes(StandardCharsets.UTF_8).length;
      text.append("Content-Length: ").append(length).append("\r\n");
    }
    return text.append("Connection: close\r\n\r\n").append(body).toString();
  }

  static Answer read(Socket socket) throws IOException {
    InputStream in = socket.getInputStream();
    String all = new String(in.readAllBytes(), StandardCharsets.UTF_8);
    if (all.isEmpty()) {
      return new Answer(0, "", "");
    }
    int end = all.indexOf("\r\n\r\n");
    String head = all.substring(0, end);
    return new Answer(Integer.parseInt(head.split(" ")[1]), head, all.substring(end + 4));
  }
}
