package marvek.server;

import java.io.IOException;
import java.io.InputStream;
import java.util.HashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * What the screens that are opened first are made of, as the interface's build found it. Named with
 * the page, so that a browser fetches it while it still reads what every screen needs: on a slow
 * telephone that is a third of a second.
 */
@Component
class FirstParts {
  private static final ClassPathResource LIST =
      new ClassPathResource("META-INF/resources/first-parts.json");

  private static final Pattern BOOK =
      Pattern.compile("/books/(?<id>[0-9a-f-]{36})(?<corner>/corner/[0-9]+)?");

  private final Map<String, String> links;

  FirstParts(JsonMapper json) throws IOException {
    Map<String, String> found = new HashMap<>();
    if (LIST.exists()) {
      try (InputStream in = LIST.getInputStream()) {
        json.readTree(in).forEachEntry((name, files) -> found.put(name, linkOf(files)));
      }
    }
    links = Map.copyOf(found);
  }

  private static String linkOf(JsonNode files) {
    return StreamSupport.stream(files.spliterator(), false)
        .map(JsonNode::asString)
        .map(
            file ->
                file.endsWith(".css")
                    ? "<" + file + ">; rel=preload; as=style"
                    : "<" + file + ">; rel=modulepreload")
        .collect(Collectors.joining(", "));
  }

  /** Value of a Link header for a path of the interface; empty where nothing is to be named. */
  String linkFor(String path) {
    if (path.equals("/shelf")) {
      return links.getOrDefault("shelf", "");
    }
    if (path.equals("/")) {
      return and(links.getOrDefault("first", ""), "/api/books");
    }
    Matcher book = BOOK.matcher(path);
    if (!book.matches()) {
      return "";
    }
    String asked = "/api/books/" + book.group("id");
    String parts = links.getOrDefault(book.group("corner") == null ? "book" : "page", "");
    return and(parts, asked, asked + "/view", asked + "/checks");
  }

  /** The parts of a screen, and what it asks for at once. */
  private static String and(String parts, String... asked) {
    return parts.isEmpty()
        ? ""
        : parts
            + Stream.of(asked)
                .map(path -> ", <" + path + ">; rel=preload; as=fetch; crossorigin")
                .collect(Collectors.joining());
  }
}
