package steadycog.torque;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.apache.commons.numbers.fraction.BigFraction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import steadycog.RandomTrains;
import steadycog.motion.LinearSystem;
import steadycog.motion.Mechanism;
import steadycog.motion.Motion;
import steadycog.motion.MotionSolver;
import steadycog.motion.RatioBoard;
import steadycog.motion.Relation;
import steadycog.motion.Relation.Term;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.number.Exact;
import steadycog.torque.PowerFlow.Verdict;
import steadycog.train.Bevel;
import steadycog.train.Differential;
import steadycog.train.Join;
import steadycog.train.Losses;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Parallel;
import steadycog.train.Part;
import steadycog.train.Planetary;
import steadycog.train.Roles;
import steadycog.train.Train;

/** Losses against the numbers of the trade, against a search of its own, and in balance. */
class LossTest {
  private static final BigFraction ZERO = BigFraction.ZERO;

  private static Motion motion(Train train) {
    return MotionSolver.solve(Mechanism.of(train));
  }

  private static Loading loading(String card) throws CardException {
    Train train = Card.read(card.replace('|', '\n')).train();
    return Loading.of(train, motion(train));
  }

  private static final String FOCUSER =
      "planetary sun 12/- planet 18=18 x3 ring 48/51|hold ring1|drive sun|take ring2|";

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        FOCUSER + "efficiency external 0.98 internal 0.99; 74.04; 65.89",
        FOCUSER + "efficiency external 0.95 internal 97%; 48.17; locks",
        FOCUSER + "efficiency sun-planet 0.95 planet-ring1 0.97 planet-ring2 0.97; 48.17; locks",
        "cycloidal lobes 14 pins 15|drive eccentric|hold ring|take disc|efficiency internal 0.97;"
            + " 68.31; 55.00",
        "cycloidal lobes 14 pins 15|drive eccentric|hold ring|take disc|efficiency cycloidal 0.97;"
            + " 68.31; 55.00",
        "strainwave flex 160 circular 162|drive wave|hold circular|take flex; 83.13; 79.75",
        "parallel 18 ~ 72 = 20 ~ 80|drive A|take D|efficiency external 0.98; 96.04; 96.04",
        "parallel 18 ~ 33 ~ 72|drive A|take C|efficiency external 0.98; 96.04; 96.04",
        "parallel 18 ~ 72|drive A|take B|efficiency ideal; 100.00; 100.00",
        "bevel 11 ~ 43|drive pinion|take crown; 98.00; 98.00",
        // A simple set, ring held: the loss is that of rolling, R/(S+R) of the power.
        "planetary sun 24 planet 15 x3 ring 54|drive sun|hold ring|take carrier"
            + "|efficiency external 0.985 internal 0.99; 98.28; 98.27",
        // Locked to one block nothing rolls and nothing is lost.
        "planetary sun 24 planet 15 x3 ring 54|drive sun|lock sun = carrier|take ring; 100.00;"
            + " 100.00",
      })
  void numbersOfTheTradeComeOut(String card, String forwards, String backwards)
      throws CardException {
    Loading loading = loading(card);
    assertEquals(forwards, percent(loading.flow().efficiency().orElseThrow()));
    Backwards back = loading.backwards().orElseThrow();
    assertEquals(backwards, back.efficiency().map(LossTest::percent).orElse("locks"));
    assertEquals(backwards.equals("locks"), !back.drivable().orElseThrow());
  }

  private static String percent(double share) {
    return String.format(java.util.Locale.ROOT, "%.2f", share * 100);
  }

  @Test
  void theTippingPointStandsBetweenRunningBackAndHolding() throws CardException {
    for (String stated : List.of("external 0.98 internal 0.99", "external 0.95 internal 0.97")) {
      Loading loading = loading(FOCUSER + "efficiency " + stated);
      Backwards.Tipping tips = loading.backwards().orElseThrow().tipping().orElseThrow();
      assertEquals(tips.factor() < 1, stated.contains("0.95"));
      for (double nudge : new double[] {1e-4, -1e-4}) {
        List<Double> at = tips.shares().stream().map(share -> share - nudge).toList();
        Loading beside =
            loading(
                FOCUSER
                    + String.format(
                        java.util.Locale.ROOT,
                        "efficiency sun-planet %.9f planet-ring1 %.9f planet-ring2 %.9f",
                        at.get(0),
                        at.get(1),
                        at.get(2)));
        assertEquals(nudge < 0, beside.backwards().orElseThrow().drivable().orElseThrow());
      }
    }
    assertEquals(
        Optional.empty(), loading("parallel 9 ~ 90|drive A|take B").backwards().get().tipping());
  }

  @Test
  void aLoadIsAnsweredByTheDriveThatItTakes() throws CardException {
    Loading given = loading("parallel 20 ~ 80|drive A|take B 8 Nm|efficiency external 0.8");
    assertEquals("5/2", external(given, "A"));
    Loading lowered = loading("parallel 20 ~ 80|drive A|take B -8 Nm|efficiency external 0.8");
    assertEquals("-8/5", external(lowered, "A"), "what is left to brake of an overhauling load");
    Loading jack =
        loading(
            FOCUSER.replace("ring2|", "ring2 -85 Nm|") + "efficiency external 0.9 internal 0.95");
    assertEquals(Verdict.LOWERS, jack.flow().verdict());
    assertTrue(
        jack.flow().torques().external(new MemberId("", "sun")).orElseThrow().signum() > 0,
        "a load that the train holds must be driven down");
  }

  private static String external(Loading loading, String member) {
    return Exact.text(loading.flow().torques().external(new MemberId("", member)).orElseThrow());
  }

  @Test
  void frictionIsThatOfTheTeeth() throws CardException {
    Train train =
        Card.read("planetary sun 24 planet 15 x3 ring 54; friction 0.06; efficiency sun-planet 0.9")
            .train();
    List<MeshEfficiency> meshes = MeshEfficiency.of(train);
    assertEquals(MeshEfficiency.Source.MESH, meshes.get(0).source());
    assertEquals(MeshEfficiency.Source.FRICTION, meshes.get(1).source());
    // Full-depth 20 degree teeth, z 15 in 54: e1 1.203, e2 0.741 on the line of action.
    double loss =
        0.06 * Math.PI * (1 / 15.0 - 1 / 54.0) * (1 - 1.944 + 1.203 * 1.203 + 0.741 * 0.741);
    assertEquals(1 - loss, meshes.get(1).value().doubleValue(), 2e-5);
  }

  /** Trains of every kind in every configuration, each mesh with an efficiency of its own. */
  private static Stream<Train> trains(Random random) {
    List<Train> all = new ArrayList<>();
    for (int run = 0; run < 40; run++) {
      List<Part> parts =
          List.of(
              RandomTrains.planetary("", random),
              RandomTrains.twoRows("", random),
              RandomTrains.drive("", random),
              new Differential("", random.nextInt(10, 30), random.nextInt(8, 20), 2));
      for (Part part : parts) {
        Train bare = Train.of(List.of(part));
        for (RatioBoard.Configuration one : RatioBoard.of(bare).configurations()) {
          all.add(lossy(bare.withRoles(one.in(Roles.NONE)), random));
        }
      }
      all.add(lossy(RandomTrains.driven(random, 8), random));
      all.add(
          lossy(
              ends(
                  new Bevel(
                      "",
                      random.nextInt(9, 20),
                      random.nextInt(20, 60),
                      Bevel.Side.RIGHT,
                      Optional.empty())),
              random));
      Train joined = RandomTrains.combined(random);
      if (joined.meshes().size() < 8) {
        joined.shifts().states().forEach(state -> all.add(lossy(joined.in(state), random)));
      }
    }
    return all.stream();
  }

  private static Train ends(Part part) {
    return Train.of(List.of(part))
        .withRoles(Roles.between(part.shafts().get(0), List.of(), part.shafts().get(1)));
  }

  private static Train lossy(Train train, Random random) {
    Losses losses = Losses.UNSTATED;
    for (Mesh mesh : train.meshes()) {
      MemberId a = train.partOf(mesh.a()).body(mesh.a());
      MemberId b = train.partOf(mesh.b()).body(mesh.b());
      BigFraction share = Exact.of(random.nextInt(random.nextBoolean() ? 93 : 70, 101), 100);
      losses = losses.with(a, b, Optional.of(share));
    }
    return train.withLosses(losses);
  }

  @Test
  void torquesBalanceAndWhatGoesInComesOutOrIsLost() {
    Map<Verdict, Integer> seen = new EnumMap<>(Verdict.class);
    trains(new Random(81))
        .forEach(
            train -> {
              Motion motion = motion(train);
              PowerFlow flow = Loading.of(train, motion).flow();
              seen.merge(flow.verdict(), 1, Integer::sum);
              if (flow.verdict().known() && flow.torques().status() == Torques.Status.DETERMINED) {
                assertBalanced(train, motion, flow);
              }
            });
    assertTrue(seen.get(Verdict.RUNS) > 1000, seen.toString());
    assertTrue(seen.get(Verdict.LOCKS) > 100, seen.toString());
  }

  private static void assertBalanced(Train train, Motion motion, PowerFlow flow) {
    Mechanism mechanism = motion.mechanism();
    BigFraction power = ZERO;
    BigFraction in = ZERO;
    for (MemberId body : mechanism.bodies()) {
      BigFraction torque = flow.torques().external(body).orElseThrow();
      power = power.add(torque.multiply(speed(motion, body)));
      in = in.add(positive(torque.multiply(speed(motion, body))));
      int number = mechanism.indexOf(body);
      boolean open =
          IntStream.range(0, mechanism.relations().size())
              .anyMatch(k -> flow.torques().relationTorque(k, number).isEmpty());
      if (open) {
        continue; // Ties said twice: only what they pass together follows.
      }
      BigFraction sum = roleless(motion, body) ? ZERO : torque;
      for (int k = 0; k < mechanism.relations().size(); k++) {
        boolean hold = mechanism.relations().get(k).cause() instanceof Relation.Held;
        sum = hold ? sum : sum.add(flow.torques().relationTorque(k, number).orElseThrow());
      }
      assertTrue(Exact.isZero(sum), () -> "balance of " + body + " in " + train);
    }
    BigFraction lost = ZERO;
    for (int k = 0; k < train.meshes().size(); k++) {
      BigFraction loss = ZERO;
      for (MemberId body : mechanism.bodies()) {
        loss =
            loss.subtract(
                flow.torques()
                    .relationTorque(k, mechanism.indexOf(body))
                    .orElseThrow()
                    .multiply(speed(motion, body)));
      }
      assertTrue(loss.signum() >= 0, () -> "a mesh gains power in " + train);
      lost = lost.add(loss);
    }
    assertEquals(power, lost, () -> "in = out + losses: " + train);
    if (flow.efficiency().isPresent()) {
      double expected = 1 - lost.divide(in).doubleValue();
      assertEquals(expected, flow.efficiency().get(), 1e-9, train::toString);
    }
  }

  private static boolean roleless(Motion motion, MemberId body) {
    return motion.mechanism().roles().of(body) == steadycog.train.Role.FREE;
  }

  private static BigFraction positive(BigFraction power) {
    return power.signum() > 0 ? power : ZERO;
  }

  private static BigFraction speed(Motion motion, MemberId body) {
    return motion.turnsPerInputTurn(body).orElse(ZERO);
  }

  @Test
  void aSearchOfAllPatternsWithFractionsAgreesForwardsAndBackwards() {
    Map<Verdict, Integer> seen = new EnumMap<>(Verdict.class);
    trains(new Random(82))
        .filter(train -> train.meshes().size() < 6)
        .filter(train -> motion(train).ratio().isPresent() && !floats(train))
        .forEach(
            train -> {
              Motion motion = motion(train);
              Loading loading = Loading.of(train, motion);
              if (loading.flow().verdict() == Verdict.NONE) {
                return;
              }
              seen.merge(loading.flow().verdict(), 1, Integer::sum);
              Roles roles = motion.mechanism().roles();
              MemberId drive = roles.drives().getFirst().member();
              MemberId take = roles.take().orElseThrow().member();
              assertEquals(
                  Patterns.search(train, motion, drive, take),
                  said(loading.flow().verdict(), loading.flow().efficiency()),
                  () -> "forwards " + train);
              Backwards back = loading.backwards().orElseThrow();
              assertEquals(
                  Patterns.search(train, motion, take, drive),
                  said(back.verdict(), back.efficiency()),
                  () -> "backwards " + train);
            });
    assertTrue(seen.get(Verdict.RUNS) > 1000 && seen.get(Verdict.LOCKS) > 100, seen.toString());
  }

  private static boolean floats(Train train) {
    return !motion(train).floating().isEmpty();
  }

  private static String said(Verdict verdict, Optional<Double> efficiency) {
    return verdict + efficiency.map(share -> String.format(" %.9f", share)).orElse("");
  }

  /** All 2^n directions, each solved exactly with every body by itself. */
  private static final class Patterns {
    private final List<String> delivering = new ArrayList<>();
    private final List<String> locking = new ArrayList<>();
    private boolean open;

    static String search(Train train, Motion motion, MemberId pushed, MemberId other) {
      Patterns found = new Patterns();
      List<MeshEfficiency> meshes = MeshEfficiency.of(train);
      for (int pattern = 0; pattern < 1 << meshes.size(); pattern++) {
        found.tryOne(motion, meshes, pattern, pushed, other);
      }
      if (found.open) {
        return "OPEN";
      }
      List<String> chosen = found.delivering.isEmpty() ? found.locking : found.delivering;
      long different = chosen.stream().distinct().count();
      if (different == 0) {
        return "IMPOSSIBLE";
      }
      return different > 1 ? "SEVERAL" : chosen.getFirst();
    }

    private void tryOne(
        Motion motion, List<MeshEfficiency> meshes, int pattern, MemberId pushed, MemberId other) {
      Mechanism mechanism = motion.mechanism();
      int relations = mechanism.relations().size();
      int bodies = mechanism.bodies().size();
      BigFraction[][] rows = new BigFraction[bodies][relations + 2];
      for (BigFraction[] row : rows) {
        java.util.Arrays.fill(row, ZERO);
      }
      BigFraction[] rolling = new BigFraction[meshes.size()];
      for (int r = 0; r < relations; r++) {
        Relation relation = mechanism.relations().get(r);
        for (Term term : relation.terms()) {
          rows[term.body()][r] = term.coefficient();
        }
        if (r < meshes.size()) {
          Mesh mesh = ((Relation.Meshing) relation.cause()).mesh();
          BigFraction frame = mesh.carrier().map(c -> speed(motion, c)).orElse(ZERO);
          rolling[r] = speed(motion, mesh.a()).subtract(frame);
          if (rolling[r].signum() != 0) {
            boolean aDrives = (pattern >> r & 1) == 1;
            int driven = mechanism.indexOf(aDrives ? mesh.b() : mesh.a());
            BigFraction lost =
                rows[driven][r].multiply(BigFraction.ONE.subtract(meshes.get(r).value()));
            rows[driven][r] = rows[driven][r].subtract(lost);
            int column = r;
            mesh.carrier()
                .map(mechanism::indexOf)
                .ifPresent(c -> rows[c][column] = rows[c][column].add(lost));
          }
        }
      }
      BigFraction way = BigFraction.of(speed(motion, pushed).signum());
      rows[mechanism.indexOf(other)][relations] = BigFraction.ONE;
      rows[mechanism.indexOf(pushed)][relations + 1] = way.negate();
      LinearSystem system = new LinearSystem(rows, relations + 1);
      if (!system.consistent(0)) {
        return;
      }
      for (int r = 0; r < meshes.size(); r++) {
        boolean loses = rolling[r].signum() != 0 && !Exact.isOne(meshes.get(r).value());
        if (loses && system.value(r, 0).isEmpty()) {
          open = true;
          return;
        }
      }
      for (int r = 0; r < meshes.size(); r++) {
        Mesh mesh = ((Relation.Meshing) mechanism.relations().get(r).cause()).mesh();
        int given =
            rolling[r].signum() == 0 || system.value(r, 0).isEmpty()
                ? 0
                : -system.value(r, 0).get().signum()
                    * rolling[r].signum()
                    * rows[mechanism.indexOf(mesh.a())][r].signum();
        if (given != 0 && given > 0 != ((pattern >> r & 1) == 1)) {
          return;
        }
      }
      BigFraction out = system.value(relations, 0).orElseThrow().multiply(speed(motion, other));
      BigFraction in = way.multiply(speed(motion, pushed));
      if (out.signum() < 0) {
        delivering.add(String.format("RUNS %.9f", -out.divide(in).doubleValue()));
      } else {
        locking.add("LOCKS");
      }
    }
  }

  @Test
  void withoutLossesIsTheLimit() {
    BigFraction almost = Exact.parse("0.9999999999999");
    trains(new Random(83))
        .map(
            train -> {
              Losses losses = Losses.UNSTATED;
              for (Mesh mesh : train.meshes()) {
                MemberId a = train.partOf(mesh.a()).body(mesh.a());
                MemberId b = train.partOf(mesh.b()).body(mesh.b());
                losses = losses.with(a, b, Optional.of(almost));
              }
              return train.withLosses(losses);
            })
        .forEach(
            train -> {
              Loading loading = Loading.of(train, motion(train));
              if (loading.flow().verdict() == Verdict.RUNS) {
                for (MemberId body : loading.ideal().mechanism().bodies()) {
                  double ideal = loading.ideal().external(body).orElse(ZERO).doubleValue();
                  double real = loading.flow().torques().external(body).orElse(ZERO).doubleValue();
                  assertEquals(ideal, real, 1e-6 * Math.max(1, Math.abs(ideal)), train::toString);
                }
              }
            });
  }

  /**
   * Accessories: chains on a shaft of a set that is locked as one, which nothing takes power off.
   */
  private static Train turningAsOne(Random random) {
    Planetary set = RandomTrains.planetary("set", random);
    List<MemberId> shafts = set.shafts();
    List<Part> parts = new ArrayList<>(List.of(set));
    List<Join> joins = new ArrayList<>();
    for (int k = random.nextInt(1, 4); k > 0; k--) {
      Parallel chain = RandomTrains.parallel("idle" + k, random, 5);
      parts.add(chain);
      joins.add(new Join(shafts.get(random.nextInt(shafts.size())), chain.shafts().getFirst()));
    }
    Roles roles = Roles.between(shafts.getFirst(), List.of(), shafts.getLast());
    return new Train(
        parts,
        joins,
        List.of(),
        List.of(),
        Optional.empty(),
        roles.locking(shafts.getFirst(), shafts.getLast()));
  }

  @Test
  void aTrainThatTurnsAsOneWithIdlingMeshesLosesNothingEitherWay() {
    Random random = new Random(41);
    for (int k = 0; k < 500; k++) {
      Train train = turningAsOne(random);
      Loading loading = Loading.of(train, motion(train));
      Backwards back = loading.backwards().orElseThrow();
      assertEquals(PowerFlow.Verdict.RUNS, loading.flow().verdict(), () -> train.toString());
      assertEquals(1, loading.flow().efficiency().orElseThrow(), 1e-9);
      assertEquals(1, back.efficiency().orElseThrow(), 1e-9);
      assertEquals(Optional.empty(), back.tipping());
    }
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "parallel 20 ~ 30 = 17 ~ 50|drive A|take D",
        "parallel 9 ~ 90|drive A|take B|efficiency external 0.5",
        "planetary sun 24 planet 15 x3 ring 54|hold carrier|drive sun|take ring|friction 0.3",
        FOCUSER + "efficiency ideal"
      })
  void whereNothingIsLostOrNothingCanLockThereIsNoTippingPoint(String card) throws CardException {
    assertEquals(Optional.empty(), loading(card).backwards().orElseThrow().tipping());
  }

  @Test
  void aLoadIsLetDownThroughADriveThatHoldsIt() throws CardException {
    Loading down =
        loading(
            FOCUSER.replace("take ring2", "take ring2 -85 Nm")
                + "efficiency external 0.95 internal 0.97");
    assertEquals(PowerFlow.Verdict.LOWERS, down.flow().verdict());
    assertEquals(
        0.0051, down.flow().torques().external(new MemberId("", "sun")).get().doubleValue(), 5e-5);
    Loading easy =
        loading(
            FOCUSER.replace("take ring2", "take ring2 -85 Nm")
                + "efficiency external 0.98 internal 0.99");
    assertEquals(PowerFlow.Verdict.RUNS, easy.flow().verdict(), "it turns the drive, which brakes");
    assertTrue(easy.flow().torques().external(new MemberId("", "sun")).get().signum() < 0);
  }

  /** A tie said again changes nothing outside it. */
  @Test
  void tiesSaidTwiceAreNoSplit() {
    Random random = new Random(43);
    int compared = 0;
    for (int k = 0; k < 200; k++) {
      Train once = RandomTrains.combined(random);
      List<Join> twice = new ArrayList<>(once.joins());
      twice.addAll(once.joins());
      Torques one = Loading.of(once, motion(once)).ideal();
      Torques other = Loading.of(once.withJoins(twice), motion(once.withJoins(twice))).ideal();
      assertEquals(one.status(), other.status());
      assertEquals(one.external(), other.external());
      compared += one.status() == Torques.Status.DETERMINED ? 1 : 0;
    }
    assertTrue(compared > 10, compared + " compared");
  }

  @Test
  void aPowerTakenOffIsATorqueAtTheSpeedThatFollows() throws CardException {
    Loading loading =
        loading(
            "planetary sun 24 planet 15 x3 ring 54|drive sun 1300 rpm|hold ring|take carrier 50"
                + " W|efficiency ideal");
    double torque = loading.ideal().external(new MemberId("", "carrier")).get().doubleValue();
    assertEquals(-50 / (400 * Math.PI / 30), torque, 1e-9);
    assertEquals(
        Torques.Status.NONE,
        loading(
                "planetary sun 24 planet 15 x3 ring 54|drive sun|hold ring|hold carrier|take planet"
                    + " 5 W")
            .ideal()
            .status());
  }

  @Test
  void aLockOnKeyedWheelsIsNoSplitEither() throws CardException {
    String chain = "parallel 20 ~ 40 = 20 ~ 50|drive A 2 Nm|take D|";
    Loading plain = loading(chain);
    Loading locked = loading(chain + "lock B = C");
    assertEquals(Torques.Status.DETERMINED, locked.ideal().status());
    assertEquals(plain.ideal().external(), locked.ideal().external());
    assertEquals(plain.flow().efficiency(), locked.flow().efficiency());
    assertEquals(
        Optional.empty(),
        locked.ideal().throughClutch(new Join(new MemberId("", "B"), new MemberId("", "C"))),
        "how key and clutch share it does not follow");
  }

  /** Where two inputs drive, a flow counts only if something comes out where it is taken off. */
  @Test
  void withTwoDrivesTheTakeOffDelivers() throws CardException {
    Random random = new Random(47);
    int runs = 0;
    for (int k = 0; k < 300; k++) {
      int sun = random.nextInt(12, 40);
      int planet = random.nextInt(12, 30);
      String card =
          "planetary sun "
              + sun
              + " planet "
              + planet
              + " x3 ring "
              + (sun + 2 * planet)
              + "|drive sun "
              + random.nextInt(-90, 90)
              + " rpm 1 Nm|drive ring "
              + random.nextInt(-90, 90)
              + " rpm|take carrier|efficiency external 0.8 internal 0.8";
      Loading loading = loading(card);
      if (loading.flow().verdict() == Verdict.RUNS) {
        Motion motion = motion(Card.read(card.replace('|', '\n')).train());
        MemberId carrier = new MemberId("", "carrier");
        double torque = loading.flow().torques().external(carrier).orElseThrow().doubleValue();
        double speed = motion.speed(carrier).orElseThrow().inRadPerS();
        assertTrue(torque * speed < 1e-9, card);
        runs++;
      }
    }
    assertTrue(runs > 100, runs + " run");
  }
}
