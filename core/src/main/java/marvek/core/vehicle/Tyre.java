package marvek.core.vehicle;

import marvek.core.Require;

/**
 * What the tyres give on a clean dry road at the reference load.
 *
 * @param referenceLoadN load of one wheel at which the friction holds
 * @param loadSensitivity loss of friction for a load doubled, 0 to 0.9
 */
public record Tyre(
    double muLateral,
    double muLongitudinal,
    double radiusM,
    double referenceLoadN,
    double loadSensitivity) {
  public Tyre {
    Require.within("tyre.muLateral", muLateral, 0.05, 5);
    Require.within("tyre.muLongitudinal", muLongitudinal, 0.05, 5);
    Require.within("tyre.radius_m", radiusM, 0.1, 1.5);
    Require.within("tyre.referenceLoad_n", referenceLoadN, 10, 100_000);
    Require.within("tyre.loadSensitivity", loadSensitivity, 0, 0.9);
  }

  /** The same tyre with so many times the grip. */
  public Tyre times(double factor) {
    return new Tyre(
        muLateral * factor, muLongitudinal * factor, radiusM, referenceLoadN, loadSensitivity);
  }
}
