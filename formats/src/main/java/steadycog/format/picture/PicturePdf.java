package steadycog.format.picture;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject;
import org.apache.pdfbox.pdmodel.graphics.state.PDExtendedGraphicsState;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAppearanceStream;
import org.apache.pdfbox.util.Matrix;
import steadycog.format.picture.LinePicture.Clip;
import steadycog.format.picture.LinePicture.Close;
import steadycog.format.picture.LinePicture.Curve;
import steadycog.format.picture.LinePicture.Faded;
import steadycog.format.picture.LinePicture.Ink;
import steadycog.format.picture.LinePicture.Line;
import steadycog.format.picture.LinePicture.Move;
import steadycog.format.picture.LinePicture.Outline;
import steadycog.format.picture.LinePicture.Pen;
import steadycog.format.picture.LinePicture.Piece;
import steadycog.format.picture.LinePicture.Step;

/** A drawing as a page of PDF, as large as it is. */
public final class PicturePdf {
  /** Points of 1/72 inch in a pixel of 1/96. */
  public static final float POINTS = 0.75f;

  private final PDDocument document;
  private final PDRectangle all;
  private final Map<Double, PDExtendedGraphicsState> opacities = new HashMap<>();

  private PicturePdf(PDDocument document, LinePicture picture) {
    this.document = document;
    all = new PDRectangle((float) picture.width(), (float) picture.height());
  }

  /** Writes it with its title; letters are areas, so that no typeface is asked for. */
  public static byte[] write(LinePicture picture) {
    try (PDDocument document = new PDDocument()) {
      float height = (float) picture.height() * POINTS;
      PDPage sheet = new PDPage(new PDRectangle((float) picture.width() * POINTS, height));
      document.addPage(sheet);
      document.getDocumentInformation().setTitle(picture.title());
      try (PDPageContentStream page = new PDPageContentStream(document, sheet)) {
        page.transform(new Matrix(POINTS, 0, 0, -POINTS, 0, height));
        new PicturePdf(document, picture).add(page, picture.pieces());
      }
      ByteArrayOutputStream bytes = new ByteArrayOutputStream();
      document.save(bytes);
      return bytes.toByteArray();
    } catch (IOException never) {
      throw new IllegalStateException("written to memory", never);
    }
  }

  /**
   * Draws it on a page that holds other things as well.
   *
   * @param x of its left end, points from the left
   * @param y of its upper end, points from below
   */
  public static void draw(
      PDDocument document, PDPageContentStream page, LinePicture picture, float x, float y)
      throws IOException {
    page.saveGraphicsState();
    page.transform(new Matrix(POINTS, 0, 0, -POINTS, x, y));
    new PicturePdf(document, picture).add(page, picture.pieces());
    page.restoreGraphicsState();
  }

  private void add(PDPageContentStream page, List<Piece> pieces) throws IOException {
    for (Piece piece : pieces) {
      switch (piece) {
        case Outline outline -> outline(page, outline);
        case Clip(double x, double y, double width, double height, List<Piece> within) -> {
          page.saveGraphicsState();
          page.addRect((float) x, (float) y, (float) width, (float) height);
          page.clip();
          add(page, within);
          page.restoreGraphicsState();
        }
        case Faded(double opacity, List<Piece> within) -> {
          PDFormXObject group = group(within);
          page.saveGraphicsState();
          page.setGraphicsStateParameters(opacities.computeIfAbsent(opacity, PicturePdf::seenBy));
          page.drawForm(group);
          page.restoreGraphicsState();
        }
      }
    }
  }

  /** A transparency group, in the pixels of the page. */
  private PDFormXObject group(List<Piece> pieces) throws IOException {
    // The one kind of form that is written by the same hand as a page.
    PDAppearanceStream form = new PDAppearanceStream(document);
    form.setBBox(all);
    form.setResources(new PDResources());
    COSDictionary attributes = new COSDictionary();
    attributes.setItem(COSName.S, COSName.TRANSPARENCY);
    form.getCOSObject().setItem(COSName.GROUP, attributes);
    try (PDPageContentStream within =
        new PDPageContentStream(document, form, form.getContentStream().createOutputStream())) {
      add(within, pieces);
    }
    return form;
  }

  private void outline(PDPageContentStream page, Outline outline) throws IOException {
    if (outline.fill().isPresent()) {
      Ink ink = outline.fill().get();
      page.setGraphicsStateParameters(opacities.computeIfAbsent(ink.opacity(), PicturePdf::seenBy));
      page.setNonStrokingColor(channel(ink, 16), channel(ink, 8), channel(ink, 0));
      trace(page, outline.steps());
      page.fill();
    }
    if (outline.stroke().isPresent()) {
      Ink ink = outline.stroke().get();
      Pen pen = outline.pen();
      page.setGraphicsStateParameters(opacities.computeIfAbsent(ink.opacity(), PicturePdf::seenBy));
      page.setStrokingColor(channel(ink, 16), channel(ink, 8), channel(ink, 0));
      page.setLineWidth((float) pen.width());
      page.setLineJoinStyle(pen.join().ordinal());
      page.setLineCapStyle(pen.cap().ordinal());
      float[] dash = new float[pen.dash().size()];
      for (int k = 0; k < dash.length; k++) {
        dash[k] = pen.dash().get(k).floatValue();
      }
      page.setLineDashPattern(dash, 0);
      trace(page, outline.steps());
      page.stroke();
    }
  }

  private static PDExtendedGraphicsState seenBy(double opacity) {
    PDExtendedGraphicsState state = new PDExtendedGraphicsState();
    state.setNonStrokingAlphaConstant((float) opacity);
    state.setStrokingAlphaConstant((float) opacity);
    return state;
  }

  private static float channel(Ink ink, int shift) {
    return (ink.rgb() >> shift & 0xff) / 255f;
  }

  private static void trace(PDPageContentStream page, List<Step> steps) throws IOException {
    for (Step step : steps) {
      switch (step) {
        case Move(double x, double y) -> page.moveTo((float) x, (float) y);
        case Line(double x, double y) -> page.lineTo((float) x, (float) y);
        case Curve(double x1, double y1, double x2, double y2, double x, double y) ->
            page.curveTo((float) x1, (float) y1, (float) x2, (float) y2, (float) x, (float) y);
        case Close() -> page.closePath();
      }
    }
  }
}
