package marvek.core.page;

import java.util.Arrays;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;
import marvek.core.InvalidValueException;
import marvek.core.circuit.Kerb;
import marvek.core.conditions.Footwork;
import marvek.core.say.Sentence;

/**
 * The one list of what a page can hold of a driver's own, in the order in which it is written.
 * Overlay, files, schema, comparison, merge, carry-over, preparation and the interface's tables
 * iterate it. Words, letters and shapes of plates stand in the catalogue of the points.
 */
public enum PageField {
  LINE("line", Quantity.SCHOOL, Heir.MIDDLE),
  BRAKE("brake.at_m", Quantity.STATION, Heir.FIRST, 1, p -> p.brake().atM()),
  BRAKE_INITIAL(
      "brake.initial_pct",
      Quantity.PRESS,
      Heir.FIRST,
      p -> p.brake().initialPct(),
      (p, v) -> p.but().brake(p.brake().pressed((Double) v)).build()),
  PRESSES(
      "presses",
      Quantity.PRESSES,
      Heir.FIRST,
      p -> new PedalWork.Presses(p.pedals().presses()),
      (p, v) -> p.but().pedals(p.pedals().with((PedalWork.Presses) v)).build()),
  GIVES_WAY("brake.givesWay", Quantity.GIVES_WAY, Heir.FIRST),
  FEET(
      "feet",
      Quantity.FEET,
      Heir.ANY,
      CornerPage::feet,
      (p, v) -> p.but().feet((Footwork) v).build()),
  GEAR_IN(
      "gears.in",
      Quantity.GEAR,
      Heir.FIRST,
      p -> p.gears().in(),
      (p, v) -> p.but().gears(p.gears().atEntry((Integer) v)).build()),
  GEAR(
      "gears.corner",
      Quantity.GEAR,
      Heir.MIDDLE,
      0.5,
      p -> p.gears().corner(),
      (p, v) -> p.but().gears(p.gears().atApex((Integer) v)).build()),
  GEAR_OUT(
      "gears.out",
      Quantity.GEAR,
      Heir.LAST,
      p -> p.gears().out(),
      (p, v) -> p.but().gears(p.gears().atExit((Integer) v)).build()),
  GEAR_CHANGES(
      "gears.changes", Quantity.GEAR_CHANGES, Heir.LAST, p -> new GearChanges(p.gears().changes())),
  LOOK("look.at_m", Quantity.STATION, Heir.FIRST),
  LOOK_MARK("look.mark", Quantity.WORDS, Heir.FIRST),
  LOOK_WORDS("look.words", Quantity.WORDS, Heir.FIRST),
  TURN_IN("turnIn.at_m", Quantity.STATION, Heir.FIRST, p -> p.turnIn().atM()),
  RELEASE(
      "trailBrake.release_m",
      Quantity.STATION,
      Heir.MIDDLE_LAST,
      1.5,
      p -> p.trailBrake() == null ? null : p.trailBrake().releaseM(),
      (p, v) -> p.but().trailBrake(CornerPage.TrailBrake.off(p.trailBrake(), (Double) v)).build()),
  TURN_IN_PRESSURE(
      "trailBrake.atTurnIn_pct",
      Quantity.PERCENT,
      Heir.FIRST,
      p -> p.trailBrake() == null ? null : p.trailBrake().atTurnInPct(),
      (p, v) ->
          p.trailBrake() == null
              ? p
              : p.but().trailBrake(p.trailBrake().pressed((Double) v)).build()),
  APEX_SPEED(
      "apexes.speed_mps",
      Quantity.SPEED,
      Heir.MIDDLE,
      0.25,
      CornerPage::lowestSpeedMps,
      (p, v) -> p.but().lowestSpeedMps((Double) v).build()),
  APEX_OFFSET("apexes.offset_m", Quantity.OFFSET, Heir.MIDDLE, p -> p.apexes().get(0).offsetM()),
  APEX_KERB(
      "kerbs.apex",
      Quantity.KERB_USE,
      Heir.MIDDLE,
      0.5,
      p -> p.kerbs().apex(),
      (p, v) -> p.but().kerbs(p.kerbs().inside((Kerb.Use) v)).build()),
  EXIT_KERB(
      "kerbs.exit",
      Quantity.KERB_USE,
      Heir.LAST,
      0.5,
      p -> p.kerbs().exit(),
      (p, v) -> p.but().kerbs(p.kerbs().outside((Kerb.Use) v)).build()),
  THROTTLE_FIRST(
      "throttle.first_m",
      Quantity.STATION,
      Heir.LAST,
      1.5,
      p -> p.throttle().firstM(),
      (p, v) -> p.but().throttle(p.throttle().from((Double) v)).build()),
  THROTTLE_FULL(
      "throttle.full_m",
      Quantity.STATION,
      Heir.LAST,
      3,
      p -> p.throttle().fullM(),
      (p, v) -> p.but().throttle(p.throttle().fullFrom((Double) v)).build()),
  PHASES(
      "phases",
      Quantity.PHASES,
      Heir.LAST,
      p -> new PedalWork.Phases(p.pedals().phases()),
      (p, v) -> p.but().pedals(p.pedals().with((PedalWork.Phases) v)).build()),
  BRAKE_MARK("brake.mark", Quantity.WORDS, Heir.FIRST),
  BRAKE_WORDS("brake.words", Quantity.WORDS, Heir.FIRST),
  TURN_IN_MARK("turnIn.mark", Quantity.WORDS, Heir.FIRST),
  TURN_IN_WORDS("turnIn.words", Quantity.WORDS, Heir.FIRST),
  TOLD("at", Quantity.TOLD, Heir.TOGETHER, p -> p.annotations().points()),
  GATES("gates", Quantity.GATES, Heir.TOGETHER, p -> p.annotations().places()),
  POINT_NOTES("pointNotes", Quantity.POINT_NOTES, Heir.TOGETHER, p -> p.annotations().notes()),
  VARIANTS("variants", Quantity.VARIANTS, Heir.TOGETHER, p -> p.annotations().variants()),
  CONFIDENCE(
      "confidence",
      Quantity.OF_FIVE,
      Heir.ANY,
      CornerPage::confidence,
      (p, v) -> p.but().confidence((Integer) v).build()),
  NOTES(
      "notes",
      Quantity.NOTE,
      Heir.TOGETHER,
      CornerPage::notes,
      (p, v) -> p.but().notes((String) v).build()),
  WAY_OUT(
      "wayOut",
      Quantity.NOTE,
      Heir.TOGETHER,
      CornerPage::wayOut,
      (p, v) -> p.but().wayOut((String) v).build());

  private static final List<PageField> TYPED =
      Arrays.stream(values()).filter(PageField::isTyped).toList();

  /** Fields that a session changes. */
  private static final List<PageField> OF_SESSIONS =
      Arrays.stream(values()).filter(field -> !Double.isNaN(field.leastChange)).toList();

  private final String path;
  private final Quantity quantity;
  private final Heir heir;
  private final double leastChange;
  private final Function<CornerPage, Object> read;
  private final BiFunction<CornerPage, Object, CornerPage> write;

  /** A field that shows on the page in another one's words, or a place that only a driver gives. */
  PageField(String path, Quantity quantity, Heir heir) {
    this(path, quantity, heir, Double.NaN, null, null);
  }

  /** A field that is laid over by what goes with it: its mark. */
  PageField(String path, Quantity quantity, Heir heir, Function<CornerPage, Object> read) {
    this(path, quantity, heir, Double.NaN, read, null);
  }

  PageField(
      String path,
      Quantity quantity,
      Heir heir,
      double leastChange,
      Function<CornerPage, Object> read) {
    this(path, quantity, heir, leastChange, read, null);
  }

  PageField(
      String path,
      Quantity quantity,
      Heir heir,
      Function<CornerPage, Object> read,
      BiFunction<CornerPage, Object, CornerPage> write) {
    this(path, quantity, heir, Double.NaN, read, write);
  }

  PageField(
      String path,
      Quantity quantity,
      Heir heir,
      double leastChange,
      Function<CornerPage, Object> read,
      BiFunction<CornerPage, Object, CornerPage> write) {
    this.path = path;
    this.quantity = quantity;
    this.heir = heir;
    this.leastChange = leastChange;
    this.read = read;
    this.write = write;
  }

  /** Its name in the book format. */
  public String path() {
    return path;
  }

  /** Where a page of the book format shows it; of a list the first entry. */
  public String shownAt() {
    if (this == APEX_SPEED) {
      // The slowest place need not be the apex.
      return "lowest.speed_mps";
    }
    return quantity == Quantity.WORDS ? group() + ".target" : path;
  }

  /** The part of the page that it belongs to: {@code brake} of {@code brake.at_m}. */
  public String group() {
    int point = path.indexOf('.');
    return point < 0 ? path : path.substring(0, point);
  }

  /** A place along the lap that only a driver gives, with a mark that it is told by. */
  public boolean isTyped() {
    return isStation() && read == null;
  }

  /** Places that only a driver gives. */
  public static List<PageField> typed() {
    return TYPED;
  }

  /** Label of the mark that the place is told by, as the driver chose it; null for the best one. */
  public String markOf(OwnValues own) {
    return (String) own.get(ofPath(group() + ".mark"));
  }

  /** The driver's own wording for it; null for the computed one. */
  public String wordsOf(OwnValues own) {
    return (String) own.get(ofPath(group() + ".words"));
  }

  private static PageField ofPath(String path) {
    return Arrays.stream(values())
        .filter(field -> field.path.equals(path))
        .findFirst()
        .orElseThrow(() -> new IllegalStateException(path + " is missing in the list"));
  }

  public Quantity quantity() {
    return quantity;
  }

  Heir heir() {
    return heir;
  }

  /** Changes smaller than this are not worth a word; NaN where a session changes nothing of it. */
  public double leastChange() {
    return leastChange;
  }

  /** Whether it is a place along the lap. */
  public boolean isStation() {
    return quantity == Quantity.STATION;
  }

  /** Whether it is said of the corner and is no value of the model's. */
  public boolean isSaid() {
    return this == CONFIDENCE || this == POINT_NOTES || quantity == Quantity.NOTE;
  }

  /** Fields that a session changes, in their order. */
  public static List<PageField> ofSessions() {
    return OF_SESSIONS;
  }

  /**
   * The field of a name that a session changes.
   *
   * @throws InvalidValueException if there is none
   */
  public static PageField ofSession(String path) {
    return OF_SESSIONS.stream()
        .filter(field -> field.path.equals(path))
        .findFirst()
        .orElseThrow(
            () ->
                new InvalidValueException(
                    "field", Sentence.of("refused.not-session-field", "given", path)));
  }

  /** The value of a page; null where the page has none. */
  public Object of(CornerPage page) {
    if (isTyped()) {
      return page.points().containsKey(this) ? page.points().get(this).atM() : null;
    }
    return read == null ? null : read.apply(page);
  }

  /** The value of a page as a number; null where the page has none. */
  public Double amountOf(CornerPage page) {
    return quantity.amount(of(page));
  }

  /** The driver's own value as a number; null without one. */
  public Double amountOf(OwnValues own) {
    return own == null ? null : quantity.amount(own.get(this));
  }

  /** Puts an own value in the model's place; null gives it back. */
  public void put(OwnValues.Builder own, Double amount) {
    own.put(this, quantity.value(amount));
  }

  /** Whether a page says where its value comes from. */
  public boolean hasSource() {
    return !isSaid() && this != VARIANTS && !quantity.isText() && this != GIVES_WAY;
  }

  /** Whether a page has a value there that can be the driver's own. */
  public boolean isOn(CornerPage page) {
    return this == LINE ? page.sources().containsKey(path) : of(page) != null;
  }

  /** Whether an own value shows on a page: without trailing there is no pressure at turn-in. */
  public boolean showsOn(CornerPage page) {
    return this == LINE || of(page) != null;
  }

  /** Whether the value is laid over the page's own by itself. */
  public boolean isLaidOver() {
    return write != null;
  }

  /** The page with the value in its place. */
  public CornerPage laidOver(CornerPage page, Object value) {
    return write.apply(page, value);
  }
}
