package steadycog.rating;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import steadycog.number.Figures;
import steadycog.number.Unit;
import steadycog.number.Units;
import steadycog.sizing.SheetTable;
import steadycog.sizing.SheetTable.Cell;
import steadycog.sizing.SheetTable.Field;
import steadycog.sizing.SheetTable.Row;
import steadycog.train.Duty.Term;

/** A rating line by line, every factor by itself, a column a tooth of a mesh. */
public final class RatingTables {
  private static final String BENDING = "Rating, bending";
  private static final String CONTACT = "Rating, contact";

  private final Rating rating;
  private final Units units;
  private final List<Column> columns = new ArrayList<>();

  private record Column(RatedMesh mesh, RatedTooth tooth) {}

  public RatingTables(Rating rating, Units units) {
    this.rating = rating;
    this.units = units;
    for (RatedMesh mesh : rating.meshes()) {
      mesh.teeth().forEach(tooth -> columns.add(new Column(mesh, tooth)));
    }
  }

  /** What the lines of a table of that title go together by; empty where it is no rating. */
  public static Optional<String> formula(String title) {
    if (title.startsWith(BENDING)) {
      return Optional.of(
          "Bending: s = Wt Ko Kv Ks Km KB / (b mt J); SF = allowed YN / s, over all states by"
              + " Miner\u2019s sum");
    }
    return title.startsWith(CONTACT)
        ? Optional.of(
            "Contact: sc = Cp \u221a(Wt Ko Kv Ks Km / (d b I)); SH = allowed ZN / sc, over all"
                + " states by Miner\u2019s sum")
        : Optional.empty();
  }

  /** Bending and contact; no columns where nothing is loaded. */
  public List<SheetTable> all() {
    return columns.isEmpty() ? List.of() : List.of(bending(), contact());
  }

  /** Factors against bending; no columns where nothing is loaded. */
  public SheetTable bending() {
    double wanted = rating.duty().value(Term.BENDING);
    List<Row> rows = new ArrayList<>(loads(c -> c.tooth.bendingDecides()));
    rows.add(row("Kv dynamic", "", c -> bent(c).mesh().dynamic()));
    rows.add(row("Ks size", "", c -> bent(c).tooth().size()));
    rows.add(row("Km distribution", "", c -> bent(c).mesh().distribution()));
    rows.add(row("KB rim", "", c -> bent(c).tooth().rim()));
    rows.add(row("b face", length(), c -> length(c.mesh.face())));
    rows.add(row("mt module", "mm", c -> c.mesh.module()));
    rows.add(row("J geometry", "", c -> bent(c).tooth().bending()));
    rows.add(row("bending at the root", stress(), c -> shown(bent(c).bending())));
    rows.add(row("stress allowed", stress(), c -> shown(c.tooth.allowedBending())));
    rows.add(words("it is that of", c -> c.tooth.source()));
    if (columns.stream().anyMatch(c -> c.tooth.bothWays())) {
      rows.add(words("bent", c -> c.tooth.bothWays() ? "both ways" : "one way"));
    }
    rows.add(row("cycles", "", c -> bent(c).cycles()));
    rows.add(row("YN life", "", c -> c.tooth.bendingLife()));
    rows.add(factor("SF", wanted, c -> c.tooth.bendingFactor()));
    return table(BENDING + asked(Term.BENDING), rows);
  }

  /** Factors against pitting, likewise. */
  public SheetTable contact() {
    double wanted = rating.duty().value(Term.CONTACT);
    List<Row> rows = new ArrayList<>(loads(c -> c.tooth.contactDecides()));
    rows.add(row("Kv dynamic", "", c -> pressed(c).mesh().dynamic()));
    rows.add(row("Ks size", "", c -> pressed(c).tooth().size()));
    rows.add(row("Km distribution", "", c -> pressed(c).mesh().distribution()));
    rows.add(row("b face", length(), c -> length(c.mesh.face())));
    rows.add(row("d pinion", length(), c -> length(c.mesh.pinion())));
    rows.add(row("I geometry", "", c -> pressed(c).mesh().pitting()));
    rows.add(row("Cp elastic", "\u221aMPa", c -> c.mesh.elastic()));
    rows.add(row("pressure", stress(), c -> shown(pressed(c).contact())));
    rows.add(row("pressure allowed", stress(), c -> shown(c.tooth.allowedContact())));
    rows.add(row("CH hardness ratio", "", c -> c.tooth.hardness()));
    rows.add(row("cycles", "", c -> pressed(c).cycles()));
    rows.add(row("ZN life", "", c -> c.tooth.contactLife()));
    rows.add(factor("SH", wanted, c -> c.tooth.contactFactor()));
    return table(CONTACT + asked(Term.CONTACT), rows);
  }

  private static Case bent(Column column) {
    return column.tooth.bendingDecides();
  }

  private static Case pressed(Column column) {
    return column.tooth.contactDecides();
  }

  /** What goes in: the state that decides, its load, and what holds for all. */
  private List<Row> loads(Function<Column, Case> decides) {
    List<Row> rows = new ArrayList<>();
    if (columns.stream().anyMatch(c -> !decides.apply(c).state().isEmpty())) {
      rows.add(words("state that decides", c -> decides.apply(c).state()));
    }
    rows.add(row("tooth force", "N", c -> decides.apply(c).force()));
    rows.add(row("pitch-line speed", "m/s", c -> decides.apply(c).speed()));
    rows.add(row("Ko overload", "", c -> decides.apply(c).mesh().overload()));
    rows.add(row("KR reliability", "", c -> decides.apply(c).mesh().reliability()));
    return rows;
  }

  private String asked(Term wanted) {
    return ", "
        + Figures.plain(rating.duty().value(Term.LIFE))
        + " h, "
        + Figures.plain(rating.duty().value(wanted))
        + " wanted";
  }

  private String length() {
    return units.length().symbol();
  }

  private double length(double mm) {
    return units.length().fromBase(mm);
  }

  private String stress() {
    return units.of(Unit.Dimension.STRESS).orElse(Unit.MPA).symbol();
  }

  private double shown(double mpa) {
    return units.of(Unit.Dimension.STRESS).orElse(Unit.MPA).fromBase(mpa * Unit.MPA.inBase());
  }

  private SheetTable table(String title, List<Row> rows) {
    return new SheetTable(
        title,
        columns.stream()
            .map(c -> c.tooth.wheel() + " on " + c.mesh.mesh().other(c.tooth.wheel()))
            .toList(),
        rows);
  }

  private Row row(String label, String unit, ToDoubleFunction<Column> value) {
    return new Row(
        label,
        unit,
        Field.FOLLOWS,
        columns.stream()
            .map(c -> Cell.of(Figures.significant(value.applyAsDouble(c), 4)))
            .toList());
  }

  private Row words(String label, Function<Column, String> words) {
    return new Row(
        label, "", Field.FOLLOWS, columns.stream().map(c -> Cell.of(words.apply(c))).toList());
  }

  private Row factor(String label, double wanted, ToDoubleFunction<Column> value) {
    return new Row(
        label,
        "",
        Field.FOLLOWS,
        columns.stream()
            .map(
                c ->
                    new Cell(
                        Figures.significant(value.applyAsDouble(c), 3),
                        false,
                        value.applyAsDouble(c) < wanted))
            .toList());
  }
}
