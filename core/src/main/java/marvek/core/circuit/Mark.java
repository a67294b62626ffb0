package marvek.core.circuit;

import java.time.Instant;
import marvek.core.Require;
import org.jspecify.annotations.Nullable;

/**
 * A thing that can be seen from the seat and spoken of.
 *
 * @param label what drivers call it, e.g. "100 board"
 * @param fromM station of its first metre
 * @param toM station of its last metre; equal to {@code fromM} for a thing without length
 * @param offsetM lateral distance from the centreline, positive to the left
 * @param valueM number printed on a distance board [m], or null
 * @param heightM height above the road, or null
 * @param note free text, may be empty
 * @param notedAt when it was seen where it is told to be; needed of what moves with the sun, else
 *     null
 */
public record Mark(
    String label,
    MarkType type,
    Side side,
    double fromM,
    double toM,
    double offsetM,
    Double valueM,
    Double heightM,
    String note,
    @Nullable Instant notedAt) {
  public Mark {
    Require.text("label", label, 80);
    Require.present("type", type);
    Require.present("side", side);
    Require.notNegative("mark station", fromM);
    Require.notNegative("mark station", toM);
    Require.finite("mark offset", offsetM);
    if (heightM != null) {
      Require.within("height_m", heightM, 0, 200);
    }
    note = note == null ? "" : note;
  }

  /** A mark of which it does not matter when it was seen. */
  public Mark(
      String label,
      MarkType type,
      Side side,
      double fromM,
      double toM,
      double offsetM,
      Double valueM,
      Double heightM,
      String note) {
    this(label, type, side, fromM, toM, offsetM, valueM, heightM, note, null);
  }

  /** Whether it has a length along the road, as a banner has. */
  public boolean hasLength() {
    return fromM != toM;
  }
}
