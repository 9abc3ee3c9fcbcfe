package steadycog.piece;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.HashMap;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import steadycog.RandomCards;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.notation.CardPrinter;
import steadycog.shape.Drives;
import steadycog.shape.FaceLayout;
import steadycog.train.Train;

class SolidTest {
  private static final int DESIGNS = Integer.getInteger("designs", 60);

  /** Closed, looking outwards, and as heavy as its slabs. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "parallel 17 ~ 40 = 12 ~ 60i; module 2 mm; shift A 0.2; bore A 8 mm key; bore B 10 mm hex;"
            + " bore C 6 mm flat 5 mm; clearance laser",
        "planetary sun 12/- planet 18=18 x3 ring 48/51; clearance printed",
        "planetary sun 12/- planet 18=21 x4 clocked ring 48/51; module 1 mm",
        "planetary sun 20=17 planet 20=23 x3 ring 60=63; module 0.5 mm",
        "planetary sun 30 planet 16~18 x3 ring 82; angle 25 stub",
        "cycloidal lobes 29 pins 30 discs 2; clearance flank 0.1 mm bore 0.1 mm",
        "strainwave flex 160 circular 162 lobes 2; module 0.5 mm",
        "strainwave nominal 50 hat",
        "parallel 6 ~ 200i; dp 32; angle 14.5"
      })
  void everyPieceIsClosedAndOfItsVolume(String card) throws CardException {
    Train train = Card.read(card).train();
    double chord = 0.02;
    Pieces pieces = Pieces.of(train, FaceLayout.of(train), chord);
    assertTrue(pieces.left().isEmpty());
    for (Piece piece : pieces.all()) {
      Solid solid = Solid.of(piece, chord);
      assertTrue(isClosed(solid), piece.title());
      double volume = volume(piece, chord);
      assertEquals(volume, solid.volume(), 1e-4 * volume, piece.title());
    }
  }

  /** Of whatever passes as makeable the solid is closed, in one, and of the volume of its slabs. */
  @Test
  void whateverIsMadeIsOneClosedBody() {
    Random random = new Random(77);
    int made = 0;
    int refused = 0;
    for (int k = 0; k < DESIGNS; k++) {
      Train train = RandomCards.next(random).train();
      double module = Drives.moduleMm(train);
      if (train.members().size() > 16 || module < 0.1) {
        continue;
      }
      double chord = 0.02 * Math.max(1, module);
      for (Piece piece : Pieces.of(train, FaceLayout.of(train), chord).all()) {
        if (piece.flaw(chord).isPresent()) {
          refused++;
          continue;
        }
        made++;
        Solid solid = Solid.of(piece, chord);
        assertClosedInOne(piece.title() + " of " + CardPrinter.print(train), solid);
        if (piece.bevel().isEmpty()) {
          double volume = volume(piece, chord);
          assertEquals(volume, solid.volume(), 1e-3 * volume, piece.title());
        }
      }
    }
    assertTrue(made > 4 * refused && refused > 0, made + " made, " + refused + " refused");
  }

  static void assertClosedInOne(String what, Solid solid) {
    assertTrue(isClosed(solid), what);
    assertEquals(1, bodies(solid), what);
    assertTrue(solid.volume() > 0, what);
  }

  private static double volume(Piece piece, double chord) {
    return piece.slabs().stream()
        .mapToDouble(slab -> slab.region().area(chord).getArea() * (slab.to() - slab.from()))
        .sum();
  }

  /** Bodies whose triangles hang together by corners. */
  private static long bodies(Solid solid) {
    int[] parent = IntStream.range(0, solid.points().length / 3).toArray();
    int[] corners = solid.corners();
    for (int k = 0; k < corners.length; k++) {
      int next = k % 3 == 2 ? k - 2 : k + 1;
      parent[root(parent, corners[k])] = root(parent, corners[next]);
    }
    return IntStream.of(corners).map(corner -> root(parent, corner)).distinct().count();
  }

  private static int root(int[] parent, int of) {
    int at = of;
    while (parent[at] != at) {
      parent[at] = parent[parent[at]];
      at = parent[at];
    }
    return at;
  }

  /** Whether each edge is passed once each way. */
  private static boolean isClosed(Solid solid) {
    Map<Long, Integer> balance = new HashMap<>();
    int[] corners = solid.corners();
    for (int k = 0; k < corners.length; k += 3) {
      for (int side = 0; side < 3; side++) {
        long from = corners[k + side];
        long to = corners[k + (side + 1) % 3];
        if (from == to) {
          return false;
        }
        balance.merge(from << 32 | to, 1, Integer::sum);
        balance.merge(to << 32 | from, -1, Integer::sum);
      }
    }
    return !balance.isEmpty() && balance.values().stream().allMatch(sum -> sum == 0);
  }
}
