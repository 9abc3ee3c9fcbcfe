package steadycog.report;

import java.util.ArrayList;
import java.util.List;
import steadycog.number.Figures;
import steadycog.number.Units;
import steadycog.piece.Piece;
import steadycog.piece.Pieces;
import steadycog.rating.RatingTables;
import steadycog.rating.ShaftRatingTable;
import steadycog.report.Block.Heading;
import steadycog.report.Block.Remark;
import steadycog.report.Block.Table;
import steadycog.report.Block.Text;
import steadycog.sizing.CutSheet;
import steadycog.sizing.SheetSummary;
import steadycog.sizing.SheetTable;
import steadycog.sizing.SheetTables;
import steadycog.study.NamedStudy;
import steadycog.study.ShiftTable;
import steadycog.train.Element;

/** The cut sheet of a train, and the plan of its states. */
final class SheetBlocks {
  private static final int WHEELS = 6;
  private static final int MESHES = 4;
  private static final int PLAN_COLUMNS = 10;

  private final NamedStudy named;
  private final Units units;

  SheetBlocks(NamedStudy named, Units units) {
    this.named = named;
    this.units = units;
  }

  List<Block> cutSheet() {
    CutSheet sheet = named.cutSheet();
    SheetTables tables = new SheetTables(named.study().train(), sheet, units);
    SheetSummary above = tables.summary();
    List<Block> blocks = new ArrayList<>();
    blocks.add(new Text("Teeth: " + above.pitch()));
    blocks.add(new Text("Clearance: " + above.clearance()));
    boolean rated = above.isRated();
    above.lines(rated).forEach(line -> blocks.add(new Text(line)));
    if (!rated && !sheet.screening().loads().isEmpty()) {
      blocks.add(
          new Remark(
              "No strength is given here: the card leaves the size of teeth, a face width or a"
                  + " material to usual proportions."));
    }
    for (SheetTable table : named.tables(tables, units)) {
      if (!rated && table.title().equals(SheetTables.STRENGTH)) {
        continue;
      }
      List<String> heads = new ArrayList<>(List.of(table.title()));
      heads.addAll(table.columns());
      List<List<String>> rows = new ArrayList<>();
      for (SheetTable.Row row : table.rows()) {
        List<String> cells = new ArrayList<>(List.of(row.head()));
        row.cells().stream().map(SheetTable.Cell::plain).forEach(cells::add);
        rows.add(cells);
      }
      blocks.add(
          new Table(
              caption(table.title()),
              heads,
              rows,
              table.title().equals("Wheels") ? WHEELS : MESHES));
      if (table.assumes()) {
        blocks.add(new Remark("In brackets: usual proportions, not stated on the card."));
      }
    }
    Pieces pieces = named.study().pieces(DrawingBlocks.CHORD);
    if (!pieces.all().isEmpty()) {
      blocks.add(new Heading("Pieces"));
      for (Piece piece : pieces.all()) {
        blocks.add(new Text(piece.stands().size() + " \u00d7 " + piece.title()));
      }
    }
    return blocks;
  }

  private static String caption(String title) {
    return switch (title) {
      case "Wheels" -> "Wheels: teeth, sizes to measure by, and how each is made";
      case "Meshes" -> "Meshes: centre distances and play";
      case SheetTables.STRENGTH -> "Strength by Lewis and Hertz under the stated load: a screening";
      case "Bearings" -> "Bearings: what the teeth press on every shaft";
      default ->
          RatingTables.formula(title).or(() -> ShaftRatingTable.formula(title)).orElse(title);
    };
  }

  List<Block> plan() {
    return named.plan().map(this::plan).orElse(List.of());
  }

  private List<Block> plan(ShiftTable plan) {
    List<Block> blocks = new ArrayList<>();
    List<String> heads = new ArrayList<>(List.of("state"));
    plan.elements().stream().map(Element::toString).forEach(heads::add);
    heads.addAll(List.of("i = in/out", "mode", "step", "swaps", "comes out"));
    List<List<String>> rows = new ArrayList<>();
    for (ShiftTable.Row row : plan.rows()) {
      List<String> cells = new ArrayList<>(List.of(row.state().name()));
      for (int k = 0; k < plan.elements().size(); k++) {
        boolean on = row.state().engaged().contains(plan.elements().get(k));
        cells.add(
            on
                ? row.torques()
                    .get(k)
                    .map(t -> Figures.shown(t.doubleValue() / units.torque().inBase()))
                    .orElse("on")
                : "");
      }
      boolean last = row.equals(plan.rows().getLast());
      cells.add(row.study().ratio().map(r -> Figures.exact(r.reduction())).orElse(Table.NONE));
      cells.add(
          row.jammed()
              ? "jammed"
              : row.study()
                  .mode()
                  .map(mode -> mode.word().replaceAll("-.*", ""))
                  .orElse("no ratio"));
      cells.add(row.step().map(Figures::exact).orElse(Table.NONE));
      cells.add(last ? Table.NONE : Integer.toString(row.changes()));
      cells.add(row.study().efficiency().map(e -> Figures.percent(e, 1)).orElse(Table.NONE));
      rows.add(cells);
    }
    blocks.add(new Table("States, and what each engages", heads, rows, PLAN_COLUMNS));
    blocks.add(
        new Remark(
            "Engaged elements show the torque that they take, "
                + units.torque().symbol()
                + ", with losses."
                + plan.spread().map(s -> " Spread " + Figures.exact(s) + ".").orElse("")));
    return blocks;
  }
}
