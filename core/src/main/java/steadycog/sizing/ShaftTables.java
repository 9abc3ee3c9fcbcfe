package steadycog.sizing;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import steadycog.number.Unit;
import steadycog.number.Units;
import steadycog.sizing.SheetTable.Cell;
import steadycog.sizing.SheetTable.Field;
import steadycog.sizing.SheetTable.Row;

/** What presses shafts and planets, across their axes and along them. */
record ShaftTables(CutSheet sheet, Units units) {

  SheetTable bearings() {
    List<Row> rows = new ArrayList<>();
    rows.add(bearing("pressed by its teeth", "N", b -> SheetTables.significant(b.force())));
    rows.add(
        bearing(
            "tilted by them",
            units.torque().symbol(),
            b ->
                SheetTables.significant(units.torque().fromBase(b.tilting() * Unit.NMM.inBase()))));
    return new SheetTable(
        "Bearings",
        sheet.bearings().stream()
            .map(b -> (b.planet() ? "pin of " : "shaft of ") + b.member())
            .toList(),
        rows);
  }

  /** What helical teeth press along the axes with; no columns where none do. */
  SheetTable thrusts() {
    List<Row> rows = new ArrayList<>();
    rows.add(thrust("pressed towards the drive end", "N", one -> force(one.towards(true))));
    rows.add(thrust("pressed towards the far end", "N", one -> force(one.towards(false))));
    rows.add(thrust("shoulder, this way round", "", one -> Cell.of(one.shoulder(false))));
    rows.add(thrust("shoulder, turning back", "", one -> Cell.of(one.shoulder(true))));
    rows.add(
        thrust(
            "nothing is left with",
            "",
            one -> one.cancelling().map(way -> Cell.of(way.toString())).orElse(Cell.NONE)));
    rows.add(
        thrust(
            "tilted by its two meshes",
            units.torque().symbol(),
            one ->
                one.planet()
                    ? SheetTables.significant(
                        units.torque().fromBase(one.tilting() * Unit.NMM.inBase()))
                    : Cell.NONE));
    return new SheetTable(
        "Thrust along the axes",
        sheet.thrusts().stream()
            .map(one -> (one.planet() ? "" : "shaft of ") + one.member())
            .toList(),
        rows.stream().filter(SheetTables::says).toList());
  }

  private static Cell force(double newtons) {
    return newtons == 0 ? Cell.NONE : SheetTables.significant(newtons);
  }

  private Row thrust(String label, String of, Function<Thrust, Cell> cell) {
    return new Row(label, of, Field.FOLLOWS, sheet.thrusts().stream().map(cell).toList());
  }

  private Row bearing(String label, String of, Function<Bearing, Cell> cell) {
    return new Row(label, of, Field.FOLLOWS, sheet.bearings().stream().map(cell).toList());
  }
}
