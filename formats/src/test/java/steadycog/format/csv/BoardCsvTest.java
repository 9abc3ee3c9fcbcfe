package steadycog.format.csv;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.StringReader;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import steadycog.format.json.StudyJson;
import steadycog.notation.Card;
import steadycog.number.Exact;
import steadycog.study.ConfigurationBoard;

class BoardCsvTest {

  /** The table and the JSON tell the same of every configuration. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "planetary sun 24 planet 15 x3 ring 54",
        "planetary planet 14 x2 ring 32",
        "cycloidal lobes 29 pins 30",
        "strainwave nominal 80",
        "parallel 20 ~ 33 = 25 ~ 50"
      })
  void sayTheSameAsTheJson(String card) throws Exception {
    ConfigurationBoard board = ConfigurationBoard.of(Card.read(card).train());
    List<CSVRecord> lines =
        CSVFormat.RFC4180
            .builder()
            .setHeader()
            .setSkipHeaderRecord(true)
            .get()
            .parse(new StringReader(BoardCsv.write(board)))
            .getRecords();
    JsonNode all = new ObjectMapper().readTree(StudyJson.board(board)).get("configurations");
    assertEquals(all.size(), lines.size());
    assertTrue(lines.size() >= 6);
    for (int k = 0; k < lines.size(); k++) {
      JsonNode node = all.get(k);
      CSVRecord line = lines.get(k);
      for (String field : List.of("drive", "hold", "take", "lock", "mode")) {
        assertEquals(node.get(field).asText("").replace("null", ""), line.get(field), field);
      }
      String i = "reduction ratio i = in/out";
      String exactly = line.get(i + ", numerator") + "/" + line.get(i + ", denominator");
      assertEquals(Exact.parse(node.get("ratio").asText()), Exact.parse(exactly));
      assertEquals(Exact.parse(exactly).doubleValue(), Double.parseDouble(line.get(i)), 1e-9);
      assertEquals(
          Exact.parse(node.get("trainValue").asText()).doubleValue(),
          Double.parseDouble(line.get("train value e = out/in")),
          1e-9);
      boolean opposite = node.get("ratio").asText().startsWith("-");
      assertEquals(opposite ? "opposite" : "same", line.get("direction"));
      assertEquals(node.get("seldomUseful").asText(), line.get("seldom useful"));
    }
  }
}
