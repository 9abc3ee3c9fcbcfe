package steadycog.rating;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;
import steadycog.number.Figures;
import steadycog.number.Unit;
import steadycog.number.Units;
import steadycog.sizing.SheetTable;
import steadycog.sizing.SheetTable.Cell;
import steadycog.sizing.SheetTable.Field;
import steadycog.sizing.SheetTable.Row;

/** Shafts, pins and bearings line by line, a column each. */
public record ShaftRatingTable(ShaftRating rating, Units units) {
  private static final String TITLE = "Shafts and bearings";
  private static final String WALLS = "Flexspline's wall, a screening";
  private static final int DIGITS = 4;

  /** What rounding leaves of forces and moments that cancel. */
  private static final double NOTHING = 1e-6;

  /** What the lines go together by; empty where a table of that title is another. */
  public static Optional<String> formula(String title) {
    if (title.equals(WALLS)) {
      return Optional.of(
          "Flexspline's wall, a screening: 1.5 E s w0 / r\u00b2 of its forced shape, against what"
              + " is allowed or a round specimen of its steel endures");
    }
    return title.equals(TITLE)
        ? Optional.of(
            "Shafts: 1 / n = 16 / (\u03c0 d\u00b3) (2 Kf M / Se + \u221a3 Kfs T / Sut), and n = Sy"
                + " / \u03c3\u2032; pins: bending and shear against Sy; bearings: L10 = (C /"
                + " P)\u00b3 million turns")
        : Optional.empty();
  }

  /** Those that have columns. */
  public List<SheetTable> all() {
    return Stream.of(table(), walls()).filter(one -> !one.columns().isEmpty()).toList();
  }

  /** Stress ratios of flexsplines; no columns where there are none. */
  public SheetTable walls() {
    List<Row> rows =
        List.of(
            wall("bending stress", stress(), w -> figure(stress(w.stress()), false, false)),
            wall("stress allowed", stress(), w -> figure(stress(w.allowed()), !w.stated(), false)),
            wall("stress ratio", "", w -> figure(w.ratio(), false, w.ratio() > 1)),
            wall("bent to and fro", "times", w -> figure(w.cycles(), false, false)));
    return new SheetTable(
        WALLS, rating.walls().stream().map(wall -> wall.flex().toString()).toList(), rows);
  }

  private Row wall(String label, String unit, Function<FlexWall, Cell> cell) {
    return new Row(label, unit, Field.FOLLOWS, rating.walls().stream().map(cell).toList());
  }

  private String stress() {
    return units.of(Unit.Dimension.STRESS).orElse(Unit.MPA).symbol();
  }

  private double stress(double mpa) {
    return units.of(Unit.Dimension.STRESS).orElse(Unit.MPA).fromBase(mpa * Unit.MPA.inBase());
  }

  /** No columns where no shaft bears anything. */
  public SheetTable table() {
    List<Row> rows = new ArrayList<>();
    rows.add(row("first support, from mid-wheel", length(), s -> place(s, s.held().first())));
    rows.add(
        row(
            "second support",
            length(),
            s -> s.held().atOneEnd() ? Cell.NONE : place(s, s.held().second())));
    rows.add(number("on the first", "N", RatedShaft::onFirst));
    rows.add(number("on the second", "N", s -> s.held().atOneEnd() ? 0 : s.onSecond()));
    rows.add(number("along the axis", "N", RatedShaft::thrust));
    rows.add(row("state that decides", "", s -> Cell.of(s.worst().state())));
    rows.add(
        row(
            "worst place",
            "",
            s ->
                Cell.of(
                    s.worst()
                        .wheel()
                        .map(id -> "at " + id)
                        .orElse(s.pin() ? "at a plate" : "at a bearing"))));
    rows.add(number("bending there", torque(), s -> torque(s.worst().bending())));
    rows.add(number("torque there", torque(), s -> torque(s.worst().torque())));
    rows.add(row("factor wanted", "", s -> Cell.of(Figures.significant(s.wanted(), 3))));
    rows.add(row("least diameter", length(), s -> figure(length(s.least()), false, s.isShort())));
    rows.add(
        made(
            "diameter as made",
            length(),
            made -> figure(length(made.diameter()), !made.stated(), false)));
    rows.add(
        row(
            "factor as made",
            "",
            s ->
                s.made()
                    .map(
                        made -> new Cell(Figures.significant(made.factor(), 3), false, s.isShort()))
                    .orElse(Cell.NONE)));
    rows.add(
        row(
            "ball bearing, mm",
            "",
            s ->
                s.bearing()
                    .map(one -> new Cell(one.says(), !s.bearingStated(), s.isLoose()))
                    .orElse(Cell.NONE)));
    rows.add(life("C, rating entered", "N", life -> figure(life.rating(), false, false)));
    rows.add(life("P, equivalent load", "N", life -> figure(life.load(), false, false)));
    rows.add(
        life(
            "turns at",
            units.speed().symbol(),
            life -> figure(units.speed().fromBase(life.rpm()), false, false)));
    rows.add(life("L10 life", "h", life -> figure(life.hours(), false, life.isShort())));
    rows.add(life("life wanted", "h", life -> figure(life.wanted(), false, false)));
    return new SheetTable(
        TITLE,
        rating.shafts().stream().map(RatedShaft::name).toList(),
        rows.stream()
            .filter(row -> row.cells().stream().anyMatch(cell -> !cell.text().isEmpty()))
            .toList());
  }

  private Cell place(RatedShaft shaft, double mm) {
    return figure(length(mm), !shaft.held().stated(), false);
  }

  private static Cell figure(double value, boolean assumed, boolean alarm) {
    return new Cell(Figures.significant(value, DIGITS), assumed, alarm);
  }

  private String length() {
    return units.length().symbol();
  }

  private double length(double mm) {
    return units.length().fromBase(mm);
  }

  private String torque() {
    return units.torque().symbol();
  }

  private double torque(double nmm) {
    return units.torque().fromBase(nmm * Unit.NMM.inBase());
  }

  private Row row(String label, String unit, Function<RatedShaft, Cell> cell) {
    return new Row(label, unit, Field.FOLLOWS, rating.shafts().stream().map(cell).toList());
  }

  /** Empty where nothing acts. */
  private Row number(String label, String unit, ToDoubleFunction<RatedShaft> value) {
    return row(
        label,
        unit,
        shaft -> {
          double one = value.applyAsDouble(shaft);
          return Math.abs(one) < NOTHING ? Cell.NONE : figure(one, false, false);
        });
  }

  private Row made(String label, String unit, Function<RatedShaft.Made, Cell> cell) {
    return row(label, unit, shaft -> shaft.made().map(cell).orElse(Cell.NONE));
  }

  private Row life(String label, String unit, Function<RatedShaft.Life, Cell> cell) {
    return row(label, unit, shaft -> shaft.life().map(cell).orElse(Cell.NONE));
  }
}
