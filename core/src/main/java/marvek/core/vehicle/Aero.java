package marvek.core.vehicle;

import marvek.core.Require;

/**
 * @param cdAM2 drag coefficient times area
 * @param clAM2 downforce coefficient times area, positive presses down
 * @param frontShare share of the downforce on the front axle
 */
public record Aero(double cdAM2, double clAM2, double frontShare) {
  public Aero {
    Require.within("aero.cdA_m2", cdAM2, 0, 10);
    Require.within("aero.clA_m2", clAM2, -5, 20);
    Require.within("aero.frontShare", frontShare, 0, 1);
  }
}
