package steadycog.report;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.numbers.fraction.BigFraction;
import org.jspecify.annotations.Nullable;
import steadycog.bench.BenchBook;
import steadycog.bench.Build;
import steadycog.bench.Comparison;
import steadycog.bench.Guess;
import steadycog.bench.Slip;
import steadycog.check.Severity;
import steadycog.job.Sheet;
import steadycog.number.AngularSpeed;
import steadycog.number.Figures;
import steadycog.number.Pace;
import steadycog.number.Ratio;
import steadycog.number.Units;
import steadycog.piece.Arrangement;
import steadycog.piece.Piece;
import steadycog.piece.Pieces;
import steadycog.piece.Region;
import steadycog.report.Block.Caution;
import steadycog.report.Block.Drawing;
import steadycog.report.Block.Finding;
import steadycog.report.Block.Heading;
import steadycog.report.Block.Lines;
import steadycog.report.Block.Remark;
import steadycog.report.Block.Table;
import steadycog.report.Block.Text;
import steadycog.report.Report.Part;
import steadycog.sizing.SheetTable;
import steadycog.sizing.SheetTables;
import steadycog.study.ConfigurationBoard;
import steadycog.study.MotorPoint;
import steadycog.study.NamedStudy;
import steadycog.study.ShiftTable;
import steadycog.study.Study;
import steadycog.study.Working;
import steadycog.torque.Backwards;
import steadycog.torque.PowerFlow;
import steadycog.train.Element;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Role;
import steadycog.train.Train;

/** Writes what a report says of one train, section by section. */
final class Chapters {
  private static final double CHORD = 0.02;
  private static final int WHEELS = 6;
  private static final int MESHES = 4;
  private static final int COLUMNS = 8;
  private static final int PLAN_COLUMNS = 10;
  private static final int MOST_CONFIGURATIONS = 40;
  private static final String NONE = "\u2013";

  /** Of the outer radius of a ring, where its name stands. */
  private static final double RIM = 0.95;

  private final Sheet sheet;
  private final Units units;
  private final Set<Section> chosen;
  private final NamedStudy named;

  Chapters(Sheet sheet, Units units, Set<Section> chosen) {
    this.sheet = sheet;
    this.units = units;
    this.chosen = chosen;
    named = NamedStudy.of(sheet.name(), sheet.card().orElseThrow().train());
  }

  /** The chosen sections that have something to say. */
  List<Part> parts() {
    List<Part> parts = new ArrayList<>();
    for (Section section : Section.values()) {
      if (chosen.contains(section)) {
        List<Block> blocks = blocks(section);
        if (!blocks.isEmpty()) {
          parts.add(new Part(section, blocks));
        }
      }
    }
    return parts;
  }

  private List<Block> blocks(Section section) {
    return switch (section) {
      case JOB -> job();
      case DRAWING -> drawing();
      case RATIOS -> ratios();
      case WORKING -> working();
      case FINDINGS -> findings();
      case FAULTS -> faults();
      case CUT_SHEET -> cutSheet();
      case SHIFT_PLAN -> named.plan().map(this::plan).orElse(List.of());
      case BENCH -> bench();
      case CAUTIONS -> cautions();
    };
  }

  // ---- the job

  private List<Block> job() {
    List<Block> blocks = new ArrayList<>();
    if (!sheet.notes().isBlank()) {
      blocks.add(new Text(sheet.notes().strip()));
    }
    blocks.add(
        new Lines(
            Arrays.stream(sheet.card().orElseThrow().text().split("\n"))
                .filter(line -> !line.isBlank())
                .toList()));
    if (sheet.draft().isPresent()) {
      blocks.add(
          new Remark(
              "The train line holds a draft that cannot be read; this report is on the last card"
                  + " that could."));
    }
    return blocks;
  }

  private List<Block> drawing() {
    Pieces pieces = named.study().pieces(CHORD);
    List<Block> blocks = new ArrayList<>();
    if (!pieces.all().isEmpty()) {
      Arrangement standing = Arrangement.together(pieces.all());
      List<Region> regions = new ArrayList<>();
      standing.laid().forEach(one -> regions.addAll(one.regions()));
      // Large ones first, so that none is hidden.
      regions.sort(Comparator.comparingDouble(Chapters::size).reversed());
      blocks.add(new Drawing(regions, names(standing), words(standing), standing.bounds()));
    }
    if (!pieces.left().isEmpty()) {
      blocks.add(new Remark("Not drawn for cutting: " + String.join("; ", pieces.left()) + "."));
    }
    return blocks;
  }

  /** One name an axis; what turns about the same one shares it, but for rings, named on the rim. */
  private List<Block.Name> names(Arrangement standing) {
    Map<String, Block.Name> names = new LinkedHashMap<>();
    double side = 1;
    for (Arrangement.Laid laid : standing.laid()) {
      boolean ring =
          named
              .study()
              .train()
              .member(laid.piece().member())
              .teeth()
              .filter(t -> t.internal())
              .isPresent();
      if (ring) {
        double out = RIM * laid.regions().stream().mapToDouble(Chapters::size).max().orElse(0) / 2;
        String rim = laid.piece().member().toString();
        names.put(rim, new Block.Name(rim, laid.x(), laid.y() + side * out));
        side = -side;
        continue;
      }
      String place = Math.round(laid.x() * 10) + " " + Math.round(laid.y() * 10);
      String name = laid.piece().member().toString();
      names.merge(
          place,
          new Block.Name(name, laid.x(), laid.y()),
          (old, one) ->
              List.of(old.text().split(", ")).contains(name)
                  ? old
                  : new Block.Name(old.text() + ", " + name, old.x(), old.y()));
    }
    return List.copyOf(names.values());
  }

  /** What a drawing shows: {@code sun with 24 teeth at 0, 0; …}. */
  private String words(Arrangement standing) {
    Train train = named.study().train();
    return standing.laid().stream()
        .map(
            laid -> {
              MemberId id = laid.piece().member();
              String teeth = train.member(id).teeth().map(t -> " with " + t + " teeth").orElse("");
              return id + teeth + " at " + at(laid.x()) + ", " + at(laid.y());
            })
        .collect(Collectors.joining("; ", "In mesh, seen from the drive end, axes in mm: ", "."));
  }

  private static String at(double mm) {
    return Figures.typeset(Figures.significant((double) Math.round(mm * 100) / 100, 5));
  }

  private static double size(Region region) {
    double[] box = region.bounds();
    return box[2] - box[0];
  }

  // ---- ratios

  private List<Block> ratios() {
    List<Block> blocks = new ArrayList<>();
    for (NamedStudy one : named.each()) {
      Study study = one.study();
      if (named.plan().isPresent()) {
        blocks.add(new Heading(one.name().substring(named.name().length() + 2)));
      }
      blocks.add(new Text(headline(study)));
      outcome(study).ifPresent(words -> blocks.add(new Text(words)));
      study.motorPoint().ifPresent(point -> blocks.add(new Text(motor(point))));
      blocks.add(members(study));
    }
    if (named.plan().isEmpty()) {
      board().ifPresent(blocks::add);
    }
    return blocks;
  }

  private static String headline(Study study) {
    Optional<Ratio> ratio = study.ratio();
    if (ratio.isEmpty()) {
      return switch (study.motion().status()) {
        case JAMMED -> "Jammed: " + study.motion().conflictText() + ".";
        case UNDETERMINED ->
            "No ratio: nothing ties "
                + study.motion().floating().stream()
                    .map(MemberId::toString)
                    .collect(Collectors.joining(", "))
                + " to the drive.";
        case DETERMINED -> "No single ratio.";
      };
    }
    Ratio known = ratio.get();
    return "Ratio i = in/out = "
        + Figures.exact(known.reduction())
        + " ("
        + known.reductionText()
        + "); train value e = out/in = "
        + Figures.exact(known.trainValue())
        + ". The output turns the "
        + (known.sameDirection() ? "same" : "other")
        + " way.";
  }

  private Optional<String> outcome(Study study) {
    PowerFlow.Verdict verdict = study.loading().flow().verdict();
    String out =
        switch (verdict) {
          case RUNS -> study.efficiency().map(e -> Figures.percent(e, 1) + " comes out").orElse("");
          case LOCKS -> "it locks: the meshes take all that goes in";
          case LOWERS -> "the drive has to help the load down";
          case SEVERAL -> "several flows of power agree with its losses";
          case OPEN -> "paths share the load in a way that stiffness decides";
          case IMPOSSIBLE, UNTRIED, NONE -> "";
        };
    String back =
        study
            .loading()
            .backwards()
            .flatMap(Backwards::drivable)
            .map(turns -> turns ? "pushed back it turns" : "pushed back it holds")
            .orElse("");
    String both = out.isEmpty() || back.isEmpty() ? out + back : out + "; " + back;
    if (both.isEmpty()) {
      return Optional.empty();
    }
    String circulating =
        study
            .circulation()
            .map(share -> "; circulating power " + Figures.shown(share) + " \u00d7")
            .orElse("");
    return Optional.of("With losses: " + both + circulating + ".");
  }

  private String motor(MotorPoint point) {
    return "The motor, "
        + point.motor().stall()
        + " at rest and "
        + point.motor().free()
        + " without load: "
        + point.verdict().name().toLowerCase(Locale.ROOT).replace('_', ' ')
        + ", takes "
        + Figures.shown(point.needed() / units.torque().inBase())
        + " "
        + units.torque().symbol()
        + " at "
        + Figures.shown(point.speed() / units.speed().inBase())
        + " "
        + units.speed().symbol()
        + ".";
  }

  private Table members(Study study) {
    List<List<String>> rows = new ArrayList<>();
    for (Member member : study.train().members()) {
      MemberId id = member.id();
      Role role = study.role(id);
      boolean outside = role == Role.DRIVE || role == Role.HOLD || role == Role.TAKE;
      Optional<Double> torque =
          (outside ? study.torques().external(id) : study.torques().carried(id))
              .map(nm -> nm.doubleValue() / units.torque().inBase());
      Optional<Double> power =
          (outside ? study.power(id) : study.carriedPower(id))
              .map(watts -> watts / units.power().inBase());
      rows.add(
          List.of(
              id.toString(),
              role.word(),
              member.teeth().map(Object::toString).orElse(NONE),
              study
                  .motion()
                  .turnsPerInputTurn(id)
                  .map(t -> Figures.shown(t.doubleValue()))
                  .orElse(NONE),
              study.motion().turnsPerInputTurn(id).map(Figures::exact).orElse(NONE),
              shown(study.motion().speed(id).map(speed -> speed.in(units.speed()))),
              way(study.motion().speed(id)),
              bracketed(torque, outside),
              bracketed(power, outside)));
    }
    return new Table(
        "Speed, torque and power of every member; in brackets what only passes through",
        List.of(
            "member",
            "role",
            "teeth",
            "turns",
            "exactly",
            units.speed().symbol(),
            "way",
            units.torque().symbol(),
            units.power().symbol()),
        rows,
        COLUMNS);
  }

  private static String way(Optional<AngularSpeed> speed) {
    return speed.map(s -> s.signum() == 0 ? "rest" : s.signum() > 0 ? "ccw" : "cw").orElse(NONE);
  }

  /** What only passes through stands in brackets. */
  private static String bracketed(Optional<Double> value, boolean outside) {
    return value.map(v -> outside ? Figures.shown(v) : "(" + Figures.shown(v) + ")").orElse(NONE);
  }

  private Optional<Block> board() {
    ConfigurationBoard board = ConfigurationBoard.of(named.study().train());
    if (board.rows().isEmpty() || board.rows().size() > MOST_CONFIGURATIONS) {
      return Optional.empty();
    }
    List<List<String>> rows = new ArrayList<>();
    for (ConfigurationBoard.Row row : board.rows()) {
      boolean now = row.isIn(named.study().train().rolesInForce());
      Ratio ratio = row.configuration().ratio();
      rows.add(
          List.of(
              (now ? "\u2192 " : "") + Slip.words(row.configuration()),
              Figures.exact(ratio.reduction()),
              ratio.reductionText(),
              ratio.mode().word(),
              row.eachWay().efficiency().map(e -> Figures.percent(e, 1)).orElse(NONE)));
    }
    return Optional.of(
        new Table(
            "Every drive, hold and take-off; an arrow marks the one on the card",
            List.of("every configuration", "i = in/out", "about", "mode", "comes out"),
            rows,
            COLUMNS));
  }

  // ---- working

  private List<Block> working() {
    List<Block> blocks = new ArrayList<>();
    for (NamedStudy one : named.each()) {
      one.study()
          .working()
          .ifPresent(
              working -> {
                blocks.add(
                    new Text(stateWords(one) + "i = " + Figures.typeset(working.productForm())));
                blocks.add(steps(working));
                blocks.add(
                    new Remark(
                        working.agrees()
                            ? "Agrees with the solver exactly."
                            : "Does not agree with the solver: other paths take part."));
              });
      one.study()
          .epicyclicWorking()
          .ifPresent(
              working -> {
                blocks.add(new Text(stateWords(one) + Slip.seenFromCarrier(working)));
                blocks.add(
                    new Text(
                        "Turns of every member for one turn of the input, by relative motion, by"
                            + " the turn table, and by pitch-line speeds:"));
                List<List<String>> rows = new ArrayList<>();
                working
                    .relative()
                    .turns()
                    .forEach(
                        (member, turns) ->
                            rows.add(
                                List.of(
                                    member.toString(),
                                    Figures.exact(turns),
                                    turns(working.table().turns().get(member)),
                                    turns(working.pitchLine().turns().get(member)))));
                blocks.add(
                    new Table(
                        "Turns for one of the input, worked out in three ways",
                        List.of("member", "relative motion", "turn table", "pitch lines"),
                        rows,
                        COLUMNS));
                blocks.add(
                    new Remark(
                        working.agrees()
                            ? "All three agree with the solver exactly."
                            : "They do not all agree with the solver."));
              });
    }
    return blocks;
  }

  /** {@code state low: } before what is said of one state; nothing where there is none. */
  private String stateWords(NamedStudy one) {
    return named.plan().isEmpty() ? "" : one.name().substring(named.name().length() + 2) + ": ";
  }

  private static String turns(@Nullable BigFraction turns) {
    return turns == null ? NONE : Figures.exact(turns);
  }

  private static Table steps(Working working) {
    List<List<String>> rows = new ArrayList<>();
    for (Working.Step step : working.steps()) {
      rows.add(
          List.of(
              step.driver()
                  + " "
                  + step.driverWheel()
                  + " \u2192 "
                  + step.driven()
                  + " "
                  + step.drivenWheel()
                  + (step.idler() ? " (idler)" : ""),
              Figures.typeset(step.quotient()),
              Figures.exact(step.running()),
              Figures.exact(step.driverTeeth())));
    }
    return new Table(
        "The ratio mesh by mesh",
        List.of("driver, driven", "driven / driver", "so far", "teeth past in an input turn"),
        rows,
        COLUMNS);
  }

  // ---- findings

  private List<Block> findings() {
    BenchBook book = sheet.book();
    List<Block> blocks = new ArrayList<>();
    List<String> keys = new ArrayList<>();
    for (NamedStudy one : named.each()) {
      one.study().findings().forEach(finding -> add(blocks, keys, finding));
    }
    named.plan().ifPresent(plan -> plan.findings().forEach(finding -> add(blocks, keys, finding)));
    List<String> told = new ArrayList<>(keys);
    for (Build build : book.builds()) {
      for (steadycog.check.Finding old : Study.of(build.card().train()).findings()) {
        String key = BenchBook.keyOf(old);
        boolean matters = old.severity() == Severity.ERROR || old.severity() == Severity.WARNING;
        if (matters && !told.contains(key) && named.plan().isEmpty()) {
          told.add(key);
          blocks.add(
              new Finding(
                  "gone",
                  "In " + build.name() + ": " + old.in(units).message(),
                  book.howSettled(old).orElse("by the card as it is now")));
        }
      }
    }
    for (BenchBook.Settled one : book.settled()) {
      if (!told.contains(one.finding())) {
        blocks.add(new Finding("settled", one.finding() + ", no longer found", one.how()));
      }
    }
    if (blocks.isEmpty()) {
      blocks.add(new Text("Nothing found."));
    }
    return blocks;
  }

  private void add(List<Block> blocks, List<String> keys, steadycog.check.Finding found) {
    steadycog.check.Finding finding = found.in(units);
    String key = BenchBook.keyOf(finding);
    if (keys.contains(key) || finding.severity() == Severity.OK) {
      return;
    }
    keys.add(key);
    blocks.add(
        new Finding(
            finding.severity().word(),
            (finding.message() + finding.remedy().map(remedy -> " " + remedy).orElse(""))
                .replace("->", "\u2192"),
            sheet.book().howSettled(finding).orElse("")));
  }

  /** What the shop must know before it cuts, what its pieces show when put together first. */
  private List<Block> faults() {
    List<Block> blocks = new ArrayList<>();
    List<String> keys = new ArrayList<>();
    Stream.concat(
            named.study().collisions(Pace.FREE).stream(),
            named.each().stream().flatMap(one -> one.study().findings().stream()))
        .filter(steadycog.check.Finding::isBad)
        .forEach(finding -> add(blocks, keys, finding));
    return blocks;
  }

  // ---- sizes

  private List<Block> cutSheet() {
    SheetTables tables = new SheetTables(named.study().train(), named.cutSheet(), units);
    List<Block> blocks = new ArrayList<>();
    if (!chosen.contains(Section.RATIOS)) {
      named.each().forEach(one -> blocks.add(new Text(stateWords(one) + headline(one.study()))));
    }
    blocks.add(new Text("Teeth: " + tables.pitch()));
    blocks.add(new Text("Clearance: " + tables.clearance()));
    boolean rated = tables.isRated();
    tables.summary(rated).forEach(line -> blocks.add(new Text(line)));
    if (!rated && !named.cutSheet().screening().loads().isEmpty()) {
      blocks.add(
          new Remark(
              "No strength is given here: the card leaves the size of teeth, a face width or a"
                  + " material to usual proportions."));
    }
    for (SheetTable table : tables.all()) {
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
    Pieces pieces = named.study().pieces(CHORD);
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
      default -> title;
    };
  }

  // ---- shift plan

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
      cells.add(row.study().ratio().map(r -> Figures.exact(r.reduction())).orElse(NONE));
      cells.add(
          row.jammed()
              ? "jammed"
              : row.study()
                  .mode()
                  .map(mode -> mode.word().replaceAll("-.*", ""))
                  .orElse("no ratio"));
      cells.add(row.step().map(Figures::exact).orElse(NONE));
      cells.add(last ? NONE : Integer.toString(row.changes()));
      cells.add(row.study().efficiency().map(e -> Figures.percent(e, 1)).orElse(NONE));
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

  // ---- bench

  private List<Block> bench() {
    BenchBlocks maker = new BenchBlocks(units);
    List<Build> builds = sheet.book().builds();
    List<Block> blocks = new ArrayList<>();
    for (int k = 0; k < builds.size(); k++) {
      blocks.addAll(
          maker.build(builds.get(k), k == 0 ? Optional.empty() : Optional.of(builds.get(k - 1))));
    }
    guesses(blocks);
    List<Build> loaded = builds.stream().filter(build -> build.lastLoad().isPresent()).toList();
    if (loaded.size() > 1) {
      Build older = loaded.get(loaded.size() - 2);
      Build newer = loaded.getLast();
      blocks.addAll(
          maker.comparison(
              Comparison.of(
                  older, older.lastLoad().orElseThrow(), newer, newer.lastLoad().orElseThrow())));
    }
    return blocks;
  }

  /** What was guessed on the ratio board before it was looked at. */
  private void guesses(List<Block> blocks) {
    List<List<String>> rows = new ArrayList<>();
    for (Guess one : sheet.book().guesses()) {
      rows.add(
          List.of(
              one.configuration(),
              one.date().map(Object::toString).orElse(NONE),
              Figures.exact(one.guess()),
              Figures.exact(one.actual()),
              one.guess().equals(one.actual()) ? "right" : "not right"));
    }
    if (!rows.isEmpty()) {
      blocks.add(new Heading("Practice"));
      blocks.add(
          new Table(
              "Ratios guessed before they were looked at",
              List.of("configuration", "date", "guessed i", "i = in/out", ""),
              rows,
              COLUMNS));
    }
  }

  private List<Block> cautions() {
    List<Block> blocks = new ArrayList<>();
    blocks.add(new Caution(Cautions.RUNNING));
    if (chosen.contains(Section.CUT_SHEET) || chosen.contains(Section.BENCH)) {
      blocks.add(new Caution(Cautions.SCREENING));
    }
    if (chosen.contains(Section.BENCH) && !sheet.book().builds().isEmpty()) {
      blocks.add(new Caution(Cautions.LOADING));
    }
    return blocks;
  }

  // ---- numbers

  private static String shown(Optional<Double> value) {
    return value.map(Figures::shown).orElse(NONE);
  }
}
