package marvek.server.laps;

import java.util.Locale;
import marvek.core.InvalidValueException;
import marvek.core.laps.Finding.Rule;

/** Names of rules as they are written outside: {@code braked-early}. */
final class RuleName {
  private RuleName() {}

  static String of(Rule rule) {
    return rule.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /**
   * The rule of a name.
   *
   * @throws InvalidValueException if there is none
   */
  static Rule named(String name) {
    for (Rule rule : Rule.values()) {
      if (of(rule).equals(name)) {
        return rule;
      }
    }
    throw new InvalidValueException("rule", "(" + name + ") is not known");
  }
}
