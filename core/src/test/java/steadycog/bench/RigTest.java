package steadycog.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import steadycog.bench.TurnVerdict.Kind;
import steadycog.bench.rig.LoadRun;
import steadycog.bench.rig.RigSettings;
import steadycog.bench.rig.RigSettings.Fault;
import steadycog.bench.rig.SimulatedRig;
import steadycog.bench.rig.TurnRun;
import steadycog.notation.CardException;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.study.Study;
import steadycog.train.Train;

class RigTest {
  private static final String FOCUSER =
      """
      planetary sun 12/- planet 18=18 x3 ring 48/51
      module 1 mm; material pla; width 8 mm; clearance printed
      drive sun 300 rpm 20 Nmm; hold ring1; take ring2
      """;
  private static final String FILTER =
      """
      planetary sun 24 planet 15 x3 ring 54
      module 1 mm; material pla; width 8 mm
      drive sun 200 rpm 100 Nmm; hold ring; take carrier
      """;
  private static final int PATIENCE = 4000;

  private static TurnVerdict counted(Train train, RigSettings settings, SimulatedRig[] used) {
    return counted(train, settings, used, TurnVerdict.turnsToTell(train, 1).orElseThrow());
  }

  private static TurnVerdict counted(
      Train train, RigSettings settings, SimulatedRig[] used, int turns) {
    SimulatedRig rig = SimulatedRig.of(train, settings);
    used[0] = rig;
    TurnRun run = new TurnRun(rig, TurnVerdictTest.test(1), turns, 3, rig.usualSpeed());
    for (int k = 0; k < PATIENCE && !run.isOver(); k++) {
      run.advance(1);
    }
    assertTrue(run.isOver(), run::doing);
    return TurnVerdict.of(train, run.test());
  }

  private static LoadRun loaded(Train train, RigSettings settings, double top, int steps) {
    SimulatedRig rig = SimulatedRig.of(train, settings);
    TestHead head = new TestHead("load", LocalDate.of(2031, 4, 2), "rig", "", "");
    Quantity most = Quantity.of(Double.toString(top), Unit.NM);
    LoadTest plan = new LoadTest(head, Rigging.METER, LoadTest.plan(most, steps));
    LoadRun run = new LoadRun(rig, plan, rig.usualSpeed());
    for (int k = 0; k < PATIENCE && !run.isOver(); k++) {
      run.advance(0.37);
    }
    assertTrue(run.isOver(), run::doing);
    return run;
  }

  @ParameterizedTest
  @ValueSource(strings = {FOCUSER, FILTER, "parallel 17 ~ 53 = 19 ~ 61; drive A; take D"})
  void whateverIsWrongOnPurposeIsFoundByCounting(String card) throws CardException {
    Train train = TurnVerdictTest.train(card);
    SimulatedRig[] rig = new SimulatedRig[1];
    for (long seed = 1; seed <= 3; seed++) {
      RigSettings settings = RigSettings.USUAL.seeded(seed);
      assertEquals(Kind.RIGHT, counted(train, settings, rig).kind());

      TurnVerdict miscount = counted(train, settings.with(Fault.MISCOUNT), rig);
      String truth = rig[0].inspect().orElseThrow();
      assertTrue(truth.startsWith("it has "), truth);
      assertTrue(
          miscount.counts().stream().anyMatch(count -> truth.equals("it has " + count.text())),
          () -> truth + ", but: " + miscount.words());

      TurnVerdict wrong = counted(train, settings.with(Fault.WRONG_MEMBER), rig);
      String held = rig[0].inspect().orElseThrow();
      assertEquals(Kind.OTHER_MEMBER, wrong.kind(), () -> held + ", but: " + wrong.words());
      assertTrue(wrong.configurations().stream().map(Slip::words).anyMatch(held::equals));

      TurnVerdict slips = counted(train, settings.with(Fault.SLIPPING), rig, 400);
      assertEquals(Kind.SLIPPING, slips.likely().getFirst().kind(), slips::words);
    }
  }

  @ParameterizedTest
  @ValueSource(strings = {FOCUSER, FILTER})
  void loadsRecoverTheEfficiencyOfTheLossModel(String card) throws CardException {
    Train train = TurnVerdictTest.train(card);
    double model = Study.of(train).efficiency().orElseThrow();
    RigSettings settings = RigSettings.USUAL.breakingAt(4);
    LoadRun run = loaded(train, settings.noisy(0.02), 2, 5);
    LoadResult result = LoadResult.of(train, run.test());
    assertEquals(model, result.predicted().orElseThrow());
    double idle = run.test().rigging().idle();
    for (LoadResult.Row row : result.rows()) {
      // Two instruments, some 250 readings a step: six standard deviations of their means, the
      // current counting from what the motor takes by itself.
      double current = row.step().of(Measure.CURRENT).orElseThrow().inBase();
      double within = 6 * 0.02 * Math.hypot(1, current / (current - idle)) / Math.sqrt(250);
      assertEquals(Outcome.HELD, row.step().outcome());
      assertEquals(1, row.efficiency().orElseThrow() / model, within);
      assertTrue(row.whole().orElseThrow() < row.efficiency().orElseThrow());
    }
  }

  @Test
  void whatGivesWayIsLoggedAtTheHiddenStrength() throws CardException {
    Train train = TurnVerdictTest.train(FILTER);
    for (long seed = 1; seed <= 8; seed++) {
      RigSettings settings = RigSettings.USUAL.seeded(seed).noisy(0).counting(1024, 1 << 18);
      double strength = SimulatedRig.of(train, settings).hiddenStrength();
      double step = strength / 12.5;
      LoadRun run = loaded(train, settings, 16 * step, 16);
      LoadResult result = LoadResult.of(train, run.test());
      assertEquals(12 * step, result.best().orElseThrow().torque(), 1e-2 * step);
      LoadResult.Row failed = result.firstFailure().orElseThrow();
      assertEquals(13 * step, failed.torque(), 1e-2 * step);
      assertTrue(
          failed.step().outcome() == Outcome.BROKE || failed.step().outcome() == Outcome.SLIPPED,
          failed.step()::toString);
      assertTrue(failed.step().where().contains("teeth of"), failed.step()::where);
      assertEquals(Outcome.NOT_TRIED, run.test().steps().getLast().outcome());
      double first = play(run.test().steps().getFirst());
      assertTrue(play(run.test().steps().get(11)) > first, "overload widens the play");
    }
  }

  private static double play(LoadStep step) {
    return step.of(Measure.BACKLASH).orElseThrow().inBase();
  }

  @Test
  void aLimitedSupplyStallsAtItsTorque() throws CardException {
    Train train = TurnVerdictTest.train(FILTER);
    RigSettings strong = RigSettings.USUAL.breakingAt(20).noisy(0);
    SimulatedRig rig = SimulatedRig.of(train, strong);
    double amperes = 10 * rig.idleCurrent();
    double most =
        (amperes - rig.idleCurrent())
            * rig.torqueConstant()
            * 3.25
            * Study.of(train).efficiency().orElseThrow();
    LoadRun run = loaded(train, strong.limitedTo(Optional.of(amperes)), most * 1.5, 10);
    LoadResult result = LoadResult.of(train, run.test());
    assertEquals(0.9 * most, result.best().orElseThrow().torque(), 2e-3 * most);
    assertEquals(Outcome.STALLED, result.firstFailure().orElseThrow().step().outcome());
    assertEquals(
        amperes,
        result.firstFailure().orElseThrow().step().of(Measure.CURRENT).orElseThrow().inBase(),
        1e-2 * amperes);
  }

  @Test
  void theSameSeedGivesTheSameReadingsHoweverTimeIsCut() throws CardException {
    Train train = TurnVerdictTest.train(FOCUSER);
    RigSettings settings = RigSettings.USUAL.seeded(5).with(Fault.SLIPPING);
    SimulatedRig one = SimulatedRig.of(train, settings);
    SimulatedRig other = SimulatedRig.of(train, settings);
    List.of(one, other).forEach(rig -> rig.command().drive(100));
    var first = one.pass(2);
    for (int k = 0; k < 200; k++) {
      assertEquals(List.of(first.get(k)), other.pass(SimulatedRig.STEP));
    }
  }

  @Test
  void anEmergencyStopKeepsWhatWasLogged() throws CardException {
    Train train = TurnVerdictTest.train(FILTER);
    SimulatedRig rig = SimulatedRig.of(train, RigSettings.USUAL.breakingAt(99));
    TestHead head = new TestHead("load", LocalDate.of(2031, 4, 2), "rig", "", "");
    LoadTest plan = new LoadTest(head, Rigging.METER, LoadTest.plan(Quantity.of("2", Unit.NM), 4));
    LoadRun run = new LoadRun(rig, plan, rig.usualSpeed());
    while (run.test().steps().get(1).read().isEmpty()) {
      run.advance(0.1);
    }
    run.stop();
    assertTrue(run.isOver() && run.isStopped());
    assertEquals(Outcome.HELD, run.test().steps().get(0).outcome());
    assertEquals(Outcome.NOT_TRIED, run.test().steps().get(1).outcome());
    assertEquals("stopped by hand", run.test().steps().get(1).where());
    assertTrue(run.test().steps().get(1).of(Measure.CURRENT).isPresent());
    double still = rig.pass(1).getLast().inputCounts();
    assertTrue(Math.abs(rig.pass(1).getLast().inputCounts() - still) <= 1, "the motor is off");
  }

  /** Counts that an encoder misses look like a slip, and a surprise is one of the faults. */
  @Test
  void missedCountsFallBehindAndASurpriseIsNamedInside() throws CardException {
    Train train = TurnVerdictTest.train(FILTER);
    SimulatedRig[] rig = new SimulatedRig[1];
    TurnVerdict missed =
        counted(train, RigSettings.USUAL.seeded(3).with(Fault.MISSED_COUNTS), rig, 400);
    assertEquals(0.004, missed.slip().orElseThrow(), 0.002);
    Set<String> found = new HashSet<>();
    for (long seed = 1; seed <= 12; seed++) {
      RigSettings surprise = RigSettings.USUAL.seeded(seed).with(Fault.SURPRISE);
      found.add(SimulatedRig.of(train, surprise).inspect().orElseThrow());
    }
    assertTrue(found.size() >= 4, found::toString);
  }

  @Test
  void noRigForWhatHasNoRatio() throws CardException {
    assertTrue(
        SimulatedRig.refusal(TurnVerdictTest.train("planetary sun 24 planet 15 x3 ring 54"))
            .isPresent());
  }
}
