package steadycog.sizing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import steadycog.number.Figures;
import steadycog.number.Unit;
import steadycog.number.Units;
import steadycog.piece.Blank;
import steadycog.sizing.SheetTable.Cell;
import steadycog.sizing.SheetTable.Field;
import steadycog.sizing.SheetTable.Row;
import steadycog.sizing.ToothLoad.Bending;
import steadycog.train.Bevel;
import steadycog.train.Cycloidal;
import steadycog.train.Differential;
import steadycog.train.Helices;
import steadycog.train.Helix;
import steadycog.train.MemberId;
import steadycog.train.Parallel;
import steadycog.train.Part;
import steadycog.train.Planetary;
import steadycog.train.Shaft;
import steadycog.train.StrainWave;
import steadycog.train.Train;

/** Puts a cut sheet into tables, lengths in the unit that is asked for. */
public final class SheetTables {
  /** Where teeth that cannot run have no value. */
  private static final String NONE = "\u2013";

  /** The table of what the teeth bear. */
  public static final String STRENGTH = "Strength, a screening";

  private static final int MM_DECIMALS = 3;
  private static final int INCH_DECIMALS = 4;

  private static final Pattern LENGTH = Pattern.compile("(\\d+(?:\\.\\d+)?) (mm|cm|in)\\b");

  private final Train train;
  private final CutSheet sheet;
  private final Units units;

  /**
   * The tables of {@code sheet}.
   *
   * @param train that it is the sheet of
   * @param units of lengths and of moments
   */
  public SheetTables(Train train, CutSheet sheet, Units units) {
    this.train = train;
    this.sheet = sheet;
    this.units = units;
  }

  /** What is said above them. */
  public SheetSummary summary() {
    return new SheetSummary(train, sheet, this);
  }

  Units units() {
    return units;
  }

  /** All tables that have a column. */
  public List<SheetTable> all() {
    return Stream.of(
            Stream.of(wheels()),
            drives().stream(),
            Stream.of(meshes(), lostMotion(), strength(), bearings(), thrusts()))
        .flatMap(tables -> tables)
        .filter(table -> !table.columns().isEmpty())
        .toList();
  }

  public SheetTable wheels() {
    List<Row> rows = new ArrayList<>();
    rows.add(wheel("teeth", "", w -> Cell.of(w.teeth().toString())));
    rows.add(
        wheel("module", "mm", Field.MODULE, w -> Cell.of(Figures.significant(w.moduleMm(), 5))));
    boolean wound = Helices.any(train);
    if (wound) {
      rows.add(
          wheel(
              "helix angle",
              "\u00b0",
              Field.HELIX,
              w -> Cell.of(Figures.significant(w.helix().degrees().doubleValue(), 5))));
      rows.add(wheel("hand", "", w -> hand(w.helix())));
      rows.add(
          wheel(
              "transverse module",
              symbol(),
              w -> Cell.of(Figures.significant(units.length().fromBase(w.transverseMm()), 6))));
    }
    rows.add(wheel("pressure angle", "\u00b0", w -> Cell.of(Figures.significant(w.angle(), 4))));
    rows.add(wheel("profile shift x", "modules", Field.SHIFT, w -> Cell.of(signed(w.shift(), 3))));
    rows.add(wheel("pitch diameter", symbol(), w -> Cell.of(length(w.pitch()))));
    rows.add(wheel("base diameter", symbol(), w -> Cell.of(length(w.base()))));
    rows.add(wheel("tip diameter", symbol(), w -> Cell.of(length(w.tip()))));
    rows.add(wheel("root diameter", symbol(), w -> Cell.of(length(w.root()))));
    rows.add(wheel("tooth thickness", symbol(), w -> Cell.of(length(w.thickness()))));
    rows.add(wheel("span", symbol(), w -> optional(w.span())));
    rows.add(wheel("over so many teeth", "", w -> spanned(w)));
    if (wound) {
      rows.add(wheel("span needs a face of", symbol(), w -> optional(w.spanFace())));
    }
    rows.add(wheel("over pins", symbol(), w -> optional(w.overPins())));
    rows.add(wheel("pin diameter", symbol(), w -> Cell.of(length(w.pin()))));
    rows.add(wheel("bore", "", Field.BORE, w -> bore(w.blank())));
    rows.add(
        wheel(
            "face width",
            symbol(),
            Field.WIDTH,
            w -> new Cell(length(w.blank().widthMm()), !w.blank().widthStated(), false)));
    rows.add(
        wheel("off each flank", symbol(), Field.OFFSET, w -> Cell.of(length(w.blank().flankMm()))));
    rows.add(wheel("material", "", Field.MATERIAL, w -> material(w.blank())));
    return new SheetTable(
        "Wheels", sheet.wheels().stream().map(w -> w.id().toString()).toList(), rows);
  }

  /** What can be typed over in the tables of drives: the member of a column, where it has one. */
  public List<List<MemberId>> driveColumns() {
    List<List<MemberId>> all = new ArrayList<>();
    for (Part part : train.parts()) {
      switch (part) {
        case Cycloidal drive -> all.add(List.of());
        case StrainWave drive -> all.add(List.of());
        case Parallel wheels -> {}
        case Planetary wheels -> {}
        case Bevel pair -> all.add(List.of(pair.pinionId(), pair.crownId()));
        case Differential sides -> all.add(List.of(sides.leftId()));
        case Shaft none -> {}
      }
    }
    return all;
  }

  /** A table a drive: cycloidal, strain wave, bevel. */
  public List<SheetTable> drives() {
    DriveTables tables = new DriveTables(train, this);
    List<SheetTable> all = new ArrayList<>();
    for (Part part : train.parts()) {
      switch (part) {
        case Cycloidal drive -> all.add(tables.of(drive));
        case StrainWave drive -> all.add(tables.of(drive));
        case Parallel wheels -> {}
        case Planetary wheels -> {}
        case Bevel pair -> all.add(tables.of(pair));
        case Differential sides -> all.add(tables.of(sides));
        case Shaft none -> {}
      }
    }
    return all;
  }

  private Row wheel(String label, String of, Function<WheelFigures, Cell> cell) {
    return wheel(label, of, Field.FOLLOWS, cell);
  }

  private Row wheel(String label, String of, Field field, Function<WheelFigures, Cell> cell) {
    return new Row(label, of, field, sheet.wheels().stream().map(cell).toList());
  }

  private static Cell spanned(WheelFigures wheel) {
    return wheel.spanned().isPresent()
        ? Cell.of(Integer.toString(wheel.spanned().getAsInt()))
        : Cell.NONE;
  }

  private static Cell hand(Helix helix) {
    String hand = helix.hand().map(Helix.Hand::word).orElse("straight");
    return Cell.of(helix.isDouble() ? "double, " + hand + " first" : hand);
  }

  Cell bore(Blank blank) {
    return blank
        .bore()
        .map(bore -> new Cell(shown(bore.toString()), !blank.boreStated(), false))
        .orElse(Cell.NONE);
  }

  /**
   * A text with its lengths in the unit of the tables: {@code 8 mm key} as {@code 0.3150 in key}.
   */
  private String shown(String text) {
    return LENGTH
        .matcher(text)
        .replaceAll(
            found -> {
              Unit own = Unit.of(found.group(2)).orElseThrow();
              return own == units.length()
                  ? found.group()
                  : length(own.toBase(Double.parseDouble(found.group(1)))) + " " + symbol();
            });
  }

  static Cell material(Blank blank) {
    return new Cell(blank.made().material().word(), !blank.madeStated(), false);
  }

  public SheetTable meshes() {
    List<Row> rows = new ArrayList<>();
    rows.add(mesh("centre distance", symbol(), Field.DISTANCE, m -> Cell.of(length(m.distance()))));
    rows.add(mesh("without shift", symbol(), m -> Cell.of(length(m.standard()))));
    rows.add(mesh("working angle", "\u00b0", m -> Cell.of(fixed(m.workingAngle(), 2))));
    rows.add(
        mesh(
            "contact ratio",
            "",
            m -> new Cell(fixed(m.contactRatio(), 2), false, m.contactRatio() < 1)));
    if (Helices.any(train)) {
      rows.add(mesh("overlap", "", m -> Cell.of(fixed(m.winding().overlap(), 2))));
      rows.add(mesh("contact and overlap", "", m -> Cell.of(fixed(m.totalContactRatio(), 2))));
      rows.add(
          mesh(
              "play along the axis",
              symbol(),
              m -> Double.isNaN(m.axialPlay()) ? Cell.NONE : Cell.of(length(m.axialPlay()))));
    }
    rows.add(
        play(
            "play across flanks",
            symbol(),
            p -> new Cell(length(p.play()), false, p.figures().overlaps())));
    if (sheet.plays().stream().anyMatch(p -> p.lost() > 0)) {
      rows.add(play("taken by fillets", symbol(), p -> Cell.of(length(p.lost()))));
    }
    rows.add(
        play("play round the pitch circle", symbol(), p -> Cell.of(length(p.around().nominal()))));
    if (sheet.plays().stream().anyMatch(p -> p.around().isWide())) {
      rows.add(
          play(
              "at least",
              symbol(),
              p -> new Cell(length(p.around().least()), false, p.around().least() < 0)));
      rows.add(play("at most", symbol(), p -> Cell.of(length(p.around().most()))));
      rows.add(play("likely from", symbol(), p -> Cell.of(length(p.around().likelyLeast()))));
      rows.add(play("likely to", symbol(), p -> Cell.of(length(p.around().likelyMost()))));
    }
    rows.add(
        play(
            "first turns by, its mate held",
            "\u2032",
            p -> Cell.of(fixed(p.minutes(p.figures().mesh().a()), 1))));
    rows.add(
        play(
            "second turns by",
            "\u2032",
            p -> Cell.of(fixed(p.minutes(p.figures().mesh().b()), 1))));
    rows.add(
        mesh(
            "tip clearance",
            symbol(),
            m -> new Cell(length(m.tipClearance()), false, m.tipClearance() < 0)));
    return new SheetTable(
        "Meshes",
        sheet.meshes().stream().map(m -> name(m.mesh().a(), m.mesh().b())).toList(),
        rows);
  }

  private Row play(String label, String of, Function<MeshPlay, Cell> cell) {
    return new Row(label, of, Field.FOLLOWS, sheet.plays().stream().map(cell).toList());
  }

  private Row mesh(String label, String of, Function<MeshFigures, Cell> cell) {
    return mesh(label, of, Field.FOLLOWS, cell);
  }

  private Row mesh(String label, String of, Field field, Function<MeshFigures, Cell> cell) {
    return new Row(label, of, field, sheet.meshes().stream().map(cell).toList());
  }

  private static String name(MemberId a, MemberId b) {
    return a + " ~ " + (a.part().equals(b.part()) ? b.name() : b.toString());
  }

  /** What each contact adds to the play at the output; no columns where it does not follow. */
  public SheetTable lostMotion() {
    List<LostMotion.Share> shares =
        sheet.lostMotion().map(LostMotion::shares).orElse(List.of()).stream()
            .filter(share -> share.minutes().most() > 0)
            .toList();
    List<Row> rows = new ArrayList<>();
    rows.add(share(shares, "it adds", s -> s.minutes().nominal()));
    if (shares.stream().anyMatch(s -> s.minutes().isWide())) {
      rows.add(share(shares, "at least", s -> s.minutes().least()));
      rows.add(share(shares, "at most", s -> s.minutes().most()));
    }
    return new SheetTable(
        "Play at " + sheet.lostMotion().map(lost -> lost.output().toString()).orElse("the output"),
        shares.stream().map(LostMotion.Share::of).toList(),
        rows);
  }

  private static Row share(
      List<LostMotion.Share> shares, String label, ToDoubleFunction<LostMotion.Share> minutes) {
    return new Row(
        label,
        "\u2032",
        Field.FOLLOWS,
        shares.stream().map(s -> Cell.of(fixed(minutes.applyAsDouble(s), 1))).toList());
  }

  /** Under the load of the state in force; no columns where torques do not follow. */
  public SheetTable strength() {
    List<Row> rows = new ArrayList<>();
    rows.add(load("tooth force", "N", l -> significant(l.force())));
    rows.add(load("contacts that share it", "", l -> Cell.of(Integer.toString(l.contacts()))));
    rows.add(load("pitch-line speed", "m/s", l -> optional(l.speed())));
    rows.add(load("bending, first", "MPa", l -> optional(l.a().map(Bending::stress))));
    rows.add(load("it bears", "\u00d7 load", l -> factor(l.a().map(Bending::factor))));
    rows.add(load("bending, second", "MPa", l -> optional(l.b().map(Bending::stress))));
    rows.add(load("it bears", "\u00d7 load", l -> factor(l.b().map(Bending::factor))));
    rows.add(load("pressure", "MPa", l -> optional(l.pressure())));
    rows.add(load("it bears", "\u00d7 load", l -> factor(l.pressureFactor())));
    return new SheetTable(
        STRENGTH,
        sheet.screening().loads().stream().map(l -> name(l.mesh().a(), l.mesh().b())).toList(),
        rows.stream().filter(SheetTables::says).toList());
  }

  /** Whether any column has a value. */
  static boolean says(Row row) {
    return row.cells().stream().anyMatch(cell -> !cell.text().isEmpty());
  }

  private Row load(String label, String of, Function<ToothLoad, Cell> cell) {
    return new Row(label, of, Field.FOLLOWS, sheet.screening().loads().stream().map(cell).toList());
  }

  private static Cell factor(Optional<Double> factor) {
    return factor.map(f -> new Cell(Figures.significant(f, 3), false, f < 1)).orElse(Cell.NONE);
  }

  public SheetTable bearings() {
    return new ShaftTables(sheet, units).bearings();
  }

  /** What helical teeth press along the axes with; no columns where none do. */
  public SheetTable thrusts() {
    return new ShaftTables(sheet, units).thrusts();
  }

  String symbol() {
    return units.length().symbol();
  }

  private Cell optional(OptionalDouble mm) {
    return mm.isPresent() ? Cell.of(length(mm.getAsDouble())) : Cell.NONE;
  }

  private static Cell optional(Optional<Double> value) {
    return value.map(SheetTables::significant).orElse(Cell.NONE);
  }

  static Cell significant(double value) {
    if (!Double.isFinite(value)) {
      return Cell.NONE;
    }
    boolean nothing = Math.abs(value) < 1e-9;
    return Cell.of(nothing ? "0" : Figures.significant(value, 3));
  }

  /** A length in the unit of the tables, without it. */
  public String length(double mm) {
    Unit unit = units.length();
    return fixed(unit.fromBase(mm), unit == Unit.MM ? MM_DECIMALS : INCH_DECIMALS);
  }

  static String fixed(double value, int decimals) {
    if (!Double.isFinite(value)) {
      return NONE;
    }
    double rounded = Math.abs(value) < 0.5 * Math.pow(10, -decimals) ? 0 : value;
    return Figures.typeset(Figures.fixed(rounded, decimals));
  }

  static String signed(double value, int decimals) {
    return Double.isFinite(value) ? Figures.typeset(Figures.signed(value, decimals)) : NONE;
  }
}
