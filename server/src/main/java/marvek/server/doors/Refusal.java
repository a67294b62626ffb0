package marvek.server.doors;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;

/** A problem told before the features and their advice are reached. */
record Refusal(HttpStatus status, String type, String title, String detail) {
  private static final String BODY =
      "{\"type\":\"urn:marvek:problem:%s\",\"title\":\"%s\",\"status\":%d,\"detail\":\"%s\"}";

  /** Writes it as the answer; the connection is closed after it, as a body may still be coming. */
  void answer(HttpServletResponse response) throws IOException {
    response.setStatus(status.value());
    response.setHeader("Connection", "close");
    if (status == HttpStatus.SERVICE_UNAVAILABLE) {
      response.setHeader("Retry-After", "3");
    }
    response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
    byte[] body =
        BODY.formatted(type, title, status.value(), detail).getBytes(StandardCharsets.UTF_8);
    response.setContentLength(body.length);
    response.getOutputStream().write(body);
  }
}
