package marvek.core.page;

import marvek.core.conditions.Conditions;
import marvek.core.conditions.Conditions.Surface;
import marvek.core.conditions.Conditions.TyreState;

/** Days on which a driver does something else than on his page. */
public enum DayKind {
  /** The first laps, until the tyres are warm. */
  COLD,
  DAMP,
  WET,
  /** Worn tyres, late in a race. */
  WORN,
  /** More fuel than the page is written for. */
  HEAVY;

  /** Laps on which what is written for cold tyres holds (common practice: three to five). */
  public static final int COLD_LAPS = 3;

  /** So much more fuel is heavy (own assumption) [kg]. */
  private static final double HEAVIER_KG = 10;

  /**
   * Whether what is written for such a day holds in some conditions.
   *
   * @param book conditions that the page is written for
   */
  public boolean holdsIn(Conditions day, Conditions book) {
    return switch (this) {
      case COLD -> day.tyres() == TyreState.COLD;
      case DAMP -> day.surface() == Surface.DAMP && book.surface() != Surface.DAMP;
      case WET -> day.surface() == Surface.WET && book.surface() != Surface.WET;
      case WORN -> day.tyres() == TyreState.WORN && book.tyres() != TyreState.WORN;
      case HEAVY -> day.fuelKg() > book.fuelKg() + HEAVIER_KG;
    };
  }
}
