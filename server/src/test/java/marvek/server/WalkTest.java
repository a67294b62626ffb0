package marvek.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.drew.imaging.ImageMetadataReader;
import com.drew.metadata.exif.GpsDirectory;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A track walk over HTTP, from the list to the new layout version. */
@ServerTest
class WalkTest {
  @Autowired private TestRestTemplate http;
  private Scripts scripts;
  private String circuit;

  @BeforeEach
  void newCircuit() {
    scripts = new Scripts(http);
    circuit =
        scripts
            .upload(
                "/api/circuits/import", "x.geojson", Scripts.demo("harrowfen-park.circuit.geojson"))
            .body()
            .path("id")
            .asString();
  }

  private JsonNode begin() {
    return scripts.post("/api/circuits/" + circuit + "/walk", Map.of()).body();
  }

  private static byte[] picture(String format) throws IOException {
    BufferedImage image = new BufferedImage(2400, 1200, BufferedImage.TYPE_INT_RGB);
    image.setRGB(3, 4, 0xff8800);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, format, out);
    return out.toByteArray();
  }

  /** A JPEG as a telephone writes it: an Exif block (JEITA CP-3451) with where it was taken. */
  private static byte[] located(byte[] jpeg, double lat, double lon) {
    ByteBuffer tiff = ByteBuffer.allocate(256);
    tiff.put("MM".getBytes(StandardCharsets.US_ASCII)).putShort((short) 42).putInt(8);
    // First directory: one entry, the pointer to the GPS directory at 26.
    tiff.putShort((short) 1);
    tiff.putShort((short) 0x8825).putShort((short) 4).putInt(1).putInt(26).putInt(0);
    // GPS directory: latitude and longitude with their hemispheres.
    tiff.putShort((short) 4);
    ascii(tiff, 1, lat < 0 ? 'S' : 'N');
    tiff.putShort((short) 2).putShort((short) 5).putInt(3).putInt(80);
    ascii(tiff, 3, lon < 0 ? 'W' : 'E');
    tiff.putShort((short) 4).putShort((short) 5).putInt(3).putInt(104);
    tiff.putInt(0);
    degrees(tiff.position(80), Math.abs(lat));
    degrees(tiff.position(104), Math.abs(lon));
    byte[] exif = new byte[6 + 128];
    System.arraycopy("Exif\0\0".getBytes(StandardCharsets.US_ASCII), 0, exif, 0, 6);
    System.arraycopy(tiff.array(), 0, exif, 6, 128);
    ByteBuffer file = ByteBuffer.allocate(jpeg.length + 4 + exif.length);
    file.put(jpeg, 0, 2).put((byte) 0xff).put((byte) 0xe1);
    file.putShort((short) (exif.length + 2)).put(exif).put(jpeg, 2, jpeg.length - 2);
    return file.array();
  }

  private static void ascii(ByteBuffer to, int tag, char letter) {
    to.putShort((short) tag).putShort((short) 2).putInt(2);
    to.put((byte) letter).put((byte) 0).putShort((short) 0);
  }

  private static void degrees(ByteBuffer to, double value) {
    to.putInt((int) value).putInt(1);
    to.putInt((int) Math.round((value - (int) value) * 60_000_000)).putInt(1_000_000);
    to.putInt(0).putInt(1);
  }

  private JsonNode note(String walk, Map<String, String> fields, byte[] photo) {
    Scripts.Answer answer =
        scripts.upload("/api/walks/" + walk + "/notes", "photo", "p.jpg", photo, fields);
    assertThat(answer.status().value()).as(answer.body().toString()).isEqualTo(201);
    return answer.body();
  }

  @Test
  void theListIsInDrivingOrderAndCanBeTicked() {
    JsonNode walk = begin();
    double last = -1;
    for (JsonNode item : walk.get("list")) {
      assertThat(item.path("station_m").asDouble(0)).isGreaterThanOrEqualTo(last);
      last = item.path("station_m").asDouble(0);
    }
    assertThat(walk.get("list").toString()).contains("walk.no-kerb");
    String id = walk.path("id").asString();
    String key = walk.at("/list/0/key").asString();
    JsonNode ticked =
        scripts.put("/api/walks/" + id + "/ticks", Map.of("item", key, "done", true)).body();
    assertThat(ticked.get("ticked").toString()).contains(key);
    assertThat(begin().path("id").asString()).isEqualTo(id);
    JsonNode undone =
        scripts.put("/api/walks/" + id + "/ticks", Map.of("item", key, "done", false)).body();
    assertThat(undone.get("ticked")).isEmpty();
  }

  @Test
  void aPhotoIsKeptWithoutWhereItWasTakenUnlessWanted() throws Exception {
    String walk = begin().path("id").asString();
    byte[] photo = located(picture("jpeg"), 53.8995, -4.8963);
    assertThat(placeOf(photo)).isNotNull();
    JsonNode plain =
        note(walk, Map.of("words", "bump on the inside", "station_m", "388"), photo).at("/notes/0");
    assertThat(plain.path("photo").asBoolean(false)).isTrue();
    assertThat(plain.path("lat_deg").isNull()).isTrue();
    byte[] kept =
        scripts.download("/api/walks/" + walk + "/notes/" + plain.path("id").asString() + "/photo");
    assertThat(placeOf(kept)).isNull();
    BufferedImage image = ImageIO.read(new ByteArrayInputStream(kept));
    assertThat(image.getWidth()).isEqualTo(1600);
    assertThat(image.getHeight()).isEqualTo(800);
    // Without a station the photo says where it was; wanted, the place stays with the note.
    JsonNode placed = note(walk, Map.of("words", "wall", "keepPlace", "true"), photo).get("notes");
    JsonNode second =
        placed.get(placed.size() - 1).path("words").asString().equals("wall")
            ? placed.get(placed.size() - 1)
            : placed.get(0);
    assertThat(second.path("lat_deg").asDouble(0)).isCloseTo(53.8995, within(1e-5));
    assertThat(second.path("station_m").asDouble(0)).isBetween(0.0, 4546.0);
  }

  private static Object placeOf(byte[] jpeg) throws Exception {
    GpsDirectory directory =
        ImageMetadataReader.readMetadata(new ByteArrayInputStream(jpeg))
            .getFirstDirectoryOfType(GpsDirectory.class);
    return directory == null ? null : directory.getGeoLocation();
  }

  @Test
  void whatIsNoPictureIsRefusedAndNothingIsNoted() throws Exception {
    String walk = begin().path("id").asString();
    Map<String, String> fields = Map.of("words", "x", "station_m", "10");
    for (byte[] bad :
        new byte[][] {
          "not a picture".getBytes(StandardCharsets.UTF_8),
          java.util.Arrays.copyOf(picture("png"), 60),
          picture("gif"),
          "<svg xmlns='http://www.w3.org/2000/svg'/>".getBytes(StandardCharsets.UTF_8)
        }) {
      Scripts.Answer answer =
          scripts.upload("/api/walks/" + walk + "/notes", "photo", "p.png", bad, fields);
      assertThat(answer.status().value()).isEqualTo(422);
      assertThat(answer.body().path("detail").asString()).contains("send PNG or JPEG");
    }
    Scripts.Answer huge =
        scripts.upload(
            "/api/walks/" + walk + "/notes", "photo", "p.png", new byte[17 << 20], fields);
    assertThat(huge.body().path("detail").asString()).contains("larger than 16 MB");
    Scripts.Answer beyond =
        scripts.upload(
            "/api/walks/" + walk + "/notes",
            "photo",
            "p.png",
            picture("png"),
            Map.of("station_m", "9999"));
    assertThat(beyond.body().path("field").asString()).isEqualTo("station_m");
    assertThat(scripts.get("/api/circuits/" + circuit + "/walk").body().get("notes")).isEmpty();
  }

  @Test
  void waypointsOfATelephoneAreMatchedToStations() {
    String walk = begin().path("id").asString();
    byte[] marks = scripts.download("/api/circuits/" + circuit + "/marks.gpx");
    JsonNode taken =
        scripts.upload("/api/walks/" + walk + "/waypoints", "m.gpx", marks).body().get("notes");
    assertThat(taken).hasSize(43);
    for (JsonNode note : taken) {
      if (note.path("words").asString().equals("weir sign")) {
        assertThat(note.path("station_m").asDouble(0)).isCloseTo(1845.6, within(1.0));
        assertThat(note.path("side").asString()).isEqualTo("left");
      }
    }
    String far = "<gpx version=\"1.1\"><wpt lat=\"54.5\" lon=\"-4.9\"><name>pub</name></wpt></gpx>";
    Scripts.Answer refused = scripts.upload("/api/walks/" + walk + "/waypoints", "m.gpx", far);
    assertThat(refused.status().value()).isEqualTo(422);
    assertThat(refused.body().path("detail").asString())
        .contains("\"pub\" lies")
        .contains("m from");
  }

  @Test
  void finishingMakesTheNextLayoutVersion() {
    String walk = begin().path("id").asString();
    JsonNode nothing =
        scripts.post("/api/walks/" + walk + "/finish", Map.of("reason", "walk"), "*").body();
    assertThat(nothing.path("version").asInt(0)).isEqualTo(3);
    assertThat(
            scripts
                .post("/api/walks/" + walk + "/finish", Map.of("reason", "walk"), "*")
                .status()
                .value())
        .isEqualTo(409);

    String second = begin().path("id").asString();
    ObjectNode edits = (ObjectNode) scripts.get("/api/circuits/" + circuit).body().get("edits");
    ((ObjectNode) edits.at("/kerbs/0")).put("heightMm", 70);
    scripts.put("/api/circuits/" + circuit + "/draft", edits);
    JsonNode done =
        scripts
            .post(
                "/api/walks/" + second + "/finish",
                Map.of("reason", "June walk", "validFrom", "2026-06-06"),
                "*")
            .body();
    assertThat(done.path("version").asInt(0)).isEqualTo(4);
    assertThat(done.get("changes")).hasSize(1);
    JsonNode newer = scripts.get("/api/circuits/" + done.path("circuitId").asString()).body();
    assertThat(newer.at("/versions/1/validFrom").asString()).isEqualTo("2026-06-06");
    assertThat(newer.at("/edits/kerbs/0/heightMm").asDouble(0)).isEqualTo(70);
  }
}
