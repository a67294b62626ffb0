package marvek.core.profile;

/** Brakes and throttle that do not change. */
record SteadyFeet(double brake, double throttle) implements Pedals {
  @Override
  public double brakeShare(double metres) {
    return brake;
  }

  @Override
  public double throttleShare(double metres) {
    return throttle;
  }
}
