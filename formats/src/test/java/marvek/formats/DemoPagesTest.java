package marvek.formats;

import java.util.Map;
import java.util.Random;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import marvek.core.circuit.Circuit;
import marvek.core.conditions.Conditions;
import marvek.core.line.ChosenLine;
import marvek.core.line.LineChoice;
import marvek.core.reference.PageProperties;
import marvek.core.reference.Reference;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What must not happen on the pages of the demo: of every vehicle, on every line. */
class DemoPagesTest {
  private static final Map<String, Reference.Basis> FOUND = new ConcurrentHashMap<>();

  private static Reference.Basis basis(
      String circuitName, String carName, LineChoice line, Conditions day) {
    return FOUND.computeIfAbsent(
        circuitName + carName + line + day.model(),
        name -> {
          Circuit circuit =
              CircuitGeoJson.read(
                      JsonFiles.parse(DemoFiles.bytes(circuitName + ".circuit.geojson")))
                  .value();
          Vehicle car =
              CarJson.read(JsonFiles.parse(DemoFiles.bytes(carName + ".car.json"))).value();
          return Reference.basis(circuit, car, day, new ChosenLine(line, null));
        });
  }

  private static PageProperties pages(String circuit, String car, LineChoice line, double grip) {
    return pages(circuit, car, line, Conditions.Model.AXLES, grip);
  }

  private static PageProperties pages(
      String circuit, String car, LineChoice line, Conditions.Model model, double grip) {
    Conditions day = Conditions.DEFAULT.but().model(model).build();
    return new PageProperties(basis(circuit, car, line, day), day.withGripUsed(grip));
  }

  @ParameterizedTest
  @CsvSource({
    "harrowfen-park, teal-coupe, SMOOTH",
    "harrowfen-park, kestrel-litre, SMOOTH",
    "harrowfen-park, sandpiper-single, SMOOTH",
    "harrowfen-park, teal-coupe, FASTEST",
    "harrowfen-park, kestrel-litre, FASTEST",
    "harrowfen-park, sandpiper-single, FASTEST",
    "harrowfen-park, teal-coupe, CENTRELINE",
    "harrowfen-park, kestrel-litre, CENTRELINE",
    "harrowfen-park, sandpiper-single, CENTRELINE",
    "skarrow-round, kestrel-litre, SMOOTH"
  })
  void pointsAreInTheirOwnCornerAndInOrder(String circuit, String car, LineChoice line) {
    pages(circuit, car, line, 0.97).pointsAreInTheirOwnCornerAndInOrder();
  }

  /**
   * The circuit as a logger brings it: noise bends the road a little, and the foot comes off twice.
   */
  @ParameterizedTest
  @CsvSource({"SMOOTH, 1", "FASTEST, 1", "FASTEST, 2", "FASTEST, 3"})
  void aRecordedLapHasItsPointsInOrder(LineChoice line, int seed) {
    Random random = new Random(seed);
    String track =
        Pattern.compile("lat=\"(.*?)\" lon=\"(.*?)\"")
            .matcher(GpxTest.demoLap())
            .replaceAll(
                m -> "lat=\"%s\" lon=\"%s\"".formatted(near(m, 1, random), near(m, 2, random)));
    Circuit circuit =
        CircuitImport.read(GpxTest.file(track), "lap.gpx", ImportSettings.NONE).circuit();
    Vehicle car = CarJson.read(JsonFiles.parse(DemoFiles.bytes("teal-coupe.car.json"))).value();
    Reference.Basis basis =
        Reference.basis(circuit, car, Conditions.OF_NEW_BOOKS, new ChosenLine(line, null));
    new PageProperties(basis, Conditions.OF_NEW_BOOKS).pointsAreInTheirOwnCornerAndInOrder();
  }

  /** A coordinate a few decimetres off. */
  private static double near(MatchResult m, int group, Random random) {
    return Double.parseDouble(m.group(group)) + 2e-6 * random.nextGaussian();
  }

  /**
   * A corner's time is the model's to 0.05 s, on its grip. With the axles told apart the engine
   * slows the car while the foot goes from one pedal to the other, before a short dab too: a
   * millisecond more on the motorcycle, and some more in the single-seater's one long fast bend,
   * where a slide of a hundredth is waited for.
   */
  @ParameterizedTest
  @CsvSource({
    "harrowfen-park, teal-coupe, SMOOTH, PLAIN, 0.05",
    "harrowfen-park, kestrel-litre, SMOOTH, PLAIN, 0.05",
    "harrowfen-park, sandpiper-single, SMOOTH, PLAIN, 0.05",
    "harrowfen-park, teal-coupe, FASTEST, PLAIN, 0.05",
    "harrowfen-park, kestrel-litre, FASTEST, PLAIN, 0.05",
    "harrowfen-park, sandpiper-single, FASTEST, PLAIN, 0.05",
    "harrowfen-park, teal-coupe, SMOOTH, AXLES, 0.05",
    "harrowfen-park, kestrel-litre, SMOOTH, AXLES, 0.051",
    "harrowfen-park, sandpiper-single, SMOOTH, AXLES, 0.05",
    "harrowfen-park, teal-coupe, FASTEST, AXLES, 0.05",
    "harrowfen-park, kestrel-litre, FASTEST, AXLES, 0.05",
    "harrowfen-park, sandpiper-single, FASTEST, AXLES, 0.08"
  })
  void drivingTheModelsPagesIsTheModel(
      String circuit, String car, LineChoice line, Conditions.Model model, double seconds) {
    boolean plain = model == Conditions.Model.PLAIN;
    for (double grip : plain ? new double[] {0.92, 1} : new double[] {0.85, 0.92, 0.97, 1}) {
      pages(circuit, car, line, model, grip).drivingTheModelsPagesIsTheModel(seconds, 1.02);
    }
  }

  /** The road course has its samples two metres apart: a step of the ellipse is twice as coarse. */
  @ParameterizedTest
  @CsvSource({"0.92", "0.97"})
  void theRoadCourseIsDrivenAsItIsWritten(double grip) {
    pages("skarrow-round", "kestrel-litre", LineChoice.SMOOTH, grip)
        .drivingTheModelsPagesIsTheModel(0.11, 1.15);
  }

  @ParameterizedTest
  @CsvSource({
    "teal-coupe, SMOOTH",
    "kestrel-litre, SMOOTH",
    "sandpiper-single, SMOOTH",
    "teal-coupe, FASTEST",
    "kestrel-litre, FASTEST",
    "sandpiper-single, FASTEST",
    "kestrel-litre, CENTRELINE"
  })
  void overdrivingGainsNothingAndLessCosts(String car, LineChoice line) {
    PageProperties pages = pages("harrowfen-park", car, line, 0.97);
    pages.overdrivingGainsNothing();
    pages.driftingOffCosts();
  }

  @ParameterizedTest
  @CsvSource({
    "teal-coupe, SMOOTH",
    "kestrel-litre, SMOOTH",
    "sandpiper-single, SMOOTH",
    "teal-coupe, FASTEST"
  })
  void moreKerbIsNeverSlower(String car, LineChoice line) {
    pages("harrowfen-park", car, line, 0.97).moreKerbIsNeverSlower();
  }

  @ParameterizedTest
  @CsvSource({
    "harrowfen-park, teal-coupe",
    "harrowfen-park, kestrel-litre",
    "harrowfen-park, sandpiper-single",
    "skarrow-round, kestrel-litre"
  })
  void stakesAreInProportion(String circuit, String car) {
    pages(circuit, car, LineChoice.SMOOTH, 0.97).stakesAreInProportion();
  }

  @ParameterizedTest
  @ValueSource(strings = {"teal-coupe", "kestrel-litre", "sandpiper-single"})
  void onTheCentrelineTheApexIsTheSlowestPlace(String car) {
    pages("harrowfen-park", car, LineChoice.CENTRELINE, 0.97).withoutAnApexItIsTheSlowestPlace();
  }
}
