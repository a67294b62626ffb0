package marvek.core.page;

/**
 * A place of a pedal's trace; between two of them it is straight.
 *
 * @param atM along the lap
 * @param pct how far the pedal is pressed, of full
 */
public record Knot(double atM, double pct) {}
