package steadycog.piece;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.util.AffineTransformation;
import org.locationtech.jts.operation.polygonize.Polygonizer;
import org.locationtech.jts.operation.union.UnaryUnionOp;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.shape.FaceLayout;
import steadycog.train.Train;

/** Teeth that wind: closed, as much of it as of straight ones, and meshing at every height. */
class WoundSolidTest {
  private static final double CHORD = 0.01;

  private static final List<String> CARDS =
      List.of(
          "parallel 17 ~ 40; module 1 mm; width 10 mm; clearance printed; bore A 5 mm flat 4.5 mm",
          "parallel 17 ~ 40 = 15 ~ 42; module 1 mm; width 8 mm; clearance printed",
          "planetary sun 24 planet 15 x3 ring 54; module 1 mm; width 8 mm; clearance printed",
          "planetary sun 20/- planet 25=23 x3 ring 70/68; module 1 mm; width 6 mm;"
              + " clearance printed",
          "planetary sun 23 planet 19 x3 ring 61; module 1 mm; width 7 mm; clearance printed;"
              + " build ring in halves",
          "planetary sun 20 planet 14~15 x3 ring 62; module 1 mm; width 7 mm; clearance printed");

  private static Pieces pieces(String card) throws CardException {
    Train train = Card.read(card).train();
    return Pieces.of(train, FaceLayout.of(train), CHORD);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "helix 20 deg",
        "helix 35 deg left",
        "helix 25 deg double",
        "helix 25 deg double groove 1.5 mm"
      })
  void surfacesAreClosedAndHoldWhatStraightOnesHold(String helix) throws CardException {
    for (String card : CARDS) {
      Pieces wound = pieces(card + "; " + helix);
      for (Piece piece : wound.all()) {
        assertEquals(Optional.empty(), piece.flaw(CHORD), piece.name() + " of " + card);
        Solid solid = Solid.of(piece, CHORD);
        assertClosed(solid, piece.name() + " of " + card + " " + helix);
        double area = 0;
        for (Slab slab : piece.slabs()) {
          area += slab.region().area(CHORD).getArea() * (slab.to() - slab.from());
        }
        assertEquals(area, solid.volume(), 0.003 * area, piece.name());
      }
    }
  }

  private static void assertClosed(Solid solid, String whose) {
    Map<Long, Integer> edges = new HashMap<>();
    int[] corners = solid.corners();
    for (int k = 0; k < corners.length; k += 3) {
      for (int j = 0; j < 3; j++) {
        long from = corners[k + j];
        long to = corners[k + (j + 1) % 3];
        edges.merge(from << 32 | to, 1, Integer::sum);
      }
    }
    edges.forEach(
        (edge, count) -> {
          assertEquals(1, count, whose);
          assertEquals(1, edges.getOrDefault(edge << 32 | edge >>> 32, 0), whose + ": open");
        });
  }

  /** Halves hold together what the whole holds, and lie where it lies. */
  @Test
  void halvesAreTheWholeInTwo() throws CardException {
    String card = CARDS.get(2) + "; helix 25 deg double";
    List<Piece> whole = pieces(card).all();
    List<Piece> halves = pieces(card + "; build ring in halves").all();
    assertEquals(whole.size() + 1, halves.size());
    Piece ring = of("ring", whole).getFirst();
    List<Piece> two = of("ring", halves);
    double sum = 0;
    double top = ring.stands().getFirst().z();
    for (Piece half : two) {
      assertEquals(top, half.stands().getFirst().z(), 1e-9);
      top += half.slabs().getLast().to();
      Solid solid = Solid.of(half, CHORD);
      assertClosed(solid, half.name());
      sum += solid.volume();
    }
    assertEquals(Solid.of(ring, CHORD).volume(), sum, 1e-6 * sum);
    assertEquals("ring-half-1", two.getFirst().slug());
  }

  private static List<Piece> of(String member, List<Piece> all) {
    return all.stream().filter(piece -> piece.member().name().equals(member)).toList();
  }

  /** Cut at ten heights, no piece lies in another as they stand in the train. */
  @Test
  void teethMeshAtEveryHeight() throws CardException {
    for (String card : CARDS) {
      for (String helix : List.of("helix 22 deg", "helix 30 deg double")) {
        Pieces pieces = pieces(card + "; " + helix);
        List<Section> sections = new ArrayList<>();
        for (Piece piece : pieces.all()) {
          if (piece.isWound()) {
            sections.add(new Section(piece, Solid.of(piece, CHORD)));
          }
        }
        double overlap = 0;
        for (int step = 1; step < 10; step++) {
          double z = 0.7 * step + 0.013;
          List<Geometry> cuts = new ArrayList<>();
          for (Section section : sections) {
            for (Piece.Stand stand : section.piece.stands()) {
              cuts.add(section.at(z - stand.z(), stand));
            }
          }
          for (int i = 0; i < cuts.size(); i++) {
            for (int j = 0; j < i; j++) {
              overlap = Math.max(overlap, cuts.get(i).intersection(cuts.get(j)).getArea());
            }
          }
        }
        assertTrue(overlap < 0.01, card + " " + helix + " overlaps by " + overlap);
      }
    }
  }

  /** A solid cut across its axis, by its triangles alone. */
  private record Section(Piece piece, Solid solid) {
    private static final GeometryFactory FACTORY = new GeometryFactory();

    Geometry at(double z, Piece.Stand stand) {
      List<LineString> lines = new ArrayList<>();
      double[] points = solid.points();
      int[] corners = solid.corners();
      for (int k = 0; k < corners.length; k += 3) {
        List<Coordinate> cut = new ArrayList<>();
        for (int j = 0; j < 3; j++) {
          int a = 3 * corners[k + j];
          int b = 3 * corners[k + (j + 1) % 3];
          if (points[a + 2] < z != points[b + 2] < z) {
            // From the lower end, so that two triangles cut one edge in one point.
            int low = points[a + 2] < points[b + 2] ? a : b;
            int high = low == a ? b : a;
            double share = (z - points[low + 2]) / (points[high + 2] - points[low + 2]);
            cut.add(
                new Coordinate(
                    points[low] + share * (points[high] - points[low]),
                    points[low + 1] + share * (points[high + 1] - points[low + 1])));
          }
        }
        if (cut.size() == 2 && !cut.getFirst().equals2D(cut.getLast())) {
          lines.add(FACTORY.createLineString(cut.toArray(Coordinate[]::new)));
        }
      }
      if (lines.isEmpty()) {
        return FACTORY.createPolygon();
      }
      Polygonizer polygonizer = new Polygonizer(true);
      polygonizer.add(UnaryUnionOp.union(lines));
      Geometry area = polygonizer.getGeometry();
      AffineTransformation place = AffineTransformation.rotationInstance(stand.angle());
      return place.translate(stand.x(), stand.y()).transform(area);
    }
  }
}
