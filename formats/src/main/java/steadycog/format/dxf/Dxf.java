package steadycog.format.dxf;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import steadycog.piece.Arrangement;
import steadycog.piece.Arrangement.Laid;
import steadycog.piece.Region;
import steadycog.shape.Outline;

/**
 * Writes laid out pieces as an exchange drawing of release 12 (AC1009), which every reader of the
 * kind knows: closed polylines, circles, names as text on a layer of their own that can be switched
 * off. Lengths in mm, one to one.
 */
public final class Dxf {
  /** Names may have no more in this release. */
  private static final int LONGEST_LAYER = 31;

  private static final String NAMES = "NAMES";
  private static final double TEXT = 2.5;
  private static final int COLOURS = 6;

  private final StringBuilder out = new StringBuilder();
  private final Map<String, String> layers = new LinkedHashMap<>();

  private Dxf() {}

  public static String write(Arrangement pieces) {
    return new Dxf().all(pieces);
  }

  private String all(Arrangement pieces) {
    for (Laid one : pieces.laid()) {
      for (int k = 0; k < one.regions().size(); k++) {
        layer(one.layer(k));
      }
    }
    header(pieces.bounds());
    tables();
    pair(0, "SECTION");
    pair(2, "ENTITIES");
    pieces.laid().forEach(this::piece);
    pair(0, "ENDSEC");
    pair(0, "EOF");
    return out.toString();
  }

  /** A layer's name in letters of this release, its own. */
  private String layer(String name) {
    return layers.computeIfAbsent(
        name,
        fresh -> {
          String plain = fresh.toUpperCase(Locale.ROOT).replaceAll("[^A-Z0-9_-]", "_");
          String kept = plain.substring(0, Math.min(LONGEST_LAYER, plain.length()));
          for (int k = 2; layers.containsValue(kept); k++) {
            String end = "-" + k;
            kept = plain.substring(0, Math.min(LONGEST_LAYER - end.length(), plain.length())) + end;
          }
          return kept;
        });
  }

  private void header(double[] box) {
    pair(999, "Steady Cog, lengths in mm");
    pair(0, "SECTION");
    pair(2, "HEADER");
    pair(9, "$ACADVER");
    pair(1, "AC1009");
    pair(9, "$INSUNITS");
    pair(70, "4");
    pair(9, "$MEASUREMENT");
    pair(70, "1");
    pair(9, "$EXTMIN");
    point(10, box[0], box[1]);
    pair(9, "$EXTMAX");
    point(10, box[2], box[3]);
    pair(0, "ENDSEC");
  }

  private void tables() {
    pair(0, "SECTION");
    pair(2, "TABLES");
    pair(0, "TABLE");
    pair(2, "LTYPE");
    pair(70, "1");
    pair(0, "LTYPE");
    pair(2, "CONTINUOUS");
    pair(70, "0");
    pair(3, "Solid line");
    pair(72, "65");
    pair(73, "0");
    pair(40, "0.0");
    pair(0, "ENDTAB");
    pair(0, "TABLE");
    pair(2, "LAYER");
    pair(70, Integer.toString(layers.size() + 1));
    int number = 0;
    for (String layer : layers.values()) {
      tableLayer(layer, 1 + number % COLOURS);
      number++;
    }
    tableLayer(NAMES, 8);
    pair(0, "ENDTAB");
    pair(0, "ENDSEC");
  }

  private void tableLayer(String name, int colour) {
    pair(0, "LAYER");
    pair(2, name);
    pair(70, "0");
    pair(62, Integer.toString(colour));
    pair(6, "CONTINUOUS");
  }

  private void piece(Laid one) {
    List<Region> regions = one.regions();
    for (int k = 0; k < regions.size(); k++) {
      String layer = layer(one.layer(k));
      regions.get(k).lines().forEach(line -> polyline(line, layer));
      regions.get(k).circles().forEach(circle -> circle(circle, layer));
    }
    pair(0, "TEXT");
    pair(8, NAMES);
    point(10, one.x(), one.y());
    pair(40, number(TEXT));
    pair(1, ascii(one.piece().flatTitle()));
  }

  private void polyline(Outline line, String layer) {
    pair(0, "POLYLINE");
    pair(8, layer);
    pair(66, "1");
    point(10, 0, 0);
    pair(70, "1");
    for (int k = 0; k < line.size(); k++) {
      pair(0, "VERTEX");
      pair(8, layer);
      point(10, line.x()[k], line.y()[k]);
    }
    pair(0, "SEQEND");
    pair(8, layer);
  }

  private void circle(Region.Round circle, String layer) {
    pair(0, "CIRCLE");
    pair(8, layer);
    point(10, circle.x(), circle.y());
    pair(40, number(circle.radius()));
  }

  private void point(int code, double x, double y) {
    pair(code, number(x));
    pair(code + 10, number(y));
    pair(code + 20, "0.0");
  }

  private void pair(int code, String value) {
    out.append(code).append("\r\n").append(value).append("\r\n");
  }

  private static String number(double value) {
    return String.format(Locale.ROOT, "%.6f", value + 0.0);
  }

  private static String ascii(String text) {
    return text.replaceAll("[^\\x20-\\x7e]", "?");
  }
}
