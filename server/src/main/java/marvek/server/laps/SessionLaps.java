package marvek.server.laps;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import marvek.core.cause.Finding;
import marvek.core.cause.LapAccounts;
import marvek.core.cause.SessionCauses;
import marvek.core.circuit.Road;
import marvek.core.laps.AlongLap;
import marvek.core.laps.Channel;
import marvek.core.laps.CornerReading;
import marvek.core.laps.LapCutter;
import marvek.core.laps.LapKinds;
import marvek.core.laps.LapReader;
import marvek.core.laps.ModelRecording;
import marvek.core.laps.ReadLap;
import marvek.core.laps.RecordedLap;
import marvek.core.laps.Recording;
import marvek.core.laps.Stations;
import marvek.core.laps.Thresholds;
import marvek.core.page.Stakes;
import marvek.core.profile.Lap;
import marvek.core.review.LapOfSession;
import marvek.core.vehicle.Vehicle;
import marvek.formats.LapsOnRoad;
import marvek.server.books.Books;

/**
 * The laps of a session laid against the revision that they were driven by.
 *
 * @param revision its number
 * @param ledger what the laps lost, worked out when somebody asks
 * @param laps of all files, in the order they were driven
 */
record SessionLaps(
    int revision,
    Books.Computed computed,
    LapLedger ledger,
    List<Laps.KeptFile> files,
    List<DrivenLap> laps) {
  private static final double G0 = 9.80665;
  private static final double LOGGER_HZ = 100;

  /** Of a receiver that writes positions and speeds alone. */
  private static final double RECEIVER_HZ = 10;

  /** Offsets that scatter more tell no apex, and marks of such a file are not moved. */
  private static final double MOST_OFFSET_ERROR_M = 0.5;

  /** Of fewer samples a second, as a telephone has, brake points are sure to 8 m only. */
  private static final double LEAST_HZ = 4;

  /** Laps are laid beside each other at stations so far apart. */
  static final double STEP_M = 2;

  /**
   * A lap of a file.
   *
   * @param kind as somebody says it is, or else as it was recognised
   * @param read null where it was not recorded from line to line
   * @param throttle whether its file tells the right foot
   */
  record DrivenLap(
      UUID file, RecordedLap lap, RecordedLap.Kind kind, ReadLap read, boolean throttle) {
    /** By which scripts and the interface call it. */
    String id() {
      return file + "." + lap.number();
    }

    boolean counts() {
      return kind == RecordedLap.Kind.FLYING && read != null;
    }

    List<CornerReading> corners() {
      return read == null ? List.of() : read.corners();
    }
  }

  /** Reads all files of a session against its revision. */
  static SessionLaps of(
      int revision,
      Books.Computed computed,
      Supplier<List<Stakes>> stakes,
      List<Laps.KeptFile> files) {
    LapReader reader = reader(computed);
    boolean pedals = files.isEmpty() || files.stream().anyMatch(SessionLaps::hasPedals);
    LapLedger ledger =
        new LapLedger(computed, stakes, pedals, with -> pageItself(computed, reader, with));
    List<DrivenLap> laps = new ArrayList<>();
    for (Laps.KeptFile file : files) {
      laps.addAll(lapsOf(file, reader, road(computed)));
    }
    return new SessionLaps(revision, computed, ledger, files, laps);
  }

  private static boolean hasPedals(Laps.KeptFile file) {
    return file.laps().recording().has(Channel.BRAKE);
  }

  /** Without a throttle the feet of page and lap are told by their speeds alike. */
  private static boolean hasThrottle(Laps.KeptFile file) {
    return file.laps().recording().has(Channel.THROTTLE);
  }

  /** The page's own lap, read the way the driven ones are. */
  ReadLap page() {
    return ledger.page();
  }

  private static List<DrivenLap> lapsOf(Laps.KeptFile file, LapReader reader, Road road) {
    LapsOnRoad of = file.laps();
    List<LapKinds.Read> read = read(of, reader);
    List<RecordedLap> kinds = LapKinds.of(read);
    List<DrivenLap> laps = new ArrayList<>();
    for (int k = 0; k < kinds.size(); k++) {
      RecordedLap lap = kinds.get(k);
      ReadLap whole =
          lap.isWhole()
              ? new ReadLap(
                  along(of, lap, road),
                  read.get(k).corners(),
                  of.placed().stations().offsetErrorM())
              : null;
      laps.add(new DrivenLap(file.stored().id(), lap, file.kindOf(lap), whole, hasThrottle(file)));
    }
    return laps;
  }

  private static AlongLap along(LapsOnRoad of, RecordedLap lap, Road road) {
    return AlongLap.of(
        of.recording(), of.placed().stations(), lap, road, Thresholds.DEFAULT, STEP_M);
  }

  /** Every lap of a file with what it did in the corners; nothing of one that is not whole. */
  private static List<LapKinds.Read> read(LapsOnRoad of, LapReader reader) {
    List<RecordedLap> whole = of.laps().stream().filter(RecordedLap::isWhole).toList();
    List<List<CornerReading>> corners = reader.read(of.recording(), of.placed().stations(), whole);
    return of.laps().stream()
        .map(
            lap ->
                new LapKinds.Read(lap, lap.isWhole() ? corners.get(whole.indexOf(lap)) : List.of()))
        .toList();
  }

  /** The laps of a file that is not kept yet, with their kinds. */
  static List<RecordedLap> kindsOf(LapsOnRoad laps, Books.Computed computed) {
    return LapKinds.of(read(laps, reader(computed)));
  }

  /** Whose laps they are, the book's own first; each driver and vehicle once. */
  List<IncomingLaps.Whose> drivers() {
    return files.stream()
        .map(Laps.KeptFile::whose)
        .distinct()
        .sorted(Comparator.comparing((IncomingLaps.Whose w) -> !w.equals(IncomingLaps.Whose.OWN)))
        .toList();
  }

  /** The same with the laps of one driver in one vehicle: those of two are never pooled. */
  SessionLaps of(IncomingLaps.Whose whose) {
    if (files.stream().allMatch(file -> file.whose().equals(whose))) {
      return this;
    }
    return of(
        files.stream()
            .filter(file -> file.whose().equals(whose))
            .map(file -> file.stored().id())
            .collect(Collectors.toSet()));
  }

  /** The laps of the book's own driver in the book's vehicle: the others' change no page of his. */
  SessionLaps own() {
    return of(IncomingLaps.Whose.OWN);
  }

  /** Grip of the laps that count against the page's; NaN without any. */
  double gripAgainstPage() {
    return LapKinds.gripAgainst(
        computed.reference().pages(), counted().stream().map(DrivenLap::corners).toList());
  }

  /** The same with the laps of some files alone. */
  SessionLaps of(Set<UUID> some) {
    return new SessionLaps(
        revision,
        computed,
        ledger,
        files.stream().filter(file -> some.contains(file.stored().id())).toList(),
        laps.stream().filter(lap -> some.contains(lap.file())).toList());
  }

  /** The laps that findings and proposals are made from. */
  List<DrivenLap> counted() {
    return laps.stream().filter(DrivenLap::counts).toList();
  }

  /** What cost them their time, the dearest first. */
  List<Finding> findings() {
    List<DrivenLap> counted = counted();
    return SessionCauses.of(
        road(computed),
        page().corners(),
        counted.stream().map(DrivenLap::corners).toList(),
        counted.stream().map(ledger::of).toList());
  }

  /** Where a lap lost its time; null for one that was not recorded from line to line. */
  LapAccounts accounts(DrivenLap lap) {
    return lap.read() == null ? null : ledger.of(lap);
  }

  /**
   * The laps that count as reviews have them, told by the session's name. Of a file whose places
   * are not sure nothing is proposed: every one of its points may lie a few metres off.
   */
  List<LapOfSession> named(String session) {
    boolean several = files.size() > 1;
    return counted().stream()
        .filter(lap -> isPlacedSurely(files.get(fileIndex(lap)).laps()))
        .map(
            lap ->
                new LapOfSession(
                    session + (several ? ", file " + (fileIndex(lap) + 1) : ""),
                    lap.lap().number(),
                    lap.corners(),
                    ledger.of(lap).corners()))
        .toList();
  }

  private static boolean isPlacedSurely(LapsOnRoad laps) {
    Recording recording = laps.recording();
    double seconds = recording.timeAt(recording.size() - 1) - recording.timeAt(0);
    return laps.placed().stations().offsetErrorM() <= MOST_OFFSET_ERROR_M
        && recording.size() >= LEAST_HZ * seconds;
  }

  private int fileIndex(DrivenLap lap) {
    for (int f = 0; f < files.size(); f++) {
      if (files.get(f).stored().id().equals(lap.file())) {
        return f;
      }
    }
    return 0;
  }

  static Road road(Books.Computed computed) {
    return computed.basis().path().road();
  }

  private static ReadLap pageItself(Books.Computed computed, LapReader reader, boolean pedals) {
    Lap lap = computed.reference().lap();
    ModelRecording logger = new ModelRecording(pedals ? LOGGER_HZ : RECEIVER_HZ, 0, pedals, 1);
    // A run along an open road is driven once; on a closed one the next lap comes behind.
    Recording recording = logger.of(lap.path().road().closed() ? List.of(lap, lap) : List.of(lap));
    Stations stations = Stations.of(recording, road(computed));
    RecordedLap whole =
        LapCutter.cut(recording, stations, road(computed)).stream()
            .filter(RecordedLap::isWhole)
            .findFirst()
            .orElseThrow();
    AlongLap along =
        AlongLap.of(recording, stations, whole, road(computed), Thresholds.DEFAULT, STEP_M);
    return new ReadLap(along, reader.read(recording, stations, whole), 0);
  }

  private static LapReader reader(Books.Computed computed) {
    Vehicle car = computed.basis().vehicle();
    double weight = G0 * (car.massKg() + car.driverKg() + computed.conditions().fuelKg());
    double halfRhoCdA = 0.5 * computed.conditions().airDensityKgM3() * car.aero().cdAM2();
    return new LapReader(
        road(computed),
        computed.reference().pages(),
        Thresholds.DEFAULT,
        v -> halfRhoCdA * v * v / weight + car.rollingResistance());
  }
}
