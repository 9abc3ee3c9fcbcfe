package steadycog.cli;

import static org.junit.jupiter.api.Assertions.assertAll;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.math.BigDecimal;
import java.math.MathContext;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import steadycog.notation.Card;
import steadycog.study.Study;

/**
 * What every form of output says of cards of every kind, kept in {@code src/test/resources/frozen},
 * so that a change of behaviour is seen as a difference of files. {@code mvn -pl cli -am test
 * -Dtest=FrozenTest -Dsurefire.failIfNoSpecifiedTests=false -Drenew} writes them anew.
 */
@Tag("slow")
class FrozenTest extends Shell {
  private static final Path KEPT = Path.of("src", "test", "resources", "frozen");
  private static final boolean RENEW = Boolean.getBoolean("renew");

  /** Digits that the same sum has on every machine. */
  private static final MathContext ALIKE = new MathContext(9);

  private static final Pattern LONG_NUMBER = Pattern.compile("\\d+\\.\\d{6,}(E-?\\d+)?");

  static List<String> cards() throws IOException {
    try (Stream<Path> files = Files.list(KEPT.resolve("cards"))) {
      return files.map(file -> file.getFileName().toString().replace(".txt", "")).sorted().toList();
    }
  }

  @ParameterizedTest
  @MethodSource("cards")
  void everyFormSaysWhatItSaid(String name) throws IOException {
    Path card = KEPT.resolve("cards").resolve(name + ".txt");
    Map<String, String> forms = new LinkedHashMap<>();
    forms.put("solve.json", printed("solve", card.toString(), "--json"));
    forms.put("solve.txt", printed("solve", card.toString(), "--working"));
    forms.put("board.txt", printed("board", card.toString()));
    forms.put("members.csv", written(card, "members.csv"));
    forms.put("sheet.txt", printed("sheet", card.toString()));
    forms.put("report.txt", words(written(card, "report.html")));
    if (Files.readString(card).contains("\nstate ")) {
      forms.put("plan.txt", printed("plan", card.toString()));
      forms.put("choices.txt", printed("plan", card.toString(), "--find"));
    }
    assertAll(forms.entrySet().stream().map(form -> () -> keep(name, form)));
  }

  private String printed(String... command) {
    assertTrue(run("", command) < 2, err::toString);
    return out.toString();
  }

  private String written(Path card, String file) throws IOException {
    Path to = folder.resolve(file);
    assertTrue(run("", "export", card.toString(), "--to", to.toString()) < 2, err::toString);
    return Files.readString(to);
  }

  /** What a page says, a line a piece of text, without its style, its lines and their places. */
  private static String words(String page) {
    return page.replaceAll("(?s)<style.*?</style>", "")
        .replaceAll("\\d{4}(-\\d\\d){2}", "DAY")
        .replaceAll("<[^>]*>", "\n")
        .replaceAll("[ \n]*\n[ \n]*", "\n");
  }

  private static void keep(String name, Map.Entry<String, String> form) throws IOException {
    Path file = KEPT.resolve(name).resolve(form.getKey());
    String now =
        LONG_NUMBER.matcher(form.getValue().replace("\r\n", "\n")).replaceAll(FrozenTest::alike);
    if (RENEW) {
      Files.createDirectories(file.getParent());
      Files.writeString(file, now);
    } else {
      assertEquals(Files.readString(file), now, name + " " + form.getKey());
    }
  }

  private static String alike(MatchResult number) {
    return new BigDecimal(number.group()).round(ALIKE).stripTrailingZeros().toString();
  }

  /**
   * The table of rules: what is wrong with a card, by how much, what cures it first, and that the
   * cured neighbour passes.
   */
  @Test
  void everyRuleJudgesAsItDid() throws Exception {
    Path table = KEPT.resolve("rules.txt");
    List<String> before = Files.readAllLines(table);
    List<String> now = new ArrayList<>(List.of(before.getFirst()));
    for (String row : before.subList(1, before.size())) {
      String[] cells = row.split(" \\| ");
      now.add(judged(cells[0], cells[1]));
    }
    if (RENEW) {
      Files.write(table, now);
    } else {
      assertEquals(String.join("\n", before), String.join("\n", now));
    }
  }

  private String judged(String card, String code) throws Exception {
    JsonNode finding = found(card, code);
    assertTrue(!finding.isMissingNode(), code + " is no finding of " + card);
    JsonNode cure = finding.at("/cures/0");
    String after = "";
    if (!cure.isMissingNode()) {
      after =
          Study.of(Card.read(cure.get("card").asText()).train()).findings().stream()
              .filter(left -> left.code().equals(code))
              .findFirst()
              .map(left -> left.severity().word())
              .orElse("gone");
    }
    return String.join(
            " | ",
            card,
            code,
            finding.get("severity").asText(),
            finding.at("/values/margin").asText("-"),
            cure.path("change").asText("-"),
            after)
        .stripTrailing();
  }

  private JsonNode found(String card, String code) throws IOException {
    assertTrue(run(card.replace("; ", "\n"), "check", "-", "--json") < 2, err::toString);
    for (JsonNode finding : json().get("findings")) {
      if (finding.get("code").asText().equals(code)) {
        return finding;
      }
    }
    return json().at("/none");
  }
}
