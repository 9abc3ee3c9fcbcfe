package steadycog.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.LocalDate;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import steadycog.bench.Recording.Channel;
import steadycog.bench.rig.LoadRun;
import steadycog.bench.rig.RigReading;
import steadycog.bench.rig.RigSettings;
import steadycog.bench.rig.SimulatedRig;
import steadycog.notation.Card;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.train.Train;

class RecordingTest {
  private static final LocalDate DAY = LocalDate.of(2031, 5, 6);

  private static double[] column(int rows, IntToDoubleFunction value) {
    return IntStream.range(0, rows).mapToDouble(value).toArray();
  }

  private static Recording recording(int rows, Map<Channel, double[]> columns) {
    return new Recording(
        "log.csv",
        columns,
        rows,
        List.of(),
        0,
        Map.of(),
        IntStream.range(2, rows + 2).toArray(),
        List.of());
  }

  private static RecordingResult result(Recording recording) {
    return RecordingResult.of(recording, Rigging.METER, DAY, "", Optional.empty());
  }

  private static double wrapped(double turns) {
    return turns - Math.floor(turns);
  }

  /** Any number of gaps, wrapped or not, backwards or forwards, with noise: the same ratio. */
  @Test
  void theRatioSurvivesGapsWrapsAndNoise() {
    SplittableRandom random = new SplittableRandom(11);
    for (int round = 0; round < 60; round++) {
      double ratio = (random.nextBoolean() ? 1 : -1) * random.nextDouble(0.3, 90);
      double step = (random.nextBoolean() ? 1 : -1) * random.nextDouble(0.01, 0.3);
      double most = 0.3 * Math.min(1, Math.abs(ratio));
      double each = Math.signum(step) * Math.min(Math.abs(step), most);
      boolean wraps = random.nextBoolean();
      int rows = 3000;
      int gap = random.nextInt(500, 2500);
      int lost = random.nextInt(0, 400);
      double start = random.nextDouble(-5, 5);
      double[] noise = column(rows, k -> 0.001 * random.nextGaussian());
      Map<Channel, double[]> columns = new EnumMap<>(Channel.class);
      columns.put(Channel.TIME, column(rows, k -> 0.01 * (k < gap ? k : k + lost)));
      columns.put(
          Channel.INPUT,
          column(
              rows,
              k -> {
                double turns = start + each * (k < gap ? k : k + lost);
                return wraps ? wrapped(turns) : turns;
              }));
      columns.put(
          Channel.OUTPUT,
          column(
              rows,
              k -> {
                double turns = each / ratio * (k < gap ? k : k + lost) + noise[k];
                return wraps ? wrapped(turns) : turns;
              }));
      RecordingResult result = result(recording(rows, columns));
      assertEquals(1, result.ratio().orElseThrow() / ratio, 2e-3, result.remarks()::toString);
      boolean told = result.remarks().stream().anyMatch(r -> r.contains("gap"));
      assertEquals(lost > 5, told, () -> lost + " rows lost, " + result.remarks());
    }
  }

  @Test
  void whatMovesTooFarFromRowToRowIsNotCounted() {
    int rows = 500;
    Map<Channel, double[]> columns = new EnumMap<>(Channel.class);
    columns.put(Channel.INPUT, column(rows, k -> wrapped(0.47 * k)));
    columns.put(Channel.OUTPUT, column(rows, k -> 0.1 * k));
    RecordingResult result = result(recording(rows, columns));
    assertTrue(result.ratio().isEmpty());
    assertTrue(result.turns().isEmpty());
    assertTrue(
        result.remarks().stream().anyMatch(r -> r.contains("record faster")),
        result.remarks()::toString);
  }

  @Test
  void aMissingValueAndTimeThatRunsBackCutWhatIsCounted() {
    int rows = 300;
    Map<Channel, double[]> columns = new EnumMap<>(Channel.class);
    columns.put(Channel.TIME, column(rows, k -> k < 200 ? k : k - 50));
    columns.put(Channel.INPUT, column(rows, k -> k == 100 ? Double.NaN : 0.2 * k));
    columns.put(Channel.OUTPUT, column(rows, k -> 0.1 * k));
    RecordingResult result = result(recording(rows, columns));
    assertEquals(2, result.ratio().orElseThrow(), 1e-9);
    assertEquals(3, result.turns().orElseThrow().readings().size());
    assertTrue(result.remarks().getFirst().contains("line 202"), result.remarks()::toString);
  }

  /** What a rig logs and what its recording says are the same test. */
  @Test
  void aRecordedLoadTestGivesTheStepsOfTheRun() throws Exception {
    Train train =
        Card.read(
                "planetary sun 24 planet 15 x3 ring 54; drive sun 200 rpm; hold ring; take carrier")
            .train();
    SimulatedRig rig = SimulatedRig.of(train, RigSettings.USUAL.breakingAt(9).noisy(0.005));
    TestHead head = new TestHead("load", DAY, "rig", "", "");
    LoadTest plan = new LoadTest(head, Rigging.METER, LoadTest.plan(Quantity.of("10", Unit.NM), 5));
    LoadRun run = new LoadRun(rig, plan, rig.usualSpeed());
    while (!run.isOver()) {
      run.advance(1);
    }
    List<RigReading> all = run.readings();
    Map<Channel, double[]> columns = new EnumMap<>(Channel.class);
    columns.put(Channel.TIME, column(all.size(), k -> all.get(k).time()));
    columns.put(Channel.INPUT, column(all.size(), k -> all.get(k).inputCounts() / 1024.0));
    columns.put(Channel.OUTPUT, column(all.size(), k -> all.get(k).outputCounts() / 4096.0));
    columns.put(Channel.TORQUE, column(all.size(), k -> all.get(k).torque()));
    columns.put(Channel.CURRENT, column(all.size(), k -> all.get(k).current()));
    Rigging motor = Rigging.METER.turnedBy(Optional.of(rig.torqueConstant()), rig.idleCurrent());
    RecordingResult result =
        RecordingResult.of(recording(all.size(), columns), motor, DAY, "", Optional.empty());
    LoadResult logged = LoadResult.of(train, run.test());
    LoadResult read = LoadResult.of(train, result.load().orElseThrow());
    List<LoadResult.Row> held =
        read.rows().stream().filter(row -> row.torque() > 1.5).limit(4).toList();
    assertEquals(4, held.size());
    for (int k = 0; k < 4; k++) {
      assertEquals(logged.rows().get(k).torque(), held.get(k).torque(), 0.05);
      assertEquals(
          logged.rows().get(k).efficiency().orElseThrow(),
          held.get(k).efficiency().orElseThrow(),
          0.03);
    }
    assertEquals(3.25, result.ratio().orElseThrow(), 0.01);
  }

  @Test
  void buildsAreComparedLoadByLoad() throws Exception {
    Card card =
        Card.read("planetary sun 24 planet 15 x3 ring 54; drive sun; hold ring; take carrier");
    Card plate = Card.read(card.text().strip() + "; efficiency printed");
    TestHead head = new TestHead("load", DAY, TestHead.BY_HAND, "", "");
    Rigging arm =
        new Rigging(Rigging.Way.ARM, Optional.of(Quantity.of("100", Unit.MM)), Optional.empty(), 0);
    Build a = new Build("A", DAY, "", List.of(), card, List.of());
    Build b = new Build("B", DAY, "a carrier plate", List.of(), plate, List.of());
    LoadTest one =
        new LoadTest(
            head,
            arm,
            List.of(step("1 kg", "150 Nmm", Outcome.HELD), step("2 kg", "300 Nmm", Outcome.BROKE)));
    LoadTest two =
        new LoadTest(
            head,
            arm,
            List.of(step("10 N", "400 Nmm", Outcome.HELD), step("2 kg", "800 Nmm", Outcome.HELD)));
    Comparison comparison = Comparison.of(a, one, b, two);
    assertEquals(List.of("efficiency printed"), comparison.statements());
    assertEquals(2, comparison.steps().size(), "1 kg and 10 N are one step");
    double torque = 9.80665 * 0.1;
    double before = torque / 0.150 / 3.25;
    assertEquals(
        1.0 / 0.4 / 3.25 - before, comparison.steps().getFirst().gain().orElseThrow(), 1e-9);
    assertTrue(comparison.steps().getLast().gain().isEmpty(), "what broke has no efficiency");
    assertEquals(2, comparison.stronger().orElseThrow(), 1e-9);
    assertFalse(comparison.before().words(Unit.NM).contains("NaN"));
  }

  private static LoadStep step(String load, String torqueIn, Outcome outcome) {
    Rigging arm =
        new Rigging(Rigging.Way.ARM, Optional.of(Quantity.of("100", Unit.MM)), Optional.empty(), 0);
    return LoadStep.planned(arm.readLoad(load))
        .with(Measure.TORQUE_IN, Optional.of(Measure.TORQUE_IN.read(torqueIn)))
        .ended(outcome);
  }
}
