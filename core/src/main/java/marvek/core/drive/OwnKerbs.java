package marvek.core.drive;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Kerb;
import marvek.core.page.CornerPage;
import marvek.core.page.OwnValues;

/** The kerbs of a circuit as a driver means to use them. */
public final class OwnKerbs {
  private OwnKerbs() {}

  /**
   * The circuit with its kerbs used as the own values say, for the line that follows of it; itself
   * where they say nothing.
   */
  public static Circuit wished(Circuit circuit, List<CornerPage> pages, List<OwnValues> own) {
    return on(circuit, pages, own, OwnValues::kerbApex);
  }

  /**
   * The same with the room that a moved apex may take: who puts it on the other side of the line
   * means the kerb that lies there.
   */
  static Circuit on(Circuit circuit, List<CornerPage> pages, List<OwnValues> own) {
    return on(circuit, pages, own, OwnKerbs::apexUse);
  }

  private static Circuit on(
      Circuit circuit,
      List<CornerPage> pages,
      List<OwnValues> own,
      Function<OwnValues, Kerb.Use> apexUse) {
    Map<Kerb, Kerb.Use> uses = new HashMap<>();
    for (OwnValues values : own) {
      for (CornerPage page : pages) {
        if (page.corner() == values.corner()) {
          note(uses, page.limits().exit().kerb(), values.kerbExit());
          note(uses, page.limits().apex().kerb(), apexUse.apply(values));
        }
      }
    }
    return uses.isEmpty()
        ? circuit
        : circuit.withKerbs(
            circuit.kerbs().stream()
                .map(kerb -> uses.containsKey(kerb) ? kerb.used(uses.get(kerb)) : kerb)
                .toList());
  }

  private static Kerb.Use apexUse(OwnValues values) {
    return values.kerbApex() == null && values.apexOffsetM() != null
        ? Kerb.Use.FULL
        : values.kerbApex();
  }

  private static void note(Map<Kerb, Kerb.Use> uses, Kerb kerb, Kerb.Use use) {
    if (kerb != null && use != null) {
      uses.put(kerb, use);
    }
  }
}
