package steadycog.shape;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LinearRing;
import steadycog.number.Exact;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.train.Cycloidal;
import steadycog.train.StrainWave;

/**
 * Discs against pins and flexsplines against splines: by distance and area, not by formula again.
 */
class DriveShapeTest {
  private static final GeometryFactory GEOMETRY = new GeometryFactory();
  private static final double HAIR = 0.002 * 1.6;

  private static LinearRing ring(Outline outline) {
    Coordinate[] points = new Coordinate[outline.size() + 1];
    for (int k = 0; k < outline.size(); k++) {
      points[k] = new Coordinate(outline.x()[k], outline.y()[k]);
    }
    points[outline.size()] = points[0];
    return GEOMETRY.createLinearRing(points);
  }

  private static Optional<Quantity> mm(double value) {
    return Optional.of(new Quantity(Exact.of(Math.round(value * 1000), 1000), Unit.MM));
  }

  private static Cycloidal drive(int lobes, double circle, double k, double pin) {
    double eccentricity = k * circle / 2 / (lobes + 1);
    return new Cycloidal(
        "",
        lobes,
        lobes + 1,
        new Cycloidal.Sizes(
            mm(circle), mm(pin), mm(eccentricity), Optional.empty(), Optional.empty(), 1));
  }

  @Test
  void theDiscTouchesEveryPinAndCutsNoneAtAnyCrankAngle() {
    Random random = new Random(5);
    for (int run = 0; run < 40; run++) {
      int lobes = random.nextInt(5, 60);
      double circle = random.nextDouble(30, 200);
      double k = random.nextDouble(0.4, 0.85);
      double curve = new CycloidGeometry(drive(lobes, circle, k, 0.01)).leastCurvature();
      double chord = circle * Math.sin(Math.PI / (lobes + 1));
      double pin = 2 * Math.min(0.9 * curve, 0.45 * chord) * random.nextDouble(0.3, 1);
      CycloidGeometry geometry = new CycloidGeometry(drive(lobes, circle, k, pin));
      Outline disc = geometry.disc(0.0005, 0);
      // The eccentric at phi, the ring held: the disc turns back by phi / lobes.
      double phi = random.nextDouble(0, 2 * Math.PI);
      LinearRing outline =
          ring(
              disc.placed(
                  -phi / lobes,
                  geometry.eccentricity() * Math.cos(phi),
                  geometry.eccentricity() * Math.sin(phi)));
      double allowed = 0.001 * geometry.circleRadius();
      for (Polar at : geometry.pins()) {
        double distance = outline.distance(GEOMETRY.createPoint(new Coordinate(at.x(), at.y())));
        assertEquals(geometry.pinRadius(), distance, allowed, () -> lobes + " lobes K " + k);
        Polar contact = geometry.contact(at.angle(), phi);
        double off =
            outline.distance(GEOMETRY.createPoint(new Coordinate(contact.x(), contact.y())));
        assertEquals(0, off, allowed, "the contact point lies on the disc");
      }
    }
  }

  /** The rule by curvature and the outline crossing itself are two ways to say it. */
  @Test
  void undercutByTheRuleIsAnOutlineThatCrossesItself() {
    int undercut = 0;
    int clean = 0;
    for (int lobes = 6; lobes <= 40; lobes += 2) {
      for (double k = 0.45; k < 0.95; k += 0.1) {
        double curve = new CycloidGeometry(drive(lobes, 100, k, 0.01)).leastCurvature();
        for (double share : new double[] {0.6, 0.95, 1.08, 1.4}) {
          CycloidGeometry geometry = new CycloidGeometry(drive(lobes, 100, k, 2 * share * curve));
          boolean simple = ring(geometry.disc(0.0005, 0)).isSimple();
          boolean byRule = geometry.curvatureMargin() >= 0;
          assertEquals(byRule, simple, lobes + " lobes, K " + k + ", share " + share);
          undercut += byRule ? 0 : 1;
          clean += byRule ? 1 : 0;
        }
      }
    }
    assertTrue(undercut > 50 && clean > 50);
  }

  @Test
  void secondAndThirdDiscsTouchTheSamePins() {
    for (int discs = 2; discs <= 3; discs++) {
      Cycloidal part = new Cycloidal("", 14, 15, Cycloidal.Sizes.USUAL.withDiscs(discs));
      CycloidGeometry geometry = new CycloidGeometry(part);
      for (int disc = 0; disc < discs; disc++) {
        double phi = 0.7 + geometry.discAngle(disc);
        LinearRing outline =
            ring(
                geometry
                    .disc(0.0005, 0)
                    .placed(
                        -0.7 / 14 + geometry.discPhase(disc),
                        geometry.eccentricity() * Math.cos(phi),
                        geometry.eccentricity() * Math.sin(phi)));
        for (Polar at : geometry.pins()) {
          double distance = outline.distance(GEOMETRY.createPoint(new Coordinate(at.x(), at.y())));
          assertEquals(geometry.pinRadius(), distance, 0.001 * geometry.circleRadius());
        }
      }
    }
  }

  @Test
  void usualProportionsBreakNoRule() {
    for (int lobes = 5; lobes <= 120; lobes++) {
      CycloidGeometry geometry =
          new CycloidGeometry(new Cycloidal("", lobes, lobes + 1, Cycloidal.Sizes.USUAL));
      String what = lobes + " lobes";
      assertTrue(geometry.shortening() > 0.5 && geometry.shortening() < 0.8, what);
      assertTrue(geometry.curvatureMargin() > 0, what);
      assertTrue(geometry.pinClearance() > 0, what);
      assertTrue(geometry.holeSpacing() > 0, what);
      assertTrue(geometry.boreWall() > 0, what);
      assertTrue(geometry.rootWall() > 0, what);
    }
  }

  @ParameterizedTest
  @CsvSource({
    "160, 162, 2",
    "200, 202, 2",
    "100, 102, 2",
    "150, 153, 3",
    "120, 124, 2",
    "60, 62, 2"
  })
  void flexsplineTeethMeshAtTheLobesAndOverlapNowhere(int flex, int circular, int lobes) {
    StrainWave part = new StrainWave("", flex, circular, lobes, StrainWave.Sizes.USUAL);
    StrainGeometry geometry = new StrainGeometry(part);
    Geometry hole =
        GEOMETRY.createPolygon(ring(geometry.circularTeeth(GearOutline.DRAWN_THINNING)));
    Random random = new Random(flex);
    for (int run = 0; run < 8; run++) {
      // The generator at phi, the circular spline held: Nf (flex - phi) = -Nc phi.
      double phi = random.nextDouble(0, 2 * Math.PI);
      double turned = phi * (flex - circular) / flex;
      Outline teeth =
          geometry.flexTeeth(phi - turned, 1, GearOutline.DRAWN_THINNING).placed(turned, 0, 0);
      Geometry body = GEOMETRY.createPolygon(ring(teeth));
      assertTrue(body.isValid());
      double overlap = body.difference(hole).getArea();
      assertTrue(overlap < HAIR, () -> "overlap " + overlap);
      // In the spaces at a lobe, clear of the tips half-way between two.
      double reach = geometry.circularTip();
      assertTrue(radiusAt(body, phi) > reach + 0.9, "in mesh");
      assertTrue(radiusAt(body, phi + Math.PI / lobes) < reach, "clear");
    }
  }

  /** The greatest distance from the axis within two teeth of a direction. */
  private static double radiusAt(Geometry body, double angle) {
    double most = 0;
    for (Coordinate point : body.getCoordinates()) {
      double off = Math.IEEEremainder(Math.atan2(point.y, point.x) - angle, 2 * Math.PI);
      if (Math.abs(off) < 0.06) {
        most = Math.max(most, Math.hypot(point.x, point.y));
      }
    }
    return most;
  }

  @Test
  void theMiddleLineOfABentFlexsplineKeepsItsLength() {
    StrainWave part = new StrainWave("", 100, 102, 2, StrainWave.Sizes.USUAL);
    StrainGeometry geometry = new StrainGeometry(part);
    LinearRing bent = ring(geometry.inside(0.3, 1, 0, 2000));
    assertEquals(2 * Math.PI * geometry.flexRadius(), bent.getLength(), 0.002 * bent.getLength());
  }
}
