package steadycog.piece;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import steadycog.assembly.Assembly;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.number.Pace;
import steadycog.shape.BevelPair;
import steadycog.shape.FaceLayout;
import steadycog.shape.PairGeometry;
import steadycog.shape.Polar;
import steadycog.train.Teeth;
import steadycog.train.Train;

/** Straight bevel gears by hand, as solids, and turned against each other on a sphere. */
class BevelTest {
  private static final double CHORD = 0.002;

  /** In modules. */
  private static final double FINE = 1e-4;

  private static Train train(String card) throws CardException {
    return Card.read(card).train();
  }

  private static BevelPair pair(String card) throws CardException {
    Train train = train(card);
    return BevelPair.of(train, train.parts().getFirst()).orElseThrow();
  }

  private static List<Piece> pieces(String card, double chord) throws CardException {
    Train train = train(card);
    return Pieces.of(train, FaceLayout.of(train), chord).all();
  }

  /** Shigley's rules: pitch angles from the counts, z / cos, cone distance d / (2 sin). */
  @ParameterizedTest
  @CsvSource({
    "20, 40, 26.565, 22.361, 89.443, 22.361",
    "16, 16, 45, 22.627, 22.627, 11.314",
    "11, 43, 14.349, 11.354, 173.503, 22.192"
  })
  void anglesAndVirtualCountsAreThoseOfTheTextbook(
      int pinion, int crown, double angle, double virtual, double mate, double cone)
      throws CardException {
    BevelPair pair = pair("bevel " + pinion + " ~ " + crown);
    assertEquals(angle, Math.toDegrees(pair.one().angle()), 1e-3);
    assertEquals(90, Math.toDegrees(pair.one().angle() + pair.other().angle()), 1e-9);
    assertEquals(virtual, pair.one().virtualTeeth(), 1e-3);
    assertEquals(mate, pair.other().virtualTeeth(), 1e-3);
    assertEquals(cone, pair.coneDistance(), 1e-3);
  }

  /** With whole virtual counts the pair on the back cones is a spur pair like any other. */
  @Test
  void onTheBackConesItIsASpurPair() throws CardException {
    // 15 : 20 : 25 is a right triangle, so that z / cos comes out as 18.75 and 33.33: four times.
    PairGeometry virtual = pair("bevel 60 ~ 80").onBackCones();
    assertEquals(75, virtual.pinion(), 1e-9);
    PairGeometry below = PairGeometry.of(Teeth.external(75), Teeth.external(133));
    PairGeometry above = PairGeometry.of(Teeth.external(75), Teeth.external(134));
    assertTrue(below.contactRatio() < virtual.contactRatio());
    assertTrue(virtual.contactRatio() < above.contactRatio());
  }

  @Test
  void theMateIsShiftedBack() throws CardException {
    BevelPair pair = pair("bevel 11 ~ 43; shift pinion 0.34");
    assertEquals(0.34, pair.one().cut().shift(), 0);
    assertEquals(-0.34, pair.other().cut().shift(), 0);
    // Both still roll on the cones of their counts, and what one gains in height the other loses.
    assertEquals(pair("bevel 11 ~ 43").one().tip() + 0.34, pair.one().tip(), 1e-9, "over its tips");
    assertTrue(pair.onBackCones().interferenceMargin() > 0);
    assertTrue(pair("bevel 11 ~ 43").onBackCones().interferenceMargin() < 0);
  }

  /**
   * The volume is worked out by another way: all of it lies between the apex and the heel, so that
   * cones over the faces at heel and toe and over flat ends add up.
   */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "bevel 11 ~ 43; module 2 mm; shift pinion 0.34; bore pinion 6 mm key",
        "bevel 20 ~ 20; module 1 mm; width pinion 3 mm; clearance printed; bore crown 5 mm hex",
        "differential side 16 spider 10 x4; module 1.5 mm; shift left -0.31"
      })
  void solidsAreClosedAndOfTheVolumeOfTheirCones(String card) throws CardException {
    for (Piece piece : pieces(card, CHORD)) {
      BevelBody body = piece.bevel().orElseThrow();
      Solid solid = Solid.of(piece, CHORD);
      SolidTest.assertClosedInOne(piece.title(), solid);
      double hole = body.hole().area(CHORD).getArea();
      double toe = Math.pow(body.toe(), 3);
      // A developed back cone seen from its apex is a cone as high as the pitch cone is long.
      double cone = body.moduleMm() * body.gear().teeth() / 2.0 / Math.sin(body.gear().angle());
      double expected =
          cone / 3 * (developed(body, false) - toe * developed(body, true))
              + flat(body, false) * body.mounting() / 3
              - flat(body, true) * front(body) / 3
              - hole * (body.mounting() - front(body));
      assertEquals(expected, solid.volume(), 2e-4 * expected, piece.title());
    }
  }

  /** Area of the developed face at an end, mm², as if at the heel. */
  private static double developed(BevelBody body, boolean toe) {
    var line = body.gear().line(CHORD / body.moduleMm(), body.thinning());
    double area = 0;
    for (int k = 1; k < line.size(); k++) {
      var a = line.get(k - 1);
      var b = line.get(k);
      area += a.radius() * b.radius() * Math.sin(b.angle() - a.angle()) / 2;
    }
    double inner = toe ? body.front() : body.back();
    double wedge = inner * inner * Math.PI / body.gear().virtualTeeth();
    return (area - wedge) * body.gear().teeth() * body.moduleMm() * body.moduleMm();
  }

  private static double flat(BevelBody body, boolean toe) {
    double radius =
        toe ? body.toe() * body.gear().radius(body.front()) : body.gear().radius(body.back());
    return Math.PI * Math.pow(radius * body.moduleMm(), 2);
  }

  /** The flat front's distance from the apex along the axis. */
  private static double front(BevelBody body) {
    return body.toe() * body.moduleMm() * body.gear().depth(body.front());
  }

  /** Every corner of the teeth lies on a line from the apex, heel and toe in proportion. */
  @Test
  void allLinesOfTeethRunToTheApex() throws CardException {
    Piece piece = pieces("bevel 13 ~ 29; module 2 mm; shift pinion 0.2", CHORD).getFirst();
    BevelBody body = piece.bevel().orElseThrow();
    Solid solid = Solid.of(piece, CHORD);
    double most =
        IntStream.range(0, solid.points().length / 3)
            .mapToDouble(
                k ->
                    Math.hypot(
                        Math.hypot(solid.points()[3 * k], solid.points()[3 * k + 1]),
                        body.mounting() - solid.points()[3 * k + 2]))
            .max()
            .orElseThrow();
    // The tips at the heel are furthest from the apex: cone distance and addendum at right angles.
    double cone = body.moduleMm() * body.gear().teeth() / 2.0 / Math.sin(body.gear().angle());
    double addendum = body.moduleMm() * (body.gear().tip() - body.gear().virtualTeeth() / 2);
    double root = body.moduleMm() * (body.gear().virtualTeeth() / 2 - body.back());
    assertEquals(Math.max(Math.hypot(cone, addendum), Math.hypot(cone, root)), most, 1e-6);
    assertTrue(solid.points()[2] >= 0);
  }

  /** The template bent round the heel meets itself: its arc is that of the cone. */
  @Test
  void templatesGoRoundTheirCones() throws CardException {
    for (Piece piece : pieces("bevel 11 ~ 43; module 2 mm", CHORD)) {
      BevelBody body = piece.bevel().orElseThrow();
      List<Slab> templates = piece.slabs();
      double heel = templates.get(0).region().area(CHORD).getArea();
      double toe = templates.get(1).region().area(CHORD).getArea();
      assertEquals(body.toe() * body.toe(), toe / heel, 1e-9);
      assertEquals(developed(body, false), heel, 1e-3 * heel, "as much as the solid's heel");
    }
  }

  /**
   * On the sphere: teeth by Tredgold that do not interfere never run into each other, and those
   * that a hundredth of a module is added to do.
   */
  @Test
  void pairsThatDoNotInterfereDoNotCollide() throws CardException {
    Random random = new Random(7);
    int tried = 0;
    for (int k = 0; k < 40; k++) {
      int pinion = random.nextInt(9, 25);
      int crown = pinion + random.nextInt(0, 40);
      double shift = Math.max(0, 1 - pinion * 0.0585);
      String card = "bevel %d ~ %d; module 1 mm; shift pinion %.2f".formatted(pinion, crown, shift);
      BevelPair pair = pair(card);
      double least = pair.other().cut().rack().shiftAgainstUndercut(pair.other().virtualTeeth());
      if (pair.onBackCones().interferenceMargin() < 0 || -shift < least) {
        continue;
      }
      tried++;
      assertEquals(List.of(), collisions(card), card);
      assertEquals(1, collisions(card + "; offset pinion -0.03 mm").size(), card);
    }
    assertTrue(tried > 20, "tried " + tried);
  }

  private static List<?> collisions(String card) throws CardException {
    Train train = train(card);
    return Assembly.of(train, FaceLayout.of(train)).collisions(16, Pace.FREE);
  }

  /**
   * How much a pair without clearance can be turned while its mate stands, anywhere in a pitch, is
   * how far Tredgold's teeth leave exact ones: the room between right flanks, seen on the sphere.
   */
  @ParameterizedTest
  @CsvSource({
    "11, 43, 0.34",
    "16, 16, 0.06",
    "10, 16, 0.31",
    "12, 12, 0",
    "17, 50, 0",
    "9, 14, 0.3"
  })
  void teethLeaveExactOnesByLessThanIsSaid(int pinion, int crown, double shift)
      throws CardException {
    BevelPair pair = pair("bevel %d ~ %d; shift pinion %s".formatted(pinion, crown, shift));
    List<Polar> line = pair.one().line(FINE, 0);
    List<Polar> mate = pair.other().line(FINE, 0);
    double loosest = 0;
    for (int k = -20; k <= 20; k++) {
      double turned = k / 40.0;
      double tightest = Double.MAX_VALUE;
      for (int tooth = -1; tooth <= 1; tooth++) {
        tightest = Math.min(tightest, room(pair, line, mate, turned + tooth));
      }
      assertTrue(tightest > -1e-4, "they run into each other by " + -tightest);
      loosest = Math.max(loosest, tightest);
    }
    assertTrue(loosest < BevelBody.INEXACT, "loose by " + loosest);
  }

  /** Least room between a tooth of the pinion and the next of the crown, modules at the heel. */
  private static double room(BevelPair pair, List<Polar> line, List<Polar> other, double turned) {
    double least = Double.MAX_VALUE;
    double own = 2 * Math.PI / pair.one().teeth() * turned;
    double mate = 2 * Math.PI / pair.other().teeth() * (turned + 0.5);
    for (Polar point : line) {
      double around = point.angle() / Math.cos(pair.one().angle()) + own;
      double x = pair.one().depth(point.radius());
      double y = pair.one().radius(point.radius()) * Math.sin(around);
      double z = pair.one().radius(point.radius()) * Math.cos(around);
      double away = Math.atan2(Math.hypot(x, y), z);
      double flank = flank(pair.other(), other, away);
      least = Math.min(least, (mate - flank - Math.atan2(y, x)) * Math.sin(away));
    }
    return least * pair.coneDistance();
  }

  /** Half a tooth about the gear's axis, at an angle from that as seen from the apex. */
  private static double flank(BevelPair.Gear gear, List<Polar> line, double away) {
    double before = Double.NaN;
    double half = Double.NaN;
    for (Polar point : line.subList(line.size() / 2, line.size())) {
      double at = Math.atan2(gear.radius(point.radius()), gear.depth(point.radius()));
      double angle = point.angle() / Math.cos(gear.angle());
      if (at <= away && away <= before) {
        return half + (angle - half) * (before - away) / (before - at);
      }
      before = at;
      half = angle;
    }
    return Double.NEGATIVE_INFINITY;
  }

  @Test
  void whatCannotBeMadeSaysWhy() throws CardException {
    assertEquals(
        "its bore breaks out of it",
        pieces("bevel 16 ~ 16; module 1 mm; bore pinion 12 mm", CHORD)
            .getFirst()
            .flaw(CHORD)
            .orElseThrow());
    assertEquals(
        "its face reaches the apex of its cone",
        pieces("bevel 16 ~ 16; module 1 mm; width pinion 11 mm", CHORD)
            .getFirst()
            .flaw(CHORD)
            .orElseThrow());
  }
}
