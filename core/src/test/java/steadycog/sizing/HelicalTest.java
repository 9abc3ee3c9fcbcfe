package steadycog.sizing;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import steadycog.RandomTrains;
import steadycog.check.Inspection;
import steadycog.cure.PutRight;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.number.Pace;
import steadycog.number.Quantity;
import steadycog.piece.Blank;
import steadycog.shape.BasicRack;
import steadycog.shape.PlacedWheel;
import steadycog.study.Study;
import steadycog.torque.Torques;
import steadycog.train.Drive;
import steadycog.train.Helices;
import steadycog.train.Helix.Hand;
import steadycog.train.MemberId;
import steadycog.train.Planetary;
import steadycog.train.Roles;
import steadycog.train.Train;

/** Helical teeth by the formulas of ISO 21771, worked out once more by another route. */
class HelicalTest {
  private static Train train(String card) throws CardException {
    return Card.read(card).train();
  }

  private static WheelFigures wheel(Train train, int index) {
    return WheelFigures.of(train, train.members().get(index)).orElseThrow();
  }

  private static MeshFigures mesh(Train train) {
    return MeshFigures.of(train, train.meshes().getFirst()).orElseThrow();
  }

  /** Worked by hand: 24 and 60 teeth, normal module 2, 20 degrees, helix 20 degrees, face 20. */
  @Test
  void thePairOfTheTextbookComesOutToTheLastDigit() throws CardException {
    Train train = train("parallel 24 ~ 60; module 2 mm; helix 20 deg; width 20 mm");
    WheelFigures pinion = wheel(train, 0);
    WheelFigures gear = wheel(train, 1);
    MeshFigures mesh = mesh(train);
    assertEquals(2.12836, pinion.transverseMm(), 5e-6);
    assertEquals(21.1728, pinion.angle(), 5e-5);
    assertEquals(51.0805, pinion.pitch(), 5e-5);
    assertEquals(127.7013, gear.pitch(), 5e-5);
    assertEquals(89.3909, mesh.distance(), 5e-5);
    assertEquals(18.7472, Math.toDegrees(Math.acos(mesh.winding().baseCosine())), 5e-5);
    assertEquals(1.5513, mesh.contactRatio(), 5e-5);
    assertEquals(1.0887, mesh.winding().overlap(), 5e-5);
    assertEquals(14.4, BasicRack.of(train, pinion.id()).undercutFree(), 0.05);
    assertEquals(4, pinion.spanned().orElseThrow());
    assertEquals(21.4675, pinion.span().orElseThrow(), 5e-5);
    assertEquals(6.90, pinion.spanFace().orElseThrow(), 5e-3);
    assertEquals(3.456, pinion.pin(), 1e-9);
    assertEquals(55.8980, pinion.overPins().orElseThrow(), 5e-5);
  }

  /** Random shifted pairs against the formulas written out in the plane across the teeth. */
  @Test
  void randomPairsAgreeWithTheFormulasWrittenOut() throws CardException {
    Random random = new Random(21771);
    for (int run = 0; run < 1000; run++) {
      int z1 = 14 + random.nextInt(30);
      int z2 = z1 + random.nextInt(60);
      double mn = 0.5 + random.nextInt(20) / 4.0;
      double x1 = random.nextInt(50) / 100.0;
      double x2 = random.nextInt(80) / 100.0 - 0.3;
      double degrees = random.nextInt(350) / 10.0;
      double b = Math.toRadians(degrees);
      Train train =
          train(
              "parallel %d ~ %d; module %s mm; helix %s deg; shift A %s; shift B %s"
                  .formatted(z1, z2, mn, degrees, x1, x2));
      double an = Math.toRadians(20);
      double at = Math.atan(Math.tan(an) / Math.cos(b));
      double mt = mn / Math.cos(b);
      double inv = 2 * Math.tan(an) * (x1 + x2) / (z1 + z2) + Math.tan(at) - at;
      double aw = bisected(inv);
      double distance = mt * (z1 + z2) / 2 * Math.cos(at) / Math.cos(aw);
      MeshFigures mesh = mesh(train);
      assertEquals(distance, mesh.distance(), 1e-6 * distance, train::toString);
      // Tips are shortened by what the axes come nearer than the shifts would have them.
      double k = Math.max(0, mn * (x1 + x2) - (distance - mt * (z1 + z2) / 2));
      double ra1 = mt * z1 / 2 + mn * (1 + x1) - k;
      double ra2 = mt * z2 / 2 + mn * (1 + x2) - k;
      double rb1 = mt * z1 / 2 * Math.cos(at);
      double rb2 = mt * z2 / 2 * Math.cos(at);
      double path =
          Math.sqrt(ra1 * ra1 - rb1 * rb1)
              + Math.sqrt(ra2 * ra2 - rb2 * rb2)
              - distance * Math.sin(aw);
      assertEquals(path / (Math.PI * mt * Math.cos(at)), mesh.contactRatio(), 1e-6);
      assertEquals(2 * ra1, wheel(train, 0).tip(), 1e-6);
      double sineOfBase = Math.sin(b) * Math.cos(an);
      assertEquals(Math.sqrt(1 - sineOfBase * sineOfBase), mesh.winding().baseCosine(), 1e-12);
      WheelFigures pinion = wheel(train, 0);
      int spanned = pinion.spanned().orElseThrow();
      assertEquals(
          mn * Math.cos(an) * ((spanned - 0.5) * Math.PI + z1 * (Math.tan(at) - at))
              + 2 * x1 * mn * Math.sin(an),
          pinion.span().orElseThrow(),
          1e-9);
      assertEquals(0, mesh.play(), 1e-6, "no play where nothing is taken off");
    }
  }

  private static double bisected(double involute) {
    double low = 0;
    double high = 1.5;
    for (int k = 0; k < 200; k++) {
      double middle = (low + high) / 2;
      if (Math.tan(middle) - middle < involute) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return low;
  }

  @Test
  void helixOfNothingIsStraightToTheBit() throws CardException {
    for (String card :
        List.of(
            "parallel 17 ~ 60 = 20 ~ 41; module 1.5 mm; shift A 0.3; clearance printed",
            "planetary sun 24 planet 15 x3 ring 54; module 0.8 mm",
            "planetary sun 20/- planet 25=23 x3 ring 70/68; module 0.5 mm")) {
      Train straight = train(card);
      Train wound = train(card + "; helix 0 deg");
      for (int k = 0; k < straight.members().size(); k++) {
        assertEquals(
            WheelFigures.of(straight, straight.members().get(k)),
            WheelFigures.of(wound, wound.members().get(k)));
      }
      for (int k = 0; k < straight.meshes().size(); k++) {
        assertEquals(
            MeshFigures.of(straight, straight.meshes().get(k)),
            MeshFigures.of(wound, wound.meshes().get(k)));
      }
    }
  }

  @Test
  void handsFollowFromTheMeshes() throws CardException {
    Train set = train("planetary sun 24 planet 15 x3 ring 54; helix sun 15 deg left");
    assertEquals(List.of(Hand.LEFT, Hand.RIGHT, Hand.RIGHT), hands(set, "sun", "planet", "ring"));
    Train chain = train("parallel 20 ~ 30 ~ 40 = 18 ~ 50; helix 20 deg; helix D 10 deg left");
    assertEquals(
        List.of(Hand.RIGHT, Hand.LEFT, Hand.RIGHT, Hand.LEFT, Hand.RIGHT),
        hands(chain, "A", "B", "C", "D", "E"));
    assertEquals(10, Helices.of(chain, new MemberId("", "E")).degrees().intValue());
    assertTrue(Helices.contradictions(chain).isEmpty());
    Train wrong = train("parallel 20 ~ 30 ~ 40; helix A 20 deg right; helix C 20 deg left");
    Helices.Contradiction found = Helices.contradictions(wrong).getFirst();
    assertEquals("A C false", found.one() + " " + found.other() + " " + found.angles());
  }

  private static List<Hand> hands(Train train, String... names) {
    return Arrays.stream(names)
        .map(name -> Helices.of(train, new MemberId("", name)).hand().orElseThrow())
        .toList();
  }

  @Test
  void aCardSaysWhatItSaidWhenItIsWritten() throws CardException {
    for (String stated :
        List.of(
            "helix 20 deg",
            "helix 20 deg double",
            "helix 22.5 deg double left",
            "helix sun 15 deg left",
            "helix set 15 deg; helix fore.A 10\u00b0 right; build set in place",
            "helix 20 deg double groove 1.5 mm left",
            "helix 20 deg double; build sun in halves")) {
      Card card =
          Card.read(
              "set: planetary sun 24 planet 15 x3 ring 54\nfore: parallel 20 ~ 40\n"
                  + "join fore.B = set.sun\n"
                  + stated.replace("sun", "set.sun"));
      assertEquals(card.train(), Card.read(Card.of(card.train()).text()).train(), card::text);
    }
  }

  private static List<Thrust> thrusts(String card) throws CardException {
    Train train = train(card);
    Study study = Study.of(train);
    return Thrust.of(train, study.layout(), study.loading().ideal());
  }

  private static double force(List<Thrust> all, String member) {
    return all.stream()
        .filter(one -> one.member().name().equals(member))
        .mapToDouble(Thrust::force)
        .findFirst()
        .orElse(0);
  }

  /**
   * Worked by hand: 10 N m on 24 teeth press with 391.54 N round and 142.51 N along. A right-handed
   * driver is pressed where the thumb of a right hand points whose fingers turn with it.
   */
  @Test
  void thrustComesFromHandAndSense() throws CardException {
    String pair = "parallel 24 ~ 60; module 2 mm; helix 20 deg; take B; drive A ";
    assertEquals(142.51, force(thrusts(pair + "100 rpm 10 Nm"), "A"), 5e-3);
    assertEquals(-142.51, force(thrusts(pair + "100 rpm 10 Nm"), "B"), 5e-3);
    assertEquals(-142.51, force(thrusts(pair + "-100 rpm 10 Nm"), "A"), 5e-3, "turned round");
    assertEquals(-142.51, force(thrusts(pair + "100 rpm 10 Nm; helix A 20 deg left"), "A"), 5e-3);
    assertEquals(List.of(), thrusts(pair.replace("deg", "deg double") + "100 rpm 10 Nm"));
  }

  /** Thrusts of all shafts come to nothing, and turn round with the drive: in random trains. */
  @Test
  void allThrustsComeToNothing() {
    Random random = new Random(22);
    int pressed = 0;
    for (int run = 0; run < 400; run++) {
      Train train =
          RandomTrains.wound(run % 2 == 0 ? RandomTrains.driven(random, 7) : set(random), random);
      Study study = Study.of(train);
      if (study.loading().ideal().status() != Torques.Status.DETERMINED) {
        continue;
      }
      assertEquals(List.of(), Helices.contradictions(train), train::toString);
      List<Thrust> all = Thrust.ofShafts(train, study.loading().ideal());
      double most = all.stream().mapToDouble(one -> Math.abs(one.force())).max().orElse(0);
      pressed += most > 0 ? 1 : 0;
      double sum = all.stream().mapToDouble(Thrust::force).sum();
      assertEquals(0, sum, 1e-9 * most, () -> Card.of(train).text());
      Drive ahead = train.roles().drives().getFirst();
      Quantity speed = ahead.statedSpeed();
      Drive behind = ahead.at(new Quantity(speed.value().negate(), speed.unit()));
      Roles roles = train.roles();
      Train back =
          train.withRoles(new Roles(List.of(behind), roles.holds(), roles.take(), roles.locks()));
      List<Thrust> turned = Thrust.ofShafts(back, Study.of(back).loading().ideal());
      assertEquals(all.size(), turned.size());
      for (int k = 0; k < all.size(); k++) {
        assertEquals(-all.get(k).force(), turned.get(k).force(), 1e-9 * most);
      }
    }
    assertTrue(pressed > 100, "only " + pressed);
  }

  private static Train set(Random random) {
    Planetary set =
        random.nextBoolean()
            ? RandomTrains.planetary("", random)
            : RandomTrains.twoRows("", random);
    return RandomTrains.driven(set, random);
  }

  /** A shaft with two helical wheels of one hand carries nothing where tan b1/d1 = tan b2/d2. */
  @Test
  void equalHandsOnOneShaftCancel() throws CardException {
    double b1 = 20;
    // d = m z / cos b, so sin b1 / z1 = sin b2 / z2.
    double b2 = Math.toDegrees(Math.asin(Math.sin(Math.toRadians(b1)) * 18 / 60));
    List<Thrust> all =
        thrusts(
            "parallel 20 ~ 60 = 18 ~ 50; module 1 mm; drive A 100 rpm 3 Nm; take D; helix B 20 deg"
                + " left; helix C "
                + Math.round(b2 * 1e6) / 1e6
                + " deg left");
    assertEquals(0, force(all, "B"), 1e-5 * Math.abs(force(all, "A")));
  }

  /**
   * What is told makes nothing of what was there: of two wheels that add, and of two that do not.
   */
  @ParameterizedTest
  @ValueSource(strings = {"left", "right"})
  void theHelixThatIsToldLeavesNothing(String hand) throws CardException {
    Train train =
        train(
            "parallel 20 ~ 60 = 18 ~ 50; module 1 mm; drive A 100 rpm 3 Nm; take D; helix A 20 deg;"
                + " helix D 25 deg "
                + hand);
    Thrust before = onShaft(train, "B");
    Thrust.Cancelling way = before.cancelling().orElseThrow();
    assertEquals(hand.equals("left"), way.adds(), "equal hands oppose");
    Train after = Helices.with(train, way.wheel(), Optional.of(way.helix()));
    assertEquals(List.of(), Helices.contradictions(after));
    double left =
        Thrust.ofShafts(after, Study.of(after).loading().ideal()).stream()
            .filter(one -> one.member().name().equals("B"))
            .mapToDouble(Thrust::force)
            .sum();
    assertEquals(0, left, 1e-4 * Math.abs(before.force()));
  }

  private static Thrust onShaft(Train train, String member) {
    return Thrust.ofShafts(train, Study.of(train).loading().ideal()).stream()
        .filter(one -> one.member().name().equals(member))
        .findFirst()
        .orElseThrow();
  }

  /** Of two states the largest each way counts: a shoulder at both ends. */
  @Test
  void statesThatTurnBackWantBothShoulders() throws CardException {
    String card = "parallel 24 ~ 60; module 2 mm; helix 20 deg; take B; drive A ";
    Train train = train(card + "100 rpm 10 Nm");
    Train back = train(card + "-100 rpm 5 Nm");
    CutSheet both = Study.of(train).cutSheet().underBoth(Study.of(back).cutSheet());
    Thrust pinion = both.thrusts().getFirst();
    assertEquals(142.51, pinion.towards(true), 5e-3);
    assertEquals(142.51 / 2, pinion.towards(false), 5e-3);
    assertEquals("at both ends", pinion.shoulder(true));
    CutSheet other = Study.of(back).cutSheet().underBoth(Study.of(train).cutSheet());
    assertEquals(both.thrusts(), other.thrusts());
  }

  /** A planet's bearing is tilted by the thrusts of its two contacts alone, shared unevenly. */
  @ParameterizedTest
  @ValueSource(strings = {"sun 24 planet 15 x3 ring 54", "sun 20 planet 14~15 x3 ring 62"})
  void thrustTiltsThePinsOfPlanets(String wheels) throws CardException {
    Train train =
        train(
            "planetary "
                + wheels
                + "; helix 15 deg; module 1 mm; sharing 1.3; drive sun 100 rpm 2 Nm; hold ring;"
                + " take carrier; efficiency ideal");
    CutSheet sheet = Study.of(train).cutSheet();
    List<Bearing> pins = sheet.bearings().stream().filter(Bearing::planet).toList();
    List<Thrust> planets = sheet.thrusts().stream().filter(Thrust::planet).toList();
    assertEquals(pins.size(), planets.size());
    for (int k = 0; k < pins.size(); k++) {
      assertEquals(pins.get(k).member(), planets.get(k).member());
      double tilting = planets.get(k).tilting();
      assertTrue(tilting > 0, wheels);
      assertEquals(1.3 * tilting, pins.get(k).tilting(), 1e-6 * tilting);
    }
  }

  /** Moments of a shaft with two helical wheels by cross products, z towards who looks at it. */
  @ParameterizedTest
  @ValueSource(strings = {"left", "right"})
  void thrustBendsAShaftWithTheForcesAcrossIt(String hand) throws CardException {
    Train train =
        train(
            "parallel 20 ~ 60 = 18 ~ 50; place D 70 deg; module 1 mm; width 10 mm; efficiency"
                + " ideal; drive A 100 rpm 3 Nm; take D; helix A 20 deg; helix C 25 deg "
                + hand);
    Study study = Study.of(train);
    double[] moment = new double[2];
    double middle = 0;
    for (int mesh = 0; mesh < 2; mesh++) {
      middle += study.layout().wheel(train.meshes().get(mesh).b()).plane() / 2.0;
    }
    for (int mesh = 0; mesh < 2; mesh++) {
      MemberId mate = new MemberId("", mesh == 0 ? "A" : "D");
      MemberId wheel = new MemberId("", mesh == 0 ? "B" : "C");
      PlacedWheel own = study.layout().wheel(wheel);
      PlacedWheel other = study.layout().wheel(mate);
      double away = Math.hypot(other.x() - own.x(), other.y() - own.y());
      double ux = (other.x() - own.x()) / away;
      double uy = (other.y() - own.y()) / away;
      double torque = (mesh == 0 ? -1 : 1) * 3000.0 * 60 / 20;
      MeshFigures figures = MeshFigures.of(train, train.meshes().get(mesh)).orElseThrow();
      double r = figures.workingRadius(wheel);
      double round = torque / r;
      double apart = Math.abs(round) * Math.tan(figures.pair().working());
      double b = Helices.of(train, wheel).radians();
      double along = -Helices.of(train, wheel).sign() * round * Math.tan(b);
      double z = -(own.plane() - middle) * (10 + Blank.ROW_GAP);
      double fx = -uy * round - ux * apart;
      double fy = ux * round - uy * apart;
      moment[0] += r * uy * along - z * fy;
      moment[1] += z * fx - r * ux * along;
    }
    double tilting =
        study.cutSheet().bearings().stream()
            .filter(one -> one.member().name().equals("B"))
            .mapToDouble(Bearing::tilting)
            .findFirst()
            .orElseThrow();
    double expected = Math.hypot(moment[0], moment[1]);
    assertEquals(expected, tilting, 1e-9 * expected);
  }

  /** Sun and ring both herringbone are refused; a wheel in halves, or all in place, is none. */
  @Test
  void herringbonesGoTogetherInHalvesOrInPlace() throws CardException {
    String set = "planetary sun 23 planet 19 x3 ring 61; module 0.8 mm; helix 25 deg";
    assertFalse(refused(set));
    assertTrue(refused(set + " double"));
    for (String cure :
        List.of("ring in halves", "sun in halves", "planet in halves", "in place", "in halves")) {
      assertFalse(refused(set + " double; build " + cure), cure);
    }
    assertTrue(refused(set + " double; build ring in place"));
    String rows =
        "planetary sun 20/- planet 25=23 x3 ring -/68; module 0.5 mm; helix 20 deg double";
    assertTrue(refused(rows), "the planets of two rows are one body");
    assertFalse(refused(rows + "; helix ring 20 deg"));
    assertEquals(
        "build ring in halves",
        PutRight.of(train(set + " double; shift planet 0.2"), PutRight.Keep.NOTHING, Pace.FREE)
            .cure()
            .orElseThrow()
            .change());
  }

  private static boolean refused(String card) throws CardException {
    return Inspection.of(train(card)).findings().stream()
        .anyMatch(finding -> finding.code().equals("herringbone-set"));
  }
}
