package steadycog.gearbox;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.FieldSource;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import steadycog.piece.Arrangement;
import steadycog.piece.Arrangement.Laid;
import steadycog.piece.Piece;
import steadycog.piece.Plates;
import steadycog.piece.Region;
import steadycog.piece.Slab;
import steadycog.piece.UnmakeableException;

/** What is made of gearboxes, on plates for a printer and a cutter. */
class PlatesTest {
  private static final double CHORD = 0.05;

  /** Whatever the plate: every copy lies on one, by itself, with room round it. */
  @ParameterizedTest
  @FieldSource("steadycog.gearbox.Boxes#ALL")
  void everyCopyHasRoomOnSomePlate(String card) throws Exception {
    List<Piece> made = Boxes.of(card).made();
    double largest = 0;
    for (Piece piece : made) {
      double[] box = piece.bounds();
      largest = Math.max(largest, Math.max(box[2] - box[0], box[3] - box[1]));
    }
    Random random = new Random(7);
    for (int round = 0; round < 5; round++) {
      double width = largest + 2 * Plates.ROOM + 200 * random.nextDouble();
      double depth = largest + 2 * Plates.ROOM + 200 * random.nextDouble();
      Plates plates = Plates.of(made, new Plates.Size(width, depth));
      List<String> copies = new ArrayList<>();
      for (Arrangement plate : plates.all()) {
        List<Envelope> taken = new ArrayList<>();
        for (Laid laid : plate.laid()) {
          copies.add(laid.piece().name() + " " + laid.copy());
          Envelope own = new Envelope();
          laid.regions()
              .forEach(region -> own.expandToInclude(region.area(CHORD).getEnvelopeInternal()));
          assertTrue(
              own.getMinX() > Plates.ROOM - 0.1 && own.getMaxX() < width - Plates.ROOM + 0.1);
          assertTrue(
              own.getMinY() > Plates.ROOM - 0.1 && own.getMaxY() < depth - Plates.ROOM + 0.1);
          taken.forEach(
              other -> assertTrue(own.distance(other) > Plates.ROOM - 0.1, laid.piece()::name));
          taken.add(own);
        }
      }
      assertEquals(made.stream().mapToInt(piece -> piece.stands().size()).sum(), copies.size());
      assertEquals(copies.size(), copies.stream().distinct().count());
    }
    String why =
        assertThrows(UnmakeableException.class, () -> Plates.of(made, new Plates.Size(5, 500)))
            .getMessage();
    assertTrue(why.contains("too large for a plate of 5 \u00d7 500 mm"), why);
  }

  /**
   * Turned over it is the same body: what was at a height is at the other, its right at its left.
   */
  @ParameterizedTest
  @FieldSource("steadycog.gearbox.Boxes#ALL")
  void theLargerEndLiesDownAndNothingElseChanges(String card) throws Exception {
    for (Piece piece : Boxes.of(card).made()) {
      Piece bedded = piece.bedded(CHORD);
      assertTrue(end(bedded, false) >= end(bedded, true) || bedded.isWound(), piece.name());
      assertSame(bedded, bedded.bedded(CHORD));
      double height = piece.slabs().getLast().to();
      boolean over = !bedded.equals(piece);
      for (double z = height / 23; z < height; z += height / 11) {
        Geometry was = at(piece, z);
        Geometry now = at(bedded, over ? height - z : z);
        assertEquals(was.getArea(), now.getArea(), 1e-6 * (1 + was.getArea()), piece.name());
        double left = now.getEnvelopeInternal().getMinX();
        assertEquals(
            over ? -was.getEnvelopeInternal().getMaxX() : was.getEnvelopeInternal().getMinX(),
            left,
            CHORD + 1e-9);
      }
      assertEquals(piece.stands(), bedded.stands());
    }
  }

  private static double end(Piece piece, boolean top) {
    Slab slab = top ? piece.slabs().getLast() : piece.slabs().getFirst();
    return slab.region().area(CHORD).getArea();
  }

  private static Geometry at(Piece piece, double z) {
    return piece.slabs().stream()
        .filter(slab -> slab.from() <= z && z < slab.to())
        .map(Slab::region)
        .findFirst()
        .orElseGet(Region::none)
        .area(CHORD);
  }

  @Test
  void sheetsHoldWhatIsOfOneThickness() throws Exception {
    List<Piece> made = Boxes.of(Boxes.FILTER).made();
    int flat = 0;
    for (var sheet : Plates.byThickness(made).entrySet()) {
      for (Piece piece : sheet.getValue()) {
        flat++;
        assertEquals(sheet.getKey(), piece.slabs().getFirst().to(), 1e-3);
        assertTrue(Plates.isFlat(piece));
      }
    }
    assertEquals(made.stream().filter(Plates::isFlat).count(), flat);
    assertTrue(flat > 3, flat + " pieces");
  }
}
