package marvek.core.cause;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What a lap lost in one corner against the page, from its lift to the next corner's, the speed
 * that it takes away from there included [s]; negative for a gain.
 *
 * @param fromM where the account begins: the lap's lift or the page's, whichever comes first
 * @param offM where approach and way out are parted: the release of the brake
 * @param toM where it ends, and the next corner's begins
 * @param approachS lost before the release, beyond what a lower speed there asks for
 * @param speedS lost by the speed at the release, and by the braking down to it
 * @param exitS lost behind it against the page's throttle from the lap's own speed
 * @param laterS part of the account that is still to be paid where it ends
 * @param parts what causes claim of it, the dearest first
 */
public record CornerAccount(
    int corner,
    double fromM,
    double offM,
    double toM,
    double approachS,
    double speedS,
    double exitS,
    double laterS,
    List<Part> parts) {
  public CornerAccount {
    parts = List.copyOf(parts);
  }

  /**
   * What one cause claims.
   *
   * @param with a second part of the same slip, which has no size of its own; null without
   * @param amount in the cause's own unit
   * @param atM where it shows
   */
  public record Part(Cause cause, @Nullable Cause with, double seconds, double amount, double atM) {
    public Part(Cause cause, double seconds, double amount, double atM) {
      this(cause, null, seconds, amount, atM);
    }

    /** The same, worth something else. */
    Part worth(double other) {
      return new Part(cause, with, other, amount, atM);
    }
  }

  /** All of it. */
  public double lostS() {
    return approachS + speedS + exitS;
  }

  /** What no cause claims; nothing else is given it. */
  public double unexplainedS() {
    return lostS() - parts.stream().mapToDouble(Part::seconds).sum();
  }

  /** What a cause claims of it. */
  public Optional<Part> part(Cause cause) {
    return parts.stream().filter(p -> p.cause() == cause).findFirst();
  }
}
