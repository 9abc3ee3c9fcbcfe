package steadycog.format.svg;

import java.io.StringWriter;
import java.util.List;
import java.util.Locale;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;
import steadycog.number.Printable;
import steadycog.piece.Arrangement;
import steadycog.piece.Arrangement.Laid;
import steadycog.piece.Region;
import steadycog.shape.Outline;

/**
 * Writes laid out pieces as a picture at true size: a group a piece with its name as title, in it a
 * path a slab, material where an odd number of lines goes round. Hairlines, no fill, for cutters.
 */
public final class Svg {
  private static final String NAMESPACE = "http://www.w3.org/2000/svg";
  private static final double MARGIN = 2;

  private Svg() {}

  public static String write(Arrangement pieces, String title) {
    StringWriter text = new StringWriter();
    try {
      XMLStreamWriter xml = XMLOutputFactory.newDefaultFactory().createXMLStreamWriter(text);
      write(xml, pieces, title);
      xml.close();
    } catch (XMLStreamException impossible) {
      throw new IllegalStateException("writing to memory", impossible);
    }
    return text.append('\n').toString();
  }

  private static void write(XMLStreamWriter xml, Arrangement pieces, String title)
      throws XMLStreamException {
    double[] box = pieces.bounds();
    double width = box[2] - box[0] + 2 * MARGIN;
    double height = box[3] - box[1] + 2 * MARGIN;
    xml.writeStartDocument("UTF-8", "1.0");
    xml.writeStartElement("svg");
    xml.writeDefaultNamespace(NAMESPACE);
    xml.writeAttribute("width", number(width) + "mm");
    xml.writeAttribute("height", number(height) + "mm");
    // y runs down on the page, so everything stands mirrored in it.
    xml.writeAttribute(
        "viewBox",
        String.join(
            " ", number(box[0] - MARGIN), number(-box[3] - MARGIN), number(width), number(height)));
    xml.writeAttribute("fill", "none");
    xml.writeAttribute("stroke", "#000");
    xml.writeAttribute("stroke-width", "0.1");
    text(xml, "title", title);
    for (Laid one : pieces.laid()) {
      piece(xml, one);
    }
    xml.writeEndElement();
    xml.writeEndDocument();
  }

  private static void piece(XMLStreamWriter xml, Laid one) throws XMLStreamException {
    xml.writeStartElement("g");
    xml.writeAttribute("id", one.piece().slug() + "." + (one.copy() + 1));
    text(xml, "title", one.piece().flatTitle());
    List<Region> regions = one.regions();
    for (int k = 0; k < regions.size(); k++) {
      xml.writeEmptyElement("path");
      xml.writeAttribute("class", one.layer(k));
      xml.writeAttribute("fill-rule", "evenodd");
      xml.writeAttribute("d", path(regions.get(k)));
    }
    xml.writeEndElement();
  }

  private static void text(XMLStreamWriter xml, String element, String text)
      throws XMLStreamException {
    xml.writeStartElement(element);
    xml.writeCharacters(Printable.of(text));
    xml.writeEndElement();
  }

  private static String path(Region region) {
    StringBuilder path = new StringBuilder();
    for (Outline line : region.lines()) {
      for (int k = 0; k < line.size(); k++) {
        path.append(k == 0 ? 'M' : 'L').append(number(line.x()[k]));
        path.append(' ').append(number(-line.y()[k]));
      }
      path.append('Z');
    }
    for (Region.Round circle : region.circles()) {
      String radius = number(circle.radius());
      String arc = "A" + radius + " " + radius + " 0 1 0 ";
      String y = number(-circle.y());
      path.append('M').append(number(circle.x() - circle.radius())).append(' ').append(y);
      path.append(arc).append(number(circle.x() + circle.radius())).append(' ').append(y);
      path.append(arc).append(number(circle.x() - circle.radius())).append(' ').append(y);
      path.append('Z');
    }
    return path.toString();
  }

  private static String number(double value) {
    String text = String.format(Locale.ROOT, "%.4f", value + 0.0);
    return text.equals("-0.0000") ? "0" : text.replaceFirst("\\.?0+$", "");
  }
}
