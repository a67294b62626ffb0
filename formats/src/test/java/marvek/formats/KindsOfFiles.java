package marvek.formats;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import marvek.core.circuit.GeoPoint;

/** Kinds of files of one drive, each with how well it has to be read. */
abstract class KindsOfFiles {
  /**
   * A kind of file.
   *
   * @param lapS how well lap times have to be read; NaN where the file is to be refused
   * @param brakeM how well brake points have to be; NaN where none can be
   * @param says what has to be told of it, or how it is refused; empty where nothing has to be
   */
  record Kind(String name, byte[] bytes, double lapS, double brakeM, String says) {
    @Override
    public String toString() {
      return name;
    }
  }

  /** A drive, and where on the earth its road lies. */
  record Drive(DrivenTruth truth, GeoPoint origin, double lapM) {}

  static final double FAST = 0.01;
  static final double SLOW = 0.05;
  static final double NONE = Double.NaN;

  final Drive drive;
  private final List<Kind> kinds = new ArrayList<>();

  KindsOfFiles(Drive drive) {
    this.drive = drive;
  }

  /** All that are asked for. */
  static List<Kind> of(Drive drive) {
    List<Kind> all = new ArrayList<>();
    for (KindsOfFiles some :
        List.of(
            new KindsOfRates(drive),
            new KindsOfClocks(drive),
            new KindsOfPlaces(drive),
            new KindsOfSensors(drive),
            new KindsOfTables(drive),
            new KindsOfLogs(drive))) {
      some.add();
      all.addAll(some.kinds);
    }
    return all;
  }

  abstract void add();

  void read(String name, double lapS, double brakeM, String says, Consumer<LoggerFile> of) {
    LoggerFile file = new LoggerFile();
    of.accept(file);
    byte[] bytes = file.write(drive.truth(), drive.origin(), drive.lapM());
    kinds.add(new Kind(name, bytes, lapS, brakeM, says));
  }

  void read(String name, String says, Consumer<LoggerFile> of) {
    read(name, FAST, 2, says, of);
  }

  void read(String name, Consumer<LoggerFile> of) {
    read(name, "", of);
  }

  void refused(String name, String says, Consumer<LoggerFile> of) {
    read(name, NONE, NONE, says, of);
  }

  void bytes(String name, byte[] bytes, double lapS, double brakeM, String says) {
    kinds.add(new Kind(name, bytes, lapS, brakeM, says));
  }
}
