package steadycog.rating;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Locale;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import steadycog.RandomTrains;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.number.Exact;
import steadycog.number.Units;
import steadycog.shape.BasicRack;
import steadycog.shape.Cut;
import steadycog.shape.GearOutline;
import steadycog.sizing.SheetTable;
import steadycog.study.NamedStudy;
import steadycog.study.Ratings;
import steadycog.train.Duty;
import steadycog.train.ShiftPlan;
import steadycog.train.State;
import steadycog.train.StateEdit;
import steadycog.train.Train;

/** The textbook's worked pair and charts, and what a rating keeps whatever the numbers. */
class RatingTest {
  private static final String PAIR =
      "parallel 17 ~ 52; dp 10; width 1.5 in; material steel; hardness A 240 HB; hardness B 200 HB;"
          + " efficiency ideal; drive A 1800 rpm 140.056 lbf-in; take B; rating life 925.926 h"
          + " quality 6 reliability 0.90 enclosed";

  private static Rating rating(String card) throws CardException {
    return Ratings.of(Card.read(card).train());
  }

  private static double psi(double mpa) {
    return mpa / Strength.MPA_PER_PSI;
  }

  /** J of the textbook's chart in place of that of the tooth as cut: the digits that it prints. */
  @Test
  void theWorkedPairComesOutToTheDigitsGiven() throws CardException {
    RatedMesh mesh = rating(PAIR).meshes().getFirst();
    Case pinion = mesh.a().cases().getFirst();
    Case gear = mesh.b().cases().getFirst();
    assertEquals(801.1, pinion.speed() * 60 / 0.3048, 0.05);
    assertEquals(164.8, pinion.force() / 4.4482216, 0.05);
    assertEquals(1.377, pinion.mesh().dynamic(), 5e-4);
    assertEquals(1.043, pinion.tooth().size(), 1e-3);
    assertEquals(1.052, gear.tooth().size(), 1e-3);
    assertEquals(1.220, pinion.mesh().distribution(), 5e-4);
    assertEquals(0.121, pinion.mesh().pitting(), 5e-4);
    assertEquals(0.85, pinion.mesh().reliability(), 1e-12);
    double charted = pinion.tooth().bending() / 0.30;
    double chartedGear = gear.tooth().bending() / 0.40;
    assertEquals(6417, psi(pinion.bending()) * charted, 8);
    assertEquals(4852, psi(gear.bending()) * chartedGear, 8);
    assertEquals(70_330, psi(pinion.contact()), 60);
    assertEquals(70_620, psi(gear.contact()), 60);
    assertEquals(5.61, mesh.a().bendingFactor() / charted, 0.01);
    assertEquals(6.83, mesh.b().bendingFactor() / chartedGear, 0.012);
    assertEquals(1.69, mesh.a().contactFactor(), 0.005);
    assertEquals(1.52, mesh.b().contactFactor(), 0.005);
  }

  /** The same with J and I of the chart on the card: nothing is left to be scaled. */
  @Test
  void factorsOfAChartStandOnTheCard() throws CardException {
    RatedMesh mesh =
        rating(PAIR + "; geometry A J 0.30 I 0.121; geometry B J 0.40").meshes().getFirst();
    assertEquals(6417, psi(mesh.a().bendingDecides().bending()), 8);
    assertEquals(4852, psi(mesh.b().bendingDecides().bending()), 8);
    assertEquals(5.61, mesh.a().bendingFactor(), 0.01);
    assertEquals(6.83, mesh.b().bendingFactor(), 0.012);
    assertEquals(1.69, mesh.a().contactFactor(), 0.005);
    assertEquals(0.121, mesh.b().contactDecides().mesh().pitting(), 1e-12);
    for (String wrong :
        List.of("geometry A J 3", "geometry A J 0.3 J 0.3", "geometry A K 1", "geometry J 0.3")) {
      assertThrows(CardException.class, () -> Card.read(PAIR + "; " + wrong), wrong);
    }
    assertThrows(
        CardException.class, () -> Card.read("bevel 11 ~ 43; geometry crown J 0.3"), "not rated");
  }

  /** Grade 2 by the same figures' other lines. */
  @Test
  void betterSteelBearsMore() throws CardException {
    RatedTooth usual = rating(PAIR).meshes().getFirst().a();
    RatedTooth better = rating(PAIR + " grade 2").meshes().getFirst().a();
    double more = (102 * 240 + 16_400) / (77.3 * 240 + 12_800);
    assertEquals(more, better.bendingFactor() / usual.bendingFactor(), 1e-6);
    assertEquals(
        (349 * 240 + 34_300) / (322.0 * 240 + 29_100),
        better.contactFactor() / usual.contactFactor(),
        1e-6);
    assertThrows(CardException.class, () -> Card.read(PAIR + " grade 1.5"));
  }

  /**
   * J of pairs at the highest point of single contact as tables print it for this rack: rounded by
   * 0.25 modules, thinned by 0.024 for play (AGMA 908; Norton, tables of J).
   */
  @ParameterizedTest
  @CsvSource({
    "21, 21, 0.33, 0.33",
    "21, 26, 0.33, 0.35",
    "21, 35, 0.34, 0.37",
    "21, 55, 0.34, 0.40",
    "21, 135, 0.35, 0.43",
    "26, 26, 0.35, 0.35",
    "26, 35, 0.36, 0.38",
    "26, 55, 0.37, 0.41",
    "26, 135, 0.38, 0.44",
    "35, 35, 0.39, 0.39",
    "35, 55, 0.40, 0.42",
    "35, 135, 0.41, 0.45",
    "55, 55, 0.43, 0.43",
    "55, 135, 0.45, 0.47",
    "135, 135, 0.49, 0.49"
  })
  void geometryFactorsAgreeWithTheTables(int pinion, int gear, double first, double second) {
    Cut cut = new Cut(new BasicRack(Math.toRadians(20), 1, 1.25, 0.25), 0, 0);
    assertEquals(first, factor(pinion, gear, cut), 0.05 * first);
    assertEquals(second, factor(gear, pinion, cut), 0.05 * second);
  }

  private static double factor(int own, int mate, Cut cut) {
    double angle = Math.toRadians(20);
    double base = own / 2.0 * Math.cos(angle);
    double tip = GearOutline.tipRadius(mate, false, cut);
    double toTip = Math.sqrt(tip * tip - Math.pow(mate / 2.0 * Math.cos(angle), 2));
    double along = (own + mate) / 2.0 * Math.sin(angle) - toTip + Math.PI * Math.cos(angle);
    return BendingFactor.of(own, false, cut, 0.012, Math.hypot(base, along), 1).value();
  }

  /** The same load in other units is the same load. */
  @Test
  void unitsMixFreely() throws CardException {
    String metric =
        "parallel 17 ~ 52; module 2.54 mm; width 38.1 mm; material steel; hardness A 240 HB;"
            + " hardness B 200 HB; efficiency ideal; drive A 1800 rpm "
            + String.format(Locale.ROOT, "%.6f", 140.056 * 0.1129848290276167)
            + " Nm; take B; rating life 925.926 h reliability 0.9";
    RatedMesh inches = rating(PAIR).meshes().getFirst();
    RatedMesh millimetres = rating(metric).meshes().getFirst();
    assertEquals(inches.bending(), millimetres.bending(), 1e-6 * inches.bending());
    assertEquals(inches.contact(), millimetres.contact(), 1e-6 * inches.contact());
  }

  /** A state in two halves does the damage of the whole; an idle state does none. */
  @Test
  void damageOfAStateInHalvesIsTheSame() throws CardException {
    String train =
        "parallel 20 ~ 60; module 2 mm; width 20 mm; hardness 220 HB; rating life 3000 h overload"
            + " 1.25\nstate low: drive A 100 rpm 60 Nm; take B\nstate high: drive A 900 rpm 20 Nm;"
            + " take B";
    RatedMesh whole = rating(train + "\nduty low 40 %; duty high 60 %").meshes().getFirst();
    RatedMesh halves =
        rating(
                train
                    + "\nstate low2: drive A 100 rpm 60 Nm; take B\n"
                    + "duty low 25 %; duty low2 15 %; duty high 60 %")
            .meshes()
            .getFirst();
    assertEquals(whole.bending(), halves.bending(), 1e-9 * whole.bending());
    assertEquals(whole.contact(), halves.contact(), 1e-9 * whole.contact());
    assertEquals("low", whole.a().bendingDecides().state());
    RatedMesh alone = rating(train + "\nduty low 40 %; duty high 0 %").meshes().getFirst();
    assertTrue(alone.bending() >= whole.bending());
  }

  /** What stands in the tables gives the stresses that stand in them, by the formulas over them. */
  @Test
  void theTablesCanBeFollowed() throws CardException {
    for (String card :
        new String[] {
          PAIR, PAIR.replace("drive", "helix 20 deg; drive"), PAIR.replace("52", "52i")
        }) {
      List<SheetTable> tables = new RatingTables(rating(card), Units.USUAL).all();
      for (int tooth = 0; tooth < 2; tooth++) {
        SheetTable bent = tables.getFirst();
        double load = 1;
        for (String factor : new String[] {"tooth force", "Ko", "Kv", "Ks", "Km", "KB"}) {
          load *= value(bent, factor, tooth);
        }
        double under =
            value(bent, "b face", tooth) * value(bent, "mt", tooth) * value(bent, "J", tooth);
        double bending = value(bent, "bending", tooth);
        assertEquals(load / under, bending, 3e-3 * bending);
        double factor = value(bent, "stress allowed", tooth) * value(bent, "YN", tooth) / bending;
        assertEquals(factor, value(bent, "SF", tooth), 6e-3 * factor);
        SheetTable pressed = tables.getLast();
        double pressure = value(pressed, "Cp", tooth);
        pressure *=
            Math.sqrt(
                load
                    / value(bent, "KB", tooth)
                    / value(pressed, "d pinion", tooth)
                    / value(pressed, "b face", tooth)
                    / value(pressed, "I", tooth));
        assertEquals(pressure, value(pressed, "pressure", tooth), 3e-3 * pressure);
      }
    }
    assertTrue(RatingTables.formula("Rating, bending, 9 h").orElseThrow().contains("KB"));
    assertTrue(RatingTables.formula("Wheels").isEmpty());
  }

  private static double value(SheetTable table, String row, int column) {
    return table.rows().stream()
        .filter(one -> one.label().startsWith(row))
        .mapToDouble(one -> Double.parseDouble(one.cells().get(column).text()))
        .findFirst()
        .orElseThrow();
  }

  /** Whatever train it is, wound, shifted, thinned or jammed: what is told is a number above 0. */
  @Test
  void whateverIsRatedIsANumber() {
    Random random = new Random(2001);
    int rated = 0;
    for (int run = 0; run < 240; run++) {
      Train train =
          switch (run % 4) {
            case 0 -> RandomTrains.driven(random, 6);
            case 1 -> RandomTrains.driven(RandomTrains.planetary("", random), random);
            case 2 -> RandomTrains.driven(RandomTrains.twoRows("", random), random);
            default -> RandomTrains.combined(random);
          };
      Train sized = RandomTrains.sized(train, random);
      Duty duty = Duty.NONE.with(Duty.Term.LIFE, Exact.of(random.nextInt(1, 9000), 1));
      Train asked = sized.withSizes(sized.sizes().withDuty(duty));
      NamedStudy named = NamedStudy.of("", asked);
      for (RatedMesh mesh : named.rating().orElseThrow().meshes()) {
        for (RatedTooth tooth : mesh.teeth()) {
          rated++;
          for (double one : new double[] {tooth.bendingFactor(), tooth.contactFactor()}) {
            assertTrue(one > 0 && Double.isFinite(one), () -> one + " " + Card.of(asked).text());
          }
        }
      }
      for (SheetTable table : named.tables(Units.USUAL)) {
        for (SheetTable.Row row : table.rows()) {
          row.cells()
              .forEach(
                  cell -> assertFalse(cell.text().matches(".*(NaN|Infinity|\u221e).*"), row::head));
        }
      }
    }
    assertTrue(rated > 200, "only " + rated);
  }

  /** Cycles by hand: sun, planet and ring against the carrier, sun and ring by every planet. */
  @Test
  void planetsAreCountedAgainstTheCarrierAndBentBothWays() throws CardException {
    Rating rating =
        rating(
            "planetary sun 24 planet 15 x3 ring 54; module 1 mm; drive sun 390 rpm 1 Nm; hold ring;"
                + " take carrier; rating life 100 h");
    // Carrier 390 x 24/78 = 120 rpm: sun 270 against it, planet 432, ring 120.
    Case sun = rating.meshes().getFirst().a().cases().getFirst();
    assertEquals(270 * 60 * 100 * 3, sun.cycles(), 1e-3);
    RatedTooth planet = rating.meshes().getFirst().b();
    assertEquals(432 * 60 * 100, planet.cases().getFirst().cycles(), 1e-3);
    assertTrue(planet.bothWays());
    Case ring = rating.meshes().get(1).b().cases().getFirst();
    assertEquals(120 * 60 * 100 * 3, ring.cycles(), 1e-3);
  }

  /** The life that a curve gives back is the life that was put in. */
  @Test
  void lifeCurvesInvert() {
    for (LifeCurve curve :
        new LifeCurve[] {
          LifeCurve.bending(200),
          LifeCurve.bending(400),
          LifeCurve.caseBending(),
          LifeCurve.contact()
        }) {
      for (double cycles = 1e3; cycles < 1e12; cycles *= 3.7) {
        assertEquals(cycles, curve.cycles(curve.factor(cycles)), 1e-6 * cycles);
        assertTrue(curve.factor(cycles) > curve.factor(cycles * 2));
      }
    }
    assertEquals(1, LifeCurve.contact().factor(1e7), 1e-3);
    assertEquals(1.01, LifeCurve.bending(240).factor(1e7), 0.01);
  }

  /** Shares of the time go with their states; a share of none is refused where it stands. */
  @Test
  void sharesGoWithTheirStates() throws CardException {
    Train train =
        Card.read(
                "parallel 20 ~ 60\nrating life 9 h\nduty low 40 %\nstate low: drive A; take B\n"
                    + "state high: drive A; take B")
            .train();
    List<State> states = train.shifts().states();
    State renamed = new State("slow", states.getFirst().roles());
    ShiftPlan plan = train.shifts();
    ShiftPlan other = new ShiftPlan(plan.elements(), List.of(renamed, states.getLast()));
    assertEquals(
        List.of("slow"), List.copyOf(train.withShifts(other).sizes().duty().shares().keySet()));
    ShiftPlan fewer = new ShiftPlan(plan.elements(), List.of(states.getLast()));
    assertTrue(train.withShifts(fewer).sizes().duty().shares().isEmpty());
    Train edited = StateEdit.changing(train, states.getFirst(), roles -> roles);
    assertEquals(train.sizes(), edited.sizes());
    assertEquals(train, Card.read(Card.of(train).text()).train());
    CardException none =
        assertThrows(
            CardException.class,
            () -> Card.read("parallel 20 ~ 60\nrating life 9 h; duty low 40 %"));
    assertEquals(
        "2:23", none.problems().getFirst().line() + ":" + none.problems().getFirst().column());
  }

  /** Whatever is said of a rating is written as it is read, and out of range is refused. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "rating life 12.5 h quality 11 overload 1.75 reliability 0.999 bending 2 contact 1.1 open",
        "rating quality 8 finest crowned",
        "rating crowned",
        "hardness 300 HB; hardness A 220 HB"
      })
  void statementsAreWrittenAsTheyAreRead(String stated) throws CardException {
    Card card = Card.read("parallel 20 ~ 60\n" + stated);
    assertEquals(card.train(), Card.read(Card.of(card.train()).text()).train(), stated);
    for (String word : stated.split("[ ;]+")) {
      assertTrue(Card.of(card.train()).text().contains(word), word);
    }
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "rating life 0 h",
        "rating quality 13",
        "rating quality 8 quality 9",
        "rating open enclosed",
        "rating soft",
        "hardness 30 HB",
        "hardness B",
        "rating life 9 h; rating crowned"
      })
  void whatCannotBeIsRefused(String stated) {
    assertThrows(CardException.class, () -> Card.read("parallel 20 ~ 60\n" + stated));
  }
}
