package marvek.core.drive;

import marvek.core.profile.Pedals;

/** Feet of a driver who can do one thing otherwise, where what he wants leaves it open. */
interface Feet extends Pedals {
  /** With the first press of the brake begun so much later, and ended where it was. */
  Feet brakingLater(double metres);

  /** With all of the brake's pressure changed by a factor. */
  Feet pressed(double factor);
}
