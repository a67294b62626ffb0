package marvek.core.brief;

import java.util.regex.Pattern;
import marvek.core.page.CornerPage;

/**
 * What a corner is called. A name such as 5A stands in the place of the number: the circuit counts
 * its corners so.
 */
public final class CornerLabel {
  private static final Pattern LABEL = Pattern.compile("\\d{1,3}[A-Za-z]");

  private CornerLabel() {}

  /** Whether a name is a number with a letter. */
  public static boolean isLabel(String name) {
    return LABEL.matcher(name).matches();
  }

  /** As it is said: its name, or "Turn 5A", "Turn 7". */
  public static String spoken(CornerPage page) {
    if (page.name().isBlank()) {
      return "Turn " + page.corner();
    }
    return isLabel(page.name()) ? "Turn " + page.name() : page.name();
  }
}
