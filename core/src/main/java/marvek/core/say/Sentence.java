package marvek.core.say;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;

/**
 * Something that is said to a driver: which sentence, and the facts in it. The interface words it
 * from the same {@link Catalogue} in his units; {@link #words} is for files, prints and scripts.
 *
 * @param code of the sentence in the catalogue
 * @param facts by name: numbers in SI units, which end the name ({@code at_m}, {@code speed_mps}),
 *     and texts
 */
public record Sentence(String code, Map<String, Object> facts) {
  /** A sentence that comes as words, from a time before it had a code. */
  public static final String AS_TOLD = "as-told";

  /**
   * @throws IllegalArgumentException if the catalogue has no such sentence, or its facts are others
   */
  public Sentence {
    Set<String> wanted = Catalogue.factsOf(code);
    if (!wanted.equals(facts.keySet())) {
      throw new IllegalArgumentException(
          "the sentence " + code + " needs " + wanted + " and has " + facts.keySet());
    }
    facts = Collections.unmodifiableMap(new LinkedHashMap<>(facts));
  }

  /**
   * A sentence with its facts.
   *
   * @param namesAndValues name and value in turn; an enum constant stands for its name
   */
  public static Sentence of(String code, Object... namesAndValues) {
    Map<String, Object> facts = new LinkedHashMap<>();
    for (int k = 0; k < namesAndValues.length; k += 2) {
      Object value = namesAndValues[k + 1];
      facts.put(
          (String) namesAndValues[k], value instanceof Enum<?> e ? Catalogue.wordOf(e) : value);
    }
    return new Sentence(code, facts);
  }

  /** Words that are all there is. */
  public static Sentence told(String words) {
    return of(AS_TOLD, "words", words);
  }

  /** The words with a full stop, where they end without one. */
  public String sentence() {
    String words = words();
    return words.matches("(?s).*[.?!]") ? words : words + ".";
  }

  /** In English, in metres and km/h. */
  public String words() {
    return Catalogue.words(code, facts);
  }
}
