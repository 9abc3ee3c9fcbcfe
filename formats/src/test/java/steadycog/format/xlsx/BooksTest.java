package steadycog.format.xlsx;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.apache.commons.numbers.fraction.BigFraction;
import org.apache.poi.ss.usermodel.Cell;
import org.apache.poi.ss.usermodel.CellType;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.ss.usermodel.Workbook;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import steadycog.format.demo.TernRock;
import steadycog.format.table.CountTable;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.number.AngularSpeed;
import steadycog.number.Units;
import steadycog.search.Candidate;
import steadycog.search.Hunt;
import steadycog.search.Wanted;
import steadycog.search.Wanted.Field;
import steadycog.search.Watch;
import steadycog.study.NamedStudy;
import steadycog.study.Study;
import steadycog.torque.Loading;
import steadycog.torque.PowerFlow;
import steadycog.torque.Torques;
import steadycog.train.MemberId;

/** What a spreadsheet works out from the formulas is what the program says, also after a change. */
class BooksTest {
  private static NamedStudy study(String card) throws CardException {
    return NamedStudy.of("Train", Card.read(card.replace(';', '\n')).train());
  }

  private static Workbook opened(String card) throws Exception {
    return opened(List.of(steadycog.job.Sheet.of("Train", Card.read(card.replace(';', '\n')))));
  }

  private static Workbook opened(List<steadycog.job.Sheet> sheets) throws IOException {
    byte[] bytes = Books.write(sheets, Units.USUAL, "1.0");
    return new XSSFWorkbook(new ByteArrayInputStream(bytes));
  }

  private static Optional<Row> row(Sheet sheet, String member) {
    return IntStream.rangeClosed(6, sheet.getLastRowNum())
        .mapToObj(sheet::getRow)
        .filter(row -> row != null && row.getCell(0).getStringCellValue().equals(member))
        .findFirst();
  }

  private static void agrees(Cell torque, Torques known, MemberId id) {
    if (torque != null && torque.getCellType() != CellType.BLANK) {
      double value = known.external(id).map(BigFraction::doubleValue).orElseThrow();
      assertEquals(value, torque.getNumericCellValue(), 1e-7 * (1 + Math.abs(value)), id::toString);
    }
  }

  private static void agrees(Workbook book, Study study) {
    book.getCreationHelper().createFormulaEvaluator().evaluateAll();
    Sheet sheet = book.getSheet("Members");
    for (MemberId id : study.motion().mechanism().bodies()) {
      Row row = row(sheet, id.toString()).orElseThrow();
      double speed = study.motion().speed(id).map(AngularSpeed::inRpm).orElseThrow();
      assertEquals(
          speed, row.getCell(4).getNumericCellValue(), 1e-7 * (1 + Math.abs(speed)), id::toString);
      Loading loading = study.loading();
      agrees(row.getCell(6), loading.flow().torques(), id);
      agrees(row.getCell(7), loading.ideal(), id);
    }
    study
        .efficiency()
        .ifPresent(
            share -> assertEquals(share, sheet.getRow(4).getCell(1).getNumericCellValue(), 1e-9));
    study
        .ratio()
        .ifPresent(
            ratio ->
                assertEquals(
                    ratio.reduction().doubleValue(),
                    sheet.getRow(3).getCell(1).getNumericCellValue(),
                    1e-7 * (1 + ratio.reduction().abs().doubleValue())));
  }

  /** A count changed in the workbook gives what the program gives for a card with that count. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          parallel 18 ~ 72 = 20 ~ 80 = 17 ~ 136; drive A 1500 rpm 0.4 Nm; take F | C | 20 ~ 80 | 23 ~ 80 | 23
          parallel 18 ~ 40 ~ 72; drive A 100 rpm 1 Nm; take C                    | B | 40      | 31      | 31
          planetary sun 20/- planet 25=23 x3 ring 70/68; drive sun 900 rpm 1 Nm; hold ring1; take ring2 | planet2 | =23 | =21 | 21
          planetary sun 24 planet 15 x3 ring 54; drive carrier 100 rpm 2 Nm; hold sun; take ring | ring | 54 | 57 | 57
          a: planetary sun 24 planet 15 x3 ring 54; b: planetary sun 12 planet 24 x3 ring 60; join a.carrier = b.sun; hold a.ring; hold b.ring; drive a.sun 60 rpm 1 Nm; take b.carrier | b.ring | ring 60 | ring 63 | 63
          cycloidal lobes 29 pins 30; drive eccentric 300 rpm 1 Nm; hold ring; take disc | ring | pins 30 | pins 31 | 31
          strainwave flex 200 circular 202; drive wave 100 rpm 1 Nm; hold circular; take flex | circular | 202 | 204 | 204
          bevel 20 ~ 43; drive pinion 100 rpm 1 Nm; take crown                      | crown | 43 | 41 | 41
          planetary sun 20 planet 16 x3 ring 52; drive sun 100 rpm; hold ring; take carrier 40 Nm   | sun | 20 | 23 | 23
          planetary sun 20/- planet 25=23 x3 ring 70/68; efficiency printed; drive ring2 9 rpm 1 Nm; hold ring1; take sun | planet | 25= | 26= | 26
          """)
  void changedCountsFollow(String card, String member, String from, String to, int teeth)
      throws Exception {
    try (Workbook book = opened(card)) {
      agrees(book, study(card).study());
      row(book.getSheet("Members"), member).orElseThrow().getCell(1).setCellValue(teeth);
      agrees(book, study(card.replace(from, to)).study());
    }
  }

  /**
   * What meshes pass on may be changed too: the set of 85 : 1 then gives 48.2 % forwards and holds
   * itself backwards, which is left to the program.
   */
  @ParameterizedTest
  @CsvSource({"drive sun 60 rpm 1 Nm; take ring2, 0.482", "drive ring2 1 rpm 1 Nm; take sun, "})
  void changedLossesFollow(String roles, Double share) throws Exception {
    String card =
        "planetary sun 12/- planet 18=18 x3 ring 48/51; hold ring1; %s; efficiency external %s"
            + " internal %s";
    List<String> meshes = List.of("sun ~ planet", "planet ~ ring1", "planet2 ~ ring2");
    try (Workbook book = opened(card.formatted(roles, "0.98", "0.99"))) {
      agrees(book, study(card.formatted(roles, "0.98", "0.99")).study());
      Sheet sheet = book.getSheet("Members");
      for (String mesh : meshes) {
        Cell passes = row(sheet, mesh).orElseThrow().getCell(1);
        passes.setCellValue(passes.getNumericCellValue() == 0.98 ? 0.95 : 0.97);
      }
      Study study = study(card.formatted(roles, "0.95", "0.97")).study();
      if (share == null) {
        book.getCreationHelper().createFormulaEvaluator().evaluateAll();
        assertEquals("the program tells", sheet.getRow(4).getCell(1).getStringCellValue());
        assertEquals(PowerFlow.Verdict.LOCKS, study.loading().flow().verdict());
        return;
      }
      agrees(book, study);
      assertEquals(share, sheet.getRow(4).getCell(1).getNumericCellValue(), 5e-4);
      for (int k = 0; k < meshes.size(); k++) {
        double loss = row(sheet, meshes.get(k)).orElseThrow().getCell(3).getNumericCellValue();
        assertEquals(study.meshLoss(k).orElseThrow(), loss, 1e-9);
      }
    }
  }

  /** Numbers are numbers, no table is lost, and every sheet prints across with its heads. */
  @Test
  void theDemoIsAWorkbookOfTables() throws IOException {
    List<steadycog.job.Sheet> trains =
        TernRock.job().sheets().stream().filter(sheet -> sheet.card().isPresent()).toList();
    try (Workbook book = opened(trains)) {
      List<String> tables = List.of("Figures", "Board", "Plan", "Cut sheet");
      int numbers = 0;
      for (String name : tables) {
        for (Row row : book.getSheet(name)) {
          for (Cell cell : row) {
            numbers += cell.getCellType() == CellType.NUMERIC ? 1 : 0;
            boolean text = cell.getCellType() == CellType.STRING;
            assertTrue(!text || !cell.getStringCellValue().matches("-?\\d+(\\.\\d+)?"), name);
          }
        }
      }
      assertTrue(numbers > 2_000, numbers + " numbers");
      book.getCreationHelper().createFormulaEvaluator().evaluateAll();
      int formulas = 0;
      for (Sheet sheet : book) {
        assertTrue(
            sheet.getPrintSetup().getLandscape() && sheet.getFitToPage(), sheet.getSheetName());
        for (Row row : sheet) {
          for (Cell cell : row) {
            if (cell.getCellType() == CellType.FORMULA) {
              formulas++;
              assertTrue(
                  cell.getCachedFormulaResultType() != CellType.ERROR,
                  sheet.getSheetName() + cell.getAddress());
            }
          }
        }
      }
      assertTrue(formulas > 500, formulas + " formulas");
    }
  }

  /** Every state is worked out by itself, its name in its first line. */
  @Test
  void statesHaveSheetsOfTheirOwn() throws Exception {
    String card =
        "planetary sun 24 planet 15 x3 ring 54; drive sun 60 rpm 1 Nm; take carrier; state low:"
            + " hold ring; state rest:; state direct: lock sun = ring";
    try (Workbook book = opened(card)) {
      book.getCreationHelper().createFormulaEvaluator().evaluateAll();
      for (NamedStudy state : study(card).each()) {
        Optional<Sheet> sheet =
            IntStream.range(0, book.getNumberOfSheets())
                .mapToObj(book::getSheetAt)
                .filter(one -> one.getRow(0).getCell(0).toString().equals(state.name()))
                .findFirst();
        assertEquals(state.study().ratio().isPresent(), sheet.isPresent(), state::name);
        if (sheet.isPresent()) {
          assertEquals(
              state.study().ratio().orElseThrow().reduction().doubleValue(),
              sheet.get().getRow(3).getCell(1).getNumericCellValue(),
              1e-9);
        }
      }
    }
  }

  @Test
  void aTrainWhoseSpeedsAreNotSettledHasTablesAlone() throws Exception {
    try (Workbook book = opened("planetary sun 24 planet 15 x3 ring 54; drive sun 60 rpm")) {
      assertEquals("Figures", book.getSheetAt(0).getSheetName());
    }
  }

  /** Every test stands on a sheet of its own, by the name that the list of them gives it. */
  @Test
  void benchBooksAreListedAndWrittenTestByTest() throws IOException {
    List<steadycog.job.Sheet> sheets = TernRock.job().sheets();
    long tests =
        sheets.stream()
            .flatMap(s -> s.book().builds().stream())
            .mapToLong(b -> b.tests().size())
            .sum();
    try (Workbook book = opened(sheets)) {
      Sheet list = book.getSheet("Bench book");
      assertEquals(tests, list.getLastRowNum());
      int numbers = 0;
      for (int k = 1; k <= list.getLastRowNum(); k++) {
        Sheet test = book.getSheet(list.getRow(k).getCell(0).getStringCellValue());
        assertTrue(test.getLastRowNum() > 0, test.getSheetName());
        for (Cell cell : test.getRow(1)) {
          numbers += cell.getCellType() == CellType.NUMERIC ? 1 : 0;
        }
      }
      assertTrue(numbers > 2 * tests, numbers + " numbers");
    }
  }

  /** Read again as a table, each candidate is the card that was found. */
  @Test
  void candidatesComeBackAsCards(@TempDir Path folder) throws Exception {
    Wanted wanted =
        Wanted.NOTHING
            .with(Field.TARGET, "13/4")
            .with(Field.KIND, "planetary")
            .with(Field.TEETH, "12..40");
    List<Candidate> found = Hunt.run(wanted.query(), Watch.NONE).candidates();
    Path file = folder.resolve("found.xlsx");
    Files.write(file, Books.found(found, "1.0"));
    List<CountTable.Line> lines = CountTable.trains(file, "found");
    assertEquals(found.size(), lines.size());
    for (int k = 0; k < lines.size(); k++) {
      String card = lines.get(k).card();
      assertTrue(card.startsWith(found.get(k).card().replace("\n", "; ")), card);
      assertEquals(
          Card.read(found.get(k).card()).train(), Card.read(card.replaceAll(" #.*", "")).train());
    }
  }
}
