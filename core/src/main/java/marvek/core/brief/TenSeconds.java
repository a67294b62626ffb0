package marvek.core.brief;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import marvek.core.circuit.Kerb;
import marvek.core.page.CornerPage;

/**
 * The lap in ten seconds: a few clauses that group corners by what is done in them, "bounce through
 * 5 to 7, patience in 8". The corners stay in driving order; where they are too many for so few
 * clauses, those that take the least time are not told.
 */
public final class TenSeconds {
  /** More clauses nobody keeps in his head (common practice). */
  public static final int MOST_CLAUSES = 5;

  /** Later than this past the apex the throttle is waited for. */
  private static final double WAITED_M = 12;

  private static final double SECONDS = 10;

  /** A flat corner is a straight to the driver: passing it over costs him little (own choice). */
  private static final double FLAT_SHARE = 0.25;

  /** What is done in a corner, as it is said. */
  private enum Deed {
    FLAT("flat through"),
    LIFT("lift through"),
    BOUNCE("bounce through"),
    PATIENCE("patience in"),
    HARD("brake hard into"),
    SQUEEZE("squeeze into");

    private final String words;

    Deed(String words) {
      this.words = words;
    }
  }

  private final List<CornerPage> pages;

  private TenSeconds(List<CornerPage> pages) {
    this.pages = pages;
  }

  /** The lap in as many clauses as ten seconds hold, at most five; empty without corners. */
  public static String of(List<CornerPage> pages) {
    if (pages.isEmpty()) {
      return "";
    }
    TenSeconds worker = new TenSeconds(pages);
    for (int clauses = MOST_CLAUSES; clauses > 1; clauses--) {
      String words = worker.words(clauses);
      if (CallOuts.secondsOf(words) <= SECONDS) {
        return words;
      }
    }
    return worker.words(1);
  }

  /** What is done: the first that holds. */
  private static Deed deed(CornerPage page) {
    CornerPage.BrakeStyle style = page.brake().style();
    if (style == CornerPage.BrakeStyle.NONE) {
      return Deed.FLAT;
    }
    if (page.apexes().size() > 1 || waits(page)) {
      return Deed.PATIENCE;
    }
    boolean hard = style == CornerPage.BrakeStyle.HARD;
    if (!hard && ridden(page.kerbs().apex()) && ridden(page.kerbs().exit())) {
      return Deed.BOUNCE;
    }
    if (hard) {
      return Deed.HARD;
    }
    return style == CornerPage.BrakeStyle.SQUEEZE ? Deed.SQUEEZE : Deed.LIFT;
  }

  private static boolean waits(CornerPage page) {
    Double first = page.throttle().firstM();
    CornerPage.Apex apex = page.apexes().get(0);
    double past = first == null ? 0 : first - apex.atM();
    // Across the start line the stations begin anew.
    return apex.kind() == CornerPage.ApexKind.LATE || past > WAITED_M && past < 500;
  }

  private static boolean ridden(Kerb.Use use) {
    return use.compareTo(Kerb.Use.TYRE) >= 0;
  }

  /** Corners from one index to another that go by one deed. */
  private record Clause(Deed deed, int from, int to) {}

  private String words(int most) {
    List<String> words = new ArrayList<>();
    for (Clause clause : clauses(most)) {
      words.add(clause.deed.words + " " + which(clause));
    }
    String all = String.join(", ", words);
    return all.substring(0, 1).toUpperCase(Locale.ROOT) + all.substring(1) + ".";
  }

  /**
   * The corners of a clause in which its deed is done, "1, 3 and 4"; one that is driven otherwise
   * is passed over rather than told wrong.
   */
  private String which(Clause clause) {
    List<Clause> runs = runs(clause);
    if (runs.size() == 1 && runs.get(0).from == runs.get(0).to) {
      return named(pages.get(runs.get(0).from));
    }
    List<String> words = runs.stream().flatMap(this::numbers).toList();
    int last = words.size() - 1;
    return last == 0
        ? words.get(0)
        : String.join(", ", words.subList(0, last)) + " and " + words.get(last);
  }

  /** The corners of a clause that go by its deed, those that follow each other together. */
  private List<Clause> runs(Clause clause) {
    List<Clause> runs = new ArrayList<>();
    int from = -1;
    for (int p = clause.from; p <= clause.to + 1; p++) {
      boolean right = p <= clause.to && deed(pages.get(p)) == clause.deed;
      if (right && from < 0) {
        from = p;
      } else if (!right && from >= 0) {
        runs.add(new Clause(clause.deed, from, p - 1));
        from = -1;
      }
    }
    return runs;
  }

  private static String named(CornerPage page) {
    return page.name().isBlank() ? String.valueOf(page.corner()) : page.name();
  }

  /** Three and more that follow each other are told by their first and last. */
  private Stream<String> numbers(Clause run) {
    String first = number(pages.get(run.from));
    String last = number(pages.get(run.to));
    return switch (run.to - run.from) {
      case 0 -> Stream.of(first);
      case 1 -> Stream.of(first, last);
      default -> Stream.of(first + " to " + last);
    };
  }

  private static String number(CornerPage page) {
    return CornerLabel.isLabel(page.name()) ? page.name() : String.valueOf(page.corner());
  }

  /**
   * The clauses that say the wrong thing of the fewest seconds: by dynamic programming over the
   * corners, the number of clauses and their deeds.
   */
  private List<Clause> clauses(int most) {
    int n = pages.size();
    double[][] least = new double[n + 1][most + 1];
    Clause[][] last = new Clause[n + 1][most + 1];
    for (int end = 1; end <= n; end++) {
      for (int k = 0; k <= most; k++) {
        least[end][k] = Double.POSITIVE_INFINITY;
      }
      for (int k = 1; k <= most; k++) {
        for (int from = 0; from < end; from++) {
          for (Deed deed : Deed.values()) {
            double wrong = least[from][k - 1] + wrongS(deed, from, end);
            if (wrong < least[end][k] - 1e-9) {
              least[end][k] = wrong;
              last[end][k] = new Clause(deed, from, end - 1);
            }
          }
        }
      }
    }
    int best = 1;
    for (int k = 2; k <= most; k++) {
      best = least[n][k] < least[n][best] - 1e-9 ? k : best;
    }
    List<Clause> clauses = new ArrayList<>();
    int end = n;
    for (int k = best; k > 0; k--) {
      clauses.add(0, last[end][k]);
      end = last[end][k].from;
    }
    return clauses;
  }

  private double wrongS(Deed deed, int from, int end) {
    double seconds = 0;
    for (int p = from; p < end; p++) {
      Deed right = deed(pages.get(p));
      double share = right == deed ? 0 : right == Deed.FLAT ? FLAT_SHARE : 1;
      seconds += share * pages.get(p).timeS();
    }
    return seconds;
  }
}
