package steadycog.check;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.shape.Fillet;
import steadycog.shape.PairGeometry;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Planetary;
import steadycog.train.Planetary.Spacing;
import steadycog.train.Teeth;
import steadycog.train.Train;

/**
 * The rules against the same rules worked as by hand from the textbooks' formulas, on random sets
 * and chains: which are broken, and how badly.
 */
class HandRulesTest {
  private static final double SINE = Math.sin(Math.toRadians(20));
  private static final double COSINE = Math.cos(Math.toRadians(20));

  private static List<Finding> findings(String card) throws CardException {
    return Inspection.of(Card.read(card).train()).findings();
  }

  private static Optional<Finding> only(String code, String card) throws CardException {
    return findings(card).stream().filter(finding -> finding.code().equals(code)).findFirst();
  }

  /** What was found, worst for each code with each member. */
  private static Map<String, Severity> found(List<Finding> findings) {
    Map<String, Severity> all = new TreeMap<>();
    for (Finding finding : findings) {
      String key = finding.code() + " " + finding.memberList();
      all.merge(key, finding.severity(), (a, b) -> a.compareTo(b) >= 0 ? a : b);
    }
    return all;
  }

  private static int gcd(int a, int b) {
    return BigInteger.valueOf(a).gcd(BigInteger.valueOf(b)).intValue();
  }

  private static void put(Map<String, Severity> all, String key, boolean holds, Severity severity) {
    if (holds) {
      all.put(key, severity);
    }
  }

  private static void wheel(Map<String, Severity> all, String name, int teeth) {
    put(all, "few-teeth " + name, teeth < 12, teeth < 8 ? Severity.ERROR : Severity.WARNING);
    double missing = 1 - teeth * SINE * SINE / 2;
    put(all, "undercut " + name, missing > 0, missing > 0.02 ? Severity.WARNING : Severity.NOTE);
  }

  private static void externalPair(Map<String, Severity> all, String names, int a, int b) {
    int small = Math.min(a, b);
    double u = (double) Math.max(a, b) / small;
    double squared = SINE * SINE;
    double least = 2 * (u + Math.sqrt(u * u + (1 + 2 * u) * squared)) / ((1 + 2 * u) * squared);
    put(all, "interference " + names, small < least, Severity.ERROR);
    double ratio = (reach(a) + reach(b) - (a + b) / 2.0 * SINE) / (Math.PI * COSINE);
    put(all, "contact-ratio " + names, ratio < 1.2, ratio < 1 ? Severity.ERROR : Severity.WARNING);
    put(all, "stage-ratio " + names, u > 8, Severity.NOTE);
  }

  /** From the base circle to the tips along the line of action. */
  private static double reach(int teeth) {
    double base = teeth / 2.0 * COSINE;
    return Math.sqrt(Math.pow(teeth / 2.0 + 1, 2) - base * base);
  }

  private static void assertFound(String card, Map<String, Severity> expected, List<String> codes)
      throws CardException {
    Map<String, Severity> seen = found(findings(card));
    seen.keySet().removeIf(key -> !codes.contains(key.split(" ")[0]));
    assertEquals(expected, seen, card);
  }

  @Test
  void chainsOfExternalWheels() throws CardException {
    Random random = new Random(101);
    for (int run = 0; run < 200; run++) {
      List<Integer> teeth = new ArrayList<>();
      List<String> names = new ArrayList<>();
      for (int k = random.nextInt(2, 6); k > 0; k--) {
        teeth.add(random.nextInt(6, 90));
        names.add(String.valueOf((char) ('A' + names.size())));
      }
      Map<String, Severity> expected = new TreeMap<>();
      List<String> sharing = new ArrayList<>();
      for (int k = 0; k < teeth.size(); k++) {
        wheel(expected, names.get(k), teeth.get(k));
        if (k > 0) {
          String pair = names.get(k - 1) + ", " + names.get(k);
          externalPair(expected, pair, teeth.get(k - 1), teeth.get(k));
          if (gcd(teeth.get(k - 1), teeth.get(k)) == 1) {
            expected.put("hunting " + pair, Severity.OK);
          } else {
            sharing.add(names.get(k - 1));
            sharing.add(names.get(k));
          }
        }
      }
      List<String> members = sharing.stream().distinct().toList();
      String shared = "hunting " + String.join(", ", members);
      put(expected, shared, !members.isEmpty(), Severity.NOTE);
      String card =
          "parallel "
              + String.join(" ~ ", teeth.stream().map(String::valueOf).toList())
              + "; drive A; take "
              + names.getLast();
      assertFound(
          card,
          expected,
          List.of(
              "few-teeth", "undercut", "interference", "contact-ratio", "stage-ratio", "hunting"));
    }
  }

  @Test
  void setsOfOneRow() throws CardException {
    Random random = new Random(103);
    List<String> codes =
        List.of(
            "pitch-fit",
            "assembly",
            "neighbour",
            "phasing",
            "one-planet",
            "two-planets",
            "few-teeth",
            "undercut",
            "interference",
            "planet-room");
    for (int run = 0; run < 300; run++) {
      int s = random.nextInt(8, 60);
      int p = random.nextInt(8, 40);
      int n = random.nextInt(1, 9);
      int off = random.nextInt(3) == 0 ? random.nextInt(-3, 4) : 0;
      int r = s + 2 * p + off;
      Map<String, Severity> expected = new TreeMap<>();
      String all = " sun, planet, ring";
      expected.put(
          "pitch-fit" + all,
          Math.abs(off) > 1 ? Severity.WARNING : off != 0 ? Severity.NOTE : Severity.OK);
      boolean goes = (s + r) % n == 0;
      put(expected, "assembly" + all, n > 1, goes ? Severity.OK : Severity.ERROR);
      double clear = (s + p) * Math.sin(Math.PI / n) - (p + 2);
      put(
          expected,
          "neighbour planet",
          n > 1,
          clear < 0 ? Severity.ERROR : clear < 0.2 ? Severity.WARNING : Severity.OK);
      boolean inStep = s % n == 0 && r % n == 0;
      put(expected, "phasing" + all, n > 1 && goes, inStep ? Severity.NOTE : Severity.OK);
      put(expected, "one-planet" + all, n == 1, Severity.NOTE);
      put(expected, "two-planets" + all, n == 2, Severity.NOTE);
      wheel(expected, "sun", s);
      wheel(expected, "planet", p);
      Map<String, Severity> pair = new TreeMap<>();
      externalPair(pair, "sun, planet", s, p);
      pair.keySet().removeIf(key -> !key.startsWith("interference"));
      expected.putAll(pair);
      double bore = 2 * (p / 2.0 - 1.25 - 1);
      expected.put("planet-room planet", bore < 4 ? Severity.NOTE : Severity.OK);
      String card = "planetary sun " + s + " planet " + p + " x" + n + " ring " + r;
      boolean reaches =
          found(findings(card)).get("pitch-fit" + all) != Severity.ERROR || Math.abs(off) > 1;
      assertTrue(reaches, card);
      if (found(findings(card)).get("pitch-fit" + all) != Severity.ERROR) {
        assertFound(card, expected, codes);
      }
    }
  }

  /**
   * A sun that idles in row 2 goes in where the planets, turned as the ring asks in their places,
   * all meet one and the same position of its teeth.
   */
  @Test
  void anIdleSunFitsWhereTheTeethOfAllPlanetsAgree() throws CardException {
    Random random = new Random(107);
    int fits = 0;
    for (int run = 0; run < 400; run++) {
      int s = random.nextInt(10, 30);
      int p = random.nextInt(12, 30);
      int n = random.nextInt(2, 8);
      int r = s + 2 * p;
      String card =
          "planetary sun "
              + s
              + "/- planet "
              + p
              + "="
              + p
              + " x"
              + n
              + (random.nextBoolean() ? " uneven" : "")
              + " ring -/"
              + r;
      Planetary set = (Planetary) Card.read(card).train().parts().getFirst();
      boolean goes = sameSunForAll(set, s, p, r);
      Finding idle = only("idle-sun", card).orElseThrow();
      assertEquals(goes ? "idle-sun.fits" : "idle-sun.misses", idle.wording(), card);
      fits += goes ? 1 : 0;
    }
    assertTrue(fits > 20, fits + " fit");
    assertEquals(
        "idle-sun.fits",
        only("idle-sun", "planetary sun 16/- planet 27=27 x7 uneven ring -/70")
            .orElseThrow()
            .wording());
  }

  /** Angles of teeth, in turns: the ring gives each planet's, the planet the sun's. */
  private static boolean sameSunForAll(Planetary set, int s, int p, int r) {
    var places = new steadycog.shape.PlanetPlaces(set);
    double first = Double.NaN;
    for (int k = 0; k < set.count(); k++) {
      double at = places.turnsTo(k).doubleValue();
      // A ring's space at the contact takes the planet's tooth: r at = p (at - turned) in teeth.
      double planet = at - r * at / p;
      // A planet's space inwards takes the sun's tooth, half a tooth on.
      double sun = at + p * (at + 0.5 - planet) / s;
      double tooth = sun * s - 0.5 * p - Math.floor(sun * s - 0.5 * p + 1e-9);
      first = Double.isNaN(first) ? tooth : first;
      double apart = Math.abs(tooth - first);
      if (Math.min(apart, 1 - apart) > 1e-6) {
        return false;
      }
    }
    return true;
  }

  @Test
  void unevenPlanetsPullTheMiddleOff() throws CardException {
    Random random = new Random(109);
    int off = 0;
    for (int run = 0; run < 200; run++) {
      int s = random.nextInt(17, 40);
      int p = random.nextInt(17, 30);
      int n = random.nextInt(2, 7);
      int places = 2 * s + 2 * p;
      double x = 0;
      double y = 0;
      for (int k = 0; k < n; k++) {
        double turn = 2 * Math.PI * Math.round((double) k * places / n) / places;
        x += Math.cos(turn);
        y += Math.sin(turn);
      }
      double middle = Math.hypot(x, y) / n * (s + p) / 2;
      String card =
          "planetary sun " + s + " planet " + p + " x" + n + " uneven ring " + (s + 2 * p);
      Finding balance = only("uneven-balance", card).orElseThrow();
      assertEquals(-middle, Double.parseDouble(balance.values().get("margin")), 5.1e-4, card);
      assertEquals(middle < 1e-5 ? Severity.OK : Severity.NOTE, balance.severity(), card);
      off += middle < 1e-5 ? 0 : 1;
    }
    assertTrue(off > 50, off + " off");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "planetary sun 20/- planet 18=24 x4 ring -/68 | row 1 | NOTE",
        "planetary sun 21/- planet 18=24 x4 ring -/68 | row 1 | OK",
        "planetary sun 24 planet 15 x3 | the sun | NOTE",
        "planetary planet 15 x4 ring 54 | the ring | OK"
      })
  void rowsWithoutASunOrARingHaveTheirPhasesToo(String card, String where, Severity severity)
      throws CardException {
    Finding phasing =
        findings(card).stream()
            .filter(f -> f.code().equals("phasing") && f.values().get("where").contains(where))
            .findFirst()
            .orElseThrow();
    assertEquals(severity, phasing.severity(), phasing.message());
  }

  /** The handbook's condition, spelled out for an external and an internal pair. */
  @Test
  void tipsWorkOnTheFilletBelowTheRacksStraightFlank() {
    Random random = new Random(113);
    int touched = 0;
    for (int run = 0; run < 300; run++) {
      int z1 = random.nextInt(14, 60);
      boolean internal = random.nextBoolean();
      int z2 = internal ? z1 + random.nextInt(15, 100) : random.nextInt(z1, 150);
      Teeth gear = new Teeth(z2, internal);
      PairGeometry pair = PairGeometry.of(Teeth.external(z1), gear);
      double a = (z2 + (internal ? -1 : 1) * z1) / 2.0;
      double tip = z2 / 2.0 + (internal ? -1 : 1);
      double base = z2 / 2.0 * COSINE;
      double tipCurve = Math.sqrt(tip * tip - base * base);
      double end = internal ? tipCurve - a * SINE : a * SINE - tipCurve;
      double start = z1 / 2.0 * SINE - 1 / SINE;
      Fillet fillet = Fillet.onPinion(pair);
      assertEquals(end - start, fillet.margin(), 1e-9, z1 + " ~ " + gear);
      assertTrue(fillet.excess() >= 0 && (end >= start || end <= 0 || fillet.excess() < 0.5));
      touched += end < start && end > 0 ? 1 : 0;
    }
    assertTrue(touched > 20, touched + " touched");
  }

  /** Further in the fillet stands out more, and where the involute is whole it does not at all. */
  @Test
  void theFilletStandsOutMoreTheDeeperTheTipsReach() {
    double last = 0;
    for (int ring = 140; ring >= 76; ring -= 4) {
      Fillet fillet = Fillet.onPinion(PairGeometry.of(Teeth.external(36), Teeth.internal(ring)));
      assertTrue(fillet.excess() >= last - 1e-9, ring + ": " + fillet);
      assertEquals(fillet.margin() < 0, fillet.excess() > 0, ring + ": " + fillet);
      last = fillet.excess();
    }
    assertTrue(last > 0);
  }

  @Test
  void aRimBecomesThinWhereAWheelIsCutRoundTheRing() throws CardException {
    String set = "set: planetary sun 20 planet 16 x4 ring 52; module 1 mm; ";
    Finding alone = only("ring-rim", set + "x: shaft").orElseThrow();
    assertEquals(Severity.OK, alone.severity(), alone.message());
    Finding thin =
        only("ring-rim", set + "rim: parallel 60 ~ 20; join rim.A = set.ring").orElseThrow();
    // Roots of 60 outside teeth less those of 52 inside: 28.75 - 27.25 of 2.25 tooth heights.
    assertEquals("0.67", thin.values().get("backup"));
    assertEquals(Severity.NOTE, thin.severity());
    assertEquals(Optional.empty(), only("ring-rim", "planetary sun 20 planet 16 x4 ring 52"));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "planetary sun 20 planet 20 x3 ring 61; shift sun 0.3; shift planet 0.2 | pitch-fit | OK",
        "planetary sun 20 planet 20 x3 ring 61; shift sun -0.4 | pitch-fit | NOTE",
        "planetary sun 12/- planet 18=18 x3 ring 48/51 | row-closure | WARNING",
        "planetary sun 12/- planet 18=18 x3 ring 48/51; module 1 mm; distance sun-planet 15.75 mm"
            + " | row-closure | OK",
        "planetary sun 12/- planet 18=18 x3 ring 48/51; module 1 mm; distance sun-planet 15.6 mm"
            + " | row-closure | WARNING",
        "planetary sun 20/- planet 22=22 x3 clocked ring 64/65 | clocked-planets | NOTE",
        "parallel 20 ~ 40 | no-drive | absent",
        "planetary sun 24 planet 15 x3 ring 54 | no-drive | NOTE",
        "parallel 17 ~ 40 | undercut | NOTE",
        "parallel 16 ~ 40 | undercut | WARNING",
        "parallel 17 ~ 40; shift A 0.006 | undercut | absent"
      })
  void severitiesAreThoseOfADesigner(String card, String code, String severity)
      throws CardException {
    assertEquals(severity, only(code, card).map(f -> f.severity().name()).orElse("absent"), card);
  }

  @Test
  void sharedFactorsAreOneNoteWithTurnsThatReadWell() throws CardException {
    Finding note = only("hunting", "parallel 17 ~ 51 = 20 ~ 45; drive A; take D").orElseThrow();
    assertEquals(
        "Pairs whose counts share a factor let the same teeth meet often: A and B share 17 (every"
            + " 3 turns of A); C and D share 5 (every 9 turns of C).",
        note.message());
    assertTrue(
        only("hunting", "planetary sun 17 planet 17 x4 ring 51")
            .orElseThrow()
            .message()
            .contains("(every turn of sun against the carrier)"));
  }

  @Test
  void whatInterferesIsSaidAsItIs() throws CardException {
    Finding deep = only("internal-interference", "parallel 10 ~ 33i").orElseThrow();
    assertTrue(deep.message().contains("below the base circle"), deep.message());
    Finding tips = only("internal-interference", "parallel 34 ~ 40i").orElseThrow();
    assertTrue(tips.message().contains("collide"), tips.message());
  }

  @Test
  void movingAShaftIsAdvisedOnlyWhereOneCanBeMoved() throws CardException {
    boolean movable = false;
    boolean fixed = false;
    Random random = new Random(127);
    while (!movable || !fixed) {
      Train train = steadycog.RandomCards.next(random).train();
      for (Finding clash : Inspection.of(train).findings()) {
        if (clash.code().equals("clash")) {
          boolean chains =
              clash.members().stream()
                  .allMatch(id -> train.partOf(id) instanceof steadycog.train.Parallel);
          assertEquals(chains, clash.remedy().orElseThrow().contains("Move a shaft"));
          movable |= chains;
          fixed |= !chains;
        }
      }
    }
  }

  @Test
  void torquesThatDisagreeAreSaidWithTheirSigns() throws CardException {
    String card =
        "differential side 16 spider 10; efficiency ideal; drive left 60 rpm 3 Nm;"
            + " drive right 30 rpm 5 W; take case";
    Finding conflict = only("torque-conflict", card).orElseThrow();
    assertTrue(conflict.message().contains("is stated to push 5 W"), conflict.message());
    assertTrue(conflict.message().contains("asks it to push 9.42478 W"), conflict.message());
    Finding brakes =
        only(
                "torque-conflict",
                "planetary sun 24 planet 15 x3 ring 54; efficiency ideal; drive sun 60 rpm 3 Nm;"
                    + " drive ring -60 rpm 5 Nm; take carrier")
            .orElseThrow();
    assertTrue(brakes.message().contains("asks it to brake 6.75 Nm"), brakes.message());
  }

  @Test
  void membersOfAFindingAreWheelsOfTheTrain() {
    Random random = new Random(131);
    for (int k = 0; k < 150; k++) {
      Train train = steadycog.RandomCards.next(random).train();
      List<MemberId> all = train.members().stream().map(m -> m.id()).toList();
      for (Finding finding : Inspection.of(train).findings()) {
        assertTrue(all.containsAll(finding.members()), finding.code() + finding.members());
      }
    }
  }

  @Test
  void anInspectionAsksCheapRulesFirstAndAgreesWithAllOfThem() {
    Random random = new Random(137);
    for (int k = 0; k < 150; k++) {
      Train train = steadycog.RandomCards.next(random).train();
      List<Finding> all = Inspection.of(train).findings();
      Severity worst = all.isEmpty() ? Severity.OK : all.getFirst().severity();
      assertEquals(worst.compareTo(Severity.NOTE) <= 0, Inspection.of(train).isSound());
      Inspection lazy = Inspection.of(train);
      assertTrue(lazy.addsNothing(Severity.OK, Inspection.of(train)));
      for (Finding finding : all) {
        assertTrue(lazy.ofSort(finding).contains(finding));
      }
    }
  }

  @Test
  void everySpacingIsJudgedForItself() throws CardException {
    for (Spacing spacing : Spacing.values()) {
      String word =
          spacing == Spacing.EQUAL ? "" : " " + spacing.name().toLowerCase(java.util.Locale.ROOT);
      Train train = Card.read("planetary sun 20/- planet 22=22 x3" + word + " ring 64/65").train();
      boolean error =
          Inspection.of(train).findings().stream()
              .anyMatch(f -> f.code().equals("indexing") && f.severity().isError());
      assertEquals(spacing == Spacing.EQUAL, error, spacing.name());
    }
    for (Mesh mesh : Card.read("planetary sun 24 planet 15 x3 ring 54").train().meshes()) {
      assertTrue(mesh.carrier().isPresent());
    }
  }
}
