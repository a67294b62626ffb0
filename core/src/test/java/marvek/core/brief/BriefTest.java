package marvek.core.brief;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.brief.Targets.Target;
import marvek.core.brief.Targets.Tier;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.MarkType;
import marvek.core.circuit.Side;
import marvek.core.conditions.Conditions;
import marvek.core.line.ChosenLine;
import marvek.core.mark.By;
import marvek.core.mark.MarkReference;
import marvek.core.page.CornerPage;
import marvek.core.page.OwnValues;
import marvek.core.page.PageField;
import marvek.core.page.Stakes;
import marvek.core.reference.ModelReference;
import marvek.core.reference.Reference;
import marvek.core.vehicle.Aero;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;

class BriefTest {
  private static final Circuit VARIED = Circuit.bare("varied", TestRoads.varied(5));
  private static final Vehicle CAR = TestVehicles.clubCar();
  private static final Conditions CLUB = Conditions.DEFAULT.withGripUsed(0.92);
  private static final Reference.Basis BASIS =
      Reference.basis(VARIED, CAR, CLUB, ChosenLine.SMOOTH);
  private static final Reference BOOK = Reference.on(BASIS, CLUB, List.of());

  private static Reference with(Purpose purpose, Vehicle vehicle) {
    Conditions conditions = purpose.of(CLUB);
    Reference.Basis basis = Reference.basis(VARIED, vehicle, conditions, ChosenLine.SMOOTH);
    return Reference.on(basis, conditions, List.of());
  }

  /** Common practice: qualifying with every centimetre against a race margin. */
  @Test
  void purposesComeInTheOrderOfTheirHaste() {
    double qualifying = with(Purpose.QUALIFYING, CAR).lap().timeS();
    double practice = with(Purpose.PRACTICE, CAR).lap().timeS();
    double race = with(Purpose.RACE, CAR).lap().timeS();
    double saving = with(Purpose.SAVE_TYRES, CAR).lap().timeS();
    double firstLap = with(Purpose.FIRST_LAP, CAR).lap().timeS();
    assertThat(List.of(qualifying, practice, race, saving, firstLap)).isSorted();
    assertThat(firstLap).isGreaterThan(saving + 0.5);
  }

  /** Behind another car a wing loses more in fast corners than less drag gives on the straights. */
  @Test
  void followingCostsACarWithWings() {
    Vehicle wings = CAR.withAero(new Aero(0.95, 2.8, 0.45));
    assertThat(with(Purpose.FOLLOW, wings).lap().timeS())
        .isGreaterThan(with(Purpose.PRACTICE, wings).lap().timeS());
    assertThat(with(Purpose.FOLLOW, CAR.withAero(new Aero(0.95, 0, 0.45))).lap().timeS())
        .isLessThan(with(Purpose.PRACTICE, CAR.withAero(new Aero(0.95, 0, 0.45))).lap().timeS());
  }

  /** Common practice: the inside on the way in costs time, and its exit is the slower one. */
  @Test
  void theInsideEntryCostsTimeAndBrakesEarlierUnlessWithTheWholeGrip() {
    // On the fastest line: another one may be quicker than the smooth one, also from the inside.
    Reference.Basis fastest = Reference.basis(VARIED, CAR, CLUB, ChosenLine.FASTEST);
    Reference book = Reference.on(fastest, CLUB, List.of());
    InsideEntry.Places inside = InsideEntry.of(fastest, CLUB, book);
    List<InsideEntry> defend = inside.defend();
    List<InsideEntry> attack = inside.attack();
    assertThat(defend).isNotEmpty().hasSameSizeAs(attack);
    for (int k = 0; k < defend.size(); k++) {
      assertThat(defend.get(k).lostS()).isGreaterThan(-0.01);
      assertThat(defend.get(k).widestM()).isNotNegative();
    }
    assertThat(defend.stream().mapToDouble(InsideEntry::lostS).sum()).isPositive();
    // More grip may go into a tighter line, and more speed comes to the corner too: single ones may
    // gain nothing.
    assertThat(attack.stream().mapToDouble(InsideEntry::lowestMps).sum())
        .isGreaterThan(defend.stream().mapToDouble(InsideEntry::lowestMps).sum());
    assertThat(attack.stream().mapToDouble(InsideEntry::brakeEarlierM).sum())
        .isLessThan(defend.stream().mapToDouble(InsideEntry::brakeEarlierM).sum());
  }

  /**
   * Common practice: saving tyres gives up half a tenth to a tenth in a corner; the order of
   * corners is by what a tenth buys.
   */
  @Test
  void savingMoreCostsMoreAndTheBestBargainComesFirst() {
    List<TyreSaving> savings = TyreSaving.of(BASIS, CLUB, BOOK);
    assertThat(savings).hasSameSizeAs(BOOK.pages());
    assertThat(savings.stream().mapToDouble(TyreSaving::workShare).sum())
        .isCloseTo(1, within(1e-9));
    for (int c = 1; c < 4; c++) {
      int cut = c;
      double less = savings.stream().mapToDouble(s -> s.cuts().get(cut - 1).lostS()).sum();
      double more = savings.stream().mapToDouble(s -> s.cuts().get(cut).lostS()).sum();
      assertThat(more).isGreaterThan(less);
      assertThat(savings.stream().mapToDouble(s -> s.cuts().get(cut).savedShare()).sum())
          .isGreaterThan(
              savings.stream().mapToDouble(s -> s.cuts().get(cut - 1).savedShare()).sum());
    }
    double perCorner =
        savings.stream().mapToDouble(s -> s.cuts().get(1).lostS()).average().orElse(0);
    assertThat(perCorner).isBetween(0.03, 0.25);
    for (int k = 1; k < savings.size(); k++) {
      assertThat(savings.get(k).cuts().get(1).savedPerTenth())
          .isLessThanOrEqualTo(savings.get(k - 1).cuts().get(1).savedPerTenth());
    }
  }

  @Test
  void focusIsOnWhatIsDearAndDoubtful() {
    List<Stakes> stakes = ModelReference.on(BASIS, CLUB).stakes();
    List<OwnValues> proven =
        BOOK.pages().stream().map(p -> OwnValues.in(p.corner()).confidence(5).build()).toList();
    List<CornerPage> pages = Reference.on(BASIS, CLUB, proven).pages();
    int doubtful = pages.get(1).corner();
    List<Focus> focus = Focus.of(pages, stakes, Set.of(doubtful));
    assertThat(focus).hasSize(3);
    assertThat(focus.get(0).corner()).isEqualTo(doubtful);
    assertThat(focus.get(0).doubt()).isEqualTo(1);
    assertThat(focus.get(0).slipS()).isPositive().isLessThanOrEqualTo(focus.get(0).stakesS());
    List<Focus> nothingKnown = Focus.of(BOOK.pages(), stakes, Set.of());
    assertThat(nothingKnown)
        .isSortedAccordingTo((a, b) -> Double.compare(b.stakesS(), a.stakesS()));
  }

  /** Common practice: good club drivers 3–4 %, beginners 9–10 % slower than an expert's lap. */
  @Test
  void targetsStandInTheRatiosThatTheTradeKnows() {
    Targets targets = Targets.of(BASIS, CLUB, BOOK, OptionalDouble.of(BOOK.lap().timeS() + 3));
    double expert = lap(targets, Tier.EXPERT);
    assertThat(lap(targets, Tier.GOOD_CLUB) / expert).isBetween(1.03, 1.04);
    assertThat(lap(targets, Tier.BEGINNER) / expert).isBetween(1.09, 1.10);
    assertThat(lap(targets, Tier.OWN_NEXT)).isCloseTo(BOOK.lap().timeS() + 2, within(1e-6));
    for (Target target : targets.targets()) {
      assertThat(target.sectorsS().stream().mapToDouble(s -> s).sum())
          .isCloseTo(target.lapS(), within(1e-6));
    }
    assertThat(targets.sectorEndsM()).hasSize(3).isSorted();
    assertThat(Targets.of(BASIS, CLUB, BOOK, OptionalDouble.empty()).targets()).hasSize(4);
  }

  private static double lap(Targets targets, Tier tier) {
    return targets.targets().stream()
        .filter(t -> t.tier() == tier)
        .findFirst()
        .orElseThrow()
        .lapS();
  }

  /** Common practice: three to five laps until tyres are warm, earlier brakes until then. */
  @Test
  void theTyresComeInOverTheFirstLaps() {
    List<WarmUp> plan = WarmUp.of(BASIS, CLUB);
    assertThat(plan).hasSize(3);
    for (int k = 1; k < plan.size(); k++) {
      assertThat(plan.get(k).gripShare()).isGreaterThan(plan.get(k - 1).gripShare());
      assertThat(plan.get(k).brakeEarlierM()).isLessThan(plan.get(k - 1).brakeEarlierM());
      assertThat(plan.get(k).lapS()).isLessThan(plan.get(k - 1).lapS());
    }
    assertThat(WarmUp.laps(CLUB.but().trackTemperatureC(8.0).build())).isEqualTo(4);
    assertThat(WarmUp.laps(CLUB.but().trackTemperatureC(45.0).build())).isEqualTo(2);
  }

  @Test
  void theShortFormIsSaidInAboutTheTimeOfALap() {
    List<ShortForm> lap = ShortForm.of(BOOK.pages(), 1, PageField::group);
    assertThat(lap).hasSameSizeAs(BOOK.pages());
    int words = lap.stream().mapToInt(s -> s.words().split(" ").length).sum();
    assertThat(words / CallOuts.WORDS_PER_S).isLessThan(BOOK.lap().timeS());
    assertThat(lap).allMatch(s -> s.words().endsWith(".") && s.words().contains(": "));
  }

  /** 1 yd = 0.9144 m (NIST SP 811, appendix B.8). */
  @Test
  void lengthsAreSaidInTheUnitThatIsChosen() {
    MarkReference mark =
        new MarkReference(
            "200 board",
            MarkType.DISTANCE_BOARD,
            Side.LEFT,
            -27.432,
            "the 200 board, left",
            "at the 200 board, left",
            500.0,
            "27 m before the 200 board, left",
            By.BESIDE,
            false,
            null,
            List.of());
    assertThat(SpokenMark.of(mark, 1)).isEqualTo("27 before the 200 board");
    assertThat(SpokenMark.of(mark, 0.9144)).isEqualTo("30 before the 200 board");
    assertThat(SpokenMark.of(null, 1)).isEmpty();
  }
}
