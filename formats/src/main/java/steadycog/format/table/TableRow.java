package steadycog.format.table;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.dhatim.fastexcel.reader.Cell;
import org.dhatim.fastexcel.reader.CellType;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.Row;
import org.jspecify.annotations.Nullable;
import steadycog.format.json.UnreadableException;

/**
 * One row that is not empty.
 *
 * @param number in the file, from 1
 * @param cells without blanks round them; an empty one is an empty text
 */
record TableRow(int number, List<String> cells) {
  static final String WORKBOOK = ".xlsx";

  /** Far above any list that a person keeps. */
  static final int MOST = 100_000;

  private static final int MOST_BYTES = 16 * 1024 * 1024;
  private static final String MARK = "\ufeff";

  TableRow {
    cells = List.copyOf(cells);
  }

  /**
   * Of comma-separated text, or of the first sheet of a workbook.
   *
   * @throws UnreadableException if it is neither, or too large
   */
  static List<TableRow> of(Path file) throws IOException, UnreadableException {
    if (Files.size(file) > MOST_BYTES) {
      throw new UnreadableException(1, 1, "larger than 16 MB: not a table of tooth counts");
    }
    byte[] bytes = Files.readAllBytes(file);
    boolean book = file.toString().toLowerCase(Locale.ROOT).endsWith(WORKBOOK);
    List<TableRow> all = book ? ofBook(bytes) : ofText(bytes);
    if (all.size() > MOST) {
      throw new UnreadableException(1, 1, "more than " + MOST + " rows");
    }
    return all.stream()
        .filter(row -> row.cells.stream().anyMatch(cell -> !cell.isEmpty()))
        .toList();
  }

  private static List<TableRow> ofText(byte[] bytes) throws IOException, UnreadableException {
    String text;
    try {
      text = StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(bytes)).toString();
    } catch (CharacterCodingException other) {
      throw new UnreadableException(1, 1, "not UTF-8 text: save it as CSV UTF-8, or as .xlsx");
    }
    String plain = text.startsWith(MARK) ? text.substring(1) : text;
    CSVFormat format =
        CSVFormat.RFC4180
            .builder()
            .setDelimiter(separator(plain))
            .setIgnoreEmptyLines(false)
            .setTrim(true)
            .get();
    List<TableRow> all = new ArrayList<>();
    try (CSVParser parser = CSVParser.parse(plain, format)) {
      long line = 1;
      for (CSVRecord row : parser) {
        all.add(new TableRow((int) line, row.toList()));
        line = parser.getCurrentLineNumber() + 1;
      }
    } catch (IOException | UncheckedIOException bad) {
      throw new UnreadableException(
          all.size() + 1,
          1,
          "not comma-separated text: look for a quotation mark that is not closed");
    }
    return all;
  }

  /** The one of which the beginning has most. */
  private static char separator(String text) {
    String head = text.substring(0, Math.min(text.length(), 2000));
    return Stream.of(',', ';', '\t')
        .reduce((a, b) -> count(head, b) > count(head, a) ? b : a)
        .orElseThrow();
  }

  private static long count(String text, char sign) {
    return text.chars().filter(c -> c == sign).count();
  }

  private static List<TableRow> ofBook(byte[] bytes) throws UnreadableException {
    List<TableRow> all = new ArrayList<>();
    try (InputStream in = new ByteArrayInputStream(bytes);
        ReadableWorkbook book = new ReadableWorkbook(in);
        Stream<Row> rows = book.getFirstSheet().openStream()) {
      rows.limit(MOST + 1L).forEach(row -> all.add(new TableRow(row.getRowNum(), cells(row))));
    } catch (IOException | RuntimeException bad) {
      throw new UnreadableException(1, 1, "no .xlsx workbook, or a damaged one: save it anew");
    }
    return all;
  }

  private static List<String> cells(Row row) {
    List<String> cells = new ArrayList<>();
    for (int k = 0; k < row.getCellCount(); k++) {
      cells.add(row.getOptionalCell(k).map(TableRow::text).orElse("").strip());
    }
    return cells;
  }

  /** A count that a workbook holds as 24.0 is 24. */
  private static String text(Cell cell) {
    boolean number =
        cell.getType() == CellType.NUMBER
            || (cell.getType() == CellType.FORMULA && isNumber(cell.getRawValue()));
    if (number) {
      return new BigDecimal(cell.getRawValue()).stripTrailingZeros().toPlainString();
    }
    String raw = cell.getType() == CellType.FORMULA ? cell.getRawValue() : cell.getText();
    return raw == null ? "" : raw;
  }

  private static boolean isNumber(@Nullable String raw) {
    return raw != null && raw.matches("-?\\d+(\\.\\d+)?([eE][+-]?\\d+)?");
  }
}
