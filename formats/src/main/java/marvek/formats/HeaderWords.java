package marvek.formats;

import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import marvek.core.laps.Channel;
import org.jspecify.annotations.Nullable;

/** What the words of a header say that a column holds. */
final class HeaderWords {
  /** A rank this good is the channel's own name; a worse one is a stand-in for it. */
  static final int OWN_NAME = 0;

  /**
   * What a header means.
   *
   * @param channel null for the time
   * @param rank of several columns for a channel the one with the least is taken
   */
  record Meaning(@Nullable Channel channel, int rank) {}

  private record Names(@Nullable Channel channel, List<String> names) {}

  /** Names by which loggers call a channel; lower case, words apart by one blank. */
  private static final List<Names> OWN =
      List.of(
          new Names(null, List.of("time", "t", "elapsed time", "timestamp", "session time")),
          new Names(Channel.LAP, List.of("lap", "lap number", "lap no", "laps", "lap nr")),
          new Names(Channel.DISTANCE, List.of("distance", "lap distance", "dist", "lap dist")),
          new Names(Channel.LATITUDE, List.of("lat", "latitude", "gps latitude", "gps lat")),
          new Names(
              Channel.LONGITUDE,
              List.of("lon", "lng", "long", "longitude", "gps longitude", "gps lon", "gps long")),
          new Names(Channel.ALTITUDE, List.of("alt", "altitude", "elevation", "height")),
          new Names(Channel.X, List.of("x", "pos x", "east")),
          new Names(Channel.Y, List.of("y", "pos y", "north")),
          new Names(
              Channel.SPEED,
              List.of("speed", "gps speed", "vehicle speed", "velocity", "ground speed")),
          new Names(
              Channel.BRAKE,
              List.of("brake", "brake pressure", "brake pos", "brake position", "front brake")),
          new Names(
              Channel.THROTTLE,
              List.of("throttle", "throttle pos", "throttle position", "tps", "pedal position")),
          new Names(Channel.STEER, List.of("steer", "steering", "steering angle", "steer angle")),
          new Names(Channel.GEAR, List.of("gear", "gear position")),
          new Names(Channel.RPM, List.of("rpm", "engine speed", "engine rpm")),
          new Names(Channel.LATERAL_G, List.of("lat g", "lateral g", "g lat", "lateral acc")),
          new Names(
              Channel.LONGITUDINAL_G,
              List.of("long g", "longitudinal g", "g long", "inline g", "longitudinal acc")),
          new Names(Channel.YAW_RATE, List.of("yaw rate", "gyro")),
          new Names(Channel.CLUTCH, List.of("clutch", "clutch pos")));

  /**
   * A rule for the names that are not in the list.
   *
   * @param any one of these words stands in the name
   * @param also one of these too; nothing more is asked where it is empty
   * @param not none of these
   */
  private record Rule(
      @Nullable Channel channel, int rank, Set<String> any, Set<String> also, Set<String> not) {}

  private static final Set<String> NO_PEDAL =
      Set.of(
          "temp",
          "temperature",
          "bias",
          "balance",
          "disc",
          "disk",
          "duct",
          "target",
          "setpoint",
          "blip",
          "body",
          "max",
          "min",
          "avg",
          "work",
          "energy",
          "torque");

  private static final Set<String> ACCELERATION =
      Set.of("g", "acc", "accel", "acceleration", "force", "gforce");

  private static final List<Rule> RULES =
      List.of(
          new Rule(
              null,
              1,
              words("time timestamp elapsed"),
              Set.of(),
              words("lap delta gap best predicted sector split zone left up day utc shift")),
          new Rule(
              null,
              2,
              words("time utc clock"),
              Set.of(),
              words("lap delta gap best predicted sector split")),
          new Rule(null, 4, words("time"), words("lap"), words("delta gap best last predicted")),
          new Rule(
              Channel.LATITUDE,
              1,
              words("latitude lat"),
              Set.of(),
              words("g acc accel acceleration force hem std error")),
          new Rule(
              Channel.LONGITUDE,
              1,
              words("longitude lon lng"),
              Set.of(),
              words("g acc accel acceleration force hem std error")),
          new Rule(
              Channel.ALTITUDE,
              1,
              words("altitude elevation alt height"),
              Set.of(),
              words("ride std error")),
          new Rule(Channel.DISTANCE, 1, words("distance dist"), Set.of(), words("to from gap")),
          new Rule(Channel.DISTANCE, 2, words("odometer odo"), Set.of(), Set.of()),
          new Rule(
              Channel.SPEED,
              1,
              words("speed velocity spd vel"),
              words("gps ground vehicle car gnss veh"),
              words("vertical accuracy error std")),
          new Rule(
              Channel.SPEED,
              3,
              words("speed velocity spd"),
              Set.of(),
              words(
                  "engine wind wheel fan turbo vertical accuracy error limit limiter rev shaft "
                      + "std yaw steer steering min max avg fl fr rl rr pump")),
          new Rule(
              Channel.SPEED,
              5,
              words("speed spd"),
              words("wheel fl fr rl rr"),
              words("slip error diff")),
          new Rule(
              Channel.BRAKE,
              1,
              words("brake brk braking"),
              words("pressure press front f pos position pedal"),
              withPedal("rear r light switch")),
          new Rule(
              Channel.BRAKE,
              3,
              words("brake brk braking brakes"),
              Set.of(),
              withPedal("rear r light switch")),
          new Rule(
              Channel.BRAKE, 5, words("brake brk"), words("rear r"), withPedal("light switch")),
          new Rule(Channel.BRAKE, 6, words("brake brk"), words("light switch"), NO_PEDAL),
          new Rule(
              Channel.THROTTLE,
              1,
              words("throttle tps accelerator thr gas"),
              Set.of(),
              withPedal("temp")),
          new Rule(Channel.THROTTLE, 2, words("pedal"), words("accel acc right"), NO_PEDAL),
          new Rule(
              Channel.STEER,
              1,
              words("steer steering steered swa"),
              Set.of(),
              words("torque force speed rate trim ratio pump")),
          new Rule(
              Channel.GEAR,
              1,
              words("gear gears"),
              Set.of(),
              words("ratio temp oil box pot voltage shift request")),
          new Rule(
              Channel.RPM,
              1,
              words("rpm revs"),
              Set.of(),
              words("wheel turbo fan limit shift max min")),
          new Rule(Channel.RPM, 2, words("speed"), words("engine"), Set.of()),
          new Rule(
              Channel.LATERAL_G, 1, words("lateral lat side latacc"), ACCELERATION, words("std")),
          new Rule(Channel.LATERAL_G, 2, words("latacc latg glat ay"), Set.of(), words("std")),
          new Rule(Channel.LATERAL_G, 3, words("y"), ACCELERATION, words("std gyro")),
          new Rule(
              Channel.LONGITUDINAL_G,
              1,
              words("longitudinal long inline lon"),
              ACCELERATION,
              words("std")),
          new Rule(
              Channel.LONGITUDINAL_G, 2, words("longacc longg glong ax"), Set.of(), words("std")),
          new Rule(Channel.LONGITUDINAL_G, 3, words("x"), ACCELERATION, words("std gyro")),
          new Rule(Channel.YAW_RATE, 1, words("yaw gyro"), words("rate gyro z"), words("x y acc")),
          new Rule(Channel.CLUTCH, 1, words("clutch"), Set.of(), words("temp switch")),
          new Rule(
              Channel.LAP,
              1,
              words("lap laps"),
              words("number no nr num count index #"),
              words("time best")));

  private HeaderWords() {}

  private static Set<String> words(String text) {
    return Set.of(text.split(" +"));
  }

  private static Set<String> withPedal(String more) {
    Set<String> all = new HashSet<>(NO_PEDAL);
    all.addAll(words(more));
    return Set.copyOf(all);
  }

  /** Lower case, words apart by one blank, those that are written together taken apart. */
  static String plain(String name) {
    return name.replaceAll("([\\p{Ll}\\d])(\\p{Lu})", "$1 $2")
        .toLowerCase(Locale.ROOT)
        .replaceAll("[^\\p{L}\\d#]+", " ")
        .strip();
  }

  /**
   * What a name means.
   *
   * @param plain from {@link #plain}
   */
  static Optional<Meaning> of(String plain) {
    for (Names names : OWN) {
      if (names.names().contains(plain)) {
        return Optional.of(new Meaning(names.channel(), OWN_NAME));
      }
    }
    Set<String> words = new HashSet<>(Arrays.asList(plain.split(" ")));
    return RULES.stream()
        .filter(rule -> fits(rule, words))
        .findFirst()
        .map(rule -> new Meaning(rule.channel(), rule.rank()));
  }

  private static boolean fits(Rule rule, Set<String> words) {
    return words.stream().anyMatch(rule.any()::contains)
        && (rule.also().isEmpty() || words.stream().anyMatch(rule.also()::contains))
        && words.stream().noneMatch(rule.not()::contains);
  }
}
