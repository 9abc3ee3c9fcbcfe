package steadycog.search;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.atomic.AtomicInteger;
import org.apache.commons.numbers.fraction.BigFraction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import steadycog.check.Severity;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.number.Exact;
import steadycog.search.Limits.Direction;
import steadycog.search.Wanted.Field;
import steadycog.shape.PlanetGeometry;
import steadycog.shape.PlanetPlaces;
import steadycog.sizing.MeshFigures;
import steadycog.study.Study;
import steadycog.train.Helices;
import steadycog.train.Join;
import steadycog.train.Member;
import steadycog.train.Mesh;
import steadycog.train.Part;
import steadycog.train.Planetary;
import steadycog.train.Teeth;
import steadycog.train.Train;

/** Searches against plain nested loops, and everything they list against the rules. */
class HuntTest {

  private static Limits limits(String stages, String teeth, String planets, int distortion) {
    return new Limits(
        Range.parse(stages),
        Range.parse(teeth),
        Optional.empty(),
        Range.parse(planets),
        Optional.empty(),
        Direction.ANY,
        distortion,
        Optional.empty(),
        false,
        false);
  }

  private static Query query(String target, Kind kind, Limits limits, int top) {
    return new Query(
        Target.parse(target),
        Set.of(kind),
        Optional.empty(),
        limits,
        Wheels.ANY,
        Running.ANY,
        new Listing(Rank.ERROR, false, top));
  }

  private static BigFraction error(BigFraction ratio, BigFraction target) {
    return ratio.abs().subtract(target).divide(target).abs();
  }

  private static List<Integer> teeth(Train train, int odd) {
    List<Integer> counts = new ArrayList<>();
    List<Member> members = train.members();
    for (int k = odd; k < members.size(); k += 2) {
      counts.add(members.get(k).teeth().orElseThrow().count());
    }
    Collections.sort(counts);
    return counts;
  }

  /** Every multiset of {@code many} counts, by nested loops. */
  private static void choose(
      int from, int to, int many, List<Integer> chosen, Set<List<Integer>> all) {
    if (chosen.size() == many) {
      all.add(List.copyOf(chosen));
      return;
    }
    for (int count = from; count <= to; count++) {
      chosen.add(count);
      choose(count, to, many, chosen, all);
      chosen.removeLast();
    }
  }

  private record Brute(List<Integer> drivers, List<Integer> driven, double error, int size) {}

  private static List<Brute> brute(BigFraction target, int from, int to, int stages) {
    Set<List<Integer>> sets = new LinkedHashSet<>();
    choose(from, to, stages, new ArrayList<>(), sets);
    List<Brute> all = new ArrayList<>();
    for (List<Integer> drivers : sets) {
      for (List<Integer> driven : sets) {
        BigFraction ratio = BigFraction.ONE;
        int size = 0;
        for (int k = 0; k < stages; k++) {
          ratio = ratio.multiply(driven.get(k)).divide(drivers.get(k));
          size += driven.get(k) + drivers.get(k);
        }
        all.add(new Brute(drivers, driven, error(ratio, target).doubleValue(), size));
      }
    }
    all.removeIf(one -> one.error > Hunt.FURTHEST);
    all.sort(Comparator.comparingDouble(Brute::error).thenComparingInt(Brute::size));
    return all;
  }

  @ParameterizedTest
  @CsvSource({
    "7.3, 12, 30, 2",
    "1/5, 12, 30, 2",
    "6, 12, 22, 3",
    "41.37, 12, 24, 3",
    "1, 12, 18, 3",
    "1.618034, 10, 15, 4",
    "13.7, 12, 80, 1",
    "3, 20, 20, 2"
  })
  void trainsOfPairsAreThoseOfNestedLoops(String target, int from, int to, int stages) {
    BigFraction wanted = Exact.parse(target);
    Limits limits = limits("" + stages, from + ".." + to, "3", 0);
    Found found = Hunt.run(query(target, Kind.PARALLEL, limits, 25), Watch.NONE);
    List<Brute> brute = brute(wanted, from, to, stages);
    List<Candidate> candidates = found.candidates();
    assertTrue(found.provenBest());
    assertEquals(Math.min(25, brute.size()), candidates.size());
    Set<List<List<Integer>>> listed = new HashSet<>();
    for (int k = 0; k < candidates.size(); k++) {
      Candidate one = candidates.get(k);
      assertEquals(brute.get(k).error, Math.abs(one.error()), 1e-15, "error at " + k);
      assertEquals(brute.get(k).size, one.size(), "size at " + k);
      assertTrue(
          listed.add(List.of(teeth(one.train(), 0), teeth(one.train(), 1))), "each train once");
    }
    if (from == to) {
      assertEquals(0, candidates.size(), "no ratio but 1 from wheels of one count");
    }
  }

  @Test
  void productsAreTheSortedListOfAllProducts() {
    Random random = new Random(2);
    for (int run = 0; run < 30; run++) {
      int[] counts = random.ints(8, 4, 60).distinct().sorted().toArray();
      int factors = random.nextInt(0, 5);
      TreeSet<Long> all = new TreeSet<>();
      for (long product : Products.distinct(counts, factors)) {
        all.add(product);
      }
      long low = all.first() + random.nextInt(100);
      long high = low + random.nextInt(200_000);
      Products products = Products.of(counts, factors, low, high);
      List<Long> listed = new ArrayList<>();
      for (long p = products.next(low, high); p >= 0; p = products.next(p + 1, high)) {
        listed.add(p);
        assertTrue(
            Factors.of(p, factors, counts).stream()
                .allMatch(
                    f ->
                        f.stream().mapToLong(Integer::longValue).reduce(1, (a, b) -> a * b)
                            == listed.getLast()));
        assertFalse(Factors.of(p, factors, counts).isEmpty());
      }
      assertEquals(new ArrayList<>(all.subSet(low, true, high, true)), listed);
      assertEquals(listed.size(), products.size());
    }
  }

  @ParameterizedTest
  @CsvSource({
    "85, TWO_ROW",
    "1000, TWO_ROW",
    "1/40, TWO_ROW",
    "6.3, PLANETARY",
    "47.25, PLANETARY",
    "1/5, PLANETARY",
    "80, CYCLOIDAL",
    "1/33, STRAIN_WAVE",
    "100.5, STRAIN_WAVE"
  })
  void everyHitPassesAsACardTypedByHand(String target, Kind kind) throws CardException {
    Limits limits = limits("1..2", "10..50", "3..5", 2);
    Found found = Hunt.run(query(target, kind, limits, 12), Watch.NONE);
    assertTrue(found.provenBest());
    assertFalse(found.candidates().isEmpty());
    double before = 0;
    for (Candidate candidate : found.candidates()) {
      Study study = Study.of(Card.read(Card.of(candidate.train()).text()).train());
      assertEquals(candidate.ratio(), study.ratio().orElseThrow());
      assertEquals(
          error(candidate.ratio().reduction(), Exact.parse(target)).doubleValue(),
          Math.abs(candidate.error()),
          1e-15);
      assertFalse(study.hasErrors(), () -> Card.of(candidate.train()).text() + study.findings());
      assertTrue(before <= Math.abs(candidate.error()), "nearest first");
      before = Math.abs(candidate.error());
    }
  }

  @Test
  void limitsAreKept() {
    Limits limits =
        new Limits(
            new Range(2, 3),
            new Range(14, 90),
            Optional.empty(),
            new Range(3, 3),
            Optional.of(5.0),
            Direction.SAME,
            0,
            Optional.of(80.0),
            false,
            true);
    Wheels wheels = new Wheels(List.of(18), List.of(), Map.of());
    Query query =
        new Query(
            Target.parse("12"),
            Set.of(Kind.PARALLEL),
            Optional.of(TargetTolerance.parse("2%")),
            limits,
            wheels,
            Running.ANY,
            new Listing(Rank.ERROR, false, 30));
    Found found = Hunt.run(query, Watch.NONE);
    assertFalse(found.candidates().isEmpty());
    assertTrue(found.rejected().containsKey("reverted-closure"));
    for (Candidate candidate : found.candidates()) {
      List<Integer> drivers = teeth(candidate.train(), 0);
      List<Member> all = candidate.train().members();
      assertEquals(18, all.getFirst().teeth().orElseThrow().count(), "the given wheel drives");
      assertTrue(drivers.contains(18));
      assertTrue(candidate.ratio().sameDirection());
      assertEquals(4, all.size());
      int[] z = all.stream().mapToInt(m -> m.teeth().orElseThrow().count()).toArray();
      assertEquals(z[0] + z[1], z[2] + z[3]);
      assertTrue((double) z[1] / z[0] <= 5 && (double) z[3] / z[2] <= 5);
      assertTrue(Math.max(z[1], z[3]) + 2 <= 80);
      assertFalse(Study.of(candidate.train()).hasErrors());
    }
  }

  @Test
  void aStockListIsAllThereIs() {
    Map<Teeth, Integer> stock = Wheels.parseStock("20, 30x2, 45 60, 100");
    Wheels wheels = new Wheels(List.of(), List.of(), stock);
    Query query =
        new Query(
            Target.parse("6.75"),
            Set.of(Kind.PARALLEL),
            Optional.empty(),
            limits("1..2", "12..120", "3", 0),
            wheels,
            Running.ANY,
            Listing.USUAL);
    Found found = Hunt.run(query, Watch.NONE);
    // 45/20 x 60/20 would be exact, but there is only one wheel of 20 teeth.
    assertEquals("20/3", Exact.text(found.candidates().getFirst().ratio().reduction().abs()));
    assertTrue(found.rejected().get("stock") > 0);
  }

  @Test
  void cancellingKeepsWhatWasFoundAndSaysSo() {
    AtomicInteger shown = new AtomicInteger();
    Watch watch =
        new Watch() {
          @Override
          public boolean cancelled() {
            return shown.get() > 0;
          }

          @Override
          public void found(List<Candidate> best) {
            shown.set(best.size());
          }
        };
    Query query = query("37.7", Kind.PARALLEL, limits("4", "12..60", "3", 0), 500);
    Found found = Hunt.run(query, watch);
    assertFalse(found.provenBest());
    assertTrue(shown.get() > 0);
    assertEquals(shown.get(), found.candidates().size());
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "85 | 85",
        "85:1 | 85",
        "1 : 4 | 1/4",
        "1500 rpm to 12 rpm | 125",
        "180 deg/s -> 2 rpm | 15",
        "23 h 56 min 4.0905 s from 1 rpm | 172328181/120000",
        "one turn in 1 d from 2 rpm | 2880"
      })
  void targetsAreReadAsPeopleWriteThem(String text, String ratio) {
    assertEquals(Exact.parse(ratio), Target.parse(text).ratio());
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "0",
        "-85",
        "many",
        "1/0",
        "12 rpm to 0 rpm",
        "12 kg to 3 rpm",
        "3 weeks from 1 rpm",
        "99999999999999"
      })
  void otherTargetsAreRefusedWithARemedy(String text) {
    String message =
        assertThrows(IllegalArgumentException.class, () -> Target.parse(text)).getMessage();
    assertTrue(message.length() > 30 && !message.contains("null"), message);
  }

  @Test
  void fewestCountsAreChangedToReachARatioOrToCure() throws CardException {
    Train dome = Card.read("parallel 18 ~ 72 = 20 ~ 80; drive A; take D").train();
    Wanted seventeen =
        Wanted.NOTHING.with(Field.TARGET, "17").with(Field.TOLERANCE, "1ppm").with(Field.TOP, "5");
    Nearby.Changes exact = Nearby.of(dome, seventeen, Watch.NONE);
    assertTrue(exact.whole());
    Nearby.Change first = exact.list().getFirst();
    assertEquals(BigFraction.of(17), first.candidate().ratio().reduction());
    assertEquals(1, first.wheels());
    assertEquals("D 80 -> 85", first.words());

    Train set =
        Card.read("planetary sun 30 planet 20 x3 ring 70; hold ring; drive sun; take carrier")
            .train();
    for (Nearby.Change change : Nearby.of(set, Wanted.NOTHING, Watch.NONE).list()) {
      Planetary near = (Planetary) change.candidate().train().parts().getFirst();
      assertTrue(new PlanetPlaces(near).assembles());
      assertTrue(new PlanetGeometry(near).neighbourMargin() > 0);
      assertFalse(Study.of(change.candidate().train()).hasErrors());
    }
    assertThrows(
        IllegalArgumentException.class,
        () ->
            Nearby.of(
                Card.read("planetary sun 24 planet 15 x3 ring 54").train(),
                Wanted.NOTHING,
                Watch.NONE));
  }

  @Test
  void whatIsTypedIsReadOrNamedWithItsField() {
    Wanted wanted = Wanted.NOTHING.with(Field.TARGET, "5").with(Field.DIAMETER, "60 mm at 1.5 mm");
    assertEquals(Optional.of(40.0), wanted.query().limits().diameter());
    assertEquals(Query.everyKind(), wanted.query().kinds());
    Wanted half = wanted.with(Field.KIND, "two-r");
    assertEquals(
        Field.KIND, assertThrows(Wanted.BadField.class, half::query).field(), "half typed");
    assertEquals("two-r", half.text(Field.KIND), "and kept");
    for (Field field : Field.values()) {
      assertEquals(Optional.of(field), Field.of(field.key()));
    }
  }

  /** All pairs of a ratio that some helix within reach brings to a distance, by trying them all. */
  @Test
  void aHelixClosesADistance() {
    Wanted wanted =
        new Wanted(
            Map.of(
                Field.TARGET, "3.2",
                Field.KIND, "parallel",
                Field.STAGES, "1",
                Field.TEETH, "18..120",
                Field.TOLERANCE, "5%",
                Field.HELIX, "6..33",
                Field.DISTANCE, "64 mm at 1.5 mm",
                Field.TOP, "200"));
    Set<String> expected = new TreeSet<>();
    for (int a = 18; a <= 120; a++) {
      for (int b = a; b <= 120; b++) {
        double cosine = 1.5 * (a + b) / 2 / 64;
        double degrees = Math.toDegrees(Math.acos(Math.min(1, cosine)));
        boolean near = Math.abs((double) b / a - 3.2) <= 3.2 * 0.05;
        if (near && degrees >= 6 && degrees <= 33) {
          expected.add(a + " " + b + " " + Math.round(degrees * 1e5));
        }
      }
    }
    List<Candidate> found = Hunt.run(wanted.query(), Watch.NONE).candidates();
    Set<String> there = new TreeSet<>();
    for (Candidate one : found) {
      Mesh mesh = one.train().meshes().getFirst();
      there.add(
          mesh.teethA().count()
              + " "
              + mesh.teethB().count()
              + " "
              + Math.round(one.helix() * 1e5));
      assertEquals(64, MeshFigures.of(one.train(), mesh).orElseThrow().distance(), 1e-9, one::card);
      double radius = mesh.teethB().count() * one.train().moduleMm(mesh.b()) / 2000;
      double torque = (double) mesh.teethB().count() / mesh.teethA().count();
      assertEquals(
          torque / radius * Math.tan(Math.toRadians(one.helix())),
          one.thrust().orElseThrow(),
          0.02 * one.thrust().orElseThrow(),
          "but for losses");
    }
    assertEquals(expected, there);
  }

  /** With shifts, over two pairs of one shaft, in a ring: closed all the same, hands opposed. */
  @Test
  void everyPairOfATrainStandsAtTheDistance() {
    Wanted wanted =
        new Wanted(
            Map.of(
                Field.TARGET, "9",
                Field.KIND, "parallel,planetary",
                Field.STAGES, "1..2",
                Field.TOLERANCE, "1%",
                Field.DISTANCE, "40"));
    List<Candidate> found = Hunt.run(wanted.query(), Watch.NONE).candidates();
    assertFalse(found.isEmpty());
    for (Candidate one : found) {
      for (Mesh mesh : one.train().meshes()) {
        double distance = MeshFigures.of(one.train(), mesh).orElseThrow().distance();
        assertEquals(40, distance, 1e-5, one::card);
      }
      for (Part chain : one.train().parts()) {
        for (Join shaft : chain.keyed()) {
          assertEquals(
              Helices.of(one.train(), shaft.a()).hand(),
              Helices.of(one.train(), shaft.b()).hand(),
              one::card);
        }
      }
    }
  }

  @Test
  void herringboneSetsAreFoundWithTheirRingsInHalves() {
    Wanted wanted =
        new Wanted(
            Map.of(
                Field.TARGET, "4.5",
                Field.KIND, "planetary",
                Field.STAGES, "1",
                Field.TOLERANCE, "1%",
                Field.HELIX, "20 double"));
    List<Candidate> found = Hunt.run(wanted.query(), Watch.NONE).candidates();
    assertFalse(found.isEmpty());
    for (Candidate one : found) {
      assertNotEquals(Severity.ERROR, one.worst());
      assertTrue(one.card().contains("build ring in halves"), one::card);
      assertEquals(20, one.helix());
    }
  }
}
