package marvek.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import marvek.core.circuit.GeoPoint;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LocalPlaneTest {
  /**
   * GeographicLib's documented example of GeodSolve: from 40.6°N 73.8°W to 51.6°N 0.5°W the
   * geodesic starts at 51.19888284° and is 5551759.400 m long.
   */
  @Test
  void agreesWithTheLibrarysPublishedExample() {
    double[] xy = new LocalPlane(new GeoPoint(40.6, -73.8)).toPlane(51.6, -0.5);
    double azimuth = Math.toRadians(51.19888284);
    assertThat(Math.hypot(xy[0], xy[1])).isCloseTo(5551759.400, within(0.001));
    assertThat(xy[0]).isCloseTo(5551759.400 * Math.sin(azimuth), within(0.01));
    assertThat(xy[1]).isCloseTo(5551759.400 * Math.cos(azimuth), within(0.01));
  }

  /**
   * First rows of the test cases that GeographicLib publishes with each of its versions: lat1,
   * lon1, azi1, lat2, lon2, s12.
   */
  @ParameterizedTest
  @CsvSource({
    "35.60777, -139.44815, 111.098748429560326, -11.17491, -69.95921, 8935244.5604818305",
    "55.52454, 106.05087, 22.020059880982801, 77.03196, -162.81766, 4105086.1713924406",
    "-21.97856, 142.59065, -32.44456876433189, 41.84138, 98.56635, 8394328.894657671"
  })
  void agreesWithTheLibrarysTestPoints(
      double lat1, double lon1, double azimuthDeg, double lat2, double lon2, double metres) {
    double[] xy = new LocalPlane(new GeoPoint(lat1, lon1)).toPlane(lat2, lon2);
    double azimuth = Math.toRadians(azimuthDeg);
    assertThat(xy[0]).isCloseTo(metres * Math.sin(azimuth), within(1e-6));
    assertThat(xy[1]).isCloseTo(metres * Math.cos(azimuth), within(1e-6));
  }

  /**
   * A degree of latitude on the equator of WGS 84 is 110.574 km, of longitude 111.320 km (tables).
   */
  @Test
  void aDegreeAtTheEquator() {
    LocalPlane plane = new LocalPlane(new GeoPoint(0, 0));
    assertThat(plane.toPlane(1, 0)[1]).isCloseTo(110_574, within(1.0));
    assertThat(plane.toPlane(0, 1)[0]).isCloseTo(111_319.5, within(1.0));
  }

  @ParameterizedTest
  @CsvSource({"3000, 4000", "-2500, 100", "0, 0", "4800, -1400"})
  void thereAndBackWithinAMillimetre(double x, double y) {
    LocalPlane plane = new LocalPlane(new GeoPoint(52.4, -1.3));
    GeoPoint place = plane.toEarth(x, y);
    double[] back = plane.toPlane(place.latDeg(), place.lonDeg());
    assertThat(back[0]).isCloseTo(x, within(0.001));
    assertThat(back[1]).isCloseTo(y, within(0.001));
  }
}
