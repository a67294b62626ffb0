package marvek.core.line;

import marvek.core.numeric.Jet4;
import marvek.core.profile.ForceModel;
import marvek.core.profile.Lap;
import marvek.core.vehicle.Vehicle;

/**
 * What the tyres have to spare at one end of an element of a line, in weights of the vehicle, with
 * derivatives and without kinks; a lifted axle has none to give. Variables are the force of the
 * tyres along [weights], the bend [1/m], the square of the speed [m²/s²] and the growth of the
 * turning [rad/s²]. Both ends of an element are asked: at the middle alone a bend that alternates
 * from sample to sample is not seen.
 */
interface LineTyres {
  /** Rounds the corner between drive and brakes, and the tip of the friction ellipse [weights]. */
  double ROUNDED = 0.003;

  /**
   * The road and the air over an element.
   *
   * @param cosCos part of the weight that rests on the road
   * @param cosSin part of it that a bank pulls across
   * @param cosPhi part of a level force that lies across the road
   * @param sinPhi part of it that presses on the road
   * @param crest load that is gained with the square of the speed, air and crest together
   * @param grip factor on friction
   */
  record Place(
      double cosCos, double cosSin, double cosPhi, double sinPhi, double crest, double grip) {}

  /** Number of constraints. */
  int constraints();

  /** What is to spare, each must not be negative. */
  Jet4[] spare(Place place, Jet4 along, Jet4 bend, Jet4 speed2, Jet4 turning);

  /** The tyres of a lap's vehicle on its day. */
  static LineTyres of(Lap lap) {
    Vehicle vehicle = lap.vehicle();
    return ForceModel.toldApart(vehicle, lap.conditions())
        ? new AxleLineTyres(lap)
        : new WholeLineTyres(lap);
  }

  /**
   * What an axle's load gives beyond what is asked of it along and across.
   *
   * @param x force along over the friction along
   * @param y force across over the friction across
   */
  static Jet4 ellipse(Jet4 x, Jet4 y, Jet4 load, Jet4 friction) {
    Jet4 asked = x.square().plus(y.square()).plus(ROUNDED * ROUNDED).sqrt();
    return friction.times(load).minus(asked);
  }
}
