package marvek.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.locks.LockSupport;
import marvek.formats.JsonFiles;
import marvek.server.Scripts;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.restclient.RestTemplateBuilder;
import org.springframework.boot.resttestclient.TestRestTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * The server and the database are killed at random moments while people write: whatever was
 * answered as kept is there afterwards. One round; {@code scripts/kills} does 25 of each.
 */
class KillsTest {
  private static final int ROUNDS = Integer.getInteger("kills", 1);

  /** Making it takes about as long as it saves in so many starts. */
  private static final int WORTH_AN_ARCHIVE = 3;

  private static final Path PROJECT = Path.of("..").toAbsolutePath().normalize();
  private static final Duration LONGEST = Duration.ofSeconds(20);

  @TempDir private Path folder;
  private final HttpClient client =
      HttpClient.newBuilder().version(HttpClient.Version.HTTP_1_1).connectTimeout(LONGEST).build();
  private final Random random = new Random(11);

  /** Words of remarks that were answered as kept. */
  private final Set<String> kept = ConcurrentHashMap.newKeySet();

  private final AtomicBoolean writing = new AtomicBoolean(true);
  private final List<Throwable> surprises =
      java.util.Collections.synchronizedList(new ArrayList<>());
  private String database;
  private int port;
  private Path jar;
  private Process server;
  private String session;

  @BeforeEach
  void start() throws Exception {
    database = cluster("up");
    try (ServerSocket free = new ServerSocket(0)) {
      port = free.getLocalPort();
    }
    prepareServer();
    startServer();
    session = plannedSession();
  }

  /** A book with one session, and nothing else: the demo takes longer than all the kills. */
  private String plannedSession() throws Exception {
    Scripts scripts =
        new Scripts(
            new TestRestTemplate(new RestTemplateBuilder().baseUri("http://127.0.0.1:" + port)));
    String circuit =
        scripts
            .upload(
                "/api/circuits/import",
                "a.circuit.geojson",
                Scripts.demo("harrowfen-park.circuit.geojson"))
            .body()
            .path("id")
            .asString();
    String car =
        scripts
            .upload("/api/cars/import", "a.car.json", Scripts.demo("teal-coupe.car.json"))
            .body()
            .path("id")
            .asString();
    String book = scripts.newBook(circuit, car, "Killed");
    String plan =
        "{'event': 'Kills', 'kind': 'practice', 'startsAt': '2026-06-13T10:20', 'length_min': 25,"
            + " 'purpose': 'practice', 'tyres': {'name': 'A', 'laps': 1, 'goodLaps': 60},"
            + " 'conditions': {'surface': 'dry', 'gripUsed': 0.92}}";
    Scripts.Answer planned =
        scripts.post("/api/books/" + book + "/sessions", plan.replace('\'', '"'));
    assertThat(planned.status().value()).as("%s", planned.body()).isEqualTo(201);
    return planned.body().path("id").asString();
  }

  @AfterEach
  void end() throws Exception {
    writing.set(false);
    if (server != null) {
      server.destroyForcibly().waitFor();
    }
    cluster("down");
  }

  @Test
  void whatWasAnsweredAsKeptIsThereHoweverOftenSomethingIsKilled() throws Exception {
    List<Thread> writers = new ArrayList<>();
    for (int w = 0; w < 4; w++) {
      String name = "w" + w;
      Thread writer = new Thread(() -> write(name));
      writer.start();
      writers.add(writer);
    }
    for (int round = 0; round < ROUNDS; round++) {
      Thread.sleep(300 + random.nextInt(1500));
      server.destroyForcibly().waitFor();
      startServer();
      assertNothingIsLost("the server was killed, round " + round);

      Thread.sleep(300 + random.nextInt(1500));
      kill(Files.readAllLines(folder.resolve("data/postmaster.pid")).get(0));
      awaitReady(503);
      // As the start command does when it notices.
      assertThat(cluster("up")).as("port and password stay").isEqualTo(database);
      awaitReady(200);
      assertNothingIsLost("the database was killed, round " + round);
    }
    writing.set(false);
    for (Thread writer : writers) {
      writer.join();
    }
    assertNothingIsLost("at the end");
    assertThat(surprises).isEmpty();
    assertThat(kept).as("something was written at all").hasSizeGreaterThan(ROUNDS * 8);
  }

  /** Adds remarks and changes the session, and remembers what the server said was kept. */
  private void write(String name) {
    for (int k = 0; writing.get(); k++) {
      String words = name + "-" + k;
      try {
        int status = send("POST", "/api/sessions/" + session + "/remarks", remark(words), null);
        if (status == 201) {
          kept.add(words);
        } else if (status < 500 || status == 500) {
          surprises.add(new AssertionError("a remark was answered with " + status));
        }
      } catch (IOException e) {
        // The server is gone: not answered, so not promised.
      } catch (InterruptedException e) {
        return;
      }
      // Also while nobody answers: asking without a pause would take the starting server's
      // processor.
      LockSupport.parkNanos(20_000_000);
    }
  }

  private static String remark(String words) {
    ObjectNode body = JsonFiles.MAPPER.createObjectNode();
    return body.put("author", "driver").put("words", words).toString();
  }

  private void assertNothingIsLost(String when) throws Exception {
    List<String> promised = List.copyOf(kept);
    List<String> there = new ArrayList<>();
    get("/api/sessions/" + session + "/debrief")
        .path("remarks")
        .forEach(r -> there.add(r.path("words").asString()));
    assertThat(there).as(when).containsAll(promised).doesNotHaveDuplicates();
  }

  private JsonNode get(String path) throws Exception {
    HttpResponse<String> answer =
        client.send(request(path).GET().build(), HttpResponse.BodyHandlers.ofString());
    assertThat(answer.statusCode()).as(path + ": " + answer.body()).isEqualTo(200);
    return JsonFiles.parse(answer.body().getBytes(StandardCharsets.UTF_8));
  }

  private int send(String method, String path, String body, String seen)
      throws IOException, InterruptedException {
    HttpRequest.Builder request =
        request(path)
            .header("Content-Type", "application/json")
            .method(method, HttpRequest.BodyPublishers.ofString(body));
    return client.send(request.build(), HttpResponse.BodyHandlers.discarding()).statusCode();
  }

  private HttpRequest.Builder request(String path) {
    return HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path)).timeout(LONGEST);
  }

  /**
   * As the start command does it: the server is unpacked, and, where it is started often, a first
   * run that ends in good order leaves the classes as the Java machine wants them. A start is then
   * more than twice as fast.
   */
  private void prepareServer() throws Exception {
    Path app = folder.resolve("app");
    Process unpacking =
        java(
            "-Djarmode=tools",
            "-jar",
            serverJar().toString(),
            "extract",
            "--destination",
            "" + app);
    assertThat(unpacking.waitFor()).isZero();
    jar = app.resolve(serverJar().getFileName());
    if (ROUNDS > WORTH_AN_ARCHIVE) {
      server = java("-XX:ArchiveClassesAtExit=" + archive(), "-jar", jar.toString());
      awaitReady(200);
      server.destroy();
      server.waitFor();
    }
  }

  private void startServer() throws Exception {
    server = java("-XX:SharedArchiveFile=" + archive(), "-Xshare:auto", "-jar", jar.toString());
    awaitReady(200);
  }

  private Path archive() {
    return folder.resolve("classes.jsa");
  }

  /** Java with what the server is told. It lives for seconds: the second compiler never pays. */
  private Process java(String... arguments) throws IOException {
    List<String> command =
        new ArrayList<>(
            List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-Xmx768m",
                "-XX:TieredStopAtLevel=1",
                "-Dpdfbox.fontcache=" + folder));
    command.addAll(List.of(arguments));
    ProcessBuilder builder =
        new ProcessBuilder(command)
            .redirectErrorStream(true)
            .redirectOutput(folder.resolve("server.log").toFile());
    String[] parts = database.split(" ");
    builder.environment().put("MARVEK_PORT", String.valueOf(port));
    builder.environment().put("MARVEK_DEMO", "false");
    builder
        .environment()
        .put("MARVEK_DB_URL", "jdbc:postgresql://127.0.0.1:" + parts[0] + "/marvek");
    builder.environment().put("MARVEK_DB_USER", "marvek");
    builder.environment().put("MARVEK_DB_PASSWORD", parts[1]);
    return builder.start();
  }

  private static Path serverJar() throws IOException {
    try (var files = Files.list(PROJECT.resolve("server/target"))) {
      return files.filter(f -> f.toString().endsWith("-exec.jar")).findFirst().orElseThrow();
    }
  }

  /** Until it says that it is, or is not. */
  private void awaitReady(int status) throws Exception {
    for (int k = 0; k < 600; k++) {
      try {
        if (client
                .send(request("/ready").GET().build(), HttpResponse.BodyHandlers.discarding())
                .statusCode()
            == status) {
          return;
        }
      } catch (IOException e) {
        assertThat(server.isAlive()).as(Files.readString(folder.resolve("server.log"))).isTrue();
      }
      Thread.sleep(200);
    }
    throw new AssertionError("not ready: " + Files.readString(folder.resolve("server.log")));
  }

  private static void kill(String pid) throws Exception {
    new ProcessBuilder("kill", "-9", pid).start().waitFor();
  }

  private String cluster(String what) throws Exception {
    Process process =
        new ProcessBuilder(PROJECT.resolve("scripts/cluster").toString(), what, folder.toString())
            .redirectError(ProcessBuilder.Redirect.INHERIT)
            .start();
    String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    assertThat(process.waitFor(2, TimeUnit.MINUTES)).isTrue();
    return said.strip();
  }
}
