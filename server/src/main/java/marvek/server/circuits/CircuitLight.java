package marvek.server.circuits;

import java.time.LocalDateTime;
import java.util.List;
import java.util.UUID;
import marvek.core.InvalidValueException;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Mark;
import marvek.core.conditions.Conditions;
import marvek.core.corner.Corner;
import marvek.core.corner.CornerFinder;
import marvek.core.light.Light;
import marvek.core.light.MovedShadow;
import marvek.core.say.Sentence;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** The light on a circuit at an hour of its own clocks. */
@Service
class CircuitLight {
  private final Circuits circuits;

  CircuitLight(Circuits circuits) {
    this.circuits = circuits;
  }

  record Shadow(
      String label,
      double notedAt_m,
      double at_m,
      double moved_m,
      boolean usable,
      @Nullable Sentence why) {
    static Shadow of(MovedShadow s) {
      return new Shadow(
          s.mark().label(), s.mark().fromM(), s.stationM(), s.movedM(), s.usable(), s.why());
    }
  }

  /** A fixed mark that stands in the shade. */
  record Shaded(String label, double at_m) {}

  /**
   * @param intoTheSun numbers of the corners at which one drives towards a low sun
   */
  record LightView(
      double azimuth_deg,
      double elevation_deg,
      List<Integer> intoTheSun,
      List<Shadow> shadows,
      List<Shaded> inShade) {}

  LightView at(UUID id, LocalDateTime hour) {
    Circuit circuit = circuits.load(id).circuit();
    Light light =
        Light.of(circuit, circuit.road(), Conditions.DEFAULT.at(hour))
            .orElseThrow(() -> new InvalidValueException("at", Sentence.of("refused.no-sun")));
    List<Corner> corners = CornerFinder.find(circuit, circuit.road());
    return new LightView(
        light.sun().azimuthDeg(),
        light.sun().elevationDeg(),
        light.cornersIntoTheSun(corners).stream().map(Corner::number).toList(),
        light.shadows().stream().map(Shadow::of).toList(),
        circuit.marks().stream().filter(light::inShade).map(CircuitLight::shaded).toList());
  }

  private static Shaded shaded(Mark mark) {
    return new Shaded(mark.label(), mark.fromM());
  }
}
