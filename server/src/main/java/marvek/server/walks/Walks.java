package marvek.server.walks;

import com.drew.lang.GeoLocation;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import marvek.core.Require;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.LayoutChange;
import marvek.core.circuit.Road;
import marvek.core.circuit.RoadPosition;
import marvek.core.circuit.Side;
import marvek.core.say.Sentence;
import marvek.formats.BadFileException;
import marvek.formats.GpxFile;
import marvek.formats.GpxReader;
import marvek.formats.LocalPlane;
import marvek.server.accounts.CurrentDriver;
import marvek.server.books.Books;
import marvek.server.books.LayoutMoves;
import marvek.server.circuits.Circuits;
import marvek.server.circuits.LayoutVersions;
import marvek.server.contract.OneOf;
import marvek.server.editions.Edited;
import marvek.server.editions.Edition;
import marvek.server.problems.ConflictException;
import marvek.server.problems.NotFoundException;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Walks round a circuit: begun, noted down, finished into a layout version. */
@Service
class Walks {
  /** A waypoint farther from the road than this is of another place. */
  private static final double FARTHEST_M = 120;

  private static final Logger LOG = LoggerFactory.getLogger(Walks.class);

  private final WalkRepository walks;
  private final WalkTickRepository ticks;
  private final WalkNoteRepository notes;
  private final WalkPhotoRepository photos;
  private final Circuits circuits;
  private final LayoutVersions versions;
  private final Books books;
  private final LayoutMoves moves;
  private final CurrentDriver driver;
  private final TransactionTemplate transaction;

  Walks(
      WalkRepository walks,
      WalkTickRepository ticks,
      WalkNoteRepository notes,
      WalkPhotoRepository photos,
      Circuits circuits,
      LayoutVersions versions,
      Books books,
      LayoutMoves moves,
      CurrentDriver driver,
      TransactionTemplate transaction) {
    this.walks = walks;
    this.ticks = ticks;
    this.notes = notes;
    this.photos = photos;
    this.circuits = circuits;
    this.versions = versions;
    this.books = books;
    this.moves = moves;
    this.driver = driver;
    this.transaction = transaction;
  }

  record NoteView(
      UUID id,
      double station_m,
      @OneOf(Side.class) String side,
      String words,
      Instant madeAt,
      Double lat_deg,
      Double lon_deg,
      boolean photo) {
    static NoteView of(WalkNote n) {
      return new NoteView(
          n.id(),
          n.stationM(),
          n.side(),
          n.words(),
          n.madeAt(),
          n.latDeg(),
          n.lonDeg(),
          n.pictured());
    }
  }

  /**
   * @param id the open walk, or null while none is open
   * @param edition of the open walk
   * @param ticked keys of the items that were looked at
   */
  record WalkView(
      @Nullable UUID id,
      long edition,
      @Nullable Instant begunAt,
      List<Checklist.Item> list,
      Set<String> ticked,
      List<NoteView> notes,
      List<LayoutChange> changes)
      implements Edited {}

  /**
   * @param circuitId the layout version that came of the walk, the old one where nothing changed
   */
  record Finished(UUID circuitId, int version, List<LayoutChange> changes) {}

  public WalkView view(UUID circuitId) {
    Circuit circuit = circuits.load(circuitId).circuit();
    List<UUID> here = books.booksAt(circuitId);
    List<LayoutMoves.CheckLine> checks =
        here.stream().flatMap(book -> moves.open(book).stream()).toList();
    List<Checklist.Item> list =
        Checklist.of(circuit, here.stream().map(books::newest).toList(), checks);
    Walk walk = openOn(circuitId);
    if (walk == null) {
      return new WalkView(null, Edition.NONE, null, list, Set.of(), List.of(), List.of());
    }
    Set<String> ticked = new HashSet<>();
    ticks.findByWalkId(walk.id()).forEach(t -> ticked.add(t.item()));
    List<NoteView> seen =
        notes.findByWalkIdOrderByStationM(walk.id()).stream().map(NoteView::of).toList();
    return new WalkView(
        walk.id(),
        walk.edition(),
        walk.begunAt(),
        list,
        ticked,
        seen,
        versions.draftChanges(circuitId));
  }

  private Walk openOn(UUID circuitId) {
    return walks
        .findFirstByCircuitIdAndDriverIdAndFinishedAtIsNull(circuitId, driver.id())
        .orElse(null);
  }

  /** Begins a walk, or goes on with the one that is open. */
  public WalkView begin(UUID circuitId) {
    circuits.load(circuitId);
    Circuits.Facts facts = circuits.facts(circuitId);
    if (!facts.newestId().equals(circuitId)) {
      throw new ConflictException(
          Sentence.of("conflict.walk-newer", "version", facts.newestVersion()));
    }
    if (openOn(circuitId) == null) {
      try {
        walks.saveAndFlush(new Walk(driver.id(), circuitId));
      } catch (DataIntegrityViolationException e) {
        // Begun at this very moment in another window: that one goes on.
        LOG.debug("walk on {} is open already", circuitId);
      }
    }
    return view(circuitId);
  }

  private Walk open(UUID walkId) {
    Walk walk =
        walks
            .findByIdAndDriverId(walkId, driver.id())
            .orElseThrow(() -> NotFoundException.of("walk", walkId));
    if (walk.finishedAt() != null) {
      throw new ConflictException(Sentence.of("conflict.walk-finished"));
    }
    return walk;
  }

  public WalkView tick(UUID walkId, String item, boolean done) {
    Walk walk = open(walkId);
    Require.text("item", item, 120);
    transaction.executeWithoutResult(
        status -> {
          ticks.deleteByWalkIdAndItem(walk.id(), item);
          ticks.flush();
          if (done) {
            ticks.saveAndFlush(new WalkTick(walk.id(), item));
          }
        });
    return view(walk.circuitId());
  }

  /**
   * Notes something down.
   *
   * @param stationM where, or null to take the place that the photo tells
   * @param photo PNG or JPEG, or null
   * @param keepPlace whether the place that the photo tells is kept with the note
   */
  public WalkView note(
      UUID walkId, Double stationM, String side, String words, byte[] photo, boolean keepPlace) {
    Walk walk = open(walkId);
    Photo picture = photo == null ? null : Photo.read(photo);
    String text = words == null ? "" : words.strip();
    if (picture == null || !text.isEmpty()) {
      Require.text("words", text, 2000);
    }
    Road road = circuits.load(walk.circuitId()).circuit().road();
    GeoLocation taken = picture == null ? null : picture.place();
    double station = stationM != null ? stationM : stationOf(walk, taken);
    Require.within("station_m", station, 0, road.lengthM());
    boolean kept = keepPlace && taken != null;
    WalkNote note =
        new WalkNote(
            walk.id(),
            station,
            sideOf(side),
            text,
            kept ? taken.getLatitude() : null,
            kept ? taken.getLongitude() : null);
    transaction.executeWithoutResult(
        status -> {
          notes.saveAndFlush(note);
          if (picture != null) {
            photos.findById(note.id()).orElseThrow().keep(picture.jpeg());
          }
        });
    return view(walk.circuitId());
  }

  private static String sideOf(String side) {
    if (side == null || side.isBlank()) {
      return "road";
    }
    if (!List.of("left", "right", "road", "over").contains(side)) {
      throw BadFileException.whole(Sentence.of("file.side", "given", side));
    }
    return side;
  }

  private double stationOf(Walk walk, GeoLocation taken) {
    Circuit circuit = circuits.load(walk.circuitId()).circuit();
    if (taken == null || circuit.origin() == null) {
      throw BadFileException.whole(Sentence.of("file.photo-nowhere"));
    }
    double[] xy =
        new LocalPlane(circuit.origin()).toPlane(taken.getLatitude(), taken.getLongitude());
    RoadPosition place = RoadPosition.nearest(circuit.road(), xy[0], xy[1]);
    if (Math.abs(place.offsetM()) > FARTHEST_M) {
      throw BadFileException.whole(
          Sentence.of("file.photo-away", "away_m", Math.abs(place.offsetM())));
    }
    return place.stationM();
  }

  public WalkView dropNote(UUID walkId, UUID noteId) {
    Walk walk = open(walkId);
    notes.delete(noteOf(walk, noteId));
    notes.flush();
    return view(walk.circuitId());
  }

  private WalkNote noteOf(Walk walk, UUID noteId) {
    return notes
        .findById(noteId)
        .filter(n -> n.walkId().equals(walk.id()))
        .orElseThrow(() -> NotFoundException.of("note", noteId));
  }

  public byte[] photo(UUID walkId, UUID noteId) {
    Walk walk =
        walks
            .findByIdAndDriverId(walkId, driver.id())
            .orElseThrow(() -> NotFoundException.of("walk", walkId));
    return photos
        .findById(noteOf(walk, noteId).id())
        .map(WalkPhoto::jpeg)
        .orElseThrow(() -> new NotFoundException(Sentence.of("missing.photo")));
  }

  /** Waypoints of a telephone as notes, each at the station that it was taken by. */
  public WalkView waypoints(UUID walkId, byte[] gpx) {
    Walk walk = open(walkId);
    Circuit circuit = circuits.load(walk.circuitId()).circuit();
    if (circuit.origin() == null) {
      throw BadFileException.whole(Sentence.of("file.waypoints-no-place"));
    }
    GpxFile file = GpxReader.read(gpx);
    if (file.waypoints().isEmpty()) {
      throw BadFileException.whole(Sentence.of("file.no-waypoints"));
    }
    LocalPlane plane = new LocalPlane(circuit.origin());
    List<WalkNote> found = new ArrayList<>();
    for (GpxFile.Waypoint waypoint : file.waypoints()) {
      found.add(note(walk, waypoint, plane, circuit.road()));
    }
    notes.saveAllAndFlush(found);
    return view(walk.circuitId());
  }

  private static WalkNote note(Walk walk, GpxFile.Waypoint waypoint, LocalPlane plane, Road road) {
    double[] xy = plane.toPlane(waypoint.place().latDeg(), waypoint.place().lonDeg());
    RoadPosition place = RoadPosition.nearest(road, xy[0], xy[1]);
    if (Math.abs(place.offsetM()) > FARTHEST_M) {
      throw BadFileException.atLine(
          waypoint.line(),
          null,
          Sentence.of(
              "file.waypoint-away", "name", waypoint.name(), "away_m", Math.abs(place.offsetM())));
    }
    String words =
        waypoint.comment().isBlank()
            ? waypoint.name()
            : waypoint.name() + ": " + waypoint.comment();
    String text = words.isBlank() ? "waypoint" : words;
    String side = place.offsetM() >= 0 ? "left" : "right";
    return new WalkNote(walk.id(), place.stationM(), side, text, null, null);
  }

  /**
   * Ends a walk: what was changed on it becomes the next layout version.
   *
   * @param seen the edition of the walk: ended twice at once it would become two versions
   */
  public Finished finish(UUID walkId, String reason, LocalDate validFrom, Edition seen) {
    Walk walk = unchanged(walkId, seen);
    UUID circuit = walk.circuitId();
    if (versions.draft(circuit) == null) {
      ended(walkId, null, seen);
      return new Finished(circuit, circuits.facts(circuit).version(), List.of());
    }
    LayoutVersions.Ready ready = versions.ready(circuit, reason, validFrom, true, Edition.ANY);
    LayoutVersions.Kept kept = ended(walkId, ready, seen);
    return new Finished(kept.id(), kept.version(), kept.changes());
  }

  private Walk unchanged(UUID walkId, Edition seen) {
    Walk walk = open(walkId);
    seen.check(walk.edition(), () -> view(walk.circuitId()));
    return walk;
  }

  /** Ends the walk and stores the version that came of it, if any: both or neither. */
  private LayoutVersions.Kept ended(UUID walkId, LayoutVersions.Ready ready, Edition seen) {
    return transaction.execute(
        status -> {
          Walk walk = unchanged(walkId, seen);
          LayoutVersions.Kept kept = ready == null ? null : versions.store(ready);
          walk.finish(Instant.now(), kept == null ? null : kept.id());
          walks.saveAndFlush(walk);
          return kept;
        });
  }
}
