package steadycog.format.xlsx;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.dhatim.fastexcel.PaperSize;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import steadycog.bench.BenchTest;
import steadycog.bench.Build;
import steadycog.bench.TestHead;
import steadycog.format.csv.BenchCsv;
import steadycog.format.csv.BoardCsv;
import steadycog.format.csv.EachTrain;
import steadycog.format.csv.FoundCsv;
import steadycog.format.csv.PlanCsv;
import steadycog.format.csv.SheetCsv;
import steadycog.format.csv.StudyCsv;
import steadycog.job.Sheet;
import steadycog.job.TrainText;
import steadycog.number.Units;
import steadycog.search.Candidate;
import steadycog.study.ConfigurationBoard;
import steadycog.study.NamedStudy;

/** Workbooks, {@code .xlsx} (ISO/IEC 29500): a sheet a subject, numbers as numbers. */
public final class Books {
  private static final int WIDEST = 44;

  /** Longer names of sheets are not allowed. */
  private static final int MOST_LETTERS = 20;

  private Books() {}

  /**
   * A workbook of trains: each, and each of its states, as formulas that follow a changed tooth
   * count, then as tables all members, the ratio board, the states and the cut sheet, and every
   * test of the bench books.
   *
   * @param sheets each with a card
   * @param version of the program, as {@code 1.0}
   */
  public static byte[] write(List<Sheet> sheets, Units units, String version) {
    List<NamedStudy> trains =
        sheets.stream()
            .map(one -> NamedStudy.of(one.name(), one.card().orElseThrow().train()))
            .toList();
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (Workbook book = new Workbook(bytes, "Steady Cog", version)) {
      List<NamedStudy> states = trains.stream().flatMap(one -> one.each().stream()).toList();
      for (int k = 0; k < states.size(); k++) {
        LiveSheets.add(
            book, states.get(k), states.size() == 1 ? "" : suffix(k, states.get(k).name()));
      }
      table(book, "Figures", StudyCsv.write(trains, units));
      table(
          book,
          "Board",
          EachTrain.of(
              trains.stream()
                  .map(
                      one ->
                          new TrainText(
                              one.name(),
                              BoardCsv.write(ConfigurationBoard.of(one.study().train()))))
                  .toList()));
      List<TrainText> plans =
          trains.stream()
              .flatMap(
                  one ->
                      one.plan().stream()
                          .map(plan -> new TrainText(one.name(), PlanCsv.write(plan, units))))
              .toList();
      if (!plans.isEmpty()) {
        table(book, "Plan", EachTrain.of(plans));
      }
      table(book, "Cut sheet", SheetCsv.write(trains, any -> units));
      bench(book, sheets);
    } catch (IOException never) {
      throw new UncheckedIOException("written to memory", never);
    }
    return bytes.toByteArray();
  }

  /** A workbook of what a search has found, with all that tells candidates apart. */
  public static byte[] found(List<Candidate> candidates, String version) {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (Workbook book = new Workbook(bytes, "Steady Cog", version)) {
      table(book, "Candidates", FoundCsv.write(candidates));
    } catch (IOException never) {
      throw new UncheckedIOException("written to memory", never);
    }
    return bytes.toByteArray();
  }

  /** A list of all tests, then each with what was read and what charts draw of it. */
  private static void bench(Workbook book, List<Sheet> sheets) throws IOException {
    List<List<String>> list = new ArrayList<>();
    List<TrainText> tests = new ArrayList<>();
    for (Sheet sheet : sheets) {
      for (Build build : sheet.book().builds()) {
        for (BenchTest test : build.tests()) {
          String name = "Bench" + suffix(list.size(), build.name());
          TestHead head = test.head();
          String day = head.date().map(LocalDate::toString).orElse("");
          list.add(
              List.of(
                  name, sheet.name(), build.name(), head.title(), day, head.state(), head.notes()));
          tests.add(new TrainText(name, BenchCsv.write(build.train(test), test)));
        }
      }
    }
    if (!list.isEmpty()) {
      list.addFirst(List.of("sheet", "train", "build", "test", "date", "state", "notes"));
      table(book, "Bench book", list);
      for (TrainText test : tests) {
        table(book, test.train(), test.text());
      }
    }
  }

  /** A part of a sheet's name that no other has. */
  private static String suffix(int k, String name) {
    String plain = name.replaceAll("[\\[\\]:*?/\\\\']", " ");
    String kept = plain.substring(0, Math.min(plain.length(), MOST_LETTERS - 4)).strip();
    return " " + (k + 1) + " " + kept;
  }

  /** A table as it is written as CSV; what reads as a number is one. */
  private static void table(Workbook book, String name, String csv) throws IOException {
    try (CSVParser parser = CSVParser.parse(csv, CSVFormat.RFC4180)) {
      table(book, name, parser.getRecords().stream().map(CSVRecord::toList).toList());
    }
  }

  private static void table(Workbook book, String name, List<List<String>> records)
      throws IOException {
    Worksheet sheet = book.newWorksheet(name);
    int columns = records.getFirst().size();
    int[] widths = records.getFirst().stream().mapToInt(String::length).toArray();
    Set<Integer> numeric = new HashSet<>();
    for (int r = 1; r < records.size(); r++) {
      for (int c = 0; c < columns; c++) {
        String text = records.get(r).get(c);
        widths[c] = Math.max(widths[c], text.length());
        Optional<BigDecimal> number = number(text);
        if (number.isPresent()) {
          sheet.value(r, c, number.get());
          numeric.add(c);
        } else if (!text.isEmpty()) {
          sheet.value(r, c, text);
        }
      }
    }
    heads(sheet, 0, records.getFirst(), numeric);
    for (int c = 0; c < columns; c++) {
      sheet.width(c, Math.min(WIDEST, 3 + widths[c]));
    }
    sheet.freezePane(1, 1);
    print(sheet, 0);
  }

  private static Optional<BigDecimal> number(String text) {
    return text.matches("-?\\d+(\\.\\d+)?([eE]-?\\d+)?")
        ? Optional.of(new BigDecimal(text))
        : Optional.empty();
  }

  /** A row of heads, those over numbers at the right as these are. */
  static void heads(Worksheet sheet, int row, List<String> heads, Collection<Integer> numeric) {
    for (int c = 0; c < heads.size(); c++) {
      sheet.value(row, c, heads.get(c));
    }
    sheet
        .range(row, 0, row, heads.size() - 1)
        .style()
        .bold()
        .wrapText(true)
        .borderStyle("thin")
        .set();
    numeric.forEach(c -> sheet.style(row, c).horizontalAlignment("right").set());
  }

  /** Stands words of a column off the numbers at their left. */
  static void words(Worksheet sheet, int top, int bottom, int column) {
    sheet.range(top, column, bottom, column).style().horizontalAlignment("left").indent(1).set();
  }

  /** On A4 across, as wide as a page, the heads on each. */
  static void print(Worksheet sheet, int heads) {
    sheet.pageOrientation("landscape");
    sheet.paperSize(PaperSize.A4_PAPER);
    sheet.setFitToPage(true);
    sheet.fitToWidth((short) 1);
    sheet.fitToHeight((short) 0);
    sheet.repeatRows(0, heads);
  }

  /** {@code $B$3}: rows and columns from 0. */
  static String cell(int row, int column) {
    StringBuilder letters = new StringBuilder();
    for (int c = column + 1; c > 0; c = (c - 1) / 26) {
      letters.insert(0, (char) ('A' + (c - 1) % 26));
    }
    return "$" + letters + "$" + (row + 1);
  }

  /** {@code 'Members'!$B$3}: a cell of another sheet. */
  static String cell(Worksheet sheet, int row, int column) {
    return "'" + sheet.getName() + "'!" + cell(row, column);
  }

  static String range(int top, int left, int bottom, int right) {
    return cell(top, left) + ":" + cell(bottom, right);
  }
}
