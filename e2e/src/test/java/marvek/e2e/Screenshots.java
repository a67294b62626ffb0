package marvek.e2e;

import static java.nio.charset.StandardCharsets.UTF_8;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javax.imageio.ImageIO;
import marvek.formats.JsonFiles;
import marvek.server.ServerTest;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.util.FileSystemUtils;
import tools.jackson.databind.JsonNode;

/**
 * Not a test: takes the pictures of docs/screenshots from the demo book, for {@code ./marvek
 * shots}.
 */
@ServerTest
@EnabledIfSystemProperty(named = "shots", matches = "true")
class Screenshots {
  private static final Path FOLDER = Path.of("..", "docs", "screenshots");

  @LocalServerPort private int port;

  @Test
  void take() throws IOException {
    Files.createDirectories(FOLDER);
    try (Browser browser = new Browser(port)) {
      browser.openBook();
      String book = browser.path().replaceFirst("^(/books/[^/]+).*$", "$1");
      browser.prefer("paper", "km/h", "m");
      take(browser, book + "/corner/4", "article", "page-paper");
      take(browser, book, "table", "book-paper");
      answers(browser, book);
      take(browser, "/shelf", "a[href^='/books/']", "shelf");
      circuit(browser);
      session(browser, book);
      rehearse(browser, book);
      lead(browser);
      inTheHand(browser, book);
    }
    sharing();
    card();
  }

  /**
   * A code for a coach's tablet on the driver's computer; the tablet and his telephone beside it.
   */
  private void sharing() throws IOException {
    Path folder = Files.createTempDirectory("marvek-shots");
    try (SharedMarvek shared = new SharedMarvek(folder);
        Browser own = shared.device();
        Browser coach = shared.device()) {
      shared.pairOwn(own);
      shared.letSee(own, "Ines Aldermoor", "COACH");
      String code = own.text("[data-pairing-code]");
      own.leaveField();
      byte[] asked = own.picture();
      coach.size(820, 1180);
      coach.open("/pair");
      coach.type("[data-code]", code);
      coach.leaveField();
      byte[] typed = coach.picture();
      coach.press("Pair it");
      coach.see("[data-lap]");
      own.press("Done");
      own.size(390, 844);
      own.see("[data-device]");
      saveBeside("people", List.of(asked, typed, own.picture()));
    } finally {
      FileSystemUtils.deleteRecursively(folder);
    }
  }

  private static void saveBeside(String name, List<byte[]> pictures) throws IOException {
    List<BufferedImage> images = new ArrayList<>();
    for (byte[] picture : pictures) {
      images.add(ImageIO.read(new ByteArrayInputStream(picture)));
    }
    int gap = 16;
    int width = images.stream().mapToInt(image -> image.getWidth() + gap).sum() - gap;
    int height = images.stream().mapToInt(BufferedImage::getHeight).max().orElseThrow();
    BufferedImage all = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    int x = 0;
    for (BufferedImage image : images) {
      all.getGraphics().drawImage(image, x, 0, null);
      x += image.getWidth() + gap;
    }
    ImageIO.write(all, "png", FOLDER.resolve(name + ".png").toFile());
  }

  /** The wet qualifying of the demo's weekend: planned, prepared page by page, briefed. */
  private void session(Browser browser, String book) throws IOException {
    browser.open(book + "/sessions");
    browser.click("[data-sessions] li:nth-child(3) a");
    browser.see("[data-keeping]");
    save(browser.picture(), "session");
    browser.click("a[href$='/prepare']");
    browser.seeText("h2", "1 Sluice");
    browser.key("a");
    browser.seeText("h2", "2 Orchard");
    browser.leaveField();
    save(browser.picture(), "prepare");
    browser.press("Accept all that is left");
    browser.seeText("form", "all is decided");
    browser.press("Issue revision");
    browser.click("[data-issued] a");
    browser.see("[data-brief]");
    save(browser.picture(), "brief");
    debrief(browser, book);
  }

  /** The practice before it, with its laps, and what they propose. */
  private void debrief(Browser browser, String book) throws IOException {
    browser.open(book + "/sessions");
    browser.click("[data-sessions] li:nth-child(2) a");
    browser.click("a[href$='/debrief']");
    browser.see("[data-findings]");
    browser.seePresent("[data-line^='lap ']");
    byte[] debrief = browser.picture();
    saveBeside("debrief", List.of(debrief, fileLookedAt(browser)));
    browser.click("a[href$='/review']");
    browser.see("[data-proposals]");
    browser.seeText("[data-predicted]", "Driven: best");
    browser.press("Accept", "[data-proposals] li");
    browser.leaveField();
    save(browser.picture(), "review");
  }

  /** A file whose positions come late and lie off, before anything of it is kept, in the hand. */
  private byte[] fileLookedAt(Browser browser) throws IOException {
    String session = browser.path().replaceFirst("^.*/sessions/([^/]+)/.*$", "$1");
    String csv = read("/api/sessions/" + session + "/simulated.laps.csv?kind=late&laps=6");
    Path file = Files.createTempDirectory("marvek-shots").resolve("evening.csv");
    Files.writeString(file, csv);
    browser.size(390, 844);
    browser.chooseFile("[data-laps-in]", file);
    browser.see("[data-previewed]");
    browser.leaveField();
    byte[] picture = browser.picture();
    browser.press("Leave it");
    browser.size(1280, 800);
    Files.delete(file);
    Files.delete(file.getParent());
    return picture;
  }

  /** One's own lap and a team-mate's, in the corner where the most lies between them. */
  private void sideBySide(Browser browser, String book) throws IOException {
    String library = read("/api" + book + "/library");
    String pair = DemoAddresses.pair(book, JsonFiles.parse(library.getBytes(UTF_8)));
    browser.open(book + "/laps/beside?" + pair);
    browser.see("[data-differences]");
    browser.chooseWords("[data-replay] select", "4 Long Hythe");
    browser.click("[data-lap-traces] svg");
    browser.leaveField();
    save(browser.picture(), "side-by-side");
  }

  /** A question with its answer hidden, and the road as it comes, a press made near Sluice. */
  private void rehearse(Browser browser, String book) throws IOException {
    take(browser, book + "/rehearse", "[data-question]", "rehearse");
  }

  /** Book, page, brief and the road that comes, side by side as on four devices. */
  private void inTheHand(Browser browser, String book) throws IOException {
    String sessions = read("/api" + book + "/sessions");
    String planned = JsonFiles.parse(sessions.getBytes(UTF_8)).at("/2/id").asString();
    String[][] screens = {
      {book, "table"},
      {book + "/corner/4", "article"},
      {book + "/sessions/" + planned + "/brief", "[data-brief]"},
      {book + "/rehearse/run", "[data-begin]"}
    };
    beside(browser, screens, 390, 844, "telephone");
    beside(browser, screens, 820, 1180, "tablet");
    browser.size(1280, 800);
  }

  private static void beside(
      Browser browser, String[][] screens, int width, int height, String name) throws IOException {
    List<byte[]> pictures = new ArrayList<>();
    browser.size(width, height);
    for (String[] screen : screens) {
      browser.open(screen[0]);
      browser.see(screen[1]);
      browser.leaveField();
      pictures.add(browser.picture());
    }
    saveBeside(name, pictures);
  }

  /** The demo's track day. */
  private void lead(Browser browser) throws IOException {
    for (JsonNode session : JsonFiles.parse(read("/api/sessions").getBytes(UTF_8))) {
      if (session.at("/session/kind").asString().equals("track-day")) {
        String book = "/books/" + session.path("bookId").asString();
        browser.open(book + "/sessions/" + session.path("id").asString() + "/lead");
        browser.see("[data-open]");
        save(browser.picture(), "lead");
      }
    }
  }

  /** Schools and other days of a corner, the lap spoken, and the car. */
  private void answers(Browser browser, String book) throws IOException {
    browser.open(book + "/corner/4");
    browser.press("Ways through");
    browser.see("[data-ways]");
    save(browser.picture(), "ways");
    take(browser, book + "/calls", "[data-calls]", "spoken");
    sideBySide(browser, book);
    take(browser, book + "/car", "[data-zones]", "car");
  }

  /** The circuit's screens, at an evening when the sun stands low. */
  private void circuit(Browser browser) throws IOException {
    String newest =
        read("/api/books").replaceFirst("(?s)^.*?\"newestCircuitId\":\"([^\"]+)\".*$", "$1");
    browser.open("/circuits/" + newest);
    browser.clickAt("[data-plan]", -100, 90);
    browser.press("Light");
    browser.set("[data-hour]", "2026-04-18T18:50");
    browser.press("Look");
    browser.see("[data-sun]");
    save(browser.picture(), "circuit-paper");
  }

  private static void take(Browser browser, String path, String there, String name)
      throws IOException {
    browser.open(path);
    browser.see(there);
    save(browser.picture(), name);
  }

  private static void save(byte[] png, String name) throws IOException {
    Files.write(FOLDER.resolve(name + ".png"), png);
  }

  private void card() throws IOException {
    String books = read("/api/books");
    String id = books.replaceFirst("(?s)^.*?\"id\":\"([^\"]+)\".*$", "$1");
    try (InputStream in = open("/api/books/" + id + "/revisions/2/card.pdf");
        PDDocument document = Loader.loadPDF(in.readAllBytes())) {
      BufferedImage image = new PDFRenderer(document).renderImageWithDPI(0, 120);
      ImageIO.write(image, "png", FOLDER.resolve("card.png").toFile());
    }
  }

  private String read(String path) throws IOException {
    try (InputStream in = open(path)) {
      return new String(in.readAllBytes(), java.nio.charset.StandardCharsets.UTF_8);
    }
  }

  private InputStream open(String path) throws IOException {
    return URI.create("http://127.0.0.1:" + port + path).toURL().openStream();
  }
}
