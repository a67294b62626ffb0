package marvek.server.doors;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import marvek.core.say.Sentence;
import marvek.formats.JsonFiles;
import marvek.formats.SentenceJson;
import marvek.server.problems.ProblemType;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import tools.jackson.databind.node.ObjectNode;

/** A problem told before the features and their advice are reached. */
record Refusal(HttpStatus status, ProblemType type, Sentence said) {
  /** Writes it as the answer; the connection is closed after it, as a body may still be coming. */
  void answer(HttpServletResponse response) throws IOException {
    response.setStatus(status.value());
    response.setHeader("Connection", "close");
    if (status == HttpStatus.SERVICE_UNAVAILABLE) {
      response.setHeader("Retry-After", "3");
    }
    response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
    byte[] body = JsonFiles.write(body()).getBytes(StandardCharsets.UTF_8);
    response.setContentLength(body.length);
    response.getOutputStream().write(body);
  }

  private ObjectNode body() {
    ObjectNode body =
        JsonFiles.MAPPER
            .createObjectNode()
            .put("type", type.uri().toString())
            .put("title", type.title())
            .put("status", status.value())
            .put("detail", said.words());
    body.set("said", SentenceJson.write(said));
    return body;
  }
}
