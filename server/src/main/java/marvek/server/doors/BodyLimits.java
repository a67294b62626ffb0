package marvek.server.doors;

import java.util.List;
import java.util.regex.Pattern;

/** How large the body of a request may be, by its path [bytes]. */
final class BodyLimits {
  private static final long KB = 1024;
  private static final long MB = 1024 * KB;

  /** What fits nearly everything that a person types. */
  static final long SMALL = 256 * KB;

  private record Rule(Pattern path, long bytes) {
    static Rule of(String path, long bytes) {
      return new Rule(Pattern.compile(path), bytes);
    }
  }

  /** No pattern can backtrack: each has one place where it may go on. */
  private static final List<Rule> RULES =
      List.of(
          // A season of a 37 km course exports some 30 MB.
          Rule.of("/api/books/import", 128 * MB),
          Rule.of("/api/circuits/(import|preview|[^/]+/versions/import)", 200 * MB),
          Rule.of("/api/(sessions/[^/]+/laps(/preview)?|books/[^/]+/laps/import)", 200 * MB),
          Rule.of("/api/walks/[^/]+/(waypoints|notes)", 32 * MB),
          Rule.of("/api/cars/import", MB),
          // Every mark of a long course, and every press of a run along it.
          Rule.of("/api/circuits/[^/]+/draft", 4 * MB),
          Rule.of("/api/books/[^/]+/(runs|stopwatch)", 2 * MB));

  private BodyLimits() {}

  static long of(String path) {
    return RULES.stream()
        .filter(rule -> rule.path().matcher(path).matches())
        .mapToLong(Rule::bytes)
        .findFirst()
        .orElse(SMALL);
  }
}
