package steadycog.format.pdf;

import java.io.IOException;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import steadycog.piece.Region;
import steadycog.report.Block;
import steadycog.shape.Outline;

/** What is made, as it stands in mesh, on paper. */
final class PaperDrawing {
  private final Paper paper;
  private final PDPageContentStream page;

  PaperDrawing(Paper paper, PDPageContentStream page) {
    this.paper = paper;
    this.page = page;
  }

  void draw(Block.Drawing drawing, double scale) throws IOException {
    double[] box = drawing.bounds();
    double times = scale * Paper.MM;
    double dx = Paper.MARGIN + (Paper.width() - (box[2] - box[0]) * times) / 2 - box[0] * times;
    double dy = paper.at() - box[1] * times;
    page.setLineWidth(0.35F);
    page.setStrokingColor(Paper.INK[0], Paper.INK[1], Paper.INK[2]);
    page.setNonStrokingColor(0.93F, 0.91F, 0.86F);
    for (Region region : drawing.regions()) {
      for (Outline line : region.outlines(0.05 / scale)) {
        for (int k = 0; k < line.size(); k++) {
          float px = (float) (dx + line.x()[k] * times);
          float py = (float) (dy + line.y()[k] * times);
          if (k == 0) {
            page.moveTo(px, py);
          } else {
            page.lineTo(px, py);
          }
        }
        page.closePath();
      }
      page.fillAndStrokeEvenOdd();
    }
    float size = Paper.BODY - 2;
    for (Block.Name name : drawing.names()) {
      float wide = paper.measure(name.text(), Typefaces.BOLD, size);
      float x = (float) (dx + name.x() * times) - wide / 2;
      float base = (float) (dy + name.y() * times) - size / 3;
      page.setNonStrokingColor(1F, 1F, 1F);
      page.addRect(x - 1.5F, base - 1.5F, wide + 3, size + 1);
      page.fill();
      paper.put(name.text(), x, base, Typefaces.BOLD, size, Paper.INK);
    }
  }
}
