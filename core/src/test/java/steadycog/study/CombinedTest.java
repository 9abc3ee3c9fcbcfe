package steadycog.study;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.apache.commons.numbers.fraction.BigFraction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import steadycog.RandomTrains;
import steadycog.motion.FeedbackPath;
import steadycog.motion.Mechanism;
import steadycog.motion.Motion;
import steadycog.motion.MotionSolver;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.number.Exact;
import steadycog.number.Unit;
import steadycog.search.ShiftOrder;
import steadycog.search.StateHunt;
import steadycog.search.StateHunt.FoundState;
import steadycog.search.StateHunt.FoundStates;
import steadycog.search.StateHunt.Way;
import steadycog.search.Watch;
import steadycog.torque.Torques;
import steadycog.train.Element;
import steadycog.train.MemberId;
import steadycog.train.Planetary;
import steadycog.train.ShiftPlan;
import steadycog.train.State;
import steadycog.train.Train;

class CombinedTest {
  private static final Watch WATCH = new Watch() {};

  private static final String LINKAGE =
      """
      a: planetary sun 24 planet 18 x3 ring 60
      b: planetary sun 30 planet 20 x5 ring 70
      c: planetary sun 28 planet 22 x4 ring 72
      d: planetary sun 36 planet 21 x3 ring 78
      in: shaft
      join a.sun = b.sun
      join a.carrier = c.ring
      join b.ring = c.carrier
      join c.sun = d.sun
      join c.carrier = d.carrier
      drive in 1000 rpm 10 Nm
      take d.carrier
      clutch in = a.sun
      clutch in = a.carrier
      clutch b.carrier = d.ring
      brake a.ring
      brake b.carrier
      brake d.ring
      """;

  private static Train train(String card) throws CardException {
    return Card.read(card).train();
  }

  private static BigFraction fraction(String text) {
    return Exact.parse(text);
  }

  /**
   * Two equal sets with S and R teeth, suns joined, fore carrier to aft ring. By hand, with the
   * output at 1: low, aft carrier held: the suns turn at -R/S, so the fore ring at ((S + R) + R)/R.
   * Mid, suns held: (S + R)/R. Top: all as one. Reverse, suns driven, aft carrier held: -R/S.
   */
  @ParameterizedTest
  @CsvSource({"24, 18, 60", "30, 20, 70", "28, 22, 72"})
  void twoEqualSetsGiveTheirClassicRatios(int sun, int planet, int ring) throws CardException {
    String set = "planetary sun " + sun + " planet " + planet + " x4 ring " + ring;
    Train train =
        train(
            "fore: "
                + set
                + "\naft: "
                + set
                + """

                join fore.sun = aft.sun; join fore.carrier = aft.ring; take fore.carrier
                efficiency ideal
                state R: drive fore.sun; hold aft.carrier
                state low: drive fore.ring 900 rpm; hold aft.carrier
                state mid: drive fore.ring 900 rpm; hold fore.sun
                state top: drive fore.ring 900 rpm; lock fore.ring = fore.sun
                """);
    ShiftTable table = ShiftTable.of(train);
    BigFraction s = BigFraction.of(sun);
    BigFraction r = BigFraction.of(ring);
    List<BigFraction> expected =
        List.of(
            r.divide(s).negate(), s.add(r).add(r).divide(r), s.add(r).divide(r), BigFraction.ONE);
    assertEquals(
        expected,
        table.rows().stream().map(row -> row.study().ratio().orElseThrow().reduction()).toList());
    assertEquals(expected.get(1), table.spread().orElseThrow());
    assertEquals(expected.get(1).divide(expected.get(2)), table.rows().get(1).step().orElseThrow());
    assertEquals(List.of(0, 1, 1, 0), table.rows().stream().map(ShiftTable.Row::changes).toList());
    BigFraction brake = table.rows().get(1).torques().getFirst().orElseThrow();
    assertEquals(expected.get(1).subtract(1).abs(), brake, "held + in + out sum to zero");
  }

  @Test
  void aLinkageOfFourSetsAndSixElementsShowsEveryRatioOnce() throws CardException {
    Train train = train(LINKAGE);
    FoundStates found = StateHunt.of(train, WATCH);
    assertTrue(found.whole());
    Set<BigFraction> ratios = new HashSet<>();
    long ways = 0;
    for (FoundState state : found.states()) {
      assertTrue(ratios.add(state.ratio().reduction()), "merged");
      assertTrue(state.ways().size() > 0);
      for (Way way : state.ways()) {
        ways++;
        assertSatisfied(train, way.engaged(), state.ratio().reduction());
      }
    }
    assertTrue(found.states().size() > 4, found.states().toString());
    assertTrue(ways + found.jammed() + found.neutral() <= found.examined());
    assertEquals(sumOfChoices(6, 3), found.examined(), "every choice of up to three");
  }

  private static long sumOfChoices(int all, int most) {
    long sum = 0;
    for (int mask = 0; mask < 1 << all; mask++) {
      sum += Integer.bitCount(mask) <= most ? 1 : 0;
    }
    return sum;
  }

  /** Puts the speeds into S (ws - wc) + R (wr - wc) = 0 of every set, and into all ties. */
  private static void assertSatisfied(Train train, Set<Element> engaged, BigFraction ratio) {
    Train inState = train.in(State.engaging("x", engaged)).withShifts(ShiftPlan.NONE);
    Motion motion = MotionSolver.solve(Mechanism.of(inState));
    BigFraction in = speed(motion, train.roles().drives().getFirst().member()).orElseThrow();
    BigFraction out = speed(motion, train.roles().take().orElseThrow().member()).orElseThrow();
    assertEquals(ratio, in.divide(out));
    for (var part : train.parts()) {
      if (part instanceof Planetary set) {
        Optional<BigFraction> sun = speed(motion, set.sunId(0));
        Optional<BigFraction> ring = speed(motion, set.ringId(0));
        Optional<BigFraction> carrier = speed(motion, set.carrierId());
        if (sun.isPresent() && ring.isPresent() && carrier.isPresent()) {
          int s = set.row().sun().orElseThrow().count();
          int r = set.row().ring().orElseThrow().count();
          BigFraction balance =
              sun.get()
                  .subtract(carrier.get())
                  .multiply(s)
                  .add(ring.get().subtract(carrier.get()).multiply(r));
          assertTrue(Exact.isZero(balance), engaged.toString());
        }
      }
    }
    for (Element element : engaged) {
      switch (element) {
        case Element.Brake(MemberId held) ->
            assertTrue(Exact.isZero(speed(motion, held).orElseThrow()));
        case Element.Clutch(var tied) ->
            assertEquals(speed(motion, tied.a()), speed(motion, tied.b()));
      }
    }
  }

  private static Optional<BigFraction> speed(Motion motion, MemberId member) {
    return motion.speed(member).flatMap(known -> known.exactIn(Unit.RPM));
  }

  /** A ring that is held for good would leave nothing to choose. */
  @Test
  void whatIsHeldOrLockedIsOfferedAsABrakeOrAClutch() throws CardException {
    for (String role :
        new String[] {"hold ring", "lock sun = ring", "hold ring; lock sun = ring"}) {
      Train train =
          train("planetary sun 24 planet 15 x3 ring 54\ndrive sun\ntake carrier\n" + role + "\n");
      FoundStates found = StateHunt.of(train, WATCH);
      assertEquals(
          List.of(BigFraction.of(13, 4), BigFraction.ONE),
          found.states().stream().map(one -> one.ratio().reduction()).toList());
      List<State> proposed = ShiftOrder.propose(found.states());
      Train shifted = StateHunt.released(train).withShifts(new ShiftPlan(List.of(), proposed));
      ShiftTable table = ShiftTable.of(shifted);
      assertEquals(
          List.of(13.0 / 4, 1.0),
          table.rows().stream()
              .map(row -> row.study().ratio().orElseThrow().reduction().doubleValue())
              .toList());
    }
  }

  @Test
  void statesAreOrderedWithOneSwapAShift() throws CardException {
    Train train = train(LINKAGE);
    List<FoundState> found = StateHunt.of(train, WATCH).states();
    List<State> proposed = ShiftOrder.propose(found);
    assertTrue(proposed.size() > 2, proposed.toString());
    ShiftTable table =
        ShiftTable.of(train.withShifts(new ShiftPlan(train.shifts().elements(), proposed)));
    for (int k = 0; k + 1 < proposed.size(); k++) {
      assertTrue(table.rows().get(k).changes() <= 1, "one swap");
      BigFraction step = table.rows().get(k).step().orElseThrow();
      assertTrue(step.signum() < 0 || step.compareTo(Exact.of(115, 100)) >= 0, "worth having");
    }
    List<State> all = ShiftOrder.of(found);
    assertEquals(found.size(), all.size());
    assertEquals(
        found.stream().filter(one -> one.ratio().reduction().signum() < 0).count(),
        all.stream().filter(state -> state.name().startsWith("R")).count());
  }

  @Test
  void powerAndTorqueBalanceExactlyInEveryState() {
    Random random = new Random(71);
    int determined = 0;
    for (int run = 0; run < 150; run++) {
      Train train = RandomTrains.combined(random);
      for (ShiftTable.Row row : ShiftTable.of(train).rows()) {
        Torques torques = row.study().loading().ideal();
        Motion motion = row.study().motion();
        if (torques.status() == Torques.Status.DETERMINED
            && motion.status() == Motion.Status.DETERMINED) {
          determined++;
          BigFraction power = BigFraction.ZERO;
          BigFraction torque = BigFraction.ZERO;
          for (MemberId body : motion.mechanism().bodies()) {
            BigFraction own = torques.external(body).orElseThrow();
            torque = torque.add(own);
            power = power.add(own.multiply(speed(motion, body).orElseThrow()));
          }
          assertTrue(Exact.isZero(power), train.toString());
          assertTrue(Exact.isZero(torque), "coaxial: " + train);
        }
      }
    }
    assertTrue(determined > 30, "states that say something: " + determined);
  }

  private static final String SUMMING =
      """
      set: planetary sun 24 planet 15 x3 ring 54
      %s
      drive set.sun 78 rpm 1 Nm; take set.carrier
      """;

  private static final String IDLER =
      """
      back: parallel 20 ~ 25 ~ 120
      join back.A = set.sun; join back.C = set.ring
      """;

  @Test
  void aFeedbackIdlerLeavesOneFreedomAndAFixedRatio() throws CardException {
    Train closed = train(SUMMING.formatted(IDLER));
    Study study = Study.of(closed);
    FeedbackPath path = FeedbackPath.of(closed, study.motion()).orElseThrow();
    assertEquals(1, study.motion().freedoms());
    // By hand: the ring turns 20/120 of the sun; carrier = (24 * 1 + 54 * 1/6) / 78.
    assertEquals(fraction("1/6"), path.gearing());
    assertEquals(fraction("33/78"), path.outputPerInput());
    assertEquals(fraction("78/33"), study.ratio().orElseThrow().reduction());
    assertEquals(fraction("24/78"), path.a());
    assertTrue(study.findings().stream().anyMatch(f -> f.code().equals("feedback")));
    Study open = Study.of(train(SUMMING.formatted("")));
    assertEquals(2, open.motion().freedoms());
    assertEquals(Motion.Status.UNDETERMINED, open.motion().status());
    Train series =
        train(
            "a: parallel 20 ~ 40\nset: planetary sun 24 planet 15 x3 ring 54\n"
                + "join a.B = set.sun; drive a.A; hold set.ring; take set.carrier");
    assertEquals(Optional.empty(), FeedbackPath.of(series, Study.of(series).motion()));
  }

  @Test
  void twoInputsAddUpAndShareTheLoad() throws CardException {
    Study study =
        Study.of(
            train(
                "planetary sun 24 planet 15 x3 ring 54; take carrier 13 Nm\n"
                    + "drive sun 130 rpm; drive ring -40 rpm"));
    TwoInputs line = study.twoInputs().orElseThrow();
    assertTrue(line.direct());
    assertEquals(fraction("-4/9"), line.stop().orElseThrow());
    double second = line.secondFor(20, 130).orElseThrow();
    assertEquals(20, line.output(130, second), 1e-12);
    TwoInputs.Powers powers = line.powers(130, -40, Unit.RPM).orElseThrow();
    assertEquals(powers.output(), powers.first() + powers.second(), 1e-9);
    assertTrue(powers.second() < 0, "turning against its torque it brakes");
    assertEquals(-powers.second(), powers.circulating(), 1e-9);
    assertEquals(
        study.loading().ideal().external(line.second().member()),
        Optional.of(line.torques().orElseThrow().get(1)));
    List<Double> outputs = new ArrayList<>();
    for (Regulation.Course course : Regulation.Course.values()) {
      Regulation ideal = new Regulation(line, course, 130, 20, Optional.empty());
      assertEquals(0, ideal.worst(200), 1e-9, "an ideal second input holds the output");
      Regulation limited = new Regulation(line, course, 130, 20, Optional.of(5.0));
      assertTrue(limited.worst(200) > 1);
      limited.run(50).forEach(m -> assertTrue(Math.abs(m.second()) <= 5));
      ideal.run(40).forEach(m -> outputs.add(m.geared() / m.first()));
    }
    outputs.forEach(share -> assertEquals(20.0 / 130, share, 1e-12, "geared it only follows"));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "drive case 100 rpm; drive left 80 rpm; take right | right | 120",
        "drive case 100 rpm; hold left; take right | right | 200",
        "drive left 100 rpm; lock left = case; take right | right | 100",
        "drive left 60 rpm; drive right -60 rpm; take case | case | 0"
      })
  void theCaseTurnsAtTheMeanOfTheSides(String roles, String member, int rpm) throws CardException {
    Study study = Study.of(train("differential side 16 spider 10; " + roles));
    assertEquals(
        BigFraction.of(rpm), speed(study.motion(), new MemberId("", member)).orElseThrow());
  }

  @Test
  void bothSidesPullAlikeAndTheCrownSideChoosesTheWay() throws CardException {
    Study even =
        Study.of(
            train(
                "differential side 16 spider 10; drive case 10 rpm 8 Nm; drive left 4 rpm; take"
                    + " right; efficiency ideal"));
    assertEquals(
        Optional.of(BigFraction.of(-4)), even.torques().external(new MemberId("", "right")));
    assertEquals(
        Optional.of(BigFraction.of(-4)), even.torques().external(new MemberId("", "left")));
    assertEquals("43/11", ratio("bevel 11 ~ 43"));
    assertEquals("-43/11", ratio("bevel 11 ~ 43 crown left"));
    Study trolley =
        Study.of(
            train(
                """
                turn: bevel 11 ~ 43
                axle: differential side 16 spider 10
                shift turn.pinion 0.34; shift axle.left -0.3
                join turn.crown = axle.case; drive turn.pinion 86 rpm 1 Nm
                drive axle.left 20 rpm; take axle.right\
                """));
    assertEquals(
        BigFraction.of(24), speed(trolley.motion(), new MemberId("axle", "right")).orElseThrow());
    assertFalse(trolley.hasErrors());
  }

  private static String ratio(String card) throws CardException {
    return Exact.text(Study.of(train(card)).ratio().orElseThrow().reduction());
  }

  @Test
  void aBoardOfThreeFreedomsHoldsTwoAtATime() throws CardException {
    ConfigurationBoard board =
        ConfigurationBoard.of(
            train(
                """
                a: planetary sun 24 planet 15 x3 ring 54
                b: planetary sun 24 planet 18 x3 ring 60
                join a.carrier = b.sun\
                """));
    assertEquals(3, board.freedoms());
    assertTrue(board.whole());
    assertTrue(
        board.rows().stream()
            .anyMatch(
                row ->
                    row.configuration().heldText().orElse("").equals("a.ring, b.ring")
                        && row.configuration().drive().equals(new MemberId("a", "sun"))
                        && row.configuration()
                            .ratio()
                            .reduction()
                            .equals(fraction("13/4").multiply(fraction("7/2")))));
  }
}
