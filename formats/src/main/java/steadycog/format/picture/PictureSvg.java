package steadycog.format.picture;

import java.io.StringWriter;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;
import steadycog.format.picture.LinePicture.Clip;
import steadycog.format.picture.LinePicture.Close;
import steadycog.format.picture.LinePicture.Curve;
import steadycog.format.picture.LinePicture.Faded;
import steadycog.format.picture.LinePicture.Ink;
import steadycog.format.picture.LinePicture.Line;
import steadycog.format.picture.LinePicture.Move;
import steadycog.format.picture.LinePicture.Outline;
import steadycog.format.picture.LinePicture.Piece;
import steadycog.format.picture.LinePicture.Step;

/** A drawing as SVG 1.1. */
public final class PictureSvg {
  private static final String NAMESPACE = "http://www.w3.org/2000/svg";

  private final XMLStreamWriter xml;
  private int clips;

  private PictureSvg(XMLStreamWriter xml) {
    this.xml = xml;
  }

  public static String write(LinePicture picture) {
    return write(picture, true);
  }

  /** The same to stand within a page. */
  public static String inline(LinePicture picture) {
    return write(picture, false);
  }

  private static String write(LinePicture picture, boolean alone) {
    try {
      StringWriter text = new StringWriter();
      XMLStreamWriter xml = XMLOutputFactory.newDefaultFactory().createXMLStreamWriter(text);
      if (alone) {
        xml.writeStartDocument("UTF-8", "1.0");
      }
      new PictureSvg(xml).document(picture);
      xml.writeEndDocument();
      xml.close();
      return text.toString();
    } catch (XMLStreamException never) {
      throw new IllegalStateException("written to memory", never);
    }
  }

  private void document(LinePicture picture) throws XMLStreamException {
    xml.writeStartElement("svg");
    xml.writeDefaultNamespace(NAMESPACE);
    put("width", picture.width());
    put("height", picture.height());
    xml.writeAttribute(
        "viewBox", "0 0 " + number(picture.width()) + " " + number(picture.height()));
    xml.writeStartElement("title");
    xml.writeCharacters(picture.title());
    xml.writeEndElement();
    pieces(picture.pieces());
    xml.writeEndElement();
  }

  private void pieces(List<Piece> pieces) throws XMLStreamException {
    for (Piece piece : pieces) {
      piece(piece);
    }
  }

  private void piece(Piece piece) throws XMLStreamException {
    switch (piece) {
      case Outline outline -> outline(outline);
      case Clip clip -> {
        clips++;
        xml.writeStartElement("clipPath");
        xml.writeAttribute("id", "clip" + clips);
        xml.writeEmptyElement("rect");
        put("x", clip.x());
        put("y", clip.y());
        put("width", clip.width());
        put("height", clip.height());
        xml.writeEndElement();
        xml.writeStartElement("g");
        xml.writeAttribute("clip-path", "url(#clip" + clips + ")");
        pieces(clip.within());
        xml.writeEndElement();
      }
      case Faded(double opacity, List<Piece> within) -> {
        xml.writeStartElement("g");
        put("opacity", opacity);
        pieces(within);
        xml.writeEndElement();
      }
    }
  }

  private void outline(Outline outline) throws XMLStreamException {
    xml.writeEmptyElement("path");
    if (!outline.words().isEmpty()) {
      xml.writeAttribute("aria-label", outline.words());
    }
    xml.writeAttribute(
        "d", outline.steps().stream().map(PictureSvg::step).collect(Collectors.joining()));
    ink("fill", outline.fill());
    if (outline.stroke().isPresent()) {
      ink("stroke", outline.stroke());
      put("stroke-width", outline.pen().width());
      xml.writeAttribute("stroke-linejoin", word(outline.pen().join()));
      xml.writeAttribute("stroke-linecap", word(outline.pen().cap()));
      if (!outline.pen().dash().isEmpty()) {
        xml.writeAttribute(
            "stroke-dasharray",
            outline.pen().dash().stream().map(PictureSvg::number).collect(Collectors.joining(" ")));
      }
    }
  }

  private void ink(String what, Optional<Ink> ink) throws XMLStreamException {
    xml.writeAttribute(
        what, ink.map(one -> String.format(Locale.ROOT, "#%06x", one.rgb())).orElse("none"));
    if (ink.isPresent() && ink.get().opacity() < 1) {
      put(what + "-opacity", ink.get().opacity());
    }
  }

  private static String step(Step step) {
    return switch (step) {
      case Move(double x, double y) -> "M" + points(x, y);
      case Line(double x, double y) -> "L" + points(x, y);
      case Curve(double x1, double y1, double x2, double y2, double x, double y) ->
          "C" + points(x1, y1, x2, y2, x, y);
      case Close() -> "Z";
    };
  }

  private static String points(double... values) {
    return Arrays.stream(values).mapToObj(PictureSvg::number).collect(Collectors.joining(" "));
  }

  private static String word(Enum<?> constant) {
    return constant.name().toLowerCase(Locale.ROOT);
  }

  private void put(String name, double value) throws XMLStreamException {
    xml.writeAttribute(name, number(value));
  }

  private static String number(double value) {
    double rounded = Math.round(value * 1e4) / 1e4;
    return rounded == Math.rint(rounded) ? Long.toString((long) rounded) : Double.toString(rounded);
  }
}
