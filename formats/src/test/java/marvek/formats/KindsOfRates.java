package marvek.formats;

import java.util.function.Consumer;

/** How often rows, pedals and positions come. */
final class KindsOfRates extends KindsOfFiles {
  KindsOfRates(Drive drive) {
    super(drive);
  }

  /** Rows of 100 Hz where nothing else is said: pedals and positions come with some of them. */
  @Override
  void read(String name, double lapS, double brakeM, String says, Consumer<LoggerFile> of) {
    Consumer<LoggerFile> often = file -> file.hz = 100;
    super.read(name, lapS, brakeM, says, often.andThen(of));
  }

  @Override
  void add() {
    read("plain, 100 Hz", f -> {});
    read("50 Hz", f -> f.hz = 50);
    read("25 Hz", f -> f.hz = 25);
    read("20 Hz", f -> f.hz = 20);
    read(
        "10 Hz",
        SLOW,
        6,
        "",
        f -> {
          f.hz = 10;
          f.noiseM = 1.5;
        });
    read(
        "10 Hz, no pedals",
        SLOW,
        NONE,
        "",
        f -> {
          f.hz = 10;
          f.noiseM = 1.5;
          f.without("brake", "throttle", "gear");
        });
    read("pedals and gear at 20 Hz, held", "less often", f -> f.pedalHz = 20);
    read(
        "pedals and gear at 20 Hz, empty between",
        "less often",
        f -> {
          f.pedalHz = 20;
          f.emptyBetween = true;
        });
    read("pedals at 10 Hz, held", FAST, 6, "less often", f -> f.pedalHz = 10);
    read(
        "pedals at 10 Hz, empty between",
        FAST,
        6,
        "less often",
        f -> {
          f.pedalHz = 10;
          f.emptyBetween = true;
        });
    read("pedals at 50 Hz, held", f -> f.pedalHz = 50);
    read("positions at 10 Hz, held", f -> f.positionHz = 10);
    read(
        "positions at 10 Hz, empty between",
        f -> {
          f.positionHz = 10;
          f.emptyBetween = true;
        });
    read("positions at 5 Hz, held", f -> f.positionHz = 5);
    read("positions at 25 Hz, held", f -> f.positionHz = 25);
    read(
        "positions at 1 Hz, empty between",
        SLOW,
        3,
        "",
        f -> {
          f.positionHz = 1;
          f.emptyBetween = true;
        });
    read("200 Hz", f -> f.hz = 200);
    read(
        "everything at its own rate",
        "less often",
        f -> {
          f.positionHz = 10;
          f.pedalHz = 25;
          f.emptyBetween = true;
        });
  }
}
