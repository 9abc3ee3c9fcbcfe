package steadycog.format.csv;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.apache.commons.numbers.fraction.BigFraction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import steadycog.RandomCards;
import steadycog.format.demo.TernRock;
import steadycog.format.json.StudyJson;
import steadycog.job.TrainText;
import steadycog.number.Exact;
import steadycog.number.Unit;
import steadycog.number.Units;
import steadycog.sizing.SheetTable;
import steadycog.sizing.SheetTables;
import steadycog.study.NamedStudy;
import steadycog.train.Train;

/** Tables of values say what JSON and the sheet say, in whatever units. */
class TablesAgreeTest {

  private static List<CSVRecord> rows(String text) throws IOException {
    return CSVFormat.RFC4180
        .builder()
        .setHeader()
        .setSkipHeaderRecord(true)
        .get()
        .parse(new StringReader(text))
        .getRecords();
  }

  private static List<NamedStudy> demo() {
    return TernRock.job().sheets().stream()
        .map(sheet -> NamedStudy.of(sheet.name(), sheet.card().orElseThrow().train()))
        .toList();
  }

  private static String text(JsonNode node) {
    return node.isNull() ? "" : node.asText();
  }

  private static void sameNumber(JsonNode expected, String cell, double unit, String what) {
    assertEquals(expected.isNull(), cell.isEmpty(), what);
    if (!cell.isEmpty()) {
      double value = expected.asDouble() / unit;
      assertEquals(value, Double.parseDouble(cell), 1e-9 * (1 + Math.abs(value)), what);
    }
  }

  @ParameterizedTest
  @EnumSource(
      value = Unit.class,
      names = {"RPM", "RAD_PER_S", "LBF_IN", "GF_CM", "HP"})
  void membersSayWhatTheJsonSays(Unit unit) throws IOException {
    Random random = new Random(5);
    Units units = Units.USUAL.with(unit);
    for (int round = 0; round < 6; round++) {
      Train train = RandomCards.next(random).train();
      List<NamedStudy> one = List.of(NamedStudy.of("t", train));
      JsonNode json = new ObjectMapper().readTree(StudyJson.solve(one));
      if (json.has("states")) {
        continue;
      }
      // The table has a line a wheel, the JSON an object a body.
      Map<String, CSVRecord> rows = new LinkedHashMap<>();
      rows(StudyCsv.write(one, units)).forEach(row -> rows.put(row.get("member"), row));
      assertEquals(train.members().size(), rows.size());
      for (JsonNode member : json.get("members")) {
        String name = member.get("name").asText();
        CSVRecord row = rows.get(name);
        assertEquals(text(member.get("role")), row.get("role"));
        assertEquals(text(member.get("teeth")), row.get("teeth"));
        sameNumber(
            member.get("speedRpm"),
            row.get("speed " + units.speed().symbol()),
            units.speed().inBase(),
            name);
        String torque = units.torque().symbol();
        double newtons = units.torque().inBase();
        sameNumber(member.get("torqueNm"), row.get("torque from outside " + torque), newtons, name);
        sameNumber(member.get("idealTorqueNm"), row.get("without losses " + torque), newtons, name);
        sameNumber(member.get("carriedNm"), row.get("torque carried " + torque), newtons, name);
        sameNumber(
            member.get("powerW"),
            row.get("power " + units.power().symbol()),
            units.power().inBase(),
            name);
        exact(member.get("turnsPerInputTurn"), row, "turns per input turn");
        exact(json.get("ratio"), row, "reduction ratio i = in/out");
      }
    }
  }

  /** A decimal with its numerator and denominator: the same number, in lowest terms. */
  private static void exact(JsonNode expected, CSVRecord row, String name) {
    String above = row.get(name + ", numerator");
    String below = row.get(name + ", denominator");
    assertEquals(expected.isNull(), above.isEmpty());
    if (!above.isEmpty()) {
      BigFraction value = Exact.parse(above + "/" + below);
      assertEquals(expected.asText(), Exact.text(value));
      assertTrue(below.matches("[1-9]\\d*"), below);
      assertEquals(
          value.doubleValue(),
          Double.parseDouble(row.get(name)),
          1e-9 * (1 + Math.abs(value.doubleValue())));
    }
  }

  /** Every value of every sheet is there once, its number, unit and words put together again. */
  @Test
  void sheetsSayWhatTheirTablesSay() throws IOException {
    for (Units units : List.of(Units.USUAL, Units.USUAL.with(Unit.IN).with(Unit.LBF_IN))) {
      List<NamedStudy> all = demo();
      List<CSVRecord> rows = rows(SheetCsv.write(all, any -> units));
      int at = 0;
      for (NamedStudy train : all) {
        SheetTables tables = new SheetTables(train.study().train(), train.cutSheet(), units);
        for (SheetTable table : tables.all()) {
          for (int column = 0; column < table.columns().size(); column++) {
            for (SheetTable.Row row : table.rows()) {
              CSVRecord line = rows.get(at++);
              String said = row.cells().get(column).text().replace('\u2212', '-');
              assertEquals(table.columns().get(column), line.get("of"));
              assertEquals(row.label(), line.get("quantity"));
              String own = line.get("unit").equals(row.unit()) ? "" : " " + line.get("unit");
              String words = line.get("words");
              String again =
                  words.equals("internal")
                      ? line.get("value") + "i"
                      : (line.get("value") + own + " " + words).strip();
              assertEquals(said, again, row.label());
            }
          }
        }
      }
      assertEquals(rows.size(), at);
    }
  }

  @Test
  void tablesOfSeveralTrainsAreThoseOfEach() throws IOException {
    List<TrainText> each = new ArrayList<>();
    List<CSVRecord> expected = new ArrayList<>();
    for (NamedStudy train : demo()) {
      Optional<String> plan = train.plan().map(PlanCsv::write);
      String table = plan.orElseGet(() -> StudyCsv.write(List.of(train)));
      each.add(new TrainText(train.name(), table));
      expected.addAll(rows(table));
    }
    List<CSVRecord> all = rows(EachTrain.of(each));
    assertEquals(expected.size(), all.size());
    for (int k = 0; k < all.size(); k++) {
      Map<String, String> merged = all.get(k).toMap();
      expected
          .get(k)
          .toMap()
          .forEach(
              (head, cell) -> assertTrue(head.equals("train") || cell.equals(merged.get(head))));
      assertTrue(each.stream().anyMatch(one -> one.train().equals(merged.get("train"))));
    }
    assertEquals("a\r\n1\r\n", EachTrain.of(List.of(new TrainText("alone", "a\r\n1\r\n"))));
  }
}
