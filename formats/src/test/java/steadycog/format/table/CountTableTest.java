package steadycog.format.table;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import steadycog.format.file.JobFiles;
import steadycog.format.json.UnreadableException;
import steadycog.job.Job;
import steadycog.job.Sheet;
import steadycog.notation.Card;
import steadycog.notation.CardPrinter;
import steadycog.train.Train;

/** Tables as people keep them, from text and from workbooks that another library wrote. */
class CountTableTest {
  @TempDir Path folder;

  private Path text(String name, String text) throws IOException {
    return Files.writeString(folder.resolve(name), text);
  }

  /** Numbers as numbers, as a spreadsheet has them. */
  private Path book(String text) throws IOException {
    Path file = folder.resolve("table.xlsx");
    try (XSSFWorkbook book = new XSSFWorkbook();
        OutputStream out = Files.newOutputStream(file)) {
      var sheet = book.createSheet("counts");
      String[] lines = text.split("\n", -1);
      for (int r = 0; r < lines.length; r++) {
        String[] cells = lines[r].split(",", -1);
        var row = sheet.createRow(r);
        for (int c = 0; c < cells.length; c++) {
          if (cells[c].matches("[\\d.]+")) {
            row.createCell(c).setCellValue(Double.parseDouble(cells[c]));
          } else if (!cells[c].isEmpty()) {
            row.createCell(c).setCellValue(cells[c]);
          }
        }
      }
      book.write(out);
    }
    return file;
  }

  private static String cards(Path file) throws Exception {
    StringBuilder all = new StringBuilder();
    for (CountTable.Line line : CountTable.trains(file, "T")) {
      all.append(line.row()).append(' ').append(line.name()).append(": ").append(line.card());
      all.append('\n');
    }
    return all.toString().strip();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "driver,driven/18,72/20,80 | 2 T: parallel 18 ~ 72 = 20 ~ 80",
        "A,B,C,D/18,72,20,80/20,60i,, "
            + "| 2 T 1: parallel 18 ~ 72 = 20 ~ 80/3 T 2: parallel 20 ~ 60i",
        "name,Sun,Planet,Planets,Ring/close,24,15,3,54 "
            + "| 2 close: planetary sun 24 planet 15 x3 ring 54",
        "sun,planet,ring/20/-,25=23,70/68 | ",
        "lobes,pins/29,30 | 2 T 1: cycloidal lobes 29 pins 30",
        "nominal/80 | 2 T 1: strainwave nominal 80",
        "flex,circular/160,162 | 2 T 1: strainwave flex 160 circular 162",
        "card,module/parallel 20 ~ 40,0.8 | 2 T 1: parallel 20 ~ 40; module 0.8 mm",
        "Bought wheels,,/,,/A,B,note//20,40,the old pair "
            + "| 5 T 1: parallel 20 ~ 40 # note: the old pair",
        "A,B,in,out/20,40,A 30 rpm,B | 2 T 1: parallel 20 ~ 40; drive A 30 rpm; take B",
      })
  void rowsBecomeLinesOfCardInTextAndInWorkbooks(String table, String expected) throws Exception {
    if (expected == null) {
      assertEquals(
          "2 T 1: planetary sun 20/- planet 25=23 x3 ring 70/68",
          cards(text("rows.csv", "sun,planet,count,ring\n20/-,25=23,x3,70/68\n")));
      return;
    }
    String lines = table.replace('/', '\n');
    assertEquals(expected.replace('/', '\n'), cards(text("table.csv", lines)));
    assertEquals(expected.replace('/', '\n'), cards(book(lines)));
    assertEquals(expected.replace('/', '\n'), cards(text("semi.csv", lines.replace(',', ';'))));
    assertEquals(expected.replace('/', '\n'), cards(text("tab.csv", lines.replace(',', '\t'))));
  }

  @Test
  void marksQuotesAndDecimalCommasAreThoseOfSpreadsheets() throws Exception {
    Path file =
        text(
            "t.csv",
            "\ufeffA;B;module;said\r\n20;40;0,8;\"two\r\nlines; \"\"so\"\"\"\r\n9;41;;\r\n");
    assertEquals(
        "2 T 1: parallel 20 ~ 40; module 0.8 mm # said: two lines; \"so\"\n4 T 2: parallel 9 ~ 41",
        cards(file));
  }

  /** Chains, sets and drives at random: the card of a row is the train that was written in it. */
  @ParameterizedTest
  @ValueSource(ints = {1, 2, 3})
  void whatIsWrittenInATableIsReadFromIt(int seed) throws Exception {
    Random random = new Random(seed);
    StringBuilder table = new StringBuilder("name,A,B,C,D,E,F\n");
    StringBuilder sets = new StringBuilder("sun,planet,planets,ring\n");
    for (int k = 0; k < 20; k++) {
      table.append("n").append(k);
      int wheels = 2 * (1 + random.nextInt(3));
      for (int w = 0; w < 6; w++) {
        table.append(',').append(w < wheels ? String.valueOf(12 + random.nextInt(90)) : "");
      }
      table.append('\n');
      int sun = 12 + random.nextInt(30);
      int planet = 12 + random.nextInt(30);
      sets.append(sun).append(',').append(planet).append(",3,").append(sun + 2 * planet);
      sets.append('\n');
    }
    for (String text : List.of(table.toString(), sets.toString())) {
      Job fromText = JobFiles.open(text("rows.csv", text));
      Job fromBook = JobFiles.open(book(text));
      assertEquals(20, fromText.sheets().size());
      String[] lines = text.split("\n");
      for (int k = 0; k < 20; k++) {
        Train train = Card.read(fromText.sheets().get(k).text()).train();
        String counts = lines[k + 1].replaceAll("n\\d+,", "").replaceAll(",+$", "");
        String printed = CardPrinter.print(train).lines().findFirst().orElseThrow();
        assertEquals(
            counts.replaceAll("\\D+", " "), printed.replaceAll("\\D+", " ").strip(), printed);
        assertEquals(fromText.sheets().get(k).text(), fromBook.sheets().get(k).text());
      }
    }
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "a,b/1,2 | 1 | no row of heads",
        "A,B,A/20,30,40 | 1 | two columns are called A",
        "A,B | 1 | no row below",
        "A,B/20,30/x,30 | 3 | found 'x'",
        "driver,driven/18,72/,80 | 2 | ",
        "A,B/'\"20,30 | 2 | quotation mark",
      })
  void whatIsNoTableIsRefusedWithItsRow(String table, int row, String says) throws IOException {
    Path file = text("table.csv", table.replace('/', '\n').replace("'", ""));
    UnreadableException bad = assertThrows(UnreadableException.class, () -> JobFiles.open(file));
    assertEquals(row, bad.line(), bad.what());
    assertTrue(bad.what().contains(says == null ? "expected" : says), bad.what());
  }

  @Test
  void filesThatAreNoneAreRefused() throws IOException {
    Path latin = folder.resolve("latin.csv");
    Files.write(latin, "A,B\n20,30 \u00fc\n".getBytes(StandardCharsets.ISO_8859_1));
    Path torn = text("torn.xlsx", "PK no workbook");
    Path rows = text("many.csv", "A,B\n" + "20,30\n".repeat(CountTable.MOST_TRAINS + 1));
    for (Path file : List.of(latin, torn, rows)) {
      UnreadableException bad = assertThrows(UnreadableException.class, () -> JobFiles.open(file));
      assertTrue(bad.what().length() > 20, bad.what());
    }
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "teeth,pieces/24,2/72i,/18,0 | 24x2, 72ix1",
        "My wheels/Number of teeth,Quantity,where/24,2,box/36,1,drawer | 24x2, 36x1",
        "24/36/72i | 24x1, 36x1, 72ix1",
      })
  void wheelsThatAreOwnedAreRead(String table, String expected) throws Exception {
    assertEquals(expected, CountTable.stock(text("s.csv", table.replace('/', '\n'))));
    assertEquals(expected, CountTable.stock(book(table.replace('/', '\n'))));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "sun,ring/1,2 | 1 | no stock list",
        "teeth,pieces/24,some | 2 | '24 some'",
        "teeth,pieces/24,0 | 1 | no wheel is in stock",
      })
  void whatIsNoStockIsRefused(String table, int row, String says) throws IOException {
    Path file = text("s.csv", table.replace('/', '\n'));
    UnreadableException bad = assertThrows(UnreadableException.class, () -> CountTable.stock(file));
    assertEquals(row, bad.line());
    assertTrue(bad.what().contains(says), bad.what());
  }

  @Test
  void aJobTakesItsNamesFromTheTable() throws Exception {
    Job job = JobFiles.open(text("Old boxes.csv", "train,A,B\nwinch,20,40\n,20,60\n"));
    assertEquals("Old boxes", job.title());
    assertEquals(List.of("winch", "Old boxes 2"), job.sheets().stream().map(Sheet::name).toList());
  }
}
