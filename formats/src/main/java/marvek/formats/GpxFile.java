package marvek.formats;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import marvek.core.circuit.GeoPoint;

/**
 * What a GPX 1.1 file holds of use here: the points of its tracks (of its routes, where there are
 * no tracks) one after the other, and its waypoints. Read by {@link GpxReader}.
 */
public final class GpxFile {
  private double[] latDeg = new double[1024];
  private double[] lonDeg = new double[1024];
  private double[] eleM = new double[1024];
  private double[] timeS = new double[1024];
  private int[] line = new int[1024];
  private int size;
  private int segments;
  private final List<Waypoint> waypoints = new ArrayList<>();
  private String name = "";

  /**
   * A place with a name.
   *
   * @param eleM height, or null
   * @param time when it was taken, or null
   * @param line line of the file, from 1
   */
  public record Waypoint(
      String name, String comment, GeoPoint place, Double eleM, Instant time, int line) {}

  void add(double lat, double lon, double ele, double time, int lineNumber) {
    if (size == latDeg.length) {
      latDeg = Arrays.copyOf(latDeg, 2 * size);
      lonDeg = Arrays.copyOf(lonDeg, 2 * size);
      eleM = Arrays.copyOf(eleM, 2 * size);
      timeS = Arrays.copyOf(timeS, 2 * size);
      line = Arrays.copyOf(line, 2 * size);
    }
    latDeg[size] = lat;
    lonDeg[size] = lon;
    eleM[size] = ele;
    timeS[size] = time;
    line[size] = lineNumber;
    size++;
  }

  void add(Waypoint waypoint) {
    waypoints.add(waypoint);
  }

  void named(String text) {
    name = text;
  }

  void beginSegment() {
    segments++;
  }

  /** Number of track points. */
  public int size() {
    return size;
  }

  /** Number of track segments that were strung together. */
  public int segments() {
    return segments;
  }

  public double latDegAt(int i) {
    return latDeg[i];
  }

  public double lonDegAt(int i) {
    return lonDeg[i];
  }

  /** Height [m], NaN where there is none. */
  public double eleMAt(int i) {
    return eleM[i];
  }

  /** Seconds since 1970; NaN where a point has no time. */
  public double timeSAt(int i) {
    return timeS[i];
  }

  /** Line of the file that a point stands in. */
  public int lineAt(int i) {
    return line[i];
  }

  public List<Waypoint> waypoints() {
    return List.copyOf(waypoints);
  }

  /** Name of the file or its first track; may be empty. */
  public String name() {
    return name;
  }
}
