package steadycog.format.pdf;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import steadycog.number.Exact;
import steadycog.number.Ratio;
import steadycog.number.Unit;
import steadycog.piece.Arrangement;
import steadycog.piece.Arrangement.Laid;
import steadycog.piece.Piece;
import steadycog.piece.Pieces;
import steadycog.piece.Region;
import steadycog.sizing.SheetTable;
import steadycog.sizing.SheetTable.Cell;
import steadycog.sizing.SheetTables;
import steadycog.study.NamedStudy;
import steadycog.study.Study;
import steadycog.train.Train;

/** The cut sheet on paper: drawing to scale, tables, pieces to make, cautions. */
public final class CutSheetPdf {
  private static final double[] SCALES = {10, 5, 2, 1, 0.5, 0.2, 0.1, 0.05, 0.02, 0.01};
  private static final double MOST_HEIGHT = 105;
  private static final double CHORD = 0.02;
  private static final int WHEELS = 6;
  private static final int MESHES = 4;

  /** Said wherever strength is shown. */
  public static final String SCREENING =
      "Strength is a first look by Lewis and Hertz under one steady load. Rating to the applicable"
          + " standard by a qualified engineer comes before use.";

  private static final String RUNNING =
      "Pinch points at running gears: guard them, no loose clothing. Never rely on a train that"
          + " holds by itself to hold a load over people: use a brake. Local codes and licensed"
          + " practice decide.";

  private CutSheetPdf() {}

  /**
   * The sheet of one train.
   *
   * @param job title of the job; may be empty
   * @param date when it is printed, in words; may be empty
   * @param length unit of lengths, mm or in
   */
  public static byte[] write(NamedStudy train, String job, String date, Unit length) {
    String title = job.isEmpty() ? train.name() : job + ": " + train.name();
    String footer = "Cut sheet, " + title + (date.isEmpty() ? "" : ", " + date);
    try (Paper paper = new Paper("Cut sheet, " + title, footer)) {
      new Sheet(paper, train, length).fill(title);
      return paper.finish();
    } catch (IOException impossible) {
      throw new UncheckedIOException("writing to memory", impossible);
    }
  }

  private record Sheet(Paper paper, NamedStudy named, Unit length) {

    void fill(String title) throws IOException {
      Study study = named.study();
      Train train = study.train();
      SheetTables tables = new SheetTables(train, named.cutSheet(), length);
      paper.title(title);
      paper.text(ratio());
      paper.text("Teeth: " + tables.pitch() + ", " + train.sizes().rackInForce() + "\u00b0.");
      paper.text("Clearance: " + SheetTables.clearance(train) + ".");
      Pieces pieces = study.pieces(CHORD);
      draw(pieces.all());
      for (String line : tables.summary()) {
        paper.text(line + ".");
      }
      for (SheetTable table : tables.all()) {
        table(table);
      }
      pieces(pieces);
      paper.heading("Cautions");
      paper.text(SCREENING);
      paper.text(RUNNING);
    }

    /** Says which ratio is meant. */
    private String ratio() {
      if (named.plan().isPresent()) {
        List<String> states = new ArrayList<>();
        for (NamedStudy one : named.each()) {
          states.add(one.name().replaceFirst("^.*, state ", "") + " " + ratio(one.study()));
        }
        return "Ratio i = in / out, by states: " + String.join(", ", states) + ".";
      }
      return "Ratio i = in / out: " + ratio(named.study()) + ".";
    }

    private static String ratio(Study study) {
      Optional<Ratio> ratio = study.ratio();
      return ratio
          .map(
              r ->
                  Exact.text(r.reduction()).replace('-', '\u2212')
                      + " : 1"
                      + (r.sameDirection() ? ", same way" : ", opposite way"))
          .orElse("none");
    }

    private void draw(List<Piece> pieces) throws IOException {
      if (pieces.isEmpty()) {
        return;
      }
      Arrangement standing = Arrangement.together(pieces);
      double[] box = standing.bounds();
      double scale = scale(box);
      List<Region> regions = new ArrayList<>();
      for (Laid one : standing.laid()) {
        regions.addAll(one.regions());
      }
      // Large ones first, so that none is hidden.
      regions.sort((a, b) -> Double.compare(size(b), size(a)));
      paper.space(6);
      paper.draw(regions, box, scale);
      paper.space(2);
      paper.remark("Scale " + scaleText(scale) + ", seen from the drive end.");
      paper.space(4);
    }

    private static double size(Region region) {
      double[] box = region.bounds();
      return box[2] - box[0];
    }

    private static double scale(double[] box) {
      double wide = Paper.width() / Paper.MM / (box[2] - box[0]);
      double high = MOST_HEIGHT / (box[3] - box[1]);
      double most = Math.min(wide, high);
      for (double scale : SCALES) {
        if (scale <= most) {
          return scale;
        }
      }
      return most;
    }

    private static String scaleText(double scale) {
      return scale >= 1 ? Math.round(scale) + " : 1" : "1 : " + Math.round(1 / scale);
    }

    private void table(SheetTable table) throws IOException {
      paper.heading(table.title());
      List<String> heads = new ArrayList<>(List.of(""));
      heads.addAll(table.columns());
      List<List<String>> rows = new ArrayList<>();
      for (SheetTable.Row row : table.rows()) {
        List<String> cells = new ArrayList<>(List.of(row.head()));
        row.cells().stream().map(Cell::plain).forEach(cells::add);
        rows.add(cells);
      }
      paper.table(heads, rows, table.title().equals("Wheels") ? WHEELS : MESHES);
      if (table.assumes()) {
        paper.remark("In brackets: usual proportions, not stated on the card.");
      }
    }

    private void pieces(Pieces pieces) throws IOException {
      paper.heading("Pieces");
      for (Piece piece : pieces.all()) {
        paper.text(piece.stands().size() + " \u00d7 " + piece.title());
      }
      for (String left : pieces.left()) {
        paper.remark("Not drawn for cutting: " + left + ".");
      }
    }
  }
}
