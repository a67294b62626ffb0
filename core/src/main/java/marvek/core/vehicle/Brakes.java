package marvek.core.vehicle;

import marvek.core.Require;

/**
 * @param maxForceN braking force of all tyres together at full pedal, on endless grip
 * @param frontShare share of it on the front axle; ignored on a motorcycle
 */
public record Brakes(double maxForceN, double frontShare) {
  public Brakes {
    Require.within("brakes.maxForce_n", maxForceN, 10, 1_000_000);
    Require.within("brakes.frontShare", frontShare, 0, 1);
  }
}
