package marvek.server.accounts;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;

/** What each operation needs, read from the one table of it. */
@Component
class Rights {
  private static final String TABLE = "marvek/rights.txt";

  /**
   * What an operation needs.
   *
   * @param right that is needed of each thing
   * @param whose what is asked for
   * @param things kind of thing by variable of the address; a kind in braces is the value of
   *     another variable
   */
  record Need(Right right, Whose whose, Map<String, String> things) {
    /** Kind of the thing that a variable names. */
    Thing thing(String variable, Map<String, String> address) {
      String kind = things.get(variable);
      boolean told = kind.startsWith("{");
      return Thing.named(told ? address.get(kind.substring(1, kind.length() - 1)) : kind);
    }
  }

  /** What an operation is about. */
  enum Whose {
    /** Nobody's: it may be asked by who is not signed in. */
    NOBODY,
    /** Of who asks. */
    SELF,
    /** All that a driver owns. */
    SHELF,
    /** Of who owns the things that the address names. */
    THINGS
  }

  private final Map<String, Need> byOperation = new LinkedHashMap<>();

  Rights() throws IOException {
    try (BufferedReader lines =
        new BufferedReader(
            new InputStreamReader(
                new ClassPathResource(TABLE).getInputStream(), StandardCharsets.UTF_8))) {
      lines.lines().filter(line -> !line.isBlank() && !line.startsWith("#")).forEach(this::take);
    }
  }

  private void take(String line) {
    String[] words = line.split("\\s+");
    Map<String, String> things = new LinkedHashMap<>();
    for (int w = 2; w < words.length; w++) {
      int equals = words[w].indexOf('=');
      if (equals > 0) {
        things.put(words[w].substring(0, equals), words[w].substring(equals + 1));
      }
    }
    Whose whose =
        things.isEmpty()
            ? Whose.valueOf(words[2].toUpperCase(java.util.Locale.ROOT))
            : Whose.THINGS;
    if (byOperation.put(words[0], new Need(Right.valueOf(words[1]), whose, things)) != null) {
      throw new IllegalStateException(TABLE + " has " + words[0] + " twice");
    }
  }

  /** What an operation needs; null for one that is in no table, which nobody may do. */
  @Nullable Need of(String operation) {
    return byOperation.get(operation);
  }

  Set<String> operations() {
    return byOperation.keySet();
  }
}
