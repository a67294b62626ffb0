package marvek.e2e;

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
 */
record DemoAddresses(String book, String circuit, String driven, String planned, String led) {
  static DemoAddresses of(TestRestTemplate http) {
    Scripts scripts = new Scripts(http);
    JsonNode demo = demo(scripts);
    String book = "/books/" + demo.path("id").asString();
    JsonNode sessions = scripts.get("/api" + book + "/sessions").body();
    return new DemoAddresses(
        book,
        "/circuits/" + demo.path("circuitId").asString(),
        book + "/sessions/" + sessions.at("/0/id").asString(),
        book + "/sessions/" + sessions.at("/1/id").asString(),
        led(scripts));
  }

  private static JsonNode demo(Scripts scripts) {
    for (JsonNode book : scripts.get("/api/books").body()) {
      if (book.path("name").asString().equals("Harrowfen Park, Teal Coupé")) {
        return book;
      }
    }
    throw new AssertionError("the demo's book is not there");
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
        .replace("LED", led);
  }

  /** A copy of these in which the book is another. */
  DemoAddresses inBook(String other) {
    return new DemoAddresses(other, circuit, driven, planned, led);
  }
}
