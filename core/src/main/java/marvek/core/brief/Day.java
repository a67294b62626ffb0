package marvek.core.brief;

import marvek.core.conditions.Conditions;

/** A day other than the one that a reference is made for: one thing of it is different. */
public enum Day {
  DRY,
  DAMP,
  WET,
  COLD_TYRES,
  WORN_TYRES;

  /** The conditions of a reference on this day. */
  public Conditions of(Conditions base) {
    return switch (this) {
      case DRY -> base.withSurface(Conditions.Surface.DRY);
      case DAMP -> base.withSurface(Conditions.Surface.DAMP);
      case WET -> base.withSurface(Conditions.Surface.WET);
      case COLD_TYRES -> base.withTyres(Conditions.TyreState.COLD);
      case WORN_TYRES -> base.withTyres(Conditions.TyreState.WORN);
    };
  }

  /** Whether that is another day than the reference's own. */
  public boolean differsFrom(Conditions base) {
    return !of(base).equals(base);
  }
}
