package marvek.server;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import marvek.formats.JsonFiles;
import org.springframework.boot.resttestclient.TestRestTemplate;
import org.springframework.core.io.ByteArrayResource;
import org.springframework.http.HttpEntity;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.util.LinkedMultiValueMap;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Calls the server over HTTP as a script would. */
public record Scripts(TestRestTemplate http) {
  /** Status and JSON body of an answer. */
  public record Answer(HttpStatusCode status, JsonNode body) {}

  public static byte[] demo(String name) {
    try (InputStream in = Scripts.class.getResourceAsStream("/marvek/demo/" + name)) {
      return in.readAllBytes();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  public Answer get(String path) {
    return answer(http.getForEntity(path, byte[].class));
  }

  public byte[] download(String path) {
    return http.getForObject(path, byte[].class);
  }

  public Answer post(String path, Object body) {
    return post(path, body, null);
  }

  /**
   * @param seen the ETag of the answer that this was made from
   */
  public Answer post(String path, Object body, String seen) {
    return send(HttpMethod.POST, path, body, seen);
  }

  private Answer send(HttpMethod method, String path, Object body, String seen) {
    HttpHeaders headers = new HttpHeaders();
    if (seen != null) {
      headers.set(HttpHeaders.IF_MATCH, seen);
    }
    return answer(http.exchange(path, method, new HttpEntity<>(json(body), headers), byte[].class));
  }

  /** As it stands in the ETag of an answer with this body. */
  public static String seen(JsonNode body) {
    return "\"" + body.path("edition").asLong(0) + "\"";
  }

  /** A text is JSON as it would be typed. */
  private static Object json(Object body) {
    return body instanceof String text && !text.isBlank()
        ? JsonFiles.parse(text.getBytes(StandardCharsets.UTF_8))
        : body;
  }

  /**
   * A copy of the demo's first book with its sessions, to do with as one likes; its id.
   *
   * @param without members of the file that are left out
   */
  public String copyOfTheDemo(String... without) {
    String demo = get("/api/books").body().at("/0/id").asString();
    ObjectNode file = (ObjectNode) JsonFiles.parse(download("/api/books/" + demo + "/export"));
    file.remove(List.of(without));
    // As it came, whatever a test before has kept in it.
    while (file.withArray("revisions").size() > 2) {
      file.withArray("revisions").remove(2);
    }
    // The session of last year was made last: the first one is the weekend's.
    file.withArray("sessions").remove(3);
    return upload("/api/books/import", "copy.book.json", JsonFiles.writeFile(file))
        .body()
        .path("id")
        .asString();
  }

  /** A new book, waited for where it takes longer than a second; its id. */
  public String newBook(String circuitId, String carId, String name) {
    return newBook(Map.of("circuitId", circuitId, "carId", carId, "name", name));
  }

  /** The same from what a script says of it. */
  public String newBook(Map<String, Object> body) {
    JsonNode answer = post("/api/books", body).body();
    return answer.has("id")
        ? answer.get("id").asString()
        : resultOf(answer.path("job").asString()).path("id").asString();
  }

  /** What a job gave, once it is done. */
  public JsonNode resultOf(String job) {
    for (int k = 0; k < 600; k++) {
      JsonNode view = get("/api/jobs/" + job).body();
      if (view.path("status").asString().equals("done")) {
        return view.get("result");
      }
      java.util.concurrent.locks.LockSupport.parkNanos(50_000_000);
    }
    throw new AssertionError("the job did not end");
  }

  /** Whatever is stored now. */
  public Answer put(String path, Object body) {
    return put(path, body, "*");
  }

  /**
   * @param seen the ETag of the answer that this was made from
   */
  public Answer put(String path, Object body, String seen) {
    return send(HttpMethod.PUT, path, body, seen);
  }

  /** Whatever is stored now. */
  public Answer delete(String path) {
    return send(HttpMethod.DELETE, path, null, "*");
  }

  public Answer upload(String path, String fileName, byte[] content) {
    return upload(path, fileName, content, Map.of());
  }

  public Answer upload(String path, String fileName, byte[] content, Map<String, String> more) {
    return upload(path, "file", fileName, content, more);
  }

  public Answer upload(
      String path, String part, String fileName, byte[] content, Map<String, String> more) {
    LinkedMultiValueMap<String, Object> form = new LinkedMultiValueMap<>();
    form.add(
        part,
        new ByteArrayResource(content) {
          @Override
          public String getFilename() {
            return fileName;
          }
        });
    more.forEach(form::add);
    HttpHeaders headers = new HttpHeaders();
    headers.setContentType(MediaType.MULTIPART_FORM_DATA);
    return answer(http.postForEntity(path, new HttpEntity<>(form, headers), byte[].class));
  }

  public Answer upload(String path, String fileName, String content) {
    return upload(path, fileName, content.getBytes(StandardCharsets.UTF_8));
  }

  private static Answer answer(ResponseEntity<byte[]> response) {
    byte[] body = response.getBody();
    return new Answer(response.getStatusCode(), body == null ? null : JsonFiles.parse(body));
  }
}
