package marvek.e2e;

import java.util.Comparator;
import marvek.server.Scripts;
import org.springframework.boot.resttestclient.TestRestTemplate;
import tools.jackson.databind.JsonNode;

/**
 * Where the screens of the demo are. In a path the words in capitals stand for what is there only
 * once the demo is filled.
 *
 * @param book of the coupé, {@code BOOK}
 * @param circuit of that book, {@code CIRCUIT}
 * @param driven session that was driven, {@code DRIVEN}
 * @param planned session that is before the driver, {@code PLANNED}
 * @param led day with its group, {@code LED}
 * @param pair two laps as the address of their screen names them, {@code PAIR}
 */
record DemoAddresses(
    String book, String circuit, String driven, String planned, String led, String pair) {
  private static DemoAddresses known;

  /** Asked once a run: the laps of all journeys before are summed up for the pair. */
  static synchronized DemoAddresses of(TestRestTemplate http) {
    if (known == null) {
      known = asked(new Scripts(http));
    }
    return known;
  }

  private static DemoAddresses asked(Scripts scripts) {
    JsonNode demo = demo(scripts);
    String book = "/books/" + demo.path("id").asString();
    JsonNode sessions = scripts.get("/api" + book + "/sessions").body();
    return new DemoAddresses(
        book,
        "/circuits/" + demo.path("circuitId").asString(),
        book + "/sessions/" + sessions.at("/1/id").asString(),
        book + "/sessions/" + sessions.at("/2/id").asString(),
        led(scripts),
        pair(book, scripts.get("/api" + book + "/library").body()));
  }

  private static JsonNode demo(Scripts scripts) {
    for (JsonNode book : scripts.get("/api/books").body()) {
      if (book.path("name").asString().equals("Harrowfen Park, Teal Coupé")) {
        return book;
      }
    }
    throw new AssertionError("the demo's book is not there");
  }

  /** The best of the driver's own laps this year, and his team-mate's. */
  static String pair(String book, JsonNode library) {
    return "lap="
        + quickest(book, "practice.laps.csv", library)
        + "&with="
        + quickest(book, "team-mate.laps.csv", library);
  }

  /** Other journeys have laps of their own at the same circuit: only this book's file is asked. */
  private static String quickest(String book, String file, JsonNode library) {
    return library
        .valueStream()
        .filter(lap -> book.equals("/books/" + lap.path("book").asString()))
        .filter(lap -> lap.path("file").asString().equals(file))
        .filter(lap -> lap.path("kind").asString().equals("flying"))
        .min(Comparator.comparingDouble(lap -> lap.path("time_s").asDouble()))
        .map(lap -> lap.path("id").asString())
        .orElseThrow(() -> new AssertionError("the demo has no laps in " + file));
  }

  private static String led(Scripts scripts) {
    for (JsonNode session : scripts.get("/api/sessions").body()) {
      if (session.at("/session/kind").asString().equals("track-day")) {
        return "/books/"
            + session.path("bookId").asString()
            + "/sessions/"
            + session.path("id").asString();
      }
    }
    throw new AssertionError("the demo has no led day");
  }

  /** A path with the addresses in the place of their words. */
  String path(String screen) {
    return screen
        .replace("BOOK", book)
        .replace("CIRCUIT", circuit)
        .replace("DRIVEN", driven)
        .replace("PLANNED", planned)
        .replace("LED", led)
        .replace("PAIR", pair);
  }

  /** A copy of these in which the book is another. */
  DemoAddresses inBook(String other) {
    return new DemoAddresses(other, circuit, driven, planned, led, pair);
  }
}
