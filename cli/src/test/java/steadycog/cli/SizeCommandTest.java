package steadycog.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Sizes for a load, from the command line. */
class SizeCommandTest extends Shell {
  private static final String CARD =
      """
      parallel 20 ~ 60
      module 1 mm
      hardness 240 HB
      rating life 800 h quality 8
      drive A 900 rpm 12 Nm; take B
      """;

  /** The first card of JSON is the one printed, is rated by sheet, and holds. */
  @Test
  void theCardThatIsPrintedHolds() throws Exception {
    assertEquals(0, run(CARD, "size", "-", "--json"));
    JsonNode first = json().at("/choices/0");
    String card = first.get("card").asText();
    assertEquals(0, run(CARD, "size", "-"));
    for (String line : card.split("\n")) {
      assertTrue(out.toString().contains(line), line);
    }
    assertTrue(out.toString().contains("qualified"), "the caution stands there");
    assertTrue(out.toString().contains("98.5\u2009% comes out"), out::toString);
    assertEquals(0, run(card, "sheet", "-", "--json"));
    for (JsonNode tooth : json().at("/rating/teeth")) {
      assertTrue(tooth.get("bendingFactor").asDouble() >= 1.5, tooth::toString);
      assertTrue(tooth.get("contactFactor").asDouble() >= 1.2, tooth::toString);
    }
    assertEquals(0, run(CARD, "size", "-", "--bending", "3", "--contact", "2", "--json"));
    JsonNode more = json().at("/choices/0");
    assertTrue(more.get("moduleMm").asDouble() > first.get("moduleMm").asDouble());
    assertTrue(more.get("contact").asDouble() >= 2);
  }

  /** Shafts are told alike in JSON and in the table, in millimetres and in inches. */
  @Test
  void shaftsAreToldAlikeInAllUnits() throws Exception {
    String card = CARD + "bearing rating 300 lbf\n";
    assertEquals(0, run(card, "sheet", "-", "--json"));
    JsonNode shaft = json().at("/rating/shafts/0");
    double least = shaft.get("leastMm").asDouble();
    assertEquals(1334.47, shaft.at("/bearingLife/ratingN").asDouble(), 0.01);
    for (String unit : List.of("mm", "in")) {
      assertEquals(0, run(card, "sheet", "-", "--units", unit));
      String line =
          out.toString()
              .lines()
              .filter(row -> row.startsWith("least diameter, " + unit))
              .findFirst()
              .orElseThrow();
      double shown = Double.parseDouble(line.split("\\s{2,}")[1]);
      assertEquals(least, unit.equals("in") ? shown * 25.4 : shown, least / 1000, line);
    }
  }

  @Test
  void whatDoesNotFitIsSaid() throws Exception {
    assertEquals(1, run(CARD, "size", "-", "--diameter", "30mm"));
    assertTrue(out.toString().startsWith("Nothing holds"), out::toString);
    assertEquals(1, run(CARD, "size", "-", "--mass", "0.01", "--json"));
    assertEquals(0, json().get("choices").size());
    assertTrue(json().at("/nearest/massKg").asDouble() > 0.01);
    assertEquals(1, run(CARD, "size", "-", "--distance", "40mm", "--json"));
    assertEquals(0, run(CARD, "size", "-", "--distance", "200mm", "--json"));
    for (JsonNode choice : json().get("choices")) {
      double module = choice.get("moduleMm").asDouble();
      assertEquals(40 * module, choice.get("distanceMm").asDouble(), 1e-6);
      assertTrue(40 * module <= 200);
    }
  }

  @ParameterizedTest
  @CsvSource({
    "--bending, much, expected a factor",
    "--contact, 0, expected 0.5 to 10",
    "--part, rear, no tooth can be rated",
  })
  void whatCannotBeIsRefusedInOneLine(String option, String value, String why) {
    assertEquals(2, run(CARD, "size", "-", option, value));
    assertEquals(1, err.toString().lines().count(), err::toString);
    assertTrue(err.toString().contains(why), err::toString);
  }
}
