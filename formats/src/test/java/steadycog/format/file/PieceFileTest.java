package steadycog.format.file;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayInputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.CancellationException;
import java.util.zip.ZipInputStream;
import javax.xml.parsers.DocumentBuilderFactory;
import org.apache.batik.anim.dom.SAXSVGDocumentFactory;
import org.apache.batik.bridge.BridgeContext;
import org.apache.batik.bridge.GVTBuilder;
import org.apache.batik.bridge.UserAgentAdapter;
import org.apache.batik.gvt.GraphicsNode;
import org.apache.batik.util.XMLResourceDescriptor;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;
import steadycog.format.pdf.ReportPdf;
import steadycog.job.Job;
import steadycog.job.Sheet;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.number.Units;
import steadycog.piece.Arrangement;
import steadycog.piece.Coupon;
import steadycog.piece.Piece;
import steadycog.piece.Slab;
import steadycog.piece.UnmakeableException;
import steadycog.report.Report;
import steadycog.report.Section;
import steadycog.study.Study;

class PieceFileTest {
  private static final double CHORD = 0.01;
  private static final String CARD =
      "planetary sun 12/- planet 18=18 x3 clocked ring 48/50; module 1 mm; clearance printed\n"
          + "bore sun 3 mm flat 2.5 mm; bore carrier 8 mm key; width planet2 6 mm";

  private static final Study STUDY = study();

  private static Study study() {
    try {
      return Study.of(Card.read(CARD).train());
    } catch (CardException unreadable) {
      throw new IllegalStateException(unreadable);
    }
  }

  private static List<Piece> pieces() {
    return STUDY.pieces(CHORD).all();
  }

  private static byte[] file(PieceFile kind, List<Piece> pieces, boolean together) {
    try {
      return kind.write(pieces, together, CHORD, "Focuser", () -> false, done -> {});
    } catch (UnmakeableException useless) {
      throw new AssertionError(useless);
    }
  }

  /** Another program's reader finds the page at its true size, and draws it. */
  @Test
  void svgIsOneToOne() throws Exception {
    double[] box = Arrangement.together(pieces()).bounds();
    byte[] bytes = file(PieceFile.SVG, pieces(), true);
    BridgeContext context = new BridgeContext(new UserAgentAdapter());
    GraphicsNode drawn =
        new GVTBuilder()
            .build(
                context,
                new SAXSVGDocumentFactory(XMLResourceDescriptor.getXMLParserClassName())
                    .createSVGDocument("file:/focuser.svg", new ByteArrayInputStream(bytes)));
    double pixel = context.getUserAgent().getPixelUnitToMillimeter();
    assertEquals(box[2] - box[0] + 4, context.getDocumentSize().getWidth() * pixel, 0.01);
    double hairlines = 0.3;
    assertEquals(box[2] - box[0], drawn.getGeometryBounds().getWidth() * pixel, hairlines);
    assertEquals(box[3] - box[1], drawn.getGeometryBounds().getHeight() * pixel, hairlines);
    String text = new String(bytes, StandardCharsets.UTF_8);
    assertTrue(text.contains("<title>planet 2, 2 of 3, clocked by"), text.substring(0, 400));
  }

  /** Every line of the drawing is closed, on a layer of its own, and as long as its outline. */
  @Test
  void dxfHoldsClosedLinesOnLayers() {
    List<String[]> pairs = new ArrayList<>();
    String[] lines =
        new String(file(PieceFile.DXF, pieces(), true), StandardCharsets.US_ASCII).split("\r\n");
    for (int k = 0; k + 1 < lines.length; k += 2) {
      pairs.add(new String[] {lines[k], lines[k + 1]});
    }
    assertEquals("EOF", pairs.getLast()[1]);
    int vertices = 0;
    int circles = 0;
    Set<String> layers = new HashSet<>();
    Set<String> used = new HashSet<>();
    String entity = "";
    for (String[] pair : pairs) {
      if (pair[0].equals("0")) {
        entity = pair[1];
        vertices += entity.equals("VERTEX") ? 1 : 0;
        circles += entity.equals("CIRCLE") ? 1 : 0;
      } else if (entity.equals("LAYER") && pair[0].equals("2")) {
        layers.add(pair[1]);
      } else if (pair[0].equals("8")) {
        used.add(pair[1]);
      } else if (entity.equals("POLYLINE") && pair[0].equals("70")) {
        assertEquals("1", pair[1], "closed");
      }
    }
    assertEquals(layers, used);
    assertTrue(layers.contains("PLANET-2-ROW-2"), layers.toString());
    int expected = 0;
    int round = 0;
    for (Arrangement.Laid one : Arrangement.together(pieces()).laid()) {
      for (var region : one.regions()) {
        expected += region.lines().stream().mapToInt(line -> line.size()).sum();
        round += region.circles().size();
      }
    }
    assertEquals(expected, vertices);
    assertEquals(round, circles);
  }

  private static double volumeOfSlabs(List<Piece> pieces) {
    double sum = 0;
    for (Piece piece : pieces) {
      for (Slab slab : piece.slabs()) {
        double area = slab.region().area(CHORD).getArea();
        sum += area * (slab.to() - slab.from()) * piece.stands().size();
      }
    }
    return sum;
  }

  /** Read back as floats, edges still meet in pairs and the volume is that of the slabs. */
  @Test
  void stlIsClosedAsItIsRead() {
    ByteBuffer in =
        ByteBuffer.wrap(file(PieceFile.STL, pieces(), true)).order(ByteOrder.LITTLE_ENDIAN);
    in.position(80);
    int triangles = in.getInt();
    assertEquals(84 + 50 * triangles, in.capacity());
    Map<List<Object>, Integer> edges = new HashMap<>();
    double volume = 0;
    for (int t = 0; t < triangles; t++) {
      in.position(in.position() + 12);
      float[][] c = new float[3][3];
      for (float[] corner : c) {
        for (int k = 0; k < 3; k++) {
          corner[k] = in.getFloat();
        }
      }
      in.getShort();
      for (int k = 0; k < 3; k++) {
        edges.merge(List.of(point(c[k]), point(c[(k + 1) % 3])), 1, Integer::sum);
        edges.merge(List.of(point(c[(k + 1) % 3]), point(c[k])), -1, Integer::sum);
      }
      volume += volume(c);
    }
    assertTrue(edges.values().stream().allMatch(sum -> sum == 0));
    double expected = volumeOfSlabs(pieces());
    assertEquals(expected, volume, 1e-3 * expected);
  }

  private static List<Float> point(float[] c) {
    return List.of(c[0] + 0.0F, c[1] + 0.0F, c[2] + 0.0F);
  }

  private static double volume(float[][] c) {
    return (c[0][0] * ((double) c[1][1] * c[2][2] - (double) c[1][2] * c[2][1])
            - c[0][1] * ((double) c[1][0] * c[2][2] - (double) c[1][2] * c[2][0])
            + c[0][2] * ((double) c[1][0] * c[2][1] - (double) c[1][1] * c[2][0]))
        / 6;
  }

  /** The package has its parts; objects are named, items stand for all that is made. */
  @Test
  void threeMfNamesWhatIsMade() throws Exception {
    List<Piece> coupon = Coupon.of(STUDY.train(), CHORD);
    Document model = null;
    Set<String> entries = new HashSet<>();
    try (ZipInputStream zip =
        new ZipInputStream(new ByteArrayInputStream(file(PieceFile.THREE_MF, coupon, false)))) {
      for (var entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
        entries.add(entry.getName());
        byte[] bytes = zip.readAllBytes();
        Document read =
            DocumentBuilderFactory.newInstance()
                .newDocumentBuilder()
                .parse(new ByteArrayInputStream(bytes));
        model = entry.getName().endsWith(".model") ? read : model;
      }
    }
    assertEquals(Set.of("[Content_Types].xml", "_rels/.rels", "3D/3dmodel.model"), entries);
    Element root = model.getDocumentElement();
    assertEquals("millimeter", root.getAttribute("unit"));
    NodeList objects = root.getElementsByTagName("object");
    assertEquals(coupon.size(), objects.getLength());
    assertEquals(
        "sector 2, 0.03 mm off each flank, 2 alike",
        ((Element) objects.item(2)).getAttribute("name"));
    assertEquals(
        coupon.stream().mapToInt(piece -> piece.stands().size()).sum(),
        root.getElementsByTagName("item").getLength());
    for (int k = 0; k < objects.getLength(); k++) {
      Element object = (Element) objects.item(k);
      int vertices = object.getElementsByTagName("vertex").getLength();
      NodeList triangles = object.getElementsByTagName("triangle");
      for (int t = 0; t < triangles.getLength(); t++) {
        String last = ((Element) triangles.item(t)).getAttribute("v3");
        assertTrue(Integer.parseInt(last) < vertices);
      }
    }
  }

  @Test
  void solidsCanBeStopped() {
    assertThrows(
        CancellationException.class,
        () -> PieceFile.STL.write(pieces(), false, CHORD, "", () -> true, done -> {}));
  }

  /** The sheet says what the tables say, and the cautions. */
  @Test
  void pdfHoldsTheSheet() throws Exception {
    Job job = new Job("Tern Rock", List.of(Sheet.of("Focuser", Card.of(STUDY.train()))));
    byte[] bytes = ReportPdf.write(Report.of(job, Section.SHOP, Units.USUAL, ""));
    try (PDDocument read = Loader.loadPDF(bytes)) {
      String text = new PDFTextStripper().getText(read);
      assertTrue(text.contains("Tern Rock: Focuser"), text);
      assertTrue(text.contains("planet 2, 2 of 3, clocked by"), text);
      assertTrue(text.contains("qualified engineer"), text);
      assertTrue(text.contains("48.619"), text);
      assertTrue(text.contains("1 of " + read.getNumberOfPages()), text);
    }
  }
}
