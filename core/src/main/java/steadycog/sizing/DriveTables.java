package steadycog.sizing;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.Function;
import org.locationtech.jts.algorithm.Distance;
import org.locationtech.jts.geom.Coordinate;
import steadycog.number.Figures;
import steadycog.piece.BevelBody;
import steadycog.piece.Blank;
import steadycog.piece.FlexTube;
import steadycog.shape.BevelPair;
import steadycog.shape.BevelPair.Gear;
import steadycog.shape.CycloidGeometry;
import steadycog.shape.Drives;
import steadycog.shape.Outline;
import steadycog.shape.StrainGeometry;
import steadycog.sizing.SheetTable.Cell;
import steadycog.sizing.SheetTable.Field;
import steadycog.sizing.SheetTable.Row;
import steadycog.train.Bevel;
import steadycog.train.Clearance.Gap;
import steadycog.train.Cycloidal;
import steadycog.train.Differential;
import steadycog.train.MemberId;
import steadycog.train.StrainWave;
import steadycog.train.Train;

/**
 * Every length of drives without involute teeth that somebody has to make, buy or measure: a column
 * a piece, as the pieces are made, with what clearance takes off or adds.
 */
final class DriveTables {
  /** How far measured outlines may leave the true line, mm. */
  private static final double CHORD = 0.0005;

  /** A measuring pin touches straight flanks so far outside the pitch line, in modules. */
  private static final double PIN_HEIGHT = 0.2;

  private final Train train;
  private final SheetTables sheet;
  private final String unit;
  private final double room;
  private List<Row> rows = new ArrayList<>();

  /**
   * @param sheet puts lengths into the unit of the tables
   */
  DriveTables(Train train, SheetTables sheet) {
    this.train = train;
    this.sheet = sheet;
    this.unit = sheet.symbol();
    this.room = train.sizes().clearance().mm(Gap.BORE);
  }

  private Cell mm(double value) {
    return Cell.of(sheet.length(value));
  }

  /** A length that the card states, or leaves to proportion. */
  private Cell mm(double value, boolean stated) {
    return new Cell(sheet.length(value), !stated, false);
  }

  private void row(String label, String of, Cell... cells) {
    rows.add(new Row(label, of, Field.FOLLOWS, Arrays.asList(cells)));
  }

  private SheetTable table(String title, String... columns) {
    SheetTable table = new SheetTable(title, List.of(columns), rows);
    rows = new ArrayList<>();
    return table;
  }

  private static String titled(String kind, String name) {
    return name.isEmpty() ? kind : kind + " " + name;
  }

  private Cell bore(MemberId member) {
    Blank blank = Blank.of(train, member);
    return blank.boreStated() ? sheet.bore(blank) : Cell.NONE;
  }

  SheetTable of(Bevel pair) {
    bevels(BevelPair.of(train, pair).orElseThrow());
    return table(titled("Bevel pair", pair.name()), "pinion", "crown");
  }

  SheetTable of(Differential sides) {
    bevels(BevelPair.of(train, sides).orElseThrow());
    return table(titled("Differential", sides.name()), "sides", "spiders");
  }

  /** Lengths at the large end where nothing else is said. */
  private void bevels(BevelPair pair) {
    double module = train.moduleMm(pair.one().id());
    double cone = pair.coneDistance() * module;
    Function<Gear, BevelBody> body = gear -> BevelBody.of(train, gear.id()).orElseThrow();
    bevel("teeth", "", pair, gear -> Cell.of("" + gear.teeth()));
    bevel(
        "teeth of a spur gear",
        "",
        pair,
        gear -> Cell.of(SheetTables.fixed(gear.virtualTeeth(), 2)));
    bevel("module", "mm", Field.MODULE, pair, gear -> Cell.of(Figures.significant(module, 5)));
    bevel(
        "profile shift x",
        "modules",
        Field.SHIFT,
        pair,
        gear -> Cell.of(signed(gear.cut().shift())));
    bevel("pitch angle", "\u00b0", pair, gear -> degrees(gear.angle()));
    bevel("angle over the tips", "\u00b0", pair, gear -> degrees(gear.tipAngle()));
    bevel("angle along the roots", "\u00b0", pair, gear -> degrees(gear.rootAngle()));
    bevel("cone distance", unit, pair, gear -> mm(cone));
    boolean stated = pair.isFaceStated(train);
    bevel("face width", unit, Field.WIDTH, pair, gear -> mm(pair.faceMm(train), stated));
    bevel("pitch diameter", unit, pair, gear -> mm(gear.teeth() * module));
    bevel("over the tips", unit, pair, gear -> mm(2 * gear.radius(gear.tip()) * module));
    bevel("over the roots", unit, pair, gear -> mm(2 * gear.radius(gear.root()) * module));
    bevel("radius of the back cone", unit, pair, gear -> mm(gear.virtualTeeth() / 2 * module));
    bevel("apex to the tips", unit, pair, gear -> mm(gear.depth(gear.tip()) * module));
    bevel("apex to the flat back", unit, pair, gear -> mm(body.apply(gear).mounting()));
    bevel("back to the furthest tooth", unit, pair, gear -> mm(body.apply(gear).height()));
    bevel(
        "tooth thickness",
        unit,
        pair,
        gear -> {
          double lean = Math.tan(gear.cut().rack().pressureAngle());
          double off = Blank.thinning(train, gear.id(), gear.cut().rack().pressureAngle());
          return mm((Math.PI / 2 + 2 * gear.cut().shift() * lean - 2 * off) * module);
        });
    bevel(
        "play across flanks",
        unit,
        pair,
        gear ->
            mm(Blank.flankMm(train, pair.one().id()) + Blank.flankMm(train, pair.other().id())));
    bevel("bore", "", Field.BORE, pair, gear -> bevelBore(gear.id()));
    bevel("off each flank", unit, Field.OFFSET, pair, gear -> mm(Blank.flankMm(train, gear.id())));
    bevel(
        "material",
        "",
        Field.MATERIAL,
        pair,
        gear -> SheetTables.material(Blank.of(train, gear.id())));
    bevel(
        "contact ratio",
        "",
        pair,
        gear -> Cell.of(SheetTables.fixed(pair.onBackCones().contactRatio(), 2)));
  }

  private void bevel(String label, String of, BevelPair pair, Function<Gear, Cell> cell) {
    bevel(label, of, Field.FOLLOWS, pair, cell);
  }

  private void bevel(
      String label, String of, Field field, BevelPair pair, Function<Gear, Cell> cell) {
    List<Cell> cells = List.of(cell.apply(pair.one()), cell.apply(pair.other()));
    rows.add(new Row(label, of, field, cells));
  }

  /** A spider turns on a pin of its own. */
  private Cell bevelBore(MemberId id) {
    return train.member(id).teeth().isEmpty() ? Cell.NONE : sheet.bore(Blank.of(train, id));
  }

  private static Cell degrees(double radians) {
    return Cell.of(SheetTables.fixed(Math.toDegrees(radians), 3));
  }

  /** A gear without shift says so in the shortest way. */
  private static String signed(double value) {
    return value == 0 ? "0" : SheetTables.signed(value, 3);
  }

  SheetTable of(Cycloidal drive) {
    CycloidGeometry g = new CycloidGeometry(drive);
    Cycloidal.Sizes stated = drive.sizes();
    double off = Blank.flankMm(train, drive.discId());
    double width = Blank.widthMm(train, drive.discId());
    boolean wide = train.size(drive.discId()).width().isPresent();
    int discs = stated.discs();
    Cell none = Cell.NONE;
    boolean outputs = stated.outputs().isPresent();
    row(
        "lobes, pins",
        "",
        Cell.of("" + drive.lobes()),
        Cell.of("" + drive.pins()),
        none,
        Cell.of("" + g.outputs()));
    row(
        "how many are made",
        "",
        Cell.of("" + discs),
        Cell.of("1"),
        Cell.of(g.camsInOnePiece() ? "1" : discs + " cams"),
        Cell.of("1"));
    row(
        "circle of the pins",
        unit,
        none,
        mm(2 * g.circleRadius(), stated.circle().isPresent()),
        none,
        mm(2 * g.outputCircleRadius(), outputs));
    row(
        "pin diameter",
        unit,
        none,
        mm(2 * g.pinRadius(), stated.pin().isPresent()),
        none,
        mm(2 * g.outputPinRadius(), outputs));
    row(
        "eccentricity",
        unit,
        mm(g.eccentricity(), stated.eccentricity().isPresent()),
        none,
        mm(g.eccentricity(), stated.eccentricity().isPresent()),
        none);
    row("over the tips", unit, mm(2 * (g.tipRadius() - off)), none, none, none);
    row("over the hollows", unit, mm(2 * (g.rootRadius() - off)), none, none, none);
    row("jaws over the lobes", unit, mm(across(g.disc(CHORD, off))), none, none, none);
    row("over two of its pins", unit, mm(overPins(drive, g, off)), none, none, none);
    row("outside", unit, none, mm(2 * g.ringRadius()), none, mm(2 * g.outputPlateRadius()));
    row("inside, between the pins", unit, none, mm(2 * g.wallRadius()), none, none);
    row(
        "bore",
        unit,
        mm(2 * g.boreRadius() + room, stated.bore().isPresent()),
        none,
        Blank.of(train, drive.eccentricId()).boreStated()
            ? bore(drive.eccentricId())
            : mm(g.usualShaft(), false),
        none);
    row("cam", unit, none, none, mm(2 * g.boreRadius(), stated.bore().isPresent()), none);
    row(
        "holes for the output pins",
        unit,
        mm(2 * g.holeRadius() + room, outputs),
        none,
        none,
        none);
    double plate = Blank.plateMm(train, drive.ringId());
    row(
        "thickness",
        unit,
        mm(width, wide),
        mm(discs * width, wide),
        mm(discs * width, wide),
        mm(plate));
    row("its pins stand out by", unit, none, none, none, mm(discs * width));
    return table(titled("Cycloidal drive", drive.name()), "disc", "ring", "eccentric", "output");
  }

  /** Between the jaws of a caliper that lie flat on the outline, from left to right. */
  private static double across(Outline outline) {
    double least = Double.MAX_VALUE;
    double most = -Double.MAX_VALUE;
    for (double x : outline.x()) {
      least = Math.min(least, x);
      most = Math.max(most, x);
    }
    return most - least;
  }

  /** Over two of the ring's pins in hollows opposite each other. */
  private static double overPins(Cycloidal drive, CycloidGeometry g, double off) {
    double centre = g.circleRadius() - g.eccentricity() - off;
    boolean even = drive.lobes() % 2 == 0;
    double apart = 2 * centre * (even ? 1 : Math.cos(Math.PI / (2.0 * drive.lobes())));
    return apart + 2 * g.pinRadius();
  }

  SheetTable of(StrainWave drive) {
    StrainGeometry g = new StrainGeometry(drive);
    double m = train.moduleMm(drive.flexId());
    FlexTube tube = FlexTube.of(train, drive);
    boolean wall = drive.sizes().wall().isPresent();
    double inside = Drives.generatorDepth(g, g.boreDepth(m));
    double flexOff = Blank.thinning(train, drive.flexId(), StrainGeometry.FLANK_ANGLE);
    double circularOff = Blank.thinning(train, drive.circularId(), StrainGeometry.FLANK_ANGLE);
    Cell none = Cell.NONE;
    row("teeth", "", none, Cell.of("" + drive.flex()), Cell.of("" + drive.circular()));
    row("pitch diameter", unit, none, mm(drive.flex() * m), mm(drive.circular() * m));
    row("tip diameter", unit, none, mm(2 * g.flexTip() * m), mm(2 * g.circularTip() * m));
    row("root diameter", unit, none, mm(2 * g.flexRoot() * m), mm(2 * g.circularRoot() * m));
    Pins flexPins = Pins.of(drive.flex(), g.flexSpace(flexOff), m);
    Pins circularPins = Pins.of(drive.circular(), g.circularSpace(circularOff), m);
    row("over, between pins", unit, none, mm(flexPins.across), mm(circularPins.across));
    row("pins for it", unit, none, mm(flexPins.pin), mm(circularPins.pin));
    row("pressed out by", unit, mm(g.deflection() * m), none, none);
    row(
        "largest diameter",
        unit,
        mm(2 * (g.circularRadius() - inside) * m),
        none,
        mm(2 * g.circularBody() * m));
    row(
        "smallest diameter",
        unit,
        mm(2 * (g.circularRadius() - 2 * g.deflection() - inside) * m),
        none,
        none);
    row("slide ring or bearing", unit, mm((inside - g.boreDepth(m)) * m), none, none);
    row("bore", unit, bore(drive.waveId()), mm(2 * tube.bore()), none);
    row("wall under the teeth", unit, none, mm(tube.wall(), wall), none);
    double width = Blank.widthMm(train, drive.circularId());
    boolean wide = train.size(drive.circularId()).width().isPresent();
    row("length of teeth", unit, mm(width, wide), mm(width, wide), mm(width, wide));
    row("length of the tube", unit, none, mm(tube.tube()), none);
    row(
        drive.sizes().mount() == StrainWave.Mount.CUP ? "bottom" : "flange",
        unit,
        none,
        mm(tube.floor()),
        none);
    return table(titled("Strain wave drive", drive.name()), "wave", "flex", "circular");
  }

  /**
   * Over (of internal teeth between) two pins in opposite spaces, of odd counts the nearest to
   * opposite, mm.
   *
   * @param pin diameter, in steps of {@value #PIN_STEP} mm
   */
  private record Pins(double pin, double across) {
    private static final double PIN_STEP = 0.05;
    private static final int HALVINGS = 50;

    /**
     * @param space the side of a space: radius and angle from its middle, at one end and the other
     */
    static Pins of(int teeth, double[] space, double m) {
      boolean internal = space[1] > space[3];
      double pitch = teeth / 2.0;
      double wanted = 2 * away(space, pitch + (internal ? -PIN_HEIGHT : PIN_HEIGHT)) * m;
      double pin = Math.max(PIN_STEP, Math.round(wanted / PIN_STEP) * PIN_STEP);
      double near = internal ? pitch + 1 : pitch - 1;
      double far = internal ? pitch - 1 : pitch + 1;
      for (int k = 0; k < HALVINGS; k++) {
        double middle = (near + far) / 2;
        if (2 * away(space, middle) * m < pin) {
          near = middle;
        } else {
          far = middle;
        }
      }
      double apart = 2 * near * m * (teeth % 2 == 0 ? 1 : Math.cos(Math.PI / (2.0 * teeth)));
      return new Pins(pin, internal ? apart - pin : apart + pin);
    }

    /** From a point on the middle of a space to its straight side. */
    private static double away(double[] space, double radius) {
      return Distance.pointToLinePerpendicular(
          new Coordinate(radius, 0),
          new Coordinate(space[0] * Math.cos(space[1]), space[0] * Math.sin(space[1])),
          new Coordinate(space[2] * Math.cos(space[3]), space[2] * Math.sin(space[3])));
    }
  }
}
