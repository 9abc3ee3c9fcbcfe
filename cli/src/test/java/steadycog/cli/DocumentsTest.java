package steadycog.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.ResourceBundle;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import steadycog.format.demo.TernRock;
import steadycog.job.Sheet;
import steadycog.notation.Card;
import steadycog.number.Unit;
import steadycog.number.Units;

/** Documents say what is so: their cards can be read, their commands run, their lists are whole. */
class DocumentsTest extends Shell {
  private static final Path DOCS = Path.of("..", "docs");
  private static final List<Path> PROSE =
      List.of(
          Path.of("..", "README.md"),
          DOCS.resolve("guide.md"),
          DOCS.resolve("format.md"),
          DOCS.resolve("methods.md"));
  private static final String RECORDING =
      DOCS.resolve("samples").resolve("focuser-build-b.csv").toString();
  private static final Pattern KIND =
      Pattern.compile(
          "^([\\w-]+: )?(parallel|planetary|cycloidal|strainwave|bevel|differential) .*\\d.*");

  private static String text(Path file) throws IOException {
    return Files.readString(file);
  }

  static Stream<String> cards() throws IOException {
    List<String> cards = new ArrayList<>();
    for (Path file : PROSE) {
      for (String block : text(file).split("\n(?!    )")) {
        String code =
            block
                .lines()
                .filter(line -> line.startsWith("    "))
                .map(String::strip)
                .collect(Collectors.joining("\n"));
        List<String> bare =
            code.lines().filter(l -> KIND.matcher(l).matches() && !l.contains(":")).toList();
        if (bare.size() > 1) {
          // Examples of kinds, one a line.
          cards.addAll(bare);
        } else if (!code.isEmpty() && KIND.matcher(code.lines().findFirst().get()).matches()) {
          cards.add(code + "\n");
        }
      }
      Matcher inline = Pattern.compile("`([^`\n]+)`").matcher(text(file));
      while (inline.find()) {
        String code = inline.group(1);
        if (KIND.matcher(code).matches() && !code.contains("\u2026") && !code.contains("|")) {
          cards.add(code + "\n");
        }
      }
    }
    return cards.stream().distinct();
  }

  @ParameterizedTest
  @MethodSource("cards")
  void everyCardOfTheDocumentsIsOne(String card) throws Exception {
    Card read = Card.read(card);
    assertTrue(!read.train().parts().isEmpty());
    assertTrue(run(card, "solve", "-") < 2, err::toString);
  }

  @Test
  void thereAreCardsInTheDocuments() throws IOException {
    assertTrue(cards().count() >= 12, () -> "found fewer");
  }

  /** Every option that the documents name is known to the command beside it. */
  @Test
  void everyOptionOfTheTableOfCommandsExists() throws IOException {
    Matcher row = Pattern.compile("(?m)^\\| `([a-z]+) ([^`]*)`").matcher(text(PROSE.getFirst()));
    int options = 0;
    while (row.find()) {
      assertEquals(0, run("", row.group(1), "--help"), row.group());
      String help = out.toString();
      Matcher option = Pattern.compile("--[a-z-]+").matcher(row.group(2));
      while (option.find()) {
        assertTrue(help.contains(option.group()), row.group(1) + " " + option.group());
        options++;
      }
    }
    assertTrue(options > 15, options + " options");
  }

  @Test
  void everyCodeOfAFindingIsListedWithItsMeaning() throws IOException {
    Set<String> codes =
        ResourceBundle.getBundle("steadycog.check.findings").keySet().stream()
            .map(key -> key.replaceAll("\\..*", ""))
            .collect(Collectors.toCollection(TreeSet::new));
    Set<String> listed = new TreeSet<>();
    Matcher row =
        Pattern.compile("(?m)^\\| `([a-z-]+)` \\| .{12,} \\|$")
            .matcher(text(DOCS.resolve("findings.md")));
    while (row.find()) {
      assertTrue(listed.add(row.group(1)), "twice: " + row.group(1));
    }
    assertEquals(codes, listed);
  }

  @Test
  void everyUnitIsListed() throws IOException {
    String format = text(DOCS.resolve("format.md"));
    for (Unit unit : Unit.values()) {
      assertTrue(format.contains("`" + unit.symbol() + "`"), unit.symbol());
      assertEquals(unit, Unit.of(unit.symbol(), unit.dimension()).orElseThrow());
    }
    List<String> card =
        Arrays.stream(Unit.values())
            .filter(unit -> Units.USUAL.of(unit.dimension()).isPresent())
            .map(Unit::symbol)
            .toList();
    card.forEach(symbol -> assertTrue(Unit.of(symbol).isPresent(), symbol));
  }

  // ---- what commands print

  private static final String[][] COMMANDS = {
    {"solve"}, {"board"}, {"sheet"}, {"plan"}, {"bench"}, {"plan", "--find"}
  };

  static List<String> names() {
    return TernRock.job().sheets().stream().map(Sheet::name).toList();
  }

  /** Nothing is printed for people that is wider than a terminal, whatever the units. */
  @ParameterizedTest
  @ValueSource(strings = {"rpm", "rad/s,lbf-in,hp,in"})
  void noLineIsLongerThanAHundredBytes(String units) throws IOException {
    String job = demo();
    for (String[] command : COMMANDS) {
      List<String> all = new ArrayList<>(List.of(command));
      all.add(job);
      if (!all.contains("--find")) {
        all.addAll(List.of("--units", units));
      }
      assertTrue(run("", all.toArray(String[]::new)) < 2, () -> all + ": " + err);
      assertTrue(out.toString().lines().count() > 5);
      assertEquals(List.of(), wide(out.toString()), all::toString);
    }
    assertEquals(0, run("", "find", "--target", "85", "--kind", "planetary", "--top", "12"));
    assertEquals(List.of(), wide(out.toString()));
  }

  private static List<String> wide(String text) {
    return text.lines().filter(l -> l.getBytes(StandardCharsets.UTF_8).length > 100).toList();
  }

  /** Numbers are numbers: no fraction for a date, no unit behind a figure, no stray minus. */
  @Test
  void everyCellOfATableIsANumberOrAWord() throws IOException {
    String job = demo();
    List<String[]> all = new ArrayList<>();
    for (String command : List.of("board", "sheet", "plan")) {
      all.add(new String[] {command, job, "--csv"});
    }
    all.add(new String[] {"find", "--target", "13/4", "--kind", "planetary", "--csv"});
    Path members = folder.resolve("members.csv");
    assertTrue(run("", "export", job, "--to", members.toString()) < 2);
    List<String> texts = new ArrayList<>(List.of(Files.readString(members)));
    for (String[] command : all) {
      assertTrue(run("", command) < 2, err::toString);
      texts.add(out.toString());
    }
    int cells = 0;
    for (String text : texts) {
      for (CSVRecord row :
          CSVFormat.RFC4180
              .builder()
              .setHeader()
              .setSkipHeaderRecord(true)
              .get()
              .parse(new java.io.StringReader(text))) {
        for (String cell : row) {
          assertTrue(
              !cell.matches("[-+\u2212]?\\d+/\\d+|\u2212.*|[-+]?[\\d.]+ ?(mm|in|Nm|rpm|%|i)"),
              cell);
          cells++;
        }
      }
    }
    assertTrue(cells > 5_000, cells + " cells");
  }

  @Test
  void jsonHoldsOnlyWhatTheSchemaPublishes() throws IOException {
    JsonNode schemas =
        new ObjectMapper().readTree(text(DOCS.resolve("output.schema.json"))).get("$defs");
    String job = demo();
    int fields = 0;
    for (String[] command : COMMANDS) {
      List<String> all = new ArrayList<>(List.of(command));
      all.addAll(List.of(job, "--json"));
      assertTrue(run("", all.toArray(String[]::new)) < 2, err::toString);
      fields += check(schemas.get(String.join(" ", command)), out.toString());
    }
    assertTrue(run("", "find", "--target", "85", "--top", "3", "--json") < 2);
    fields += check(schemas.get("find"), out.toString());
    String card = "planetary sun 24 planet 15 x3 ring 54\nhold ring\n";
    assertTrue(run(card, "check", "-", "--json") < 2);
    fields += check(schemas.get("check"), out.toString());
    assertTrue(run(card, "cure", "-", "--json") < 2);
    fields += check(schemas.get("cure"), out.toString());
    for (String[] other :
        new String[][] {
          {"find --near", "find", "--near", "-", "--target", "3", "--json"},
          {"size", "size", "-", "--json"},
          {"gearbox", "gearbox", "-", "--json"},
          {"gearbox", "gearbox", job, "--json"},
          {"sheet", "sheet", "-", "--json"},
          {"identify", "identify", "--teeth", "24", "--od", "39", "--json"},
          {"bench --csv", "bench", job, "--train", "Focuser", "--csv", RECORDING, "--json"},
          {"bench --rig", "bench", job, "--train", "Focuser", "--rig", "turns", "--json"}
        }) {
      assertTrue(
          run(
                  card + "drive sun; take carrier; rating life 20 h\n",
                  Arrays.copyOfRange(other, 1, other.length))
              < 2,
          err::toString);
      int more = check(schemas.get(other[0]), out.toString());
      assertTrue(more > 5, other[0]);
      fields += more;
    }
    for (String command : List.of("solve", "check")) {
      assertEquals(2, run(card + "---\nparallel 3 x\n", command, "-", "--lines", "--cures"));
      for (String line : out.toString().split("\n")) {
        JsonNode answer = new ObjectMapper().readTree(line);
        fields += check(schemas.get("--lines"), answer, "$");
        if (!answer.get("result").isNull()) {
          fields += check(schemas.get(command), answer.get("result"), "$");
        }
      }
    }
    assertTrue(fields > 5_000, fields + " fields");
  }

  private static int check(JsonNode schema, String json) throws IOException {
    return check(schema, new ObjectMapper().readTree(json), "$");
  }

  private static int check(JsonNode schema, JsonNode value, String at) {
    String type =
        switch (value.getNodeType()) {
          case OBJECT -> "object";
          case ARRAY -> "array";
          case STRING -> "string";
          case BOOLEAN -> "boolean";
          case NULL -> "null";
          default -> "number";
        };
    assertTrue(schema.get("type").toString().contains("\"" + type + "\""), at + " is " + type);
    int fields = 0;
    if (value.isArray()) {
      for (JsonNode one : value) {
        fields += check(schema.get("items"), one, at + "[]");
      }
    } else if (value.isObject() && schema.has("properties")) {
      for (String name : (Iterable<String>) value::fieldNames) {
        JsonNode known = schema.get("properties").get(name);
        assertTrue(known != null, () -> at + "." + name + " is not in the schema");
        fields += 1 + check(known, value.get(name), at + "." + name);
      }
    }
    return fields;
  }

  // ---- what does not apply

  /** Whatever would be passed over is refused, in one line that names it. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "solve - --working --json",
        "solve - --units in --json",
        "sheet - --inch --json",
        "sheet - --json --csv",
        "board - --json --csv",
        "bench - --seed 3",
        "bench - --columns input=1",
        "bench - --rig turns --top 1Nm",
        "bench - --state low",
        "plan - --find --csv",
        "plan - --find --units in",
        "export - --to x.csv --chord 0.01",
        "export - --to x.pdf --only A",
        "export - --to x.dxf --sections job",
        "export - --to x.json --units in",
        "identify --teeth 20 --od 22 --mate 30",
        "identify --teeth 20 --od 22 --over 3",
        "identify --teeth 20 --od 22 --units rpm",
        "identify --teeth 20 --od 22 --units in --json",
        "find --target 85 --top abc",
        "find --target 85 --near - --csv",
        "solve - --units furlong",
        "solve - --steps",
        "solve",
        "polish -"
      })
  void whatDoesNotApplyIsRefusedInOneLine(String line) {
    assertEquals(2, run("parallel 20 ~ 40\n", line.split(" ")), line);
    assertEquals("", out.toString());
    assertEquals(1, err.toString().lines().count(), err::toString);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "solve",
        "board",
        "plan",
        "check",
        "cure",
        "find",
        "export",
        "sheet",
        "identify",
        "bench",
        "open",
        "demo",
        "shots",
        "completion"
      })
  void everyCommandHelpsAndTellsItsVersion(String command) {
    assertEquals(0, run("", command, "--help"));
    assertTrue(out.toString().contains("Usage: steady-cog"));
    assertEquals(0, run("", command, "--version"));
    assertTrue(out.toString().contains(Version.text()));
  }
}
