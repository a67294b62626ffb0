package marvek.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import marvek.formats.JsonFiles;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
import org.springframework.boot.test.web.server.LocalServerPort;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Files and bodies that are broken in ways nobody thought of: each is answered, and never by a
 * failure of the server. Seeded; {@code -Dmutations=2000} for as many of each kind.
 */
@ServerTest
class MutationsTest {
  private static final Logger LOG = LoggerFactory.getLogger(MutationsTest.class);
  private static final int EACH = Integer.getInteger("mutations", 200);
  private static final long SEED = Long.getLong("seed", 20261128L);

  /** No answer may take longer; far beyond the slowest of them, so that it is a hang that fails. */
  private static final Duration LONGEST = Duration.ofSeconds(30);

  /** Words of the inside that no answer may carry. */
  private static final Pattern INNER =
      Pattern.compile("java\\.|org\\.|com\\.fasterxml|SQL|select \\w+ from|Exception");

  private static final List<String> NASTY =
      List.of(
          "null",
          "1e999",
          "-1e999",
          "NaN",
          "99999999999999999999",
          "\"\\u0000\"",
          "\"\\ud800\"",
          "\"9999-12-31\"",
          "\"9999-12-31T23:59\"",
          "\"-0001-01-01T00:00:00Z\"",
          "[]",
          "{}",
          "[null]",
          "\"\"",
          "-1",
          "0",
          "true",
          "\"<script>\"",
          "\"=1+1\"",
          "[[[[[[[[]]]]]]]]");

  @LocalServerPort private int port;
  @Autowired private TestRestTemplate http;
  private final HttpClient client =
      HttpClient.newBuilder().version(HttpClient.Version.HTTP_1_1).build();
  private final Random random = new Random(SEED);
  private final List<String> failures = new ArrayList<>();
  private long slowestMs;
  private String slowest;
  private Scripts scripts;
  private String book;
  private String session;

  @BeforeEach
  void ownBook() {
    scripts = new Scripts(http);
    book = "/api/books/" + scripts.copyOfTheDemo();
    session = "/api/sessions/" + scripts.get(book + "/sessions").body().at("/0/id").asString();
  }

  /** A file and where it goes. */
  private record Upload(String path, String name, byte[] content) {}

  /** A body and where it goes. */
  private record Call(String method, String path, JsonNode body) {}

  @Test
  void brokenFilesAreRefusedOrTakenAndNeverAFailure() throws Exception {
    List<Upload> uploads = uploads();
    for (int k = 0; k < EACH; k++) {
      Upload upload = uploads.get(random.nextInt(uploads.size()));
      byte[] content = broken(upload.content());
      String name = random.nextInt(10) == 0 ? "a\u0000b\u202e.csv" : upload.name();
      ask(form(upload.path(), name, content), upload.name() + " #" + k);
    }
    assertThat(failures).isEmpty();
  }

  @Test
  void brokenBodiesAreRefusedOrTakenAndNeverAFailure() throws Exception {
    List<Call> calls = calls();
    for (int k = 0; k < EACH; k++) {
      Call call = calls.get(random.nextInt(calls.size()));
      String body = brokenJson(call.body());
      HttpRequest.Builder request =
          request(call.path())
              .header("Content-Type", "application/json")
              .header("If-Match", "*")
              .method(call.method(), HttpRequest.BodyPublishers.ofString(body));
      ask(request, call.method() + " " + call.path() + " #" + k + " " + cut(body));
    }
    assertThat(failures).isEmpty();
    assertThat(scripts.get(book).status().value()).as("the book is whole").isEqualTo(200);
    assertThat(scripts.download(book + "/export")).isNotEmpty();
  }

  private static String cut(String text) {
    return text.substring(0, Math.min(400, text.length()));
  }

  /** For who runs thousands of them and wants to know. */
  @AfterEach
  void tellTheSlowest() {
    if (slowest != null) {
      LOG.info("slowest of {} answers: {} ms, {}", EACH, slowestMs, cut(slowest));
    }
  }

  private void ask(HttpRequest.Builder request, String what) throws Exception {
    long began = System.nanoTime();
    HttpResponse<String> answer =
        client.send(request.build(), HttpResponse.BodyHandlers.ofString());
    long took = (System.nanoTime() - began) / 1_000_000;
    if (took > slowestMs) {
      slowestMs = took;
      slowest = what;
    }
    int status = answer.statusCode();
    String body = answer.body();
    if (status >= 500 && status != 503) {
      failures.add(what + ": " + status + " " + body);
    } else if (status >= 400 && (body.length() > 4000 || INNER.matcher(body).find())) {
      failures.add(what + ": not fit to be read: " + cut(body));
    }
  }

  private HttpRequest.Builder request(String path) {
    return HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path)).timeout(LONGEST);
  }

  private HttpRequest.Builder form(String path, String name, byte[] content) {
    ByteArrayOutputStream form = new ByteArrayOutputStream();
    form.writeBytes(
        ("--q\r\nContent-Disposition: form-data; name=\"file\"; filename=\"" + name + "\"\r\n\r\n")
            .getBytes(StandardCharsets.UTF_8));
    form.writeBytes(content);
    form.writeBytes("\r\n--q--\r\n".getBytes(StandardCharsets.UTF_8));
    return request(path)
        .header("Content-Type", "multipart/form-data; boundary=q")
        .POST(HttpRequest.BodyPublishers.ofByteArray(form.toByteArray()));
  }

  /** Bytes turned, cut, doubled or replaced by what readers trip over. */
  private byte[] broken(byte[] whole) {
    byte[] bytes = whole.clone();
    for (int changes = 1 + random.nextInt(3); changes > 0 && bytes.length > 1; changes--) {
      int at = random.nextInt(bytes.length);
      int to = Math.min(bytes.length, at + 1 + random.nextInt(40));
      bytes =
          switch (random.nextInt(5)) {
            case 0 -> turned(bytes, at);
            case 1 -> Arrays.copyOf(bytes, at);
            case 2 -> joined(bytes, at, to, new byte[0]);
            case 3 -> joined(bytes, to, to, Arrays.copyOfRange(bytes, at, to));
            default -> joined(bytes, at, to, nasty().getBytes(StandardCharsets.UTF_8));
          };
    }
    return bytes;
  }

  private byte[] turned(byte[] bytes, int at) {
    bytes[at] ^= (byte) (1 << random.nextInt(8));
    return bytes;
  }

  private static byte[] joined(byte[] bytes, int from, int to, byte[] between) {
    ByteArrayOutputStream all = new ByteArrayOutputStream();
    all.write(bytes, 0, from);
    all.writeBytes(between);
    all.write(bytes, to, bytes.length - to);
    return all.toByteArray();
  }

  private String nasty() {
    return NASTY.get(random.nextInt(NASTY.size()));
  }

  /** A body with one to three of its values replaced, taken out or doubled. */
  private String brokenJson(JsonNode whole) {
    JsonNode copy = whole.deepCopy();
    List<Runnable> replacing = new ArrayList<>();
    collect(copy, replacing);
    String text = copy.toString();
    for (int changes = 1 + random.nextInt(3); changes > 0 && !replacing.isEmpty(); changes--) {
      replacing.get(random.nextInt(replacing.size())).run();
      text = copy.toString();
    }
    while (text.contains("\"@\"")) {
      text = text.replaceFirst("\"@\"", Matcher.quoteReplacement(nasty()));
    }
    return random.nextInt(12) == 0 ? text.substring(0, random.nextInt(text.length())) : text;
  }

  private void collect(JsonNode node, List<Runnable> replacing) {
    if (node instanceof ObjectNode object) {
      object
          .propertyNames()
          .iterator()
          .forEachRemaining(
              name -> {
                replacing.add(() -> object.put(name, "@"));
                replacing.add(() -> object.remove(name));
              });
    } else if (node instanceof ArrayNode array) {
      for (int i = 0; i < array.size(); i++) {
        int at = i;
        replacing.add(
            () -> {
              if (at < array.size()) {
                array.set(at, array.stringNode("@"));
              }
            });
        replacing.add(
            () -> {
              if (at < array.size()) {
                array.add(array.get(at));
              }
            });
      }
    }
    node.forEach(child -> collect(child, replacing));
  }

  private List<Upload> uploads() {
    byte[] laps = lapsFile();
    String circuit = "/api/circuits/" + scripts.get(book).body().path("newestCircuitId").asString();
    return List.of(
        new Upload(
            "/api/circuits/import",
            "a.circuit.geojson",
            Scripts.demo("harrowfen-park.circuit.geojson")),
        new Upload(
            "/api/circuits/preview",
            "a.centreline.csv",
            scripts.download(circuit + "/centreline.csv")),
        new Upload("/api/circuits/preview", "a.gpx", scripts.download(circuit + "/marks.gpx")),
        new Upload("/api/cars/import", "a.car.json", Scripts.demo("teal-coupe.car.json")),
        new Upload("/api/books/import", "a.book.json", scripts.download(book + "/export")),
        new Upload(session + "/laps", "a.laps.csv", laps),
        new Upload(session + "/laps/preview", "a.laps.csv", laps));
  }

  /** Half a minute of a straight: enough to be read. */
  private static byte[] lapsFile() {
    StringBuilder text =
        new StringBuilder("time_s,lap,distance_m,speed_kmh,brake_pct,throttle_pct\n");
    for (int i = 0; i < 600; i++) {
      text.append("%.2f,%d,%.1f,100,0,50%n".formatted(i / 20.0, 1 + i / 300, (i % 300) * 1.39));
    }
    return text.toString().getBytes(StandardCharsets.UTF_8);
  }

  private List<Call> calls() {
    JsonNode revision = scripts.get(book + "/revisions/2").body();
    ObjectNode draft = JsonFiles.MAPPER.createObjectNode().put("parent", 2).put("reason", "x");
    draft.set("conditions", revision.path("conditions"));
    draft.put("line", "smooth");
    draft.set("ownValues", revision.path("ownValues"));
    JsonNode plan = scripts.get(session).body().path("session");
    ObjectNode day = JsonFiles.MAPPER.createObjectNode();
    day.set("day", scripts.get(session + "/lead").body().path("day"));
    String circuit = "/api/circuits/" + scripts.get(book).body().path("newestCircuitId").asString();
    String sheets = "/api/cars/" + scripts.get(book).body().path("carId").asString() + "/sheets";
    JsonNode sheet = scripts.get(sheets).body().at("/0/sheet");
    return List.of(
        new Call("POST", book + "/try", draft),
        new Call("POST", book + "/revisions", draft),
        new Call("POST", book + "/calls", draft.deepCopy().put("pace", 1).put("length", "m")),
        new Call("POST", book + "/car", draft),
        new Call("POST", book + "/corners/4/gears", draft),
        new Call("PUT", session, plan),
        new Call("POST", book + "/sessions", plan),
        new Call(
            "PUT",
            session + "/decisions",
            json("[{'corner': 1, 'field': 'brake.at_m', 'choice': 'alter', 'value': 300}]")),
        new Call("PUT", session + "/lead", day),
        new Call(
            "POST",
            session + "/lead/remarks",
            json("{'driver': 'a', 'corner': 1, 'words': 'x', 'good': true, 'own': false}")),
        new Call(
            "POST",
            session + "/remarks",
            json("{'corner': 1, 'lap': '3', 'author': 'coach', 'words': 'x'}")),
        new Call(
            "POST",
            session + "/dismissed",
            json("{'corner': 1, 'rule': 'brakes-early', 'reason': 'x', 'laps': ['1']}")),
        new Call(
            "POST",
            session + "/review",
            json(
                "{'parent': 2, 'accepted': [{'corner': 1, 'kind': 'marker', 'value': 3}], 'reason': 'x'}")),
        new Call("PUT", circuit + "/draft", scripts.get(circuit).body().path("edits")),
        new Call("POST", sheets, sheet),
        new Call("POST", book + "/recall", json("{'corner': 1, 'kind': 'gear', 'quality': 4}")),
        new Call("POST", book + "/stopwatch", json("{'taps_s': [1.5, 20, 60, 110]}")),
        new Call(
            "POST",
            book + "/runs",
            json(
                "{'revision': 2, 'speedShare': 1, 'help': 'plates', 'until_s': 20, 'presses': [{'kind': 'brake', 'at_s': 3}]}")),
        new Call("POST", book + "/layout", json("{'circuitId': '" + circuit.substring(14) + "'}")),
        new Call("POST", book + "/revisions/2/steps/1", json("{'word': 'made'}")));
  }

  private static JsonNode json(String text) {
    return JsonFiles.parse(text.replace('\'', '"').getBytes(StandardCharsets.UTF_8));
  }

  @Test
  void queriesOutOfBoundsAreRefused() {
    for (Map.Entry<String, String> query :
        Map.of(
                book + "/weather", "at=9999-12-31T23:00&hours=40",
                session + "/along", "lap=page&from_m=NaN&to_m=1e999",
                session + "/brief", "length=%00",
                book + "/recall", "order=%00")
            .entrySet()) {
      int status = scripts.get(query.getKey() + "?" + query.getValue()).status().value();
      assertThat(status).as("%s", query).isBetween(400, 422);
    }
  }
}
