package steadycog.rating;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import steadycog.RandomTrains;
import steadycog.check.Severity;
import steadycog.cure.Advice;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.number.Exact;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.number.Units;
import steadycog.rating.Beam.Load;
import steadycog.rating.Beam.Section;
import steadycog.sizing.SheetTable;
import steadycog.study.NamedStudy;
import steadycog.study.Ratings;
import steadycog.study.Study;
import steadycog.train.BallBearing;
import steadycog.train.BearingSize;
import steadycog.train.Duty;
import steadycog.train.MemberId;
import steadycog.train.Train;
import steadycog.train.WheelSize;

/**
 * Shafts, pins and bearings against textbooks, hand counts and what must hold whatever the numbers.
 */
class ShaftRatingTest {
  private static final double PSI = Strength.MPA_PER_PSI;
  private static final double LBF_IN = 112.9848290276167;
  private static final String COUNTER =
      "parallel 17 ~ 52 = 18 ~ 60; module 2 mm; width 20 mm; material steel; efficiency ideal;"
          + " drive A 1800 rpm 15 Nm; take D; rating life 5000 h; ";
  private static final String SET =
      "planetary sun 24 planet 15 x3 ring 54; module 2 mm; width 20 mm; material steel; sharing 1;"
          + " efficiency ideal; drive sun 600 rpm 24 Nm; hold ring; take carrier; rating life 100"
          + " h; ";

  private static final Duty DUTY = Duty.NONE.with(Duty.Term.LIFE, Exact.parse("100"));

  private static Train train(String card) throws CardException {
    return Card.read(card).train();
  }

  private static RatedShaft shaft(String card, String name) throws CardException {
    return Ratings.shafts(train(card)).shafts().stream()
        .filter(one -> one.name().equals(name))
        .findFirst()
        .orElseThrow();
  }

  /** A shoulder of a tempered steel shaft (Shigley, example 7-1): Se 29.3 kpsi, n 1.62, ny 4.50. */
  @Test
  void theTextbooksShoulderHasItsFactor() {
    ShaftSteel steel =
        new ShaftSteel(105_000 * PSI, 82_000 * PSI, 1.58, 1.37, Reliability.ofShafts(0.99));
    double inch = 25.4;
    Section shoulder = new Section(Optional.empty(), 0, 1260 * LBF_IN, 1100 * LBF_IN);
    assertEquals(29_300, steel.endurance(1.1 * inch) / PSI, 100);
    assertEquals(1.62, steel.factor(shoulder, true, 1.1 * inch), 0.01);
    assertEquals(4.50, steel.factor(shoulder, false, 1.1 * inch), 0.01, "at rest it may yield");
    double least = steel.diameter(shoulder, true, 1.62);
    assertEquals(1.62, steel.factor(shoulder, true, least), 1e-9);
    assertEquals(1.1 * inch, least, 0.05);
  }

  /** From both ends the same is found, and any shaft is at rest under all that acts on it. */
  @Test
  void reactionsHoldEveryShaftAndBothEndsAgree() {
    Random random = new Random(2611);
    for (int k = 0; k < 500; k++) {
      List<Load> loads = new ArrayList<>();
      List<Load> mirrored = new ArrayList<>();
      double torque = 0;
      for (int load = 0; load < 1 + random.nextInt(5); load++) {
        double[] r = random.doubles(6, -100, 100).toArray();
        loads.add(new Load(Optional.empty(), r[0], r[1], r[2], r[3], r[4], r[5]));
        mirrored.add(new Load(Optional.empty(), -r[0], r[1], r[2], -r[3], -r[4], r[5]));
        torque += r[5];
      }
      loads.add(new Load(Optional.empty(), 200, 0, 0, 0, 0, -torque));
      mirrored.add(new Load(Optional.empty(), -200, 0, 0, 0, 0, -torque));
      double first = random.nextDouble(-100, 50);
      double second = first + random.nextDouble(1, 80);
      Beam beam = new Beam(loads, first, second);
      double[] held = beam.reactions();
      double aboutFar =
          loads.stream().mapToDouble(l -> l.x() * (l.z() - 300) + l.tiltX()).sum()
              + held[0] * (first - 300)
              + held[2] * (second - 300);
      assertEquals(0, aboutFar, 1e-6);
      assertEquals(0, loads.stream().mapToDouble(Load::y).sum() + held[1] + held[3], 1e-9);
      List<Section> one = beam.sections();
      List<Section> other = new Beam(mirrored, -second, -first).sections().reversed();
      for (int at = 0; at < one.size(); at++) {
        assertEquals(one.get(at).bending(), other.get(at).bending(), 1e-6);
        assertEquals(one.get(at).torque(), other.get(at).torque(), 1e-9);
      }
    }
  }

  /** Held at one end: what lies beyond a place bends it there, whichever way loads point. */
  @Test
  void whatLiesBeyondBendsAPin() {
    Random random = new Random(1507);
    for (int k = 0; k < 300; k++) {
      List<Load> loads = new ArrayList<>();
      for (int load = 0; load < 1 + random.nextInt(4); load++) {
        double[] r = random.doubles(5, -100, 100).toArray();
        loads.add(new Load(Optional.empty(), Math.abs(r[0]), r[1], r[2], r[3], r[4], 0));
      }
      for (Section at : new Beam(loads, 0, 0).sections()) {
        double x = 0;
        double y = 0;
        double beyondX = 0;
        double beyondY = 0;
        for (Load load : loads) {
          double far = load.z() - at.z();
          x += far >= 0 ? load.x() * far + load.tiltX() : 0;
          y += far >= 0 ? load.y() * far + load.tiltY() : 0;
          beyondX += far > 0 ? load.x() * far + load.tiltX() : 0;
          beyondY += far > 0 ? load.y() * far + load.tiltY() : 0;
        }
        assertEquals(Math.max(Math.hypot(x, y), Math.hypot(beyondX, beyondY)), at.bending(), 1e-6);
      }
    }
  }

  /** 15 N m on 17 teeth of 2 mm, bearings 14 and 12 mm from mid-wheel, straddling and overhung. */
  @Test
  void aPinionsBearingsByHand() throws CardException {
    double across = 15_000 / 17.0 / Math.cos(Math.toRadians(20));
    RatedShaft pinion = shaft(COUNTER + "bearing A at -14 mm 12 mm", "shaft of A");
    assertEquals(across * 12 / 26, pinion.onFirst(), 0.01);
    assertEquals(across * 14 / 26, pinion.onSecond(), 0.01);
    assertEquals(across * 12 / 26 * 14, pinion.worst().bending(), 0.2);
    assertEquals(15_000, pinion.worst().torque(), 1e-6);
    RatedShaft overhung = shaft(COUNTER + "bearing A at -40 mm -14 mm", "shaft of A");
    assertEquals(across * 14 / 26, overhung.onFirst(), 0.01);
    assertEquals(across * 40 / 26, overhung.onSecond(), 0.01);
    assertEquals(across * 14, overhung.worst().bending(), 0.2);
    assertEquals(Optional.empty(), overhung.worst().wheel(), "at the bearing");
    RatedShaft rough = shaft(COUNTER + "bearing A at -14 mm 12 mm; ", "shaft of A");
    RatedShaft shaken =
        shaft(
            COUNTER.replace("life", "overload 2 life") + "bearing A at -14 mm 12 mm", "shaft of A");
    assertEquals(2 * rough.onFirst(), shaken.onFirst(), 1e-9);
  }

  /** C = 3 kN under the 506 N of the pinion's second bearing at 1800 rpm: 1932 h. */
  @Test
  void basicLifeByHand() throws CardException {
    RatedShaft.Life life =
        shaft(COUNTER + "bearing A rating 3 kN at -14 mm 12 mm", "shaft of A").life().orElseThrow();
    double load = 15_000 / 17.0 / Math.cos(Math.toRadians(20)) * 14 / 26;
    assertEquals(load, life.load(), 0.01);
    assertEquals(1e6 * Math.pow(3000 / load, 3) / 60 / 1800, life.hours(), 1);
    assertTrue(life.isShort());
    assertTrue(
        shaft(COUNTER + "bearing rating 300 lbf", "shaft of A").life().orElseThrow().rating()
            > 1334);
  }

  /** Each planet passes 2 Ft to the carrier: Ft is a third of the sun's torque over its radius. */
  @Test
  void aPinByHand() throws CardException {
    double force = 2 * 24_000 / 3.0 / 24;
    RatedShaft pin = shaft(SET, "pin of planet");
    assertEquals(force, pin.onFirst(), 0.01);
    assertEquals(force * 10, pin.worst().bending(), 0.1);
    assertEquals(Optional.empty(), pin.worst().wheel(), "at the plate");
    double byBending = Math.cbrt(32 * force * 10 * 1.5 / Math.PI / 310);
    assertEquals(byBending, pin.least(), 0.01);
    RatedShaft both = shaft(SET + "shafting both ends", "pin of planet");
    assertEquals(force / 2, both.onSecond(), 0.01);
    assertEquals(force / 2 * 10, both.worst().bending(), 0.1);
    // Speeds: carrier 600 * 4/13, planet against it -24/15 (600 - carrier).
    RatedShaft.Life life =
        shaft(SET + "bearing planet rating 2000 N", "pin of planet").life().orElseThrow();
    assertEquals(600 * 9 / 13.0 * 24 / 15, life.rpm(), 1e-6);
    assertEquals(force, life.load(), 0.01);
    String held = SET + "shafting both ends; bearing planet rating 2000 N";
    assertEquals(force, shaft(held, "pin of planet").life().orElseThrow().load(), 0.01);
    // The middle of a set is twisted alone.
    RatedShaft sun = shaft(SET, "shaft of sun");
    assertEquals(0, sun.onFirst(), 1e-9);
    assertEquals(24_000, sun.worst().torque(), 1e-6);
    assertEquals(24_000 * 13 / 4.0, shaft(SET, "shaft of carrier").worst().torque(), 1e-6);
  }

  /** A state cut in two equal halves changes nothing; the harder of two states decides. */
  @Test
  void statesShareTheTime() throws CardException {
    String plan =
        SET.replace("drive sun 600 rpm 24 Nm; hold ring; take carrier; ", "")
            + "bearing planet rating 2 kN; state %s: drive sun 600 rpm 24 Nm; hold ring; take"
            + " carrier\nstate %s: drive sun 600 rpm %d Nm; hold ring; take carrier\n";
    RatedShaft one = shaft(SET + "bearing planet rating 2 kN", "pin of planet");
    RatedShaft two = shaft(plan.formatted("a", "b", 24), "pin of planet");
    assertEquals(one.life().orElseThrow().hours(), two.life().orElseThrow().hours(), 1e-6);
    RatedShaft harder = shaft(plan.formatted("a", "b", 48), "pin of planet");
    assertEquals("b", harder.worst().state());
    assertEquals(2 * one.onFirst(), harder.onFirst(), 1e-6);
    assertEquals(
        one.life().orElseThrow().hours() * 2 / 9, harder.life().orElseThrow().hours(), 1e-6);
  }

  /** 160 in 162: 81/80 turns against the flexspline a turn, two lobes; 1.5 E s w0 / r^2. */
  @Test
  void aFlexsplinesWallIsBentTwiceATurn() throws CardException {
    String card =
        "strainwave flex 160 circular 162 lobes 2 wall 0.5 mm%s; module 0.5 mm; drive wave 1000 rpm"
            + " 1 Nm; hold circular; take flex; rating life 1000 h reliability 0.5";
    FlexWall wall = Ratings.shafts(train(card.formatted(""))).walls().getFirst();
    assertEquals(2 * 1012.5 * 60 * 1000, wall.cycles(), 1e-3);
    // Teeth go 0.85 modules below the pitch circle, the wall is 0.5 mm, deflection one module.
    double radius = 40 - 0.85 * 0.5 - 0.25;
    assertEquals(1.5 * 206_000 * 0.5 * 0.5 / (radius * radius), wall.stress(), wall.stress() / 50);
    assertEquals(4.51 * Math.pow(570, -0.265) * 570 / 2, wall.allowed(), 0.6);
    FlexWall stated = Ratings.shafts(train(card.formatted(" allow 300 MPa"))).walls().getFirst();
    assertEquals(wall.stress() / 300, stated.ratio(), 1e-12);
    ShaftRatingTable table =
        new ShaftRatingTable(Ratings.shafts(train(card.formatted(""))), Units.USUAL);
    assertEquals(List.of("flex"), table.walls().columns());
    assertTrue(ShaftRatingTable.formula(table.walls().title()).isPresent());
  }

  /** Thrust towards the drive end wears the first bearing, turned round the second. */
  @Test
  void thrustGoesToOneBearing() throws CardException {
    String wound = COUNTER.replace("material", "helix 25 deg; material") + "bearing rating 9 kN; ";
    RatedShaft straight = shaft(COUNTER + "bearing rating 9 kN", "shaft of A");
    RatedShaft helical = shaft(wound, "shaft of A");
    double force = 15_000 / 17.0 * Math.cos(Math.toRadians(25)) * Math.tan(Math.toRadians(25));
    assertEquals(force, helical.thrust(), 0.5);
    assertEquals(0, straight.thrust());
    assertTrue(helical.life().orElseThrow().load() > 2.3 * force);
  }

  /** A bearing is a step in its shaft; one that is too wide is said, with the one that fits. */
  @Test
  void bearingsAreThoseOfTheTable() throws CardException {
    String thin = COUNTER + "bore A 9 mm; ";
    RatedShaft offered = shaft(thin, "shaft of A");
    assertEquals("688, 8 \u00d7 16 \u00d7 5", offered.bearing().orElseThrow().says());
    String stepped = thin + "bearing A 683 at -40 mm -14 mm; bearing rating 3 kN";
    RatedShaft small = shaft(stepped, "shaft of A");
    assertEquals("683", small.bearing().orElseThrow().name());
    assertTrue(
        small.made().orElseThrow().factor() < offered.made().orElseThrow().factor(),
        "its seat is thinner");
    assertEquals(Optional.empty(), small.life(), "another bearing has a rating of its own");
    Train loose = train(thin + "bearing A 6001");
    List<Advice> advice = new NamedStudy("x", Study.of(loose), Optional.empty()).advice();
    Advice wide = of(advice, "bearing-bore", Severity.WARNING);
    assertTrue(wide.finding().remedy().orElse("").contains("688, 8"), wide.toString());
    assertTrue(wide.cures().getFirst().change().contains("bearing A 688"), wide.toString());
  }

  /** The least diameter reaches what is wanted, and any thinner one does not. */
  @Test
  void leastDiametersAreLeastOnRandomTrains() {
    Random random = new Random(75);
    int seen = 0;
    for (int k = 0; k < 60; k++) {
      Train train =
          k % 2 == 0
              ? RandomTrains.driven(random, 4)
              : RandomTrains.driven(RandomTrains.planetary("", random), random);
      train = train.withSizes(train.sizes().withDuty(DUTY));
      for (RatedShaft shaft : Ratings.shafts(train).shafts()) {
        assertTrue(shaft.least() > 0 && Double.isFinite(shaft.least()), shaft.toString());
        shaft
            .made()
            .ifPresent(
                made -> {
                  assertEquals(
                      made.diameter() >= shaft.least() - 1e-9, !shaft.isShort(), shaft.toString());
                });
        seen++;
      }
    }
    assertTrue(seen > 100, seen + " shafts");
  }

  /** Sets, pairs, bevels and drives joined as they come: every figure follows, or is left out. */
  @Test
  void joinedTrainsOfAllKindsGiveFiguresThatFollow() {
    Random random = new Random(408);
    BearingSize rated = BearingSize.NONE.withRating(Quantity.of("900", Unit.N));
    int seen = 0;
    for (int k = 0; k < 80; k++) {
      Train train = RandomTrains.combined(random);
      train = random.nextBoolean() ? RandomTrains.sized(train, random) : train;
      WheelSize common = train.sizes().common().withBearing(Optional.of(rated));
      train = train.withSizes(train.sizes().withDuty(DUTY).withCommon(common));
      ShaftRating rating = Ratings.shafts(train);
      for (RatedShaft shaft : rating.shafts()) {
        assertTrue(shaft.onFirst() >= 0 && Double.isFinite(shaft.onSecond()), shaft.toString());
        assertTrue(shaft.least() > 0 && shaft.least() < 1e4, shaft.toString());
        assertTrue(shaft.held().first() <= shaft.held().second(), shaft.toString());
        assertTrue(shaft.made().filter(m -> !(m.factor() > 0)).isEmpty(), shaft.toString());
        assertTrue(shaft.life().filter(l -> !(l.hours() > 0)).isEmpty(), shaft.toString());
        assertTrue(
            shaft.wheels().stream().noneMatch(rating.unrated()::contains),
            "rated or not, not both");
        seen++;
      }
      new ShaftRatingTable(rating, Units.USUAL).all();
    }
    assertTrue(seen > 40, seen + " shafts");
  }

  /** Bores and outsides of the table grow, and what is offered never is wider than the shaft. */
  @Test
  void theTableOfBearingsIsInOrder() {
    assertEquals(Optional.empty(), BallBearing.on(2.9));
    for (String name : BallBearing.names().split(", ")) {
      BallBearing one = BallBearing.of(name).orElseThrow();
      assertTrue(one.bore() < one.outside() && one.width() < one.outside(), name);
      BallBearing smallest = BallBearing.on(one.bore() + 0.5).orElseThrow();
      assertEquals(one.bore(), smallest.bore(), name);
      assertTrue(smallest.outside() <= one.outside(), name);
    }
  }

  @Test
  void findingsNameTheShaftAndCuresMakeItThick() throws CardException {
    Train thin = train(COUNTER + "bore B 12 mm; bearing C rating 3 kN");
    List<Advice> advice = new NamedStudy("x", Study.of(thin), Optional.empty()).advice();
    Advice strength = of(advice, "shaft-strength", Severity.WARNING);
    assertTrue(
        strength
            .finding()
            .message()
            .startsWith("The shaft of B, 12 mm thick, has a factor of 0.3"));
    assertEquals(
        List.of("B", "C"), strength.finding().members().stream().map(MemberId::toString).toList());
    Train cured = strength.cures().getFirst().train();
    assertTrue(
        Ratings.shafts(cured).shafts().stream()
            .noneMatch(s -> s.name().equals("shaft of B") && s.isShort()));
    assertTrue(
        of(advice, "bearing-life", Severity.WARNING)
            .finding()
            .remedy()
            .orElse("")
            .contains("3000 N"));
    of(advice, "shaft-strength", Severity.NOTE);
  }

  private static Advice of(List<Advice> all, String code, Severity severity) {
    return all.stream()
        .filter(a -> a.finding().code().equals(code) && a.finding().severity() == severity)
        .findFirst()
        .orElseThrow();
  }

  @Test
  void tableShowsUnitsAndLeavesOutWhatIsNotThere() throws CardException {
    ShaftRating rating = Ratings.shafts(train(COUNTER));
    SheetTable inch = new ShaftRatingTable(rating, Units.USUAL.with(Unit.IN)).table();
    assertEquals(List.of("shaft of A", "shaft of B", "shaft of D"), inch.columns());
    SheetTable.Row least =
        inch.rows().stream()
            .filter(r -> r.head().equals("least diameter, in"))
            .findFirst()
            .orElseThrow();
    assertEquals(
        rating.shafts().getFirst().least() / 25.4,
        Double.parseDouble(least.cells().getFirst().text()),
        1e-3);
    assertTrue(inch.rows().stream().noneMatch(r -> r.label().startsWith("L10")));
    assertTrue(ShaftRatingTable.formula(inch.title()).isPresent());
    assertEquals(
        List.of("pinion", "crown"),
        Ratings.shafts(train("bevel 11 ~ 43; drive pinion 100 rpm 1 Nm; take crown; rating open"))
            .unrated()
            .stream()
            .map(MemberId::toString)
            .toList());
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "shafting strength 700 MPa yield 800 MPa | no more than the strength",
        "shafting strength 5 MPa | 10 to 3000 MPa",
        "shafting C factor 99 | 0.5 to 20",
        "shafting C factor 2 factor 3 | a second factor",
        "shafting C strength 2 mm | MPa or psi",
        "shafting C hollow | strength or yield",
        "bearing C rating 5 Nm | N, kgf, lbf or kN",
        "bearing C at 5 mm 2 mm | nearer to the drive end first",
        "bearing at -5 mm 20 mm | say whose",
        "bearing C at -5 mm 20 mm at -5 mm 20 mm | a second at",
        "bearing C 5mm | rating and a force",
        "bearing C 699 | one of 683, 623",
        "bearing 608 688 | a second bearing"
      })
  void whatIsWrongIsSaid(String statement, String says) {
    CardException wrong = assertThrows(CardException.class, () -> Card.read(COUNTER + statement));
    assertTrue(wrong.getMessage().contains(says), wrong.getMessage());
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "shafting strength 700 MPa factor 2",
        "shafting both ends",
        "shafting C yield 400 MPa bending 1.7 torsion 1.5",
        "bearing rating 4.5 kN",
        "bearing 6001 rating 4.5 kN",
        "bearing C 608",
        "bearing C rating 900 lbf at -0.5 in 1.5 in"
      })
  void statementsComeBackAsWritten(String statement) throws CardException {
    Card card = Card.read(COUNTER + statement);
    assertTrue(Card.of(card.train()).text().contains(statement), Card.of(card.train()).text());
    assertEquals(card.train(), Card.read(Card.of(card.train()).text()).train());
  }
}
