package steadycog.format;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.junit.jupiter.api.Assertions.fail;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.concurrent.Callable;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import steadycog.RandomCards;
import steadycog.format.csv.BoardCsv;
import steadycog.format.csv.PlanCsv;
import steadycog.format.csv.SheetCsv;
import steadycog.format.csv.StudyCsv;
import steadycog.format.demo.TernRock;
import steadycog.format.file.JobFiles;
import steadycog.format.file.PieceFile;
import steadycog.format.html.ReportHtml;
import steadycog.format.json.CutSheetJson;
import steadycog.format.json.JobJson;
import steadycog.format.json.Layout;
import steadycog.format.json.StudyJson;
import steadycog.format.json.UnreadableException;
import steadycog.format.pdf.ReportPdf;
import steadycog.job.Job;
import steadycog.job.Sheet;
import steadycog.notation.Card;
import steadycog.number.Unit;
import steadycog.number.Units;
import steadycog.piece.Coupon;
import steadycog.piece.Piece;
import steadycog.piece.UnmakeableException;
import steadycog.report.Report;
import steadycog.report.Section;
import steadycog.sizing.SheetTables;
import steadycog.study.ConfigurationBoard;
import steadycog.study.NamedStudy;
import steadycog.train.ShiftPlan;
import steadycog.train.Teeth;
import steadycog.train.Train;

/** Random cards through every output: no fault, and no number that is none. */
@Tag("slow")
class OutputFuzzTest {
  /** Set by {@code -Dfuzz=N} to try more cards than a build has time for. */
  private static final int CARDS = Integer.getInteger("fuzz", 25);

  private static final Pattern NO_NUMBER = Pattern.compile("NaN|Infinity|\u221e|\ufffd");
  private static final int MOST_TEETH = 700;
  private static final int MOST_FOR_BOARD = 12;
  private static final double CHORD = 0.1;

  @ParameterizedTest
  @ValueSource(longs = {101, 102, 103})
  void everyOutputOfEveryCard(long seed) {
    Random random = new Random(seed);
    for (int k = 0; k < CARDS; k++) {
      Card card = RandomCards.next(random);
      outputs(card).forEach((name, made) -> check(card, name, made));
    }
  }

  private static void check(Card card, String name, Callable<String> made) {
    try {
      Matcher none = NO_NUMBER.matcher(made.call());
      if (none.find()) {
        fail(name + " has " + none.group() + " for\n" + card.text());
      }
    } catch (UnmakeableException useless) {
      assertTrue(
          useless.getMessage().matches("(?s).+ cannot be made: .+"),
          () -> name + ": " + useless.getMessage() + card.text());
    } catch (Exception fault) {
      throw new AssertionError(name + " of\n" + card.text(), fault);
    }
  }

  private static Map<String, Callable<String>> outputs(Card card) {
    Train train = card.train();
    NamedStudy study = NamedStudy.of("Winch", train);
    List<NamedStudy> all = List.of(study);
    Job job = new Job("", List.of(Sheet.of("Winch", card)));
    Report report = Report.of(job, Section.ALL, Units.USUAL, "2031-05-06");
    Map<String, Callable<String>> outputs = new TreeMap<>();
    outputs.put("solve", () -> StudyJson.solve(all));
    outputs.put("check", () -> StudyJson.check(all, true, Layout.PAGE));
    outputs.put("csv", () -> StudyCsv.write(all));
    outputs.put("sheet json", () -> CutSheetJson.write(all));
    outputs.put("sheet csv", () -> SheetCsv.write(all, any -> Units.USUAL.with(Unit.IN)));
    outputs.put("sheet", () -> tables(train, study));
    study.plan().ifPresent(plan -> outputs.put("plan", () -> PlanCsv.write(plan)));
    if (train.members().size() <= MOST_FOR_BOARD) {
      ConfigurationBoard board = ConfigurationBoard.of(train.withShifts(ShiftPlan.NONE));
      outputs.put("board", () -> BoardCsv.write(board) + StudyJson.board(board));
    }
    outputs.put("html", () -> ReportHtml.write(report));
    outputs.put("pdf", () -> "" + ReportPdf.write(report).length);
    outputs.put("job", () -> sameAgain(job));
    int teeth =
        train.members().stream().flatMap(m -> m.teeth().stream()).mapToInt(Teeth::count).sum();
    if (teeth <= MOST_TEETH) {
      for (PieceFile kind : PieceFile.values()) {
        outputs.put(kind.ending(), () -> pieces(kind, study.study().pieces(CHORD).all()));
      }
    }
    return outputs;
  }

  private static String tables(Train train, NamedStudy study) {
    SheetTables tables = new SheetTables(train, study.cutSheet(), Units.USUAL);
    return tables.summary().lines(true) + " " + tables.all();
  }

  private static String sameAgain(Job job) throws UnreadableException {
    String text = JobJson.write(job);
    assertEquals(job, JobJson.read(text));
    return text;
  }

  private static String pieces(PieceFile kind, List<Piece> pieces) throws UnmakeableException {
    if (pieces.isEmpty()) {
      return "";
    }
    byte[] file = kind.write(pieces, !kind.solid(), CHORD, "Winch", () -> false, done -> {});
    assertTrue(file.length > 0);
    return kind.solid() ? "" : new String(file, StandardCharsets.UTF_8);
  }

  @Test
  void theCouponIsMadeWhateverTheTeeth() throws Exception {
    for (String size : List.of("module 0.5 mm", "dp 16", "angle 14.5 stub", "clearance laser")) {
      Train train = Card.read("parallel 20 ~ 40\n" + size + "\n").train();
      assertFalse(pieces(PieceFile.SVG, Coupon.of(train, CHORD)).isEmpty());
    }
  }

  /** The demo with a few signs changed, left out or doubled: a job, or a place and a reason. */
  @ParameterizedTest
  @ValueSource(longs = {201, 202})
  void mutatedJobsAreReadOrRefusedWithAPlace(long seed) throws Exception {
    Random random = new Random(seed);
    String demo = JobJson.write(TernRock.job());
    long lines = demo.lines().count();
    for (int k = 0; k < 20 * CARDS; k++) {
      StringBuilder text = new StringBuilder(demo);
      for (int change = random.nextInt(4); change >= 0 && text.length() > 1; change--) {
        int at = random.nextInt(text.length());
        switch (random.nextInt(4)) {
          case 0 -> text.deleteCharAt(at);
          case 1 -> text.insert(at, text.charAt(random.nextInt(text.length())));
          case 2 -> text.setCharAt(at, "{}[]\",:0-\\\u0000\u001b".charAt(random.nextInt(12)));
          default -> text.setLength(Math.max(1, random.nextInt(4) == 0 ? at : text.length() - 1));
        }
      }
      try {
        byte[] bytes = text.toString().getBytes(StandardCharsets.UTF_8);
        JobFiles.read(new ByteArrayInputStream(bytes), "x").sheets().forEach(Sheet::text);
      } catch (UnreadableException refused) {
        assertTrue(refused.at("x").matches("(?s)x:\\d+:\\d+: .+"), refused.at("x"));
        assertTrue(Integer.parseInt(refused.at("x").split(":")[1]) <= lines + 5, refused.at("x"));
      }
    }
  }
}
