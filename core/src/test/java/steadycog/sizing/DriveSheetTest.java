package steadycog.sizing;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.number.Units;
import steadycog.piece.Piece;
import steadycog.study.Study;

/** What the sheet of a drive says is what a caliper finds on its made pieces. */
class DriveSheetTest {
  private static final double CHORD = 0.0005;

  private static Study study(String card) throws CardException {
    return Study.of(Card.read(card).train());
  }

  private static SheetTable table(Study study) {
    return new SheetTables(study.train(), study.cutSheet(), Units.USUAL).drives().getFirst();
  }

  private static String cell(SheetTable table, String row, String column) {
    int at = table.columns().indexOf(column);
    return table.rows().stream()
        .filter(one -> one.label().equals(row))
        .findFirst()
        .orElseThrow()
        .cells()
        .get(at)
        .text();
  }

  private static double mm(SheetTable table, String row, String column) {
    return Double.parseDouble(cell(table, row, column));
  }

  private static Geometry area(Study study, String piece, int slab) {
    Piece made =
        study.pieces(CHORD).all().stream()
            .filter(one -> one.name().equals(piece))
            .findFirst()
            .orElseThrow();
    int index = slab < 0 ? made.slabs().size() - 1 : slab;
    return made.slabs().get(index).region().area(CHORD);
  }

  /** The distance of a pin's surface from a region when its axis stands at x, y. */
  private static double off(Geometry area, double x, double y, double pin) {
    return area.distance(area.getFactory().createPoint(new Coordinate(x, y))) - pin / 2;
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "cycloidal lobes 14 pins 15 circle 100 mm pin 8 mm eccentric 2.2 mm; clearance printed",
        "cycloidal lobes 29 pins 30; clearance laser; width disc 8 mm",
        "cycloidal lobes 9 pins 10 circle 60 mm pin 4 mm eccentric 2.5 mm"
      })
  void aDiscIsAsTheSheetSays(String card) throws CardException {
    Study study = study(card);
    SheetTable table = table(study);
    Geometry disc = area(study, "disc", 0);
    double tips = 0;
    double hollows = Double.MAX_VALUE;
    for (Coordinate at : disc.convexHull().getCoordinates()) {
      tips = Math.max(tips, 2 * Math.hypot(at.x, at.y));
    }
    Geometry outside =
        disc.getFactory()
            .createPolygon(
                ((org.locationtech.jts.geom.Polygon) disc)
                    .getExteriorRing()
                    .getCoordinateSequence());
    for (Coordinate at : outside.getCoordinates()) {
      hollows = Math.min(hollows, 2 * Math.hypot(at.x, at.y));
    }
    assertEquals(tips, mm(table, "over the tips", "disc"), 0.002);
    assertEquals(hollows, mm(table, "over the hollows", "disc"), 0.002);
    assertEquals(
        disc.getEnvelopeInternal().getWidth(), mm(table, "jaws over the lobes", "disc"), 0.002);
    // Two pins pushed into hollows opposite each other: the first to the left of a tip's middle.
    int lobes = (int) mm(table, "lobes, pins", "disc");
    double pin = mm(table, "pin diameter", "ring");
    double over = mm(table, "over two of its pins", "disc");
    double apart = (over - pin) / (lobes % 2 == 0 ? 1 : Math.cos(Math.PI / 2 / lobes)) / 2;
    double hollow = hollow(outside);
    assertEquals(
        0, off(disc, apart * Math.cos(hollow), apart * Math.sin(hollow), pin), 0.003, card);
    double far = lobes % 2 == 0 ? Math.PI : Math.PI * (1 + 1.0 / lobes);
    assertEquals(
        0,
        off(disc, apart * Math.cos(hollow + far), apart * Math.sin(hollow + far), pin),
        0.003,
        card);
    List<String> rooms =
        List.of(cell(table, "inside, between the pins", "ring"), cell(table, "outside", "ring"));
    Geometry ring = area(study, "ring", 0);
    double wide = ring.getEnvelopeInternal().getWidth();
    assertEquals(wide, Double.parseDouble(rooms.getLast()), 0.01);
    assertEquals(
        mm(table, "bore", "disc"),
        2 * disc.distance(disc.getFactory().createPoint(new Coordinate(0, 0))),
        0.002);
  }

  private static double hollow(Geometry outline) {
    Coordinate nearest = outline.getCoordinates()[0];
    for (Coordinate at : outline.getCoordinates()) {
      nearest = Math.hypot(at.x, at.y) < Math.hypot(nearest.x, nearest.y) - 1e-9 ? at : nearest;
    }
    return Math.atan2(nearest.y, nearest.x);
  }

  @ParameterizedTest
  @CsvSource({
    "'strainwave nominal 80; module 0.5 mm; clearance machined', 160",
    "'strainwave flex 100 circular 102; module 1 mm; clearance flank 0.04 mm', 100",
    "'strainwave flex 63 circular 66 lobes 3; module 0.8 mm', 63"
  })
  void aFlexsplineIsAsTheSheetSays(String card, int teeth) throws CardException {
    Study study = study(card);
    SheetTable table = table(study);
    Geometry flex = area(study, "flex", -1);
    Geometry circular = area(study, "circular", 0);
    double pin = mm(table, "pins for it", "flex");
    double even = teeth % 2 == 0 ? 1 : Math.cos(Math.PI / 2 / teeth);
    double at = (mm(table, "over, between pins", "flex") - pin) / 2 / even;
    double space = Math.PI / teeth;
    assertEquals(0, off(flex, at * Math.cos(space), at * Math.sin(space), pin), 0.002);
    int others = Integer.parseInt(cell(table, "teeth", "circular"));
    double evenRing = others % 2 == 0 ? 1 : Math.cos(Math.PI / 2 / others);
    double inside = mm(table, "pins for it", "circular");
    double ring = (mm(table, "over, between pins", "circular") + inside) / 2 / evenRing;
    assertEquals(0, off(circular, ring, 0, inside), 0.002);
    Geometry wave = area(study, "wave", 0);
    double large = 0;
    for (Coordinate corner : wave.getCoordinates()) {
      large = Math.max(large, 2 * Math.hypot(corner.x, corner.y));
    }
    assertEquals(large, mm(table, "largest diameter", "wave"), 0.01);
  }

  @Test
  void roomIsThatOfThePiecesThatAreMade() throws CardException {
    Study study = study("cycloidal lobes 29 pins 30 discs 3");
    double top = 0;
    for (Piece piece : study.pieces(0.01).all()) {
      for (Piece.Stand stand : piece.stands()) {
        top = Math.max(top, stand.z() + piece.slabs().getLast().to());
      }
    }
    assertEquals(34, top, 1e-9);
    assertEquals(top, study.cutSheet().box().length(), 1e-9);
  }

  /** Of thin small teeth a larger pin is taken than the usual one, which would lie on the root. */
  @Test
  void measuringPinsLieOnFlanks() throws CardException {
    WheelFigures thin =
        study("parallel 40 ~ 60; module 0.3 mm; clearance printed").cutSheet().wheels().getFirst();
    assertTrue(thin.pin() > 1.728 * 0.3 + 1e-9);
    double bottom = thin.overPins().orElseThrow() - 2 * thin.pin();
    assertTrue(bottom > thin.root());
  }
}
