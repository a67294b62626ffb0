package marvek.formats;

import java.util.Locale;

/** Clocks of all forms and faults. */
final class KindsOfClocks extends KindsOfFiles {
  KindsOfClocks(Drive drive) {
    super(drive);
  }

  private static String colons(double t, int decimals) {
    int hours = (int) (t / 3600);
    int minutes = (int) (t / 60) % 60;
    return String.format(
        Locale.ROOT,
        "%02d:%02d:%0" + (decimals + 3) + "." + decimals + "f",
        hours,
        minutes,
        t % 60);
  }

  @Override
  void add() {
    read(
        "milliseconds without a unit",
        "milliseconds",
        f -> {
          f.named("time", "Time");
          f.clock = t -> LoggerFile.fixed(1000 * t, 0);
        });
    read(
        "milliseconds with a unit",
        "",
        f -> {
          f.named("time", "Time (ms)");
          f.clock = t -> LoggerFile.fixed(1000 * t, 0);
        });
    read(
        "milliseconds called seconds",
        "milliseconds",
        f -> f.clock = t -> LoggerFile.fixed(1000 * t, 0));
    read(
        "microseconds",
        "microseconds",
        f -> {
          f.named("time", "timestamp");
          f.clock = t -> LoggerFile.fixed(1e6 * t, 0);
        });
    read(
        "hours, minutes, seconds",
        "",
        f -> {
          f.named("time", "Time");
          f.time = t -> t + 50_000;
          f.clock = t -> colons(t, 3);
        });
    read(
        "minutes and seconds",
        "",
        f -> {
          f.named("time", "Time");
          f.clock = t -> String.format(Locale.ROOT, "%d:%06.3f", (int) (t / 60), t % 60);
        });
    read(
        "date and time, year first",
        "",
        f -> {
          f.named("time", "Timestamp");
          f.clock = t -> "2031-05-09T" + colons(36_000 + t, 3) + "Z";
        });
    read(
        "date and time, day first",
        "",
        f -> {
          f.named("time", "Date Time");
          f.clock = t -> "09/05/2031 " + colons(36_000 + t, 3);
        });
    read(
        "epoch in seconds",
        "",
        f -> {
          f.named("time", "timestamp");
          f.clock = t -> LoggerFile.fixed(1_936_000_000 + t, 3);
        });
    read(
        "epoch in milliseconds",
        "milliseconds",
        f -> {
          f.named("time", "timestamp");
          f.clock = t -> LoggerFile.fixed(1e3 * (1_936_000_000 + t), 0);
        });
    read(
        "days of a table",
        "days",
        f -> {
          f.named("time", "Time");
          f.clock = t -> LoggerFile.fixed(0.4 + t / 86400, 10);
        });
    read(
        "minutes as a number",
        "minutes",
        f -> {
          f.named("time", "Time");
          f.clock = t -> LoggerFile.fixed(t / 60, 7);
        });
    read("time begins again each lap", "begins again", f -> f.time = this::ofLap);
    read(
        "time of the lap with colons",
        "begins again",
        f -> {
          f.named("time", "Lap Time");
          f.time = this::ofLap;
          f.clock = t -> String.format(Locale.ROOT, "%d:%06.3f", (int) (t / 60), t % 60);
        });
    read(
        "over midnight",
        "midnight",
        f -> {
          f.named("time", "Time");
          f.time = t -> (86_400 - 150 + t) % 86_400;
          f.clock = t -> colons(t, 3);
        });
    read("over midnight in seconds", "midnight", f -> f.time = t -> (86_400 - 150 + t) % 86_400);
    read("clock jumps on by an hour", "does not count", f -> f.time = t -> t > 260 ? t + 3600 : t);
    read("clock jumps on by two seconds", "does not count", f -> f.time = t -> t > 260 ? t + 2 : t);
    read(
        "clock jumps back by five seconds",
        "does not count",
        f -> f.time = t -> t > 260 ? t + 95 : t + 100);
    read(
        "rounded to a second",
        "rounded",
        f -> {
          f.hz = 20;
          f.clock = t -> LoggerFile.fixed(Math.floor(t), 0);
        });
    read(
        "rounded to a tenth",
        "rounded",
        f -> f.clock = t -> LoggerFile.fixed(Math.floor(10 * t + 1e-6) / 10, 1));
    read(
        "decimals behind a colon",
        "",
        f -> {
          f.named("time", "Time");
          f.clock = t -> colons(t, 3).replace('.', ':');
        });
    read("in front of zero", "", f -> f.time = t -> t - 30);
    refused("time stands still", "the time does not go on", f -> f.clock = t -> "17.0");
    refused("no time at all", "no column of times", f -> f.without("time"));
  }

  private double ofLap(double t) {
    double begun = 0;
    for (double crossing : drive.truth().crossingsS) {
      begun = crossing <= t ? Math.ceil(crossing * 100) / 100 : begun;
    }
    return t - begun;
  }
}
