package marvek.core.say;

import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.ResourceBundle;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The sentences by their codes, in English: {@code sentences.properties}. A fact stands in braces:
 * {@code {at_m}} as a length in whole metres, {@code {gap_m:1}} to a decimal, {@code {lowest_mps}}
 * as a speed, {@code {given:n}} as the number that was given, {@code {side|word}} as a word of the
 * catalogue, or words in a list, each with what follows it ("brake 20, rpm 20"); else as it is.
 */
public final class Catalogue {
  private static final Pattern FACT = Pattern.compile("\\{(\\w+)(?::([\\dn]))?(\\|word)?}");
  private static final Map<String, String> TEMPLATES = read();

  private Catalogue() {}

  /** All sentences and words, by their codes. */
  public static Map<String, String> all() {
    return TEMPLATES;
  }

  /**
   * Names of the facts that a sentence needs.
   *
   * @throws IllegalArgumentException if there is no such sentence
   */
  static Set<String> factsOf(String code) {
    Set<String> names = new TreeSet<>();
    FACT.matcher(template(code)).results().forEach(found -> names.add(found.group(1)));
    return names;
  }

  static String words(String code, Map<String, Object> facts) {
    return FACT.matcher(template(code))
        .replaceAll(
            found ->
                Matcher.quoteReplacement(
                    told(
                        found.group(1),
                        facts.get(found.group(1)),
                        found.group(2),
                        found.group(3) != null)));
  }

  /**
   * What a problem of a type is called.
   *
   * @throws IllegalArgumentException if no such type is known
   */
  public static String title(String type) {
    return template("title." + type);
  }

  static String wordOf(Enum<?> constant) {
    return constant.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  private static String told(String name, Object value, String decimals, boolean word) {
    if (word) {
      return Stream.of(String.valueOf(value).split(", "))
          .map(item -> item.split(" ", 2))
          .map(item -> template("word." + item[0]) + (item.length > 1 ? " " + item[1] : ""))
          .collect(Collectors.joining(", "));
    }
    if (!(value instanceof Number number)) {
      return String.valueOf(value);
    }
    if ("n".equals(decimals)) {
      return asGiven(number.doubleValue());
    }
    double shown = number.doubleValue() * (name.endsWith("_mps") ? 3.6 : 1);
    String figure =
        String.format(
            Locale.ROOT, "%." + (decimals == null ? 0 : Integer.parseInt(decimals)) + "f", shown);
    if (name.endsWith("_mps")) {
      return figure + " km/h";
    }
    return name.endsWith("_m") ? figure + " m" : figure;
  }

  /** With the decimals that it has, six at most. */
  private static String asGiven(double value) {
    String shown = String.format(Locale.ROOT, "%.6f", value);
    return shown.replaceFirst("\\.?0+$", "");
  }

  private static String template(String code) {
    String template = TEMPLATES.get(code);
    if (template == null) {
      throw new IllegalArgumentException("no sentence has the code " + code);
    }
    return template;
  }

  private static Map<String, String> read() {
    ResourceBundle file = ResourceBundle.getBundle("marvek.core.say.sentences", Locale.ROOT);
    Map<String, String> templates = new HashMap<>();
    file.keySet().forEach(code -> templates.put(code, file.getString(code)));
    return Map.copyOf(templates);
  }
}
