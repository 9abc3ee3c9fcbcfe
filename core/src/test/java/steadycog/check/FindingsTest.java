package steadycog.check;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.HashSet;
import java.util.List;
import java.util.ResourceBundle;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.number.Pace;
import steadycog.shape.PairGeometry;
import steadycog.study.ShiftTable;
import steadycog.study.Study;
import steadycog.train.Teeth;

class FindingsTest {
  private static final String FOCUSER = "planetary sun 12/- planet 18=18 x3 ring 48/51; hold ring1";

  private static final List<String> CARDS =
      List.of(
          "parallel 20 ~ 30; module 0.5 mm; housing wall 3 mm; bearing A 6806",
          "bevel 11 ~ 43; housing bolts 4 x M3",
          "planetary sun 24 planet 18 x3 ring 60; module sun 1 mm; module ring 2 mm",
          "parallel 20 ~ 41; clearance flank 0.02 mm; tolerance centre +0 -0.2 mm",
          "parallel 20 ~ 41; clearance flank 0.1 mm; tolerance thickness +0.01 -0.02 mm",
          "cycloidal lobes 19 pins 20 discs 3; bore eccentric 19.5 mm",
          "cycloidal lobes 19 pins 20; bore eccentric 25 mm",
          "parallel 40 = 40; bore A 8 mm; bore B 10 mm",
          "parallel 20 ~ 30 ~ 40; module 2 mm; width 5 mm; helix A 40 deg; helix C 40 deg left",
          "parallel 20 ~ 30; helix A 20 deg; helix B 10 deg",
          "planetary sun 24 planet 15 x3 ring 54; helix 20 deg double",
          "parallel 20 ~ 60 = 18 ~ 50; helix A 20 deg; helix D 20 deg left; module 1 mm; width 4"
              + " mm",
          "parallel 20 ~ 41; helix 20 deg double groove 9 mm; width 8 mm; module 1 mm",
          "parallel 20 ~ 41; module 2 mm; bore A 5 mm; drive A 100 rpm 15 Nm; take B; rating life"
              + " 100 h; bearing 608 rating 90 N",
          "parallel 20 ~ 41; module 2 mm; drive A 100 rpm 5 Nm; take B; rating life 100 h",
          "parallel 20 ~ 41; module 2 mm; drive A 100 rpm 15 Nm; take B; rating life 100 h",
          "parallel 20 ~ 41; module 2 mm; drive A 100 rpm 500 Nm; take B; rating life 100 h",
          "parallel 40 = 40 = 40; bore A 10 mm; bore B 8 mm; bore C 10 mm",
          "parallel 20 ~ 41; offset B -0.2 mm",
          "planetary sun 24 planet 15 x3 ring 54; module 1 mm",
          "parallel 20 ~ 40 = 30 ~ 10\nlock A = D\ndrive A",
          "p: parallel 20 ~ 40\nq: parallel 20 ~ 30\ndrive p.A\ntake q.B",
          "p: parallel 20 ~ 40\nq: parallel 20 ~ 30",
          "parallel 20 ~ 40",
          "parallel 20 ~ 40\ndrive A",
          "p: parallel 20 ~ 40\nq: parallel 20\nz: parallel 9\nhold z.A\njoin z.A = q.A\n"
              + "drive p.A\ntake q.A",
          "p: parallel 20 ~ 40\nq: parallel 10 ~ 20\njoin p.A = q.A\njoin p.B = q.B\n"
              + "drive p.A\ntake p.B",
          "parallel 20 ~ 40\ndrive A 3 Nm\ntake B 5 Nm",
          "parallel 20 ~ 18i",
          "parallel 7 ~ 11 ~ 40",
          "parallel 14 ~ 30",
          "parallel 18 ~ 60i",
          "parallel 34 ~ 40i",
          "parallel 39 ~ 40i",
          "parallel 26 ~ 41i",
          "parallel 5 ~ 5",
          "parallel 20 ~ 170",
          "parallel 20 ~ 40 = 30\ndrive A\ntake B",
          "parallel 20 = 40 ~ 30; drive A; take B",
          "parallel 20 ~ 41 = 30 ~ 30\ncoaxial A = D",
          """
          a: parallel 50 ~ 50
          b: parallel 12 ~ 12
          c: parallel 12 ~ 12
          join a.A = b.A
          join b.B = c.A
          join a.B = c.B
          """,
          "parallel 20 ~ 20 = 60 ~ 20 = 20 ~ 20\ncoaxial A = F",
          "planetary sun 24 planet 15 x3 ring 54",
          "planetary sun 25 planet 16 x3 ring 57",
          "planetary sun 25 planet 16 x2 uneven ring 57",
          "planetary sun 24 planet 15 x3 ring 55",
          "planetary sun 24 planet 15 x3 ring 70",
          "planetary sun 30 planet 20 x3 ring 70",
          "planetary planet 14 x2 ring 32",
          "planetary planet 14 x2 ring 30",
          "planetary planet 14 x2 ring 28",
          "planetary sun 30 planet 16~18 x4 ring 82",
          "planetary sun 30 planet 16~18 x4 ring 120",
          "planetary sun 12 planet 40 x4 ring 92",
          "planetary sun 12/- planet 18=18 x3 ring 48/51; hold ring1; drive sun; take ring2",
          "planetary sun 12/- planet 18=18 x3 ring 48/49; hold ring1; drive sun; take ring2",
          "planetary sun 20/- planet 22=22 x3 clocked ring 64/65",
          "planetary sun 20/- planet 22=22 x3 uneven ring 64/76",
          "planetary sun 24/- planet 10=16 x3 ring -/50",
          "planetary sun 14/- planet 16=24 x2 ring -/54",
          "planetary sun 16/- planet 26=26 x4 ring 68/69; hold ring1; drive sun; take ring2",
          "planetary sun 20/- planet 22=14 x4 ring -/56; hold ring; drive sun; take carrier",
          "planetary sun 20/- planet 22=14 x3 ring -/56",
          "planetary sun 20/- planet 22=14 x5 ring -/56",
          "cycloidal lobes 29 pins 30",
          "cycloidal lobes 27 pins 30 discs 2",
          "cycloidal lobes 14 pins 15 circle 100 mm pin 8 mm eccentric 3 mm",
          "cycloidal lobes 14 pins 15 circle 100 mm pin 8 mm eccentric 1.2 mm",
          "cycloidal lobes 14 pins 15 circle 100 mm pin 24 mm eccentric 2 mm",
          "cycloidal lobes 14 pins 15 circle 100 mm pin 16 mm eccentric 3 mm",
          "cycloidal lobes 14 pins 15 circle 100 mm pin 8 mm eccentric 4 mm",
          "cycloidal lobes 14 pins 15 circle 100 mm outputs 12 x 20 mm on 60 mm",
          "cycloidal lobes 14 pins 15 circle 100 mm pin 8 mm eccentric 2 mm bore 20 mm outputs 4 x"
              + " 13.5 mm on 70 mm",
          "bevel 11 ~ 43 offset 20 mm",
          "bevel 5 ~ 40; module 2 mm; width pinion 20 mm; bore pinion 3 mm",
          "bevel 5 ~ 300; shift pinion 0.5; clearance flank 0.005 mm",
          "bevel 16 ~ 16; bore pinion 8.5 mm",
          "bevel 8 ~ 9; bore pinion 5 mm; angle 25 stub",
          "differential side 16 spider 10 x3; lock left = case; drive left; take right",
          "set: planetary sun 24 planet 15 x3 ring 54; b: parallel 20 ~ 25 ~ 120\n"
              + "join b.A = set.sun; join b.C = set.ring; drive set.sun; take set.carrier",
          "set: planetary sun 24 planet 15 x3 ring 54; b: parallel 20 ~ 25 ~ 25 ~ 45\n"
              + "join b.A = set.sun; join b.D = set.ring; drive set.sun; take set.carrier",
          "p: parallel 20 ~ 40; q: shaft; join p.A = q; join p.B = q",
          "p: planetary sun 24 planet 15 x3 ring 54; q: planetary sun 24 planet 15 x3 ring 54\n"
              + "join p.carrier = q.carrier",
          "p: planetary sun 24 planet 15 x3 ring 54; q: planetary sun 27 planet 15 x3 ring 57\n"
              + "join p.carrier = q.carrier",
          "p: planetary sun 24 planet 15 x3 ring 54; q: planetary sun 30 planet 18 x3 ring 66\n"
              + "join p.carrier = q.carrier",
          "strainwave flex 160 circular 162",
          "strainwave flex 160 circular 162 lobes 3; module 0.05 mm",
          "strainwave nominal 20; module 0.5 mm",
          "strainwave nominal 400; module 0.2 mm",
          "strainwave nominal 80 wall 0.8 mm allow 50 MPa; module 0.5 mm",
          "strainwave nominal 80 wall 0.2 mm allow 300 MPa; module 0.5 mm",
          FOCUSER + "; efficiency printed; drive ring2; take sun",
          FOCUSER + "; efficiency printed; drive sun; take ring2",
          FOCUSER + "; efficiency external 0.95 internal 0.97; drive sun; take ring2",
          FOCUSER + "; efficiency external 0.95 internal 0.975; drive sun; take ring2",
          "parallel 60 ~ 20; drive A; take B; efficiency external 0.45",
          "parallel 20 ~ 40; drive A 3 Nm; take B 6 Nm",
          """
          p: strainwave flex 105 circular 108 lobes 3; q: planetary sun 33 planet 12 x3 ring 57
          join p.circular = q.sun; join p.flex = q.carrier; drive p.wave; hold q.ring
          take q.carrier; efficiency strainwave 0.12 external 0.84 internal 0.75\
          """,
          "p: planetary sun 19 planet 26 x3 ring 71; q: cycloidal lobes 78 pins 79\n"
              + "r: differential side 26 spider 28; s: strainwave flex 214 circular 216\n"
              + "join p.sun = q.ring; join p.carrier = r.right; join p.sun = r.right\n"
              + "join q.eccentric = s.wave; drive p.sun; hold r.left; hold s.flex; hold q.disc\n"
              + "take s.circular\n"
              + "efficiency p.sun-planet 0.36 p.planet-ring 0.18 q.disc-ring 0.9 s.flex-circular"
              + " 0.26",
          "parallel 20 ~ 40; module 2 mm; distance A-B 59 mm",
          "parallel 14 ~ 33i; module 1 mm; distance A-B 8.8 mm",
          "parallel 12 ~ 40; module 1 mm; bore A 8 mm",
          "parallel 12 ~ 40; module 1 mm; bore A 9 mm key; clearance printed",
          "parallel 20 ~ 40; module 1 mm; width 10 mm; material pla; drive A 5 Nm; take B",
          "parallel 20 ~ 40; module 1 mm; width 10 mm; material steel; drive A 11 Nm; take B",
          "parallel 20 ~ 40; module 1 mm; width 10 mm; material steel; drive A 0.1 Nm; take B",
          "parallel 20 ~ 40; module 1 mm; width 10 mm; material steel; drive A 1.25 Nm; take B",
          "planetary sun 20 planet 21 x3 ring 63; module 2 mm; shift sun 0.4; shift planet 0.1",
          "planetary sun 12/- planet 18=18 x3 ring 48/51; module 1 mm; distance sun-planet 15.75"
              + " mm",
          "planetary sun 24 planet 15 x1 ring 54",
          "planetary sun 30 planet 9 x3 uneven ring 47",
          "planetary sun 20 planet 20 x3 ring 61; shift sun 0.5",
          "set: planetary sun 20 planet 16 x4 ring 52; rim: parallel 60 ~ 20; join rim.A ="
              + " set.ring; module 1 mm",
          "parallel 10 ~ 33i",
          "planetary sun 30 planet 8 x3 ring 46",
          "parallel 17 ~ 40",
          "planetary sun 12/- planet 18=18 x3 ring 48/51; hold ring1; drive sun; take ring2 -9 Nm;"
              + " efficiency external 0.9 internal 0.95",
          "planetary sun 75=75 planet 61=52 x5 ring 199=190",
          "planetary sun 19=19 planet 60=52 x2 clocked ring 139=134; module 2 mm;"
              + " clearance flank 0.3 mm",
          "planetary sun 19=19 planet 60=52 x2 clocked ring 139=134; module 2 mm;"
              + " clearance flank 0.01 mm",
          "a: cycloidal lobes 13 pins 14 pin 9.9 mm; b: planetary sun 35 planet 60 x2 uneven ring"
              + " 155; c: parallel 54 ~ 9 = 49 ~ 28i ~ 12; join b.planet = c.A; join c.C = a.disc;"
              + " drive c.A; take b.ring",
          manySetsInARow());

  /** Two directions more to choose with each set. */
  private static String manySetsInARow() {
    StringBuilder card = new StringBuilder();
    int last = 7;
    for (int k = 0; k <= last; k++) {
      card.append(String.format("s%d: planetary sun 12/- planet 18=18 x3 ring 48/51\n", k));
      card.append(String.format("hold s%d.ring1\n", k));
    }
    for (int k = 0; k < last; k++) {
      card.append(String.format("join s%d.ring2 = s%d.sun\n", k, k + 1));
    }
    return card + String.format("drive s0.sun; take s%d.ring2", last);
  }

  /** States of every doubtful sort. */
  private static final String PLAN =
      """
      a: planetary sun 10 planet 40 x3 ring 90
      y: shaft
      z: shaft
      state one: drive a.ring; hold a.sun; take a.carrier
      state two: drive a.ring; lock a.sun = a.ring; take a.carrier
      state three: drive a.ring; lock a.carrier = a.ring; take a.carrier
      state fast: drive a.carrier; hold a.ring; take a.sun
      state jam: drive a.sun; hold a.ring; hold a.carrier
      state open: drive a.sun; take a.carrier
      state swap: drive a.sun; take a.carrier; hold a.ring; hold y
      state back: drive a.sun; take a.ring; hold a.carrier
      state park: drive y; take a.ring; hold a.sun; hold a.carrier
      """;

  private static List<Finding> findings(String card) throws CardException {
    return Study.of(Card.read(card).train()).findings();
  }

  /** What the rules find, and what the made pieces show. */
  private static List<Finding> proven(String card) throws CardException {
    Study study = Study.of(Card.read(card).train());
    Stream<Finding> box =
        card.contains("housing")
            ? GearboxFindings.of(study.gearbox(Pace.FREE)).stream()
            : Stream.of();
    return Stream.of(study.findings().stream(), study.collisions(Pace.FREE).stream(), box)
        .flatMap(findings -> findings)
        .toList();
  }

  @Test
  void everyWordingOfTheBundleIsFoundSomewhereAndFormats() throws CardException {
    Set<String> seen = new HashSet<>();
    for (String card : CARDS) {
      for (Finding finding : proven(card)) {
        seen.add(finding.wording());
        assertFalse(finding.message().contains("{"), finding.message());
        finding.remedy().ifPresent(remedy -> assertFalse(remedy.contains("{"), remedy));
      }
    }
    for (Finding finding : ShiftTable.of(Card.read(PLAN).train()).findings()) {
      seen.add(finding.wording());
      assertFalse(finding.message().contains("{"), finding.message());
      finding.remedy().ifPresent(remedy -> assertFalse(remedy.contains("{"), remedy));
    }
    Set<String> written =
        new HashSet<>(ResourceBundle.getBundle("steadycog.check.findings").keySet());
    written.removeIf(key -> key.endsWith(".remedy") || key.endsWith(".also"));
    Set<String> unseen = new HashSet<>(written);
    unseen.removeAll(seen);
    assertEquals(Set.of(), unseen, "wordings that no card brings about");
    assertTrue(written.containsAll(seen));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "parallel 20 ~ 33 ~ 50;drive A;take C | NOTE idler B",
        "parallel 19 ~ 33 = 25 ~ 51;drive A;take D | OK hunting A, B",
        "parallel 7 ~ 50;drive A;take B | ERROR few-teeth A",
        "parallel 11 ~ 11;drive A;take B | ERROR interference A, B",
        "parallel 19 ~ 40;drive A 19 Nm;take B 40 Nm | NOTE torque-conflict A",
        "parallel 19 ~ 40;efficiency ideal;drive A 19 Nm;take B 40 Nm | OK hunting A, B",
        "parallel 20 ~ 40;drive A 3 Nm;take B 5 Nm | ERROR torque-conflict A",
        "parallel 15 ~ 30;drive A;take B | WARNING undercut A",
        "parallel 14 ~ 30;drive A;take B | ERROR interference A, B",
        "parallel 30 ~ 14;drive A;take B | ERROR interference A, B",
        "parallel 18 ~ 60i;drive A;take B | WARNING internal-interference A, B",
        "parallel 18 ~ 45 = 20 ~ 44;coaxial A = D;drive A;take D"
            + " | ERROR reverted-closure A, B, C, D",
        "planetary planet 14 x2 ring 28;hold ring;drive carrier;take planet"
            + " | ERROR no-sun planet, ring",
        "planetary planet 14 x2 ring 30;hold ring;drive carrier;take planet"
            + " | WARNING neighbour planet",
        "planetary sun 30 planet 20 x4 ring 70;hold ring;drive sun;take carrier"
            + " | NOTE hunting sun, planet, ring",
        "planetary sun 30 planet 20 x3 ring 70;hold ring;drive sun;take carrier"
            + " | ERROR assembly sun, planet, ring",
        "planetary sun 24 planet 18 x3 ring 61;hold ring;drive sun;take carrier"
            + " | ERROR assembly sun, planet, ring",
        "planetary sun 12/- planet 18=18 x3 ring 48/51;hold ring1;drive sun;take ring2"
            + " | WARNING row-closure sun, planet, planet2, ring1, ring2",
        "planetary sun 20/- planet 22=22 x3 ring 64/65;hold ring1;drive sun;take ring2"
            + " | ERROR indexing sun, planet, planet2, ring1, ring2",
        "strainwave flex 160 circular 162 lobes 3;hold circular;drive wave;take flex"
            + " | ERROR lobe-multiple flex, circular",
        "strainwave flex 150 circular 153 lobes 3;hold circular;drive wave;take flex"
            + " | OK lobe-multiple flex, circular",
        "cycloidal lobes 27 pins 30 discs 2;hold ring;drive eccentric;take disc"
            + " | ERROR lobe-count disc, ring",
        "planetary sun 20 planet 20 x3 ring 66;hold ring;drive sun;take carrier"
            + " | ERROR pitch-fit sun, planet, ring",
        "parallel 18 ~ 45 = 20 ~ 43;coaxial A = D;drive A;take D | NOTE hunting A, B"
      })
  void theWorstFindingIsNamed(String card, String expected) throws CardException {
    Finding worst = findings(card).getFirst();
    assertEquals(expected, worst.severity() + " " + worst.code() + " " + worst.memberList());
  }

  @Test
  void findingsComeWorstFirst() throws CardException {
    List<Finding> all = findings("parallel 20 ~ 33 ~ 7 ~ 11");
    for (int k = 1; k < all.size(); k++) {
      assertTrue(all.get(k - 1).severity().compareTo(all.get(k).severity()) >= 0);
    }
    assertEquals("few-teeth", all.getFirst().code());
    assertEquals("7", all.getFirst().values().get("teeth"));
  }

  @Test
  void anInternalPairIsToldTheLargestRingAddendum() throws CardException {
    assertEquals("0.90", findings("parallel 18 ~ 60i").getFirst().values().get("addendum"));
    assertTrue(
        findings("parallel 34 ~ 40i").getFirst().message().contains("collide"),
        "six teeth apart: tips collide");
  }

  /** Shigley's closed formula for the smallest pinion, another route than the rule's geometry. */
  @Test
  void interferenceAgreesWithTheClosedFormula() {
    double sine = Math.pow(Math.sin(Math.toRadians(20)), 2);
    for (int gear = 12; gear < 300; gear++) {
      for (int pinion = 8; pinion <= Math.min(gear, 22); pinion++) {
        double u = (double) gear / pinion;
        double least = 2 * (u + Math.sqrt(u * u + (1 + 2 * u) * sine)) / ((1 + 2 * u) * sine);
        boolean passes =
            PairGeometry.of(Teeth.external(pinion), Teeth.external(gear)).interferenceMargin() >= 0;
        assertEquals(pinion >= least, passes, pinion + " ~ " + gear);
      }
    }
  }

  @Test
  void contactRatiosEqualTextbookValues() {
    assertEquals(1.63, contactRatio(Teeth.external(20), Teeth.external(40)), 0.01);
    assertEquals(1.75, contactRatio(Teeth.external(40), Teeth.external(60)), 0.02);
    // An internal pair has more teeth in contact than an external one of the same counts.
    assertTrue(
        contactRatio(Teeth.external(20), Teeth.internal(80))
            > contactRatio(Teeth.external(20), Teeth.external(80)));
  }

  private static double contactRatio(Teeth a, Teeth b) {
    return PairGeometry.of(a, b).contactRatio();
  }

  @Test
  void assemblySaysWhatWorksWhereAndWhichRulesOfThumbPass() throws CardException {
    Finding three =
        findings("planetary sun 30 planet 20 x3 ring 70;hold ring;drive sun;take carrier")
            .getFirst();
    assertEquals("5", three.values().get("largest"));
    assertEquals("2, 4, 5", three.values().get("works"));
    assertEquals("0.00\u00b0, 118.80\u00b0, 241.20\u00b0", three.values().get("positions"));
    assertEquals("planet 2 by 1/3 tooth, planet 3 by 1/3 tooth", three.values().get("misfits"));
    // R and R - S are divisible by 3 or not as they like; S + R decides.
    Finding thumb = only("assembly", "planetary sun 22 planet 25 x3 ring 72").orElseThrow();
    assertTrue(thumb.severity().isError());
    assertEquals("passes", thumb.values().get("ringDivisible"));
    Finding other = only("assembly", "planetary sun 20 planet 21 x3 ring 62").orElseThrow();
    assertTrue(other.severity().isError());
    assertEquals("passes", other.values().get("differenceDivisible"));
  }

  private static java.util.Optional<Finding> only(String code, String card) throws CardException {
    return findings(card).stream().filter(finding -> finding.code().equals(code)).findFirst();
  }
}
