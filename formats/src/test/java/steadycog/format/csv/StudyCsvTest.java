package steadycog.format.csv;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;
import steadycog.notation.Card;
import steadycog.study.NamedStudy;
import steadycog.study.Study;

class StudyCsvTest {

  @Test
  void theTableReadsBackWithItsTitlesAndBalances() throws Exception {
    Study study =
        Study.of(Card.read("parallel 16 ~ 25 ~ 64i\ndrive A 90 rpm 6 Nm\ntake C\n").train());
    String text =
        StudyCsv.write(List.of(new NamedStudy("winch, \"old\"", study, Optional.empty())));
    List<CSVRecord> rows;
    try (CSVParser parser =
        CSVParser.parse(
            text, CSVFormat.RFC4180.builder().setHeader().setSkipHeaderRecord(true).get())) {
      rows = parser.getRecords();
    }
    assertEquals(3, rows.size());
    assertEquals("winch, \"old\"", rows.getFirst().get("train"));
    assertEquals("-4", rows.getFirst().get("reduction ratio i = in/out"));
    assertEquals("true", rows.getLast().get("internal"));
    double power = rows.stream().mapToDouble(row -> Double.parseDouble(row.get("power W"))).sum();
    assertEquals(study.loss().orElseThrow(), power, 1e-9, "what does not come out is lost");
    double comes = -Double.parseDouble(rows.getLast().get("power W"));
    double goes = Double.parseDouble(rows.getFirst().get("power W"));
    assertEquals(
        comes / goes, Double.parseDouble(rows.getFirst().get("efficiency of the train")), 1e-12);
    assertEquals("24", rows.getLast().get("without losses Nm").replace("-", ""));
    assertEquals("turns", rows.getLast().get("pushed back"));
    Map<String, String> roles =
        rows.stream().collect(Collectors.toMap(row -> row.get("member"), row -> row.get("role")));
    assertEquals(Map.of("A", "drive", "B", "free", "C", "take"), roles);
  }

  @Test
  void whatDoesNotFollowIsLeftEmpty() throws Exception {
    Study jammed = Study.of(Card.read("parallel 20 ~ 40\ndrive A\nhold B").train());
    String last =
        StudyCsv.write(List.of(new NamedStudy("t", jammed, Optional.empty())))
            .lines()
            .toList()
            .getLast();
    assertEquals("t,,,,,B,hold,40,false,,,,,,,,,,,,,", last);
  }
}
