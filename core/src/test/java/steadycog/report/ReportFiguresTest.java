package steadycog.report;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.apache.commons.numbers.fraction.BigFraction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import steadycog.job.Job;
import steadycog.job.Sheet;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.number.Unit;
import steadycog.number.Units;

/** The numbers of a report against formulas of the textbooks, worked out here by themselves. */
class ReportFiguresTest {
  private static Map<String, Block.Table> tables(String card, Units units) throws CardException {
    Sheet sheet = Sheet.of("set", Card.read(card));
    Report report =
        Report.of(
            new Job("", List.of(sheet)), EnumSet.of(Section.RATIOS, Section.WORKING), units, "");
    Map<String, Block.Table> tables = new HashMap<>();
    report.chapters().getFirst().parts().stream()
        .flatMap(part -> part.blocks().stream())
        .forEach(
            block -> {
              if (block instanceof Block.Table table) {
                tables.put(table.caption().replaceAll("[ ,;].*", ""), table);
              }
            });
    return tables;
  }

  /** A cell as a number: fractions, thin spaces, brackets and typographic signs taken away. */
  private static double number(String cell) {
    String plain = cell.replaceAll("[()\\s\u2009\u202f\u00a0%]", "").replace('\u2212', '-');
    int slash = plain.indexOf('/');
    return slash < 0
        ? Double.parseDouble(plain)
        : Double.parseDouble(plain.substring(0, slash))
            / Double.parseDouble(plain.substring(slash + 1));
  }

  private static Map<String, Double> column(Block.Table table, String head) {
    int at = table.heads().indexOf(head);
    assertTrue(at > 0, () -> head + " in " + table.heads());
    Map<String, Double> values = new HashMap<>();
    table.rows().forEach(row -> values.put(row.getFirst(), number(row.get(at))));
    return values;
  }

  /** Willis: (ws - wc) S = -(wr - wc) R, and the planet as an idler between them. */
  @ParameterizedTest
  @CsvSource({
    "24, 15, 54, sun, ring, carrier",
    "24, 15, 54, sun, carrier, ring",
    "24, 15, 54, ring, sun, carrier",
    "12, 18, 48, carrier, sun, ring",
    "30, 21, 72, ring, carrier, sun",
    "31, 17, 65, carrier, ring, sun"
  })
  void aSetTurnsAsWillisHasIt(int s, int p, int r, String drive, String hold, String take)
      throws CardException {
    double rpm = 90;
    Map<String, Double> turns = new HashMap<>(Map.of(drive, 1.0, hold, 0.0));
    turns.put(
        take,
        switch (take) {
          case "carrier" ->
              (turns.getOrDefault("sun", 0.0) * s + turns.getOrDefault("ring", 0.0) * r) / (s + r);
          case "sun" -> turns.get("carrier") * (1 + (double) r / s) - turns.get("ring") * r / s;
          default -> turns.get("carrier") * (1 + (double) s / r) - turns.get("sun") * s / r;
        });
    turns.put("planet", turns.get("carrier") - (turns.get("sun") - turns.get("carrier")) * s / p);
    Map<String, Block.Table> tables =
        tables(
            "planetary sun %d planet %d x1 ring %d; drive %s %s rpm; hold %s; take %s 2 Nm"
                .formatted(s, p, r, drive, rpm, hold, take),
            Units.USUAL);
    Block.Table members = tables.get("Speed");
    Map<String, Double> exact = column(members, "exactly");
    Map<String, Double> speed = column(members, "rpm");
    turns.forEach(
        (member, expected) -> {
          assertEquals(expected, exact.get(member), 1e-12, member);
          assertEquals(rpm * expected, speed.get(member), 5e-5 * Math.abs(rpm * expected), member);
        });
    for (String way : List.of("relative motion", "turn table", "pitch lines")) {
      Map<String, Double> worked = column(tables.get("Turns"), way);
      turns.forEach((member, expected) -> assertEquals(expected, worked.get(member), 1e-12, way));
    }
  }

  @Test
  void torquesOfAllShaftsAddUpToNothingAndPowerToTheLoss() throws CardException {
    Map<String, Block.Table> tables =
        tables(
            """
            planetary sun 24 planet 15 x3 ring 54
            efficiency external 98 %; efficiency internal 98 %
            drive sun 300 rpm; hold ring; take carrier 2 Nm
            """,
            Units.USUAL);
    Map<String, Double> torque = column(tables.get("Speed"), "Nm");
    double sum = torque.get("sun") + torque.get("ring") + torque.get("carrier");
    assertEquals(0, sum, 1e-3, "nothing else holds the set");
    Map<String, Double> power = column(tables.get("Speed"), "W");
    double lost = power.get("sun") + power.get("carrier");
    // Both meshes in a row, seen from the carrier: E = 0.98 squared.
    double i = 1 + 54 / 24.0;
    double efficiency = (1 + (i - 1) * 0.98 * 0.98) / i;
    assertEquals(power.get("sun") * (1 - efficiency), lost, 1e-3 * power.get("sun"));
    assertEquals(0, power.get("ring"), 1e-12);
  }

  @Test
  void theBoardHasAllSixRatiosOfASet() throws CardException {
    int s = 20;
    int r = 70;
    Block.Table board =
        tables(
                "planetary sun 20 planet 25 x3 ring 70; drive sun; hold ring; take carrier",
                Units.USUAL)
            .get("Every");
    double k = (double) r / s;
    List<Double> expected =
        new ArrayList<>(List.of(1 + k, 1 / (1 + k), -k, -1 / k, 1 + 1 / k, 1 / (1 + 1 / k)));
    int ratio = board.heads().indexOf("i = in/out");
    for (List<String> row : board.rows()) {
      double found = number(row.get(ratio));
      assertTrue(
          found == 1 || expected.removeIf(one -> Math.abs(one - found) < 1e-12), row::toString);
    }
    assertEquals(List.of(), expected);
    assertEquals(
        1, board.rows().stream().filter(one -> one.getFirst().startsWith("\u2192")).count());
  }

  @Test
  void aChainIsTheProductOfItsMeshes() throws CardException {
    Random random = new Random(4);
    for (int run = 0; run < 40; run++) {
      StringBuilder card = new StringBuilder("parallel ");
      BigFraction product = BigFraction.ONE;
      for (int stage = 0; stage < 1 + random.nextInt(4); stage++) {
        int driver = random.nextInt(12, 60);
        int driven = random.nextInt(12, 90);
        card.append(stage == 0 ? "" : " = ").append(driver + " ~ " + driven);
        product = product.multiply(BigFraction.of(-driven, driver));
      }
      Block.Table working = tables(card.toString(), Units.USUAL).get("The");
      int at = working.heads().indexOf("so far");
      assertEquals(
          product.doubleValue(), number(working.rows().getLast().get(at)), 1e-9, card::toString);
    }
  }

  @Test
  void numbersFollowTheUnits() throws CardException {
    String card = "parallel 20 ~ 60; drive A 120 rpm 3 Nm; take B";
    Map<String, Double> usual = column(tables(card, Units.USUAL).get("Speed"), "rpm");
    Unit other = Unit.of("rad/s").orElseThrow();
    Map<String, Double> radians =
        column(tables(card, Units.USUAL.with(other)).get("Speed"), other.symbol());
    usual.forEach(
        (member, rpm) ->
            assertEquals(rpm * Math.PI / 30, radians.get(member), 1e-4 * Math.abs(rpm), member));
  }
}
