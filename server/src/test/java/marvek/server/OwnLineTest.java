package marvek.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.DoubleStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
import tools.jackson.databind.JsonNode;

/** A line of the driver's own: from a lap or a recorded track into a book, and where it goes. */
@ServerTest
class OwnLineTest {
  @Autowired private TestRestTemplate http;
  private Scripts scripts;
  private String book;

  @BeforeEach
  void connect() {
    scripts = new Scripts(http);
    book = "/api/books/" + scripts.copyOfTheDemo();
  }

  private String session() {
    return scripts.get(book + "/sessions").body().at("/0/id").asString();
  }

  private byte[] simulated(String kind, int laps) {
    return scripts.download(
        "/api/sessions/" + session() + "/simulated.laps.csv?seed=2&laps=" + laps + "&kind=" + kind);
  }

  private JsonNode revision(int number) {
    return scripts.get(book + "/revisions/" + number).body();
  }

  private Scripts.Answer tried(String line, Object offsets) {
    Map<String, Object> draft = new HashMap<>();
    draft.put("parent", 2);
    draft.put("conditions", revision(2).path("conditions"));
    draft.put("line", line);
    if (offsets != null) {
      draft.put("lineOffsets_m", offsets);
    }
    return scripts.post(book + "/try", draft);
  }

  private static double lapS(JsonNode revision) {
    return revision.at("/lap/time_s").asDouble(0);
  }

  /** The logger drives the book's own line with a person's errors across the road. */
  @Test
  void theLineOfALapIsTimedAndKeptWithTheBook() {
    String file =
        scripts
            .upload("/api/sessions/" + session() + "/laps", "a.csv", simulated("full", 2))
            .body()
            .path("id")
            .asString();
    JsonNode traced = scripts.get("/api/laps/" + file + "/traced-line?lap=2").body();
    double model = lapS(tried("fastest", null).body().get("revision"));
    double own = lapS(tried("own", traced.get("lineOffsets_m")).body().get("revision"));
    assertThat(own).isCloseTo(model, within(0.01 * model));

    Map<String, Object> kept =
        Map.of(
            "parent",
            2,
            "reason",
            "as I drove",
            "conditions",
            revision(2).path("conditions"),
            "line",
            "own",
            "lineOffsets_m",
            traced.get("lineOffsets_m"));
    assertThat(scripts.post(book + "/revisions", kept).status().value()).isEqualTo(201);
    assertThat(revision(3).path("line").asString()).isEqualTo("own");
    assertThat(revision(3).get("lineOffsets_m")).isEqualTo(traced.get("lineOffsets_m"));
    assertThat(lapS(revision(3))).isCloseTo(own, within(1e-3));

    byte[] export = scripts.download(book + "/export");
    JsonNode copy = scripts.upload("/api/books/import", "b.book.json", export).body();
    String id = copy.path("id").asString();
    assertThat(scripts.download("/api/books/" + id + "/export")).isEqualTo(export);
    assertThat(scripts.get("/api/laps/" + file + "/traced-line?lap=9").status().value())
        .isEqualTo(404);
  }

  /** Positions on the earth in a table and in a GPX file are the same path. */
  @Test
  void aRecordedTrackIsALine() {
    byte[] table = simulated("position", 3);
    JsonNode ofTable = scripts.upload(book + "/traced-line", "laps.csv", table).body();
    assertThat(ofTable.path("rounds").asDouble(0)).isBetween(3.0, 4.5);
    assertThat(ofTable.path("noise_m").asDouble(0)).isBetween(0.02, 2.0);
    JsonNode ofGpx = scripts.upload(book + "/traced-line", "laps.gpx", gpx(table)).body();
    assertThat(ofGpx.path("points").asInt(0)).isEqualTo(ofTable.path("points").asInt(1));
    assertThat(ofGpx.get("lineOffsets_m")).isEqualTo(ofTable.get("lineOffsets_m"));
  }

  private static byte[] gpx(byte[] table) {
    List<String> lines = new String(table, StandardCharsets.UTF_8).lines().toList();
    List<String> header = List.of(lines.get(0).split(","));
    int lat = header.indexOf("lat_deg");
    int lon = header.indexOf("lon_deg");
    String points =
        lines.stream()
            .skip(1)
            .map(line -> line.split(","))
            .map(cell -> "<trkpt lat=\"" + cell[lat] + "\" lon=\"" + cell[lon] + "\"/>")
            .collect(Collectors.joining());
    return ("<gpx version=\"1.1\" creator=\"test\" xmlns=\"http://www.topografix.com/GPX/1/1\">"
            + "<trk><trkseg>"
            + points
            + "</trkseg></trk></gpx>")
        .getBytes(StandardCharsets.UTF_8);
  }

  @Test
  void whatIsNoLineOfThisRoadIsRefusedWithItsReason() {
    assertThat(detail(tried("own", null), 422)).contains("lineOffsets_m", "are missing");
    assertThat(detail(tried("own", List.of(1, 2, 3, 4)), 422)).contains("another road");
    assertThat(detail(tried("own", List.of(1, "two")), 422)).contains("number");
    assertThat(detail(tried("mine", null), 422)).contains("smooth, fastest, centreline or own");
    String elsewhere =
        "x_m,y_m\n"
            + DoubleStream.iterate(0, s -> s < 900, s -> s + 5)
                .mapToObj(s -> s + ",90000")
                .collect(Collectors.joining("\n"));
    assertThat(detail(traced(elsewhere), 422)).contains("lies off this road");
    assertThat(detail(traced("time_s,speed_kmh\n1,2\n"), 422)).contains("lat_deg");
  }

  private Scripts.Answer traced(String file) {
    return scripts.upload(book + "/traced-line", "a.csv", file.getBytes(StandardCharsets.UTF_8));
  }

  private static String detail(Scripts.Answer answer, int status) {
    assertThat(answer.status().value()).as(answer.body().toString()).isEqualTo(status);
    return answer.body().path("detail").asString();
  }
}
