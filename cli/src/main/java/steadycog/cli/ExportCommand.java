package steadycog.cli;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.stream.Stream;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;
import steadycog.format.csv.StudyCsv;
import steadycog.format.file.JobFiles;
import steadycog.format.file.PieceFile;
import steadycog.format.file.PlateFiles;
import steadycog.format.file.Trouble;
import steadycog.format.html.ReportHtml;
import steadycog.format.pdf.ReportPdf;
import steadycog.format.picture.BoxPicture;
import steadycog.format.picture.LinePicture;
import steadycog.format.picture.PictureSvg;
import steadycog.format.xlsx.Books;
import steadycog.gearbox.Build;
import steadycog.gearbox.Build.Whole;
import steadycog.gearbox.FitGauge;
import steadycog.job.Job;
import steadycog.job.Sheet;
import steadycog.number.Pace;
import steadycog.number.Unit;
import steadycog.number.Units;
import steadycog.piece.Coupon;
import steadycog.piece.Piece;
import steadycog.piece.Pieces;
import steadycog.piece.Plates;
import steadycog.piece.UnmakeableException;
import steadycog.report.Report;
import steadycog.report.Section;
import steadycog.study.NamedStudy;
import steadycog.study.Study;

/** {@code export}: a job or card written in another format, by the ending. */
@Command(
    name = "export",
    mixinStandardHelpOptions = true,
    description =
        "Writes the job in another format, by the ending: .json a job, .txt a card, .csv the"
            + " members, .xlsx a workbook that works out anew what is changed in it, .png the"
            + " drawing, .pdf and .html a report; of one train .dxf and .svg outlines as they stand"
            + " together, .stl and .3mf solids laid out apart, all in mm.")
final class ExportCommand implements Callable<Integer> {
  private static final String ENDINGS =
      ".cog.json, .json, .txt, .csv, .xlsx, .png, .pdf, .html, " + PieceFile.endings();

  @Spec CommandSpec spec;
  @Mixin CardInput input;

  @Option(
      names = "--to",
      required = true,
      paramLabel = "OUT",
      description = "the file to write, by its ending")
  Path target;

  @Option(
      names = "--only",
      paramLabel = "MEMBER",
      description = "outlines or solids of this member alone")
  Optional<String> only = Optional.empty();

  @Option(names = "--apart", description = "outlines side by side instead of in mesh")
  boolean apart;

  @Option(names = "--each", description = "a file a piece, named OUT-piece")
  boolean each;

  @Option(
      names = "--plate",
      paramLabel = "WxD",
      description =
          "laid out on plates of that many mm, as 220x220, a file a plate; outlines by thickness,"
              + " since a sheet has one; solids with the larger end down")
  Optional<String> plate = Optional.empty();

  @Option(
      names = "--coupon",
      description =
          "instead of the train a test for the printer: sectors at several clearances; of a"
              + " gearbox holes for its bearings and pins, each wider than the last")
  boolean coupon;

  @Option(
      names = "--gearbox",
      description =
          "all that is made of a whole gearbox round the train; .svg draws it, .pdf and .html tell"
              + " step by step how it goes together")
  boolean gearbox;

  @Option(names = "--anyway", description = "also pieces that run into each other")
  boolean anyway;

  @Option(
      names = "--chord",
      paramLabel = "MM",
      description = "how far straight pieces may leave the true line (default: ${DEFAULT-VALUE})")
  double chord = Pieces.USUAL_CHORD;

  @Option(
      names = "--sections",
      split = ",",
      paramLabel = "SECTION",
      description =
          "of a report only these: job, drawing, ratios, working, findings, cut-sheet, shift-plan,"
              + " gearbox, bench, cautions; or shop for the drawing, the cut sheet, and what errors"
              + " and warnings (faults) there are")
  List<String> sections = List.of();

  @Option(names = "--inch", description = "lengths of a report in inches: the same as --units in")
  boolean inch;

  @Override
  public Integer call() {
    return input.with(
        job -> {
          int code = write(job);
          return code == Exit.DONE ? judged(job) : code;
        });
  }

  /** What has been written may be of no use: whoever reads only the exit code is told as well. */
  private int judged(Job job) {
    List<NamedStudy> bad = CardInput.studies(job).stream().filter(NamedStudy::hasErrors).toList();
    for (NamedStudy train : bad) {
      input.remark(
          target
              + ": written, but "
              + (job.sheets().size() == 1 ? "the train" : train.name())
              + " has errors: "
              + String.join(", ", train.errorCodes()));
    }
    return bad.isEmpty() ? Exit.DONE : Exit.DONE_WITH_ERRORS;
  }

  private int write(Job job) {
    String name = target.toString().toLowerCase(Locale.ROOT);
    Optional<PieceFile> made = PieceFile.of(target);
    boolean pages = name.endsWith(".pdf") || name.endsWith(".html");
    boolean drawn = gearbox && !coupon && (pages || name.endsWith(".svg"));
    fitting(name, made.isPresent() && !drawn);
    input.requires(
        "--gearbox",
        made.isPresent() || drawn,
        "for pieces, their drawing and instructions alone: leave it out");
    input.requires("--sections", !gearbox, "of a report on the train: leave out --gearbox");
    boolean one = JobFiles.isCard(target) || name.endsWith(".png") || made.isPresent() || drawn;
    if (one && job.sheets().size() > 1) {
      return refuse("it holds one train, the job has several: name one by --train");
    }
    try {
      if (drawn) {
        return pages(job.sheets().getFirst(), name);
      } else if (made.isPresent()) {
        return pieces(job.sheets().getFirst(), made.get());
      } else if (name.endsWith(".csv")) {
        JobFiles.write(
            target, StudyCsv.write(CardInput.studies(job), input.asked().orElse(Units.USUAL)));
      } else if (name.endsWith(".xlsx")) {
        Units units = input.asked().orElse(Units.USUAL);
        JobFiles.write(target, Books.write(job.sheets(), units, Version.number()));
      } else if (name.endsWith(".png")) {
        return picture(job.sheets().getFirst());
      } else if (name.endsWith(".pdf") || name.endsWith(".html")) {
        return report(job, name.endsWith(".html"));
      } else if (JobFiles.isJob(target) || JobFiles.isCard(target)) {
        JobFiles.save(job, 0, target);
      } else {
        return refuse("unknown ending, expected " + ENDINGS);
      }
      return Exit.DONE;
    } catch (IOException failed) {
      return refuse("cannot be written: " + Trouble.words(failed));
    } catch (UnmakeableException useless) {
      return refuse("not written: " + useless.getMessage());
    }
  }

  /** Refuses options that this ending would pass over. */
  private void fitting(String name, boolean pieces) {
    String cut = "for outlines and solids alone: leave it out";
    for (String option :
        List.of("--only", "--apart", "--each", "--plate", "--coupon", "--anyway", "--chord")) {
      input.requires(option, pieces, cut);
    }
    boolean report = name.endsWith(".pdf") || name.endsWith(".html");
    for (String option : List.of("--sections", "--inch")) {
      input.requires(option, report, "for reports alone: leave it out");
    }
    input.requires(
        "--units",
        report || name.endsWith(".csv") || name.endsWith(".xlsx"),
        "for reports and tables alone: leave it out");
    input.requires("--only", !coupon, "a test piece is of no member: leave it out");
    input.requires("--plate", !each && !apart, "one way of laying out: leave the others out");
  }

  private int report(Job job, boolean html) throws IOException {
    Set<Section> chosen = EnumSet.noneOf(Section.class);
    for (String word : sections) {
      Optional<Section> section = Section.of(word.strip());
      if (word.strip().equals("shop")) {
        chosen.addAll(Section.SHOP);
      } else if (section.isEmpty()) {
        List<String> known = Stream.of(Section.values()).map(Section::key).toList();
        return refuse(
            "no section '" + word + "', expected shop or some of " + String.join(", ", known));
      }
      section.ifPresent(chosen::add);
    }
    Units asked =
        input
            .asked()
            .orElseGet(
                () ->
                    job.sheets().size() == 1
                        ? job.sheets().getFirst().card().orElseThrow().train().units()
                        : Units.USUAL);
    Units units = inch ? asked.with(Unit.IN) : asked;
    String date = LocalDate.now().toString();
    write(Report.of(job, chosen.isEmpty() ? Section.ALL : chosen, units, date), html);
    return Exit.DONE;
  }

  private void write(Report report, boolean html) throws IOException {
    if (html) {
      JobFiles.write(target, ReportHtml.write(report));
    } else {
      JobFiles.write(target, ReportPdf.write(report));
    }
  }

  private int pieces(Sheet sheet, PieceFile kind) throws IOException, UnmakeableException {
    if (!(chord >= Pieces.FINEST_CHORD && chord <= Pieces.COARSEST_CHORD)) {
      return refuse(
          "--chord "
              + chord
              + ": expected "
              + Pieces.FINEST_CHORD
              + " to "
              + Pieces.COARSEST_CHORD);
    }
    Study study = Study.of(sheet.card().orElseThrow().train());
    Pieces pieces = study.pieces(chord);
    List<Piece> chosen =
        coupon
            ? coupon(study)
            : (gearbox ? gearbox(study).gearbox().made() : pieces.all())
                .stream().filter(piece -> isChosen(piece.member().toString())).toList();
    if (chosen.isEmpty()) {
      return refuse(
          only.isPresent()
              ? "nothing is made of '" + only.get() + "', expected one of: " + members(pieces)
              : "nothing of this train is cut here: " + String.join("; ", pieces.left()));
    }
    UnmakeableException.check(chosen, chord);
    if (!coupon && !anyway && !gearbox) {
      study.requireAssembled(chosen);
    }
    if (plate.isPresent()) {
      return plates(chosen, kind, sheet.name());
    }
    boolean together = !apart && !coupon && !gearbox;
    if (!each) {
      write(target, kind, chosen, together, sheet.name());
      return Exit.DONE;
    }
    String stem = target.getFileName().toString();
    stem = stem.substring(0, stem.length() - kind.ending().length());
    for (Piece piece : chosen) {
      String file = stem + "-" + piece.slug() + kind.ending();
      write(target.resolveSibling(file), kind, List.of(piece), false, piece.title());
    }
    return Exit.DONE;
  }

  private List<Piece> coupon(Study study) throws UnmakeableException {
    return gearbox ? FitGauge.of(gearbox(study).gearbox()) : Coupon.of(study.train(), chord);
  }

  private int plates(List<Piece> chosen, PieceFile kind, String title)
      throws IOException, UnmakeableException {
    String text = plate.orElseThrow();
    Optional<Plates.Size> size = Plates.Size.read(text);
    if (size.isEmpty()) {
      return refuse("--plate '" + text + "': expected width and depth in mm, as 220x220");
    }
    PlateFiles plates = PlateFiles.of(chosen, size.get(), target, kind, chord);
    for (PlateFiles.One one : plates.all()) {
      byte[] bytes = kind.write(one.laid(), chord, title, () -> false, done -> {});
      JobFiles.write(one.file(), bytes);
      input.remark(one.file() + ": " + one.laid().laid().size() + " pieces");
    }
    if (!plates.remark().isEmpty()) {
      input.remark(plates.remark());
    }
    return Exit.DONE;
  }

  /** The gearbox pulled apart, or step by step. */
  private int pages(Sheet sheet, String name) throws IOException, UnmakeableException {
    NamedStudy named = NamedStudy.of(sheet.name(), sheet.card().orElseThrow().train());
    Whole whole = gearbox(named.study());
    if (name.endsWith(".svg")) {
      LinePicture picture = BoxPicture.of(whole, sheet.name());
      JobFiles.write(target, PictureSvg.write(picture).getBytes(StandardCharsets.UTF_8));
    } else {
      write(Report.of(named, whole, LocalDate.now().toString()), name.endsWith(".html"));
    }
    return Exit.DONE;
  }

  /** One that goes together, unless any is wanted. */
  private Whole gearbox(Study study) throws UnmakeableException {
    Build build = study.gearbox(Pace.FREE);
    Whole whole =
        build
            .box()
            .orElseThrow(
                () -> new UnmakeableException("no gearbox is made of this train: " + build.why()));
    if (!anyway && !whole.proof().holds()) {
      throw new UnmakeableException(String.join("; ", whole.proof().problems()));
    }
    return whole;
  }

  private boolean isChosen(String member) {
    return only.isEmpty() || only.get().equalsIgnoreCase(member);
  }

  private static String members(Pieces pieces) {
    return String.join(
        ", ", pieces.all().stream().map(piece -> piece.member().toString()).distinct().toList());
  }

  private void write(Path file, PieceFile kind, List<Piece> pieces, boolean together, String title)
      throws IOException, UnmakeableException {
    JobFiles.write(file, kind.write(pieces, together, chord, title, () -> false, done -> {}));
  }

  private int picture(Sheet sheet) throws IOException {
    Optional<Window> window = Window.find();
    if (window.isEmpty()) {
      return refuse("pictures need the window's files: start it by ./steady-cog");
    }
    window.get().picture(sheet, target);
    return Exit.DONE;
  }

  private int refuse(String reason) {
    spec.commandLine().getErr().println(target + ":1:1: " + reason);
    return Exit.NOT_READ;
  }
}
