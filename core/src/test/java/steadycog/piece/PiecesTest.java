package steadycog.piece;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.operation.distance.IndexedFacetDistance;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.piece.Arrangement.Laid;
import steadycog.shape.BasicRack;
import steadycog.shape.Cut;
import steadycog.shape.CycloidGeometry;
import steadycog.shape.Detail;
import steadycog.shape.FaceLayout;
import steadycog.shape.GearOutline;
import steadycog.shape.Outline;
import steadycog.train.Cycloidal;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Teeth;
import steadycog.train.Train;

class PiecesTest {
  private static final Cycloidal.Sizes USUAL = Cycloidal.Sizes.USUAL;
  private static final double CHORD = 0.005;

  private static Pieces pieces(Train train) {
    return Pieces.of(train, FaceLayout.of(train), CHORD);
  }

  /** Every copy of every piece stands in mesh with its mates and touches none of them. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "planetary sun 12/- planet 18=18 x3 clocked ring 48/50; clearance flank 0.03 mm",
        "planetary sun 20/- planet 25=23 x3 ring 70/68; module 0.5 mm; clearance flank 0.02 mm",
        "planetary sun 24/- planet 16=21 x4 clocked ring 56/61; clearance flank 0.03 mm",
        "planetary sun 20=20 planet 22=22 x4 ring 64=64; module 2 mm; clearance laser",
        "planetary sun 30 planet 16~18 x3 ring 84; clearance flank 0.03 mm",
        "planetary planet 16 x2 ring 60; module 1.5 mm; clearance flank 0.02 mm apart 0.05 mm",
        "cycloidal lobes 29 pins 30 circle 120 mm discs 2; clearance flank 0.05 mm",
        "strainwave flex 100 circular 102; module 1 mm; clearance flank 0.02 mm"
      })
  void allStandClearInMesh(String card) throws CardException {
    Train train = Card.read(card).train();
    List<Laid> laid = Arrangement.together(pieces(train).all()).laid();
    int pairs = 0;
    for (Mesh mesh : train.meshes()) {
      for (Geometry a : wheels(train, laid, mesh.a())) {
        for (Geometry b : wheels(train, laid, mesh.b())) {
          double overlap = a.intersection(b).getArea();
          assertTrue(overlap < 1e-4, () -> mesh + " overlaps by " + overlap);
          pairs++;
        }
      }
    }
    assertTrue(pairs >= 1);
  }

  /** The outlines of a wheel at all its places. */
  private static List<Geometry> wheels(Train train, List<Laid> laid, MemberId wheel) {
    MemberId body = train.partOf(wheel).body(wheel);
    List<Geometry> all = new ArrayList<>();
    for (Laid one : laid) {
      boolean output = one.piece().name().endsWith("output");
      if (one.piece().member().equals(body) && !output) {
        List<Region> regions = one.regions();
        boolean second = !wheel.equals(body) && regions.size() > 1;
        all.add(regions.get(second ? regions.size() - 1 : 0).area(CHORD));
      }
    }
    return all;
  }

  @Test
  void planetsMadeForTheirPlacesAreNamedSo() throws CardException {
    Train clocked = Card.read("planetary sun 12/- planet 18=18 x3 clocked ring 48/50").train();
    List<String> titles = pieces(clocked).all().stream().map(Piece::title).toList();
    assertTrue(titles.contains("planet 1, 1 of 3, not clocked"), titles.toString());
    assertTrue(titles.contains("planet 2, 2 of 3, clocked by 2/3 tooth"), titles.toString());
    Train alike = Card.read("planetary sun 20/- planet 25=23 x3 ring 70/68").train();
    Piece planet =
        pieces(alike).all().stream()
            .filter(piece -> piece.name().equals("planet"))
            .findFirst()
            .orElseThrow();
    assertEquals("planet, 3 alike", planet.title());
    assertEquals(3, planet.stands().size());
  }

  /** No straight piece of an outline leaves the line by more than the chord, joints included. */
  @Test
  void outlinesHoldTheirChord() {
    Random random = new Random(14);
    for (int k = 0; k < 60; k++) {
      Teeth teeth = new Teeth(random.nextInt(7, 70), random.nextInt(4) == 0);
      double shift = teeth.internal() ? 0 : random.nextDouble(-0.2, 0.6);
      Cut cut = new Cut(BasicRack.ISO_53_A, shift, 0);
      double chord = random.nextDouble(0.001, 0.01);
      holds(
          outline(teeth, cut, chord), outline(teeth, cut, chord / 30), chord, teeth + " " + shift);
    }
    for (int lobes = 5; lobes < 60; lobes += 6) {
      CycloidGeometry drive = new CycloidGeometry(new Cycloidal("", lobes, lobes + 1, USUAL));
      holds(drive.disc(0.005, 0.05), drive.disc(0.0002, 0.05), 0.005, lobes + " lobes");
    }
  }

  private static Outline outline(Teeth teeth, Cut cut, double chord) {
    return GearOutline.of(teeth, cut, Detail.within(teeth, cut, chord), 0);
  }

  private static void holds(Outline coarse, Outline fine, double chord, String which) {
    Geometry line = Region.polygon(coarse).getExteriorRing();
    IndexedFacetDistance near = new IndexedFacetDistance(line);
    int points = fine.size() / 3;
    for (int p = 0; p < points; p++) {
      Coordinate at = new Coordinate(fine.x()[p], fine.y()[p]);
      double off = near.distance(line.getFactory().createPoint(at));
      assertTrue(off < 1.1 * chord, which + " leaves its line by " + off + " of " + chord);
    }
  }

  /** Nothing lies over anything else, and nothing outside what is said to be all. */
  @Test
  void piecesLaidApartLieApart() throws CardException {
    Train train = Card.read("planetary sun 12/- planet 18=18 x3 clocked ring 48/50").train();
    Arrangement apart = Arrangement.apart(pieces(train).all());
    List<Geometry> hulls =
        apart.laid().stream()
            .map(one -> one.regions().getFirst().area(CHORD).convexHull())
            .toList();
    for (int a = 0; a < hulls.size(); a++) {
      for (int b = a + 1; b < hulls.size(); b++) {
        assertTrue(hulls.get(a).distance(hulls.get(b)) > 1);
      }
    }
    assertEquals(7, apart.laid().size());
  }
}
