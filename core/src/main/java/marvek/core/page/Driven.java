package marvek.core.page;

import java.util.List;

/**
 * What comes of driving a page as it is written. Stations in metres; null where there is none.
 *
 * @param made whether the car stays within the road and the kerbs that may be used
 * @param gripNeeded largest share of the tyres' grip that is asked for, 1 at the limit
 * @param wideM how far the car runs beside its line at most, to the outside
 * @param beyondM how far its body goes beyond what may be used at most, 0 if it does not
 * @param beyondAtM where it first does
 * @param lockedM metres with a locked wheel
 * @param spunM metres with a spinning wheel
 * @param brakeFoundM brake point that brings the car to the page's lowest speed with the driver's
 *     own pressures; null where the driver's or the model's point stays
 * @param pressFactor factor on the driver's own pressures that brings the car there from his own
 *     point; null where they stay
 * @param besideGatesM how far beside its line the car is at each of the driver's own gates,
 *     positive to the left
 */
public record Driven(
    int corner,
    boolean made,
    double gripNeeded,
    double gripAtM,
    double wideM,
    Double wideAtM,
    double beyondM,
    Double beyondAtM,
    double lockedM,
    Double lockedAtM,
    double spunM,
    Double spunAtM,
    Double brakeFoundM,
    Double pressFactor,
    List<Double> besideGatesM) {
  public Driven {
    besideGatesM = List.copyOf(besideGatesM);
  }
}
