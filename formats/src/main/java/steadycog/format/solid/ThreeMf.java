package steadycog.format.solid;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;
import steadycog.number.Known;
import steadycog.number.Printable;
import steadycog.piece.Piece;
import steadycog.piece.Solid;

/**
 * Writes solids as 3MF (3D Manufacturing Format, core specification 1.2), in mm: an object a piece
 * with its name, an item for each that is made.
 */
public final class ThreeMf {
  private static final String CORE = "http://schemas.microsoft.com/3dmanufacturing/core/2015/02";
  private static final String TYPES =
      """
      <?xml version="1.0" encoding="UTF-8"?>
      <Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types">
      <Default Extension="rels" \
      ContentType="application/vnd.openxmlformats-package.relationships+xml"/>
      <Default Extension="model" \
      ContentType="application/vnd.ms-package.3dmanufacturing-3dmodel+xml"/>
      </Types>
      """;
  private static final String RELATIONS =
      """
      <?xml version="1.0" encoding="UTF-8"?>
      <Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships">
      <Relationship Target="/3D/3dmodel.model" Id="rel0" \
      Type="http://schemas.microsoft.com/3dmanufacturing/2013/01/3dmodel"/>
      </Relationships>
      """;

  private ThreeMf() {}

  /** The file's bytes. */
  public static byte[] write(Solids solids, String title) {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(bytes, StandardCharsets.UTF_8)) {
      entry(zip, "[Content_Types].xml", TYPES);
      entry(zip, "_rels/.rels", RELATIONS);
      zip.putNextEntry(new ZipEntry("3D/3dmodel.model"));
      Writer writer = new OutputStreamWriter(zip, StandardCharsets.UTF_8);
      model(XMLOutputFactory.newDefaultFactory().createXMLStreamWriter(writer), solids, title);
      writer.flush();
      zip.closeEntry();
    } catch (IOException impossible) {
      throw new UncheckedIOException("writing to memory", impossible);
    } catch (XMLStreamException impossible) {
      throw new IllegalStateException("writing to memory", impossible);
    }
    return bytes.toByteArray();
  }

  private static void entry(ZipOutputStream zip, String name, String text) throws IOException {
    zip.putNextEntry(new ZipEntry(name));
    zip.write(text.getBytes(StandardCharsets.UTF_8));
    zip.closeEntry();
  }

  private static void model(XMLStreamWriter xml, Solids solids, String title)
      throws XMLStreamException {
    xml.writeStartDocument("UTF-8", "1.0");
    xml.writeStartElement("model");
    xml.writeDefaultNamespace(CORE);
    xml.writeAttribute("unit", "millimeter");
    xml.writeAttribute("xml:lang", "en");
    xml.writeStartElement("metadata");
    xml.writeAttribute("name", "Title");
    xml.writeCharacters(Printable.of(title));
    xml.writeEndElement();
    Map<Piece, Integer> ids = new LinkedHashMap<>();
    xml.writeStartElement("resources");
    for (Solids.Standing one : solids.all()) {
      if (!ids.containsKey(one.laid().piece())) {
        ids.put(one.laid().piece(), ids.size() + 1);
        object(xml, one, ids.size());
      }
    }
    xml.writeEndElement();
    xml.writeStartElement("build");
    for (Solids.Standing one : solids.all()) {
      xml.writeEmptyElement("item");
      xml.writeAttribute("objectid", Integer.toString(Known.in(ids, one.laid().piece())));
      double cos = Math.cos(one.laid().angle());
      double sin = Math.sin(one.laid().angle());
      xml.writeAttribute(
          "transform",
          String.join(
              " ",
              number(cos),
              number(sin),
              "0",
              number(-sin),
              number(cos),
              "0",
              "0 0 1",
              number(one.laid().x()),
              number(one.laid().y()),
              "0"));
    }
    xml.writeEndElement();
    xml.writeEndElement();
    xml.writeEndDocument();
    xml.flush();
  }

  private static void object(XMLStreamWriter xml, Solids.Standing one, int id)
      throws XMLStreamException {
    Solid solid = one.solid();
    xml.writeStartElement("object");
    xml.writeAttribute("id", Integer.toString(id));
    xml.writeAttribute("type", "model");
    xml.writeAttribute("name", Printable.of(one.laid().piece().title()));
    xml.writeStartElement("mesh");
    xml.writeStartElement("vertices");
    for (int k = 0; k < solid.points().length; k += 3) {
      xml.writeEmptyElement("vertex");
      xml.writeAttribute("x", number(solid.points()[k]));
      xml.writeAttribute("y", number(solid.points()[k + 1]));
      xml.writeAttribute("z", number(solid.points()[k + 2]));
    }
    xml.writeEndElement();
    xml.writeStartElement("triangles");
    for (int k = 0; k < solid.corners().length; k += 3) {
      xml.writeEmptyElement("triangle");
      xml.writeAttribute("v1", Integer.toString(solid.corners()[k]));
      xml.writeAttribute("v2", Integer.toString(solid.corners()[k + 1]));
      xml.writeAttribute("v3", Integer.toString(solid.corners()[k + 2]));
    }
    xml.writeEndElement();
    xml.writeEndElement();
    xml.writeEndElement();
  }

  private static String number(double value) {
    String text = String.format(Locale.ROOT, "%.5f", value + 0.0);
    return text.equals("-0.00000") ? "0" : text.replaceFirst("\\.?0+$", "");
  }
}
