package steadycog.piece;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.piece.Region.Round;
import steadycog.shape.FaceLayout;
import steadycog.shape.Outline;
import steadycog.train.Train;

/** Which lines go round which, against laying them over each other. */
class NestTest {
  private static final double CHORD = 0.02;

  /** A nest is only claimed of lines that are simple together, and gives the same material. */
  private static boolean agrees(List<Outline> lines) {
    Optional<Nest> nest = Nest.of(lines);
    LineString[] rings =
        lines.stream()
            .map(line -> Region.polygon(line).getExteriorRing())
            .toArray(LineString[]::new);
    boolean simple = new GeometryFactory().createMultiLineString(rings).isSimple();
    assertTrue(simple || nest.isEmpty(), () -> "lines that meet: " + Arrays.toString(rings));
    if (nest.isPresent()) {
      Geometry area = nest.get().area();
      Geometry overlaid = Region.overlaid(lines);
      assertTrue(area.isValid());
      assertEquals(overlaid.getArea(), area.getArea(), 1e-9 * overlaid.getArea());
      assertEquals(0, area.symDifference(overlaid).getArea(), 1e-9);
      assertEquals(corners(overlaid), corners(area));
    }
    return nest.isPresent();
  }

  private static List<Coordinate> corners(Geometry area) {
    return Arrays.stream(area.getCoordinates()).distinct().sorted().toList();
  }

  private static Outline random(Random random) {
    double x = random.nextDouble(-20, 20);
    double y = random.nextDouble(-20, 20);
    double radius = random.nextDouble(0.5, 14);
    Outline circle = new Round(0, 0, radius).outline(CHORD);
    return switch (random.nextInt(4)) {
      case 0 -> circle.placed(0, x, y);
      case 1 -> circle;
      // A bar, of which the circle round it says little.
      case 2 ->
          new Outline(new double[] {-radius, radius, radius, -radius}, new double[] {-1, -1, 1, 1})
              .placed(x, x, y);
      // Corners in any order: it often crosses itself.
      default ->
          new Outline(random.doubles(5, -9, 9).toArray(), random.doubles(5, -9, 9).toArray())
              .placed(0, x, y);
    };
  }

  @Test
  void claimsNoMoreThanIsSo() {
    Random random = new Random(21);
    int nested = 0;
    for (int round = 0; round < 3_000; round++) {
      List<Outline> lines = new ArrayList<>();
      for (int k = random.nextInt(1, 6); k > 0; k--) {
        lines.add(random(random));
      }
      nested += agrees(lines) ? 1 : 0;
    }
    assertTrue(nested > 500, nested + " of them nested");
  }

  /** Lines of pieces as they are made are all told apart without laying them over each other. */
  @Test
  void knowsThePiecesOfTrains() throws CardException {
    for (String card :
        new String[] {
          "parallel 18 ~ 72 = 20 ~ 80; module 1 mm; bore A 5 mm flat 4.5 mm",
          "planetary sun 24 planet 15 x3 ring 54; module 1 mm; bore sun 5 mm hex",
          "cycloidal lobes 11 pins 12; module 2 mm",
          "strainwave nominal 40"
        }) {
      Train train = Card.read(card.replace(';', '\n')).train();
      for (Piece piece : Pieces.of(train, FaceLayout.of(train), CHORD).all()) {
        for (Slab slab : piece.slabs()) {
          assertTrue(agrees(slab.region().outlines(CHORD)), piece::name);
        }
      }
    }
  }

  /** A hole is told from one that breaks out, and from one that a line lies in. */
  @Test
  void takesHolesOutOfMaterial() {
    Region disc = Region.disc(10).minus(Region.disc(2), CHORD);
    Region small = new Region(List.of(), List.of(new Round(6, 0, 2)));
    assertEquals(3, disc.minus(small, CHORD).circles().size());
    for (Round open :
        List.of(new Round(9, 0, 2), new Round(3, 0, 2), new Round(0, 0, 5), new Round(0, 0, 1))) {
      Region cut = disc.minus(new Region(List.of(), List.of(open)), CHORD);
      Geometry gone = new Region(List.of(), List.of(open)).area(CHORD);
      assertEquals(disc.area(CHORD).difference(gone).getArea(), cut.area(CHORD).getArea(), 1e-6);
      assertFalse(cut.circles().size() == 3, () -> open + " is taken for a hole");
    }
  }
}
