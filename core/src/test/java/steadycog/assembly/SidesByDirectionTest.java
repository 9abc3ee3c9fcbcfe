package steadycog.assembly;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.algorithm.locate.SimplePointInAreaLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Location;
import org.locationtech.jts.geom.util.AffineTransformation;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.piece.Pieces;
import steadycog.piece.Region;
import steadycog.shape.FaceLayout;
import steadycog.train.Train;

/** Inside by the sides in one direction, against a search among all sides. */
class SidesByDirectionTest {
  private static final GeometryFactory FACTORY = new GeometryFactory();
  private static final double LEAST = 0.01;

  private static void compare(Geometry area, Random random, int points) {
    SidesByDirection sides = new SidesByDirection(area);
    Geometry outlines = area.getBoundary();
    assertEquals(isIn(area, new Coordinate(0, 0)), !sides.isHollow(), () -> "at the axis: " + area);
    assertEquals(
        outlines.distance(FACTORY.createPoint(new Coordinate(0, 0))), sides.nearest(), 1e-9);
    double reach =
        Math.max(area.getEnvelopeInternal().getMaxX(), area.getEnvelopeInternal().getMaxY());
    for (int k = 0; k < points; k++) {
      Coordinate at =
          new Coordinate(random.nextDouble(-reach, reach), random.nextDouble(-reach, reach));
      boolean inside = isIn(area, at);
      assertEquals(inside, sides.isInside(at.x, at.y, 0), () -> at + " in " + area);
      // What is said to lie near a side does: other sides may be nearer yet.
      if (inside && !sides.isInside(at.x, at.y, LEAST)) {
        assertTrue(outlines.distance(FACTORY.createPoint(at)) <= LEAST);
      }
    }
  }

  private static boolean isIn(Geometry area, Coordinate at) {
    return SimplePointInAreaLocator.locate(at, area) != Location.EXTERIOR;
  }

  /** Rings with holes anywhere, round the axis or beside it. */
  @Test
  void saysWhetherAPointIsInside() {
    Random random = new Random(8);
    for (int round = 0; round < 300; round++) {
      Geometry area = Region.disc(random.nextDouble(2, 20)).area(0.05);
      for (int k = random.nextInt(4); k > 0; k--) {
        Geometry hole = Region.disc(random.nextDouble(0.5, 6)).area(0.05);
        area =
            area.difference(
                AffineTransformation.translationInstance(
                        random.nextDouble(-9, 9), random.nextDouble(-9, 9))
                    .transform(hole));
      }
      if (!area.isEmpty()
          && area.getBoundary().distance(FACTORY.createPoint(new Coordinate(0, 0))) > 0.05) {
        compare(area, random, 100);
      }
    }
  }

  /** Wheels, rings, discs with holes and plates as they are made. */
  @Test
  void knowsThePiecesOfTrains() throws CardException {
    Random random = new Random(9);
    for (String card :
        new String[] {
          "planetary sun 24 planet 15 x3 ring 54; module 1 mm; bore sun 5 mm hex",
          "cycloidal lobes 11 pins 12; module 2 mm",
          "strainwave nominal 40"
        }) {
      Train train = Card.read(card).train();
      for (var piece : Pieces.of(train, FaceLayout.of(train), LEAST).all()) {
        piece.slabs().forEach(slab -> compare(slab.region().area(LEAST), random, 400));
      }
    }
  }
}
