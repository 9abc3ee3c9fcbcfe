package steadycog.format.csv;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import steadycog.job.TrainText;

/** The same table of several trains in one: a first column names the train. */
public final class EachTrain {
  private static final String TRAIN = "train";

  private EachTrain() {}

  /**
   * The one table as it is, or all of them in one with every column that any has.
   *
   * @param tables comma-separated values, one a train
   */
  public static String of(List<TrainText> tables) {
    if (tables.size() == 1) {
      return tables.getFirst().text();
    }
    Set<String> heads = new LinkedHashSet<>();
    List<Map<String, String>> rows = new ArrayList<>();
    tables.forEach(table -> add(table, heads, rows));
    List<String> titles = new ArrayList<>(List.of(TRAIN));
    titles.addAll(heads);
    List<List<String>> lines = new ArrayList<>();
    for (Map<String, String> row : rows) {
      lines.add(titles.stream().map(title -> row.getOrDefault(title, "")).toList());
    }
    return Csv.write(titles, lines);
  }

  private static void add(TrainText table, Set<String> heads, List<Map<String, String>> rows) {
    CSVFormat format = CSVFormat.RFC4180.builder().setHeader().setSkipHeaderRecord(true).get();
    try (CSVParser parser = CSVParser.parse(table.text(), format)) {
      heads.addAll(parser.getHeaderNames());
      for (CSVRecord record : parser) {
        Map<String, String> row = record.toMap();
        row.replaceAll((head, cell) -> Csv.plain(cell));
        row.put(TRAIN, table.train());
        rows.add(row);
      }
    } catch (IOException impossible) {
      throw new UncheckedIOException("reading from memory", impossible);
    }
  }
}
