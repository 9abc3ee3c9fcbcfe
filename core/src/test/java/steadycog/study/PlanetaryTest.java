package steadycog.study;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import org.apache.commons.numbers.fraction.BigFraction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import steadycog.RandomTrains;
import steadycog.motion.RatioBoard.Configuration;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.number.Exact;
import steadycog.number.Mode;
import steadycog.train.Drive;
import steadycog.train.MemberId;
import steadycog.train.Part;
import steadycog.train.Planetary;
import steadycog.train.Roles;
import steadycog.train.Train;

/** Planetary sets on the kernel: closed formulas and hand methods serve as second routes here. */
class PlanetaryTest {

  static Stream<Planetary> sets() {
    Random random = new Random(41);
    return Stream.generate(() -> RandomTrains.planetary("", random)).limit(70);
  }

  /** Every kind of part with three coaxial shafts. */
  static Stream<Part> coaxial() {
    Random random = new Random(42);
    return Stream.concat(
        sets()
            .filter(
                set ->
                    !set.stepped()
                        && set.wheels().size() > 2
                        && set.shafts().stream().noneMatch(set::isPlanet)),
        Stream.generate(() -> RandomTrains.drive("", random)).limit(80));
  }

  /** Sets and drives whose shafts all share one axis. */
  static Stream<Part> central() {
    Random random = new Random(43);
    return Stream.concat(
        coaxial(),
        Stream.generate(() -> RandomTrains.twoRows("", random))
            .filter(set -> set.shafts().stream().noneMatch(set::isPlanet))
            .limit(30));
  }

  private static Study study(String card) throws CardException {
    return Study.of(Card.read(card).train());
  }

  private static BigFraction fraction(String text) {
    return Exact.parse(text);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "planetary sun 24 planet 15 x3 ring 54; hold ring; drive sun; take carrier | 13/4",
        "planetary sun 24 planet 15 x3 ring 54; hold sun; drive ring; take carrier | 13/9",
        "planetary sun 24 planet 15 x3 ring 54; hold carrier; drive sun; take ring | -9/4",
        "planetary sun 24 planet 15 x3 ring 54; lock sun = ring; drive sun; take carrier | 1",
        "planetary sun 30 planet 16~18 x4 ring 82; hold carrier; drive sun; take ring | 41/15",
        "planetary sun 30 planet 16~18 x4 ring 82; hold ring; drive sun; take carrier | -26/15",
        "planetary planet 14 x2 ring 32; hold ring; drive carrier; take planet | -7/9",
        "cycloidal lobes 29 pins 30; hold ring; drive eccentric; take disc | -29",
        "cycloidal lobes 29 pins 30; hold disc; drive eccentric; take ring | 30",
        "cycloidal lobes 29 pins 30; hold eccentric; drive disc; take ring | 30/29",
        "strainwave flex 200 circular 202; hold circular; drive wave; take flex | -100",
        "strainwave nominal 80; hold flex; drive wave; take circular | 81",
        "strainwave nominal 80; hold circular; drive flex; take wave | -1/80",
        "planetary sun 20 planet 20 x2; hold sun; drive carrier; take planet | 1/2",
        "planetary sun 12/- planet 18=18 x3 ring 48/51; hold ring1; drive sun; take ring2 | 85",
        "planetary sun 12/- planet 24=12 x3 ring -/48; hold ring; drive sun; take carrier | 9",
        "planetary sun 30/29 planet 29=30 x2; hold sun1; drive carrier; take sun2 | -841/59",
        "planetary planet 20=20 x1 ring 100/101; hold ring1; drive carrier; take ring2 | 101"
      })
  void textbookRatiosComeOutExactly(String card, String ratio) throws CardException {
    assertEquals(fraction(ratio), study(card).ratio().orElseThrow().reduction());
  }

  @Test
  void planetsTurnInSpaceAndAgainstTheirCarrier() throws CardException {
    Study study =
        study("planetary sun 24 planet 15 x3 ring 54; hold ring; drive sun; take carrier");
    MemberId planet = new MemberId("", "planet");
    assertEquals(fraction("-4/5"), study.motion().turnsPerInputTurn(planet).orElseThrow());
    assertEquals(
        fraction("-72/65"), study.relativeToCarrier(planet).orElseThrow().rpm(), "per sun turn");
    assertEquals(Optional.empty(), study.relativeToCarrier(new MemberId("", "carrier")));
  }

  @ParameterizedTest
  @MethodSource("coaxial")
  void theBoardListsSixRatiosInInversePairsAndEveryLock(Part set) {
    ConfigurationBoard board = ConfigurationBoard.of(Train.of(List.of(set)));
    List<Configuration> held =
        board.rows().stream()
            .map(ConfigurationBoard.Row::configuration)
            .filter(one -> one.hold().isPresent())
            .toList();
    assertEquals(6, held.size());
    for (Configuration one : held) {
      BigFraction back =
          held.stream()
              .filter(o -> o.drive().equals(one.take()) && o.take().equals(one.drive()))
              .findFirst()
              .orElseThrow()
              .ratio()
              .reduction();
      assertEquals(BigFraction.ONE, back.multiply(one.ratio().reduction()));
    }
    List<Configuration> locked =
        board.rows().stream()
            .map(ConfigurationBoard.Row::configuration)
            .filter(one -> one.lock().isPresent())
            .toList();
    assertEquals(3, locked.size());
    locked.forEach(one -> assertEquals(Mode.DIRECT, one.ratio().mode()));
  }

  @ParameterizedTest
  @MethodSource("central")
  void torquesAndPowersOfEveryConfigurationSumToZero(Part set) {
    Train train = Train.of(List.of(set));
    for (ConfigurationBoard.Row row : ConfigurationBoard.of(train).rows()) {
      Study study = Study.of(train.withRoles(row.configuration().in(Roles.NONE)));
      BigFraction torque = BigFraction.ZERO;
      BigFraction power = BigFraction.ZERO;
      for (MemberId id : set.shafts()) {
        BigFraction own = study.loading().ideal().external(id).orElseThrow();
        torque = torque.add(own);
        Optional<BigFraction> turns = study.motion().turnsPerInputTurn(id);
        assertTrue(turns.isPresent() || own.signum() == 0, "what floats carries nothing");
        power = power.add(own.multiply(turns.orElse(BigFraction.ZERO)));
      }
      assertEquals(0, torque.signum(), row.toString());
      assertEquals(0, power.signum(), row.toString());
      row.configuration()
          .hold()
          .ifPresent(
              held ->
                  assertEquals(
                      study.loading().ideal().external(held), row.reaction(), "of " + held));
    }
  }

  @ParameterizedTest
  @MethodSource("sets")
  void threeWorkingsAgreeForEveryConfigurationAndForTwoDrives(Planetary set) {
    Train train = Train.of(List.of(set));
    List<Roles> all = new ArrayList<>();
    ConfigurationBoard.of(train).rows().stream()
        .filter(row -> row.configuration().hold().isPresent())
        .forEach(row -> all.add(row.configuration().in(Roles.NONE)));
    if (ConfigurationBoard.of(train).freedoms() < 2) {
      return; // Suns or rings of both rows are one body: nothing moves against anything.
    }
    List<MemberId> shafts = set.shafts();
    all.add(
        new Roles(
            List.of(
                Drive.of(shafts.getFirst()),
                new Drive(
                    shafts.getLast(),
                    Optional.of(steadycog.number.Quantity.of("-7/3", steadycog.number.Unit.RPM)),
                    Optional.empty())),
            List.of(),
            Optional.of(steadycog.train.Take.of(shafts.get(1))),
            List.of()));
    for (Roles roles : all) {
      EpicyclicWorking working = Study.of(train.withRoles(roles)).epicyclicWorking().orElseThrow();
      assertTrue(working.agrees(), () -> roles + " " + working);
    }
  }

  @Test
  void theBoardOfTwoRowsHoldsEveryChoiceOfThreeFromItsBodies() throws CardException {
    ConfigurationBoard board =
        ConfigurationBoard.of(Card.read("planetary sun 20/17 planet 22=25 x3 ring 64/67").train());
    assertEquals(2, board.freedoms());
    assertEquals(
        5 * 4 * 3,
        board.rows().stream().filter(row -> row.configuration().hold().isPresent()).count());
    assertEquals(
        5 * 4 / 2,
        board.rows().stream().filter(row -> row.configuration().lock().isPresent()).count());
  }

  @Test
  void thePitchLinesReadAsTheyAreDrawnByHand() throws CardException {
    EpicyclicWorking working =
        study("planetary sun 24 planet 15 x3 ring 54; hold ring; drive sun; take carrier")
            .epicyclicWorking()
            .orElseThrow();
    assertEquals(
        List.of("sun 12 12", "carrier 39/2 6", "ring 27 0"),
        working.pitchLine().points().stream()
            .map(p -> p.member() + " " + Exact.text(p.radius()) + " " + Exact.text(p.speed()))
            .toList());
    assertEquals(fraction("-4/9"), working.relative().basic());
    assertEquals(fraction("4/13"), working.table().withCarrier());
  }

  @Test
  void nothingHeldIsNeutralAndNamesWhoFloats() throws CardException {
    Study study = study("planetary sun 24 planet 15 x3 ring 54; drive sun; take carrier");
    assertEquals(Optional.of(Mode.NEUTRAL), study.mode());
    assertEquals(
        "[planet, ring, carrier]", study.motion().floating().toString(), "all but the driven sun");
    assertEquals(Optional.empty(), study.epicyclicWorking());
  }

  @Test
  void twoDrivesAddUpAlongAStraightLine() throws CardException {
    Study study =
        study(
            "planetary sun 24 planet 15 x3 ring 54; drive sun 100 rpm; drive ring 12 rpm;"
                + " take carrier");
    TwoInputs line = study.twoInputs().orElseThrow();
    assertEquals(BigFraction.ONE, line.a().add(line.b()), "one coaxial set");
    assertEquals(fraction("4/13"), line.a());
    assertEquals(fraction("-4/9"), line.stop().orElseThrow());
    double output = study.motion().speed(line.output()).orElseThrow().inRpm();
    assertEquals(output, line.output(100, 12), 1e-12);
    Study stopped =
        study(
            "planetary sun 24 planet 15 x3 ring 54; drive sun 9 rpm; drive ring -4 rpm;"
                + " take carrier");
    assertTrue(stopped.motion().speed(line.output()).orElseThrow().isZero());
  }

  @Test
  void ratiosNearOneAreMarkedAsSeldomUseful() throws CardException {
    ConfigurationBoard board =
        ConfigurationBoard.of(Card.read("planetary sun 12 planet 36 x3 ring 84").train());
    List<String> seldom =
        board.rows().stream()
            .filter(ConfigurationBoard.Row::seldom)
            .map(row -> Exact.text(row.configuration().ratio().reduction()))
            .toList();
    assertEquals(List.of("8/7", "7/8"), seldom);
    assertFalse(board.rows().getFirst().seldom());
  }

  @Test
  void aConfigurationKeepsSpeedAndLoadAndKnowsItself() throws CardException {
    Train train =
        Card.read(
                "planetary sun 24 planet 15 x3 ring 54; hold ring; drive sun 90 rpm 2 Nm;"
                    + " take carrier 5 Nm")
            .train();
    for (ConfigurationBoard.Row row : ConfigurationBoard.of(train).rows()) {
      Roles roles = row.configuration().in(train.roles());
      assertTrue(row.isIn(roles));
      assertEquals(train.roles().drives().getFirst().speed(), roles.drives().getFirst().speed());
      assertEquals(train.roles().take().orElseThrow().load(), roles.take().orElseThrow().load());
    }
    assertEquals(
        1, ConfigurationBoard.of(train).rows().stream().filter(r -> r.isIn(train.roles())).count());
  }
}
