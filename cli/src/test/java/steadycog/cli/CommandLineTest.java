package steadycog.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.zip.ZipFile;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import steadycog.format.demo.TernRock;
import steadycog.format.file.JobFiles;

@Tag("slow")
class CommandLineTest extends Shell {
  private static final String DOME =
      "parallel 18 ~ 72 = 20 ~ 80 = 17 ~ 136\ndrive A 1500 rpm 0.4 Nm\ntake F\n";

  @Test
  void solvesACardFromStandardInput() {
    assertEquals(0, run(DOME, "solve", "-", "--json"));
    assertTrue(out.toString().contains("\"ratio\": \"-128\""), out.toString());
    assertTrue(out.toString().contains("\"speed\": \"-375/32\""), out.toString());
    assertEquals("", err.toString());
    assertEquals(0, run(DOME, "solve", "-"));
    assertTrue(out.toString().contains("128 : 1   exactly -128"), out.toString());
    assertTrue(out.toString().contains("51.2"), out.toString());
  }

  private static final String TWO_STATES =
      """
      fore: planetary sun 24 planet 18 x3 ring 60
      aft: planetary sun 24 planet 18 x3 ring 60
      join fore.sun = aft.sun; join fore.carrier = aft.ring
      drive fore.ring 900 rpm 2 Nm; take fore.carrier; efficiency ideal

      state low: hold aft.carrier
      state high: hold fore.sun
      """;

  @Test
  void solvesEveryStateAndListsAllThatCouldBe() throws Exception {
    assertEquals(0, run(TWO_STATES, "solve", "-", "--json"));
    JsonNode states = new ObjectMapper().readTree(out.toString()).get("states");
    assertEquals(2, states.size());
    assertEquals("low", states.get(0).get("state").asText());
    assertEquals("12/5", states.get(0).get("ratio").asText());
    assertEquals("12/7", states.get(0).get("stepToNext").asText());
    assertEquals("7/5", states.get(1).get("ratio").asText());
    assertEquals("brake fore.sun", states.get(1).at("/engaged/0/element").asText());
    assertEquals(0.8, states.get(1).at("/engaged/0/torqueNm").asDouble(), 1e-12);
    assertEquals(0, run(TWO_STATES, "plan", "-", "--csv"));
    String[] lines = out.toString().split("\r\n");
    assertTrue(lines[0].startsWith("state,\"brake aft.carrier, Nm\""), lines[0]);
    assertTrue(
        lines[2].startsWith("high,,0.8,determined,1.4,7,5,0.714285714286,underdrive"), lines[2]);
    assertEquals(0, run(TWO_STATES, "plan", "-", "--find", "--json"));
    JsonNode found = new ObjectMapper().readTree(out.toString());
    assertEquals(2, found.get("found").size());
    assertTrue(found.get("whole").asBoolean());
    assertEquals("state 1: hold aft.carrier", found.get("proposed").get(0).asText());
    String jammed = TWO_STATES + "state bad: hold aft.carrier; hold fore.sun\n";
    assertEquals(1, run(jammed, "check", "-"));
    assertTrue(out.toString().contains("error state-jammed"), out.toString());
    assertEquals(2, run(DOME, "plan", "-"));
    assertTrue(err.toString().startsWith("-:1:1: no states on the card"), err.toString());
  }

  @Test
  void unreadableInputSaysWhyInOneLineAndPrintsNothing() throws Exception {
    assertEquals(2, run("parallel 18 ~\n", "solve", "-", "--json"));
    assertEquals("", out.toString());
    assertTrue(err.toString().startsWith("<stdin>:1:14: found"), err.toString());
    assertEquals(1, err.toString().lines().count());
    assertEquals(2, run("", "check", folder.resolve("none.txt").toString()));
    assertTrue(err.toString().endsWith("none.txt:1:1: no such file\n"), err.toString());
    Path job = folder.resolve("bad.cog.json");
    Files.writeString(job, "{\n  \"format\": \"steady-cog-job\",\n  \"version\": 9\n}\n");
    assertEquals(2, run("", "solve", job.toString()));
    assertTrue(err.toString().contains(":3:14: made by a newer"), err.toString());
    assertEquals(2, run("", "solve", folder.toString()));
    assertEquals(2, run(DOME, "fly", "-"));
  }

  @Test
  void aFindingThatIsAnErrorGivesExitOne() {
    assertEquals(1, run("parallel 20 ~ 40\ndrive A\nhold B\n", "check", "-"));
    assertTrue(out.toString().startsWith("error jam: It cannot turn: A ~ B"), out.toString());
    assertEquals(1, run("parallel 7 ~ 40\n", "solve", "-", "--json"));
    assertTrue(out.toString().contains("\"fix\": \"A 7 -> 14, B 40 -> 80."), out.toString());
    assertEquals(0, run(DOME, "check", "-"));
    assertTrue(out.toString().startsWith("note undercut: E has 17 teeth"), out.toString());
    assertEquals(0, run("parallel 30", "check", "-"));
  }

  @Test
  void exportsByTheEndingAndBack() throws Exception {
    String job = demo();
    Path card = folder.resolve("winch.txt");
    assertEquals(
        0, run("", "export", job, "--train", "mirror-cover WINCH", "--to", card.toString()));
    assertTrue(Files.readString(card).contains("parallel 16 ~ 25 ~ 56"));
    Path back = folder.resolve("back.json");
    assertEquals(0, run("", "export", card.toString(), "--to", back.toString()));
    assertEquals(
        TernRock.job().sheets().get(1).card(), JobFiles.open(back).sheets().getFirst().card());
    assertEquals(2, run("", "export", job, "--to", card.toString()));
    assertTrue(err.toString().contains("name one by --train"), err.toString());
    assertEquals(2, run("", "export", card.toString(), "--to", "x.dwg"));
    assertTrue(err.toString().contains("unknown ending"), err.toString());
    assertEquals(2, run("", "solve", job, "--train", "no such"));
    assertTrue(err.toString().contains("Dome rotator, Mirror-cover winch"), err.toString());
  }

  @Test
  void exportsWhatTheShopNeeds() throws Exception {
    String job = demo();
    for (String ending : new String[] {"dxf", "svg", "stl", "3mf"}) {
      Path file = folder.resolve("focuser." + ending);
      assertEquals(2, run("", "export", job, "--to", file.toString()));
      assertEquals(
          0, run("", "export", job, "--train", "focuser", "--to", file.toString()), ending);
      assertTrue(Files.size(file) > 10_000, ending);
    }
    Path parts = folder.resolve("parts.dxf");
    String filter = "parallel 20 ~ 30; module 1 mm";
    assertEquals(0, run(filter, "export", "-", "--to", parts.toString(), "--each", "--apart"));
    assertTrue(Files.exists(folder.resolve("parts-a.dxf")));
    assertTrue(Files.exists(folder.resolve("parts-b.dxf")));
    assertEquals(2, run(filter, "export", "-", "--to", parts.toString(), "--only", "C"));
    assertTrue(err.toString().contains("expected one of: A, B"), err.toString());
    assertEquals(2, run("s: shaft; t: shaft; join s = t", "export", "-", "--to", parts.toString()));
    assertTrue(err.toString().contains("a plain shaft"), err.toString());
    assertEquals(2, run(filter, "export", "-", "--to", parts.toString(), "--chord", "9"));
    Path coupon = folder.resolve("coupon.stl");
    assertEquals(0, run(filter, "export", "-", "--coupon", "--to", coupon.toString()));
    assertTrue(Files.size(coupon) > 10_000);
  }

  @Test
  void reportsOnWhatIsChosen() throws Exception {
    String job = demo();
    Path page = folder.resolve("report.html");
    assertEquals(0, run("", "export", job, "--to", page.toString()));
    String all = Files.readString(page);
    assertTrue(all.contains("<h2>Shutter winch</h2>") && all.contains("Build B against Build A"));
    assertEquals(
        0,
        run(
            "",
            "export",
            job,
            "--train",
            "focuser",
            "--sections",
            "bench,cautions",
            "--to",
            page.toString()));
    String some = Files.readString(page);
    assertTrue(some.contains("<h2>Bench</h2>") && !some.contains("<h2>Findings</h2>"), some);
    Path sheet = folder.resolve("report.pdf");
    assertEquals(
        0, run("parallel 20 ~ 30", "export", "-", "--sections", "shop", "--to", sheet.toString()));
    assertTrue(Files.size(sheet) > 10_000);
    assertEquals(
        2, run("parallel 20 ~ 30", "export", "-", "--sections", "gossip", "--to", page.toString()));
    assertTrue(err.toString().contains("no section 'gossip', expected shop or"), err.toString());
  }

  @Test
  void workTheBench() throws Exception {
    String job = demo();
    assertEquals(0, run("", "bench", job));
    assertTrue(out.toString().contains("with planet2 24 instead of 23"), out.toString());
    assertEquals(0, run("", "bench", job, "--json"));
    JsonNode tests = new ObjectMapper().readTree(out.toString()).findValue("tests");
    assertTrue(tests.isArray(), out.toString());

    Path log = folder.resolve("log.csv");
    String set =
        "planetary sun 24 planet 15 x3 ring 54; drive sun 200 rpm; hold ring; take carrier";
    assertEquals(
        0,
        run(
            set,
            "bench",
            "-",
            "--rig",
            "load",
            "--strength",
            "9",
            "--top",
            "6Nm",
            "--steps",
            "4",
            "--record",
            log.toString(),
            "--json"));
    JsonNode load = new ObjectMapper().readTree(out.toString());
    assertEquals("held", load.at("/steps/3/outcome").asText());
    assertEquals(0, run(set, "bench", "-", "--csv", log.toString(), "--json"));
    JsonNode read = new ObjectMapper().readTree(out.toString());
    assertEquals(3.25, read.get("ratio").asDouble(), 0.01);
    assertEquals("right", read.at("/turns/verdict").asText(), out.toString());
    assertEquals(load.at("/bestNm").asDouble(), read.at("/load/bestNm").asDouble(), 0.05);

    assertEquals(0, run(set, "bench", "-", "--rig", "turns", "--fault", "wrong-member"));
    assertTrue(out.toString().contains("Wrong member: "), out.toString());
    assertEquals(0, run(set, "bench", "-", "--csv", log.toString(), "--columns", "torque=none"));
    assertEquals(
        2, run(set, "bench", "-", "--csv", log.toString(), "--columns", "input=none,torque=none"));
    assertTrue(err.toString().contains("log.csv:1:1: neither both angles"), err.toString());
    assertEquals(2, run(set, "bench", "-", "--csv", folder.resolve("none.csv").toString()));
    assertTrue(err.toString().contains("none.csv:1:1: no such file"), err.toString());
    assertEquals(2, run(set, "bench", "-", "--rig", "turns", "--fault", "gremlin"));
    assertTrue(err.toString().contains("expected none, miscount"), err.toString());
    assertEquals(2, run("planetary sun 24 planet 15 x3 ring 54", "bench", "-", "--rig", "load"));
    assertTrue(err.toString().contains("the rig needs a ratio"), err.toString());
    assertEquals(0, run(DOME, "bench", "-"));
    assertEquals("nothing built yet\n", out.toString());
  }

  @Test
  void printsTheCutSheet() throws Exception {
    String pair = "parallel 20 ~ 40; dp 16; width 0.5 in; bore A 8 mm; drive A 1 Nm; take B";
    assertEquals(0, run(pair, "sheet", "-", "--json"));
    JsonNode sheet = new ObjectMapper().readTree(out.toString());
    assertEquals(31.75, sheet.at("/wheels/0/pitchMm").asDouble(), 1e-9);
    assertEquals(12.7, sheet.at("/wheels/0/widthMm").asDouble(), 1e-9);
    assertEquals("8 mm", sheet.at("/wheels/0/bore").asText());
    assertEquals(47.625, sheet.at("/meshes/0/distanceMm").asDouble(), 1e-9);
    assertEquals(2000 / 31.75, sheet.at("/strength/0/forceN").asDouble(), 1e-9);
    assertEquals(0, run(pair, "sheet", "-", "--inch"));
    assertTrue(out.toString().contains("1.8750"), out.toString());
    assertTrue(out.toString().contains("qualified engineer"), out.toString());
    assertEquals(0, run(pair, "sheet", "-", "--csv"));
    assertTrue(out.toString().contains("Wheels,A,pitch diameter,1.2500,in,,false"), out.toString());
  }

  @Test
  void tellsWhatAGearIs() throws Exception {
    assertEquals(0, run("", "identify", "--teeth", "23", "--od", "1.5625in", "--json"));
    JsonNode first = new ObjectMapper().readTree(out.toString()).at("/guesses/0");
    assertEquals("dp 16", first.get("pitch").asText());
    assertEquals(0, run("", "identify", "--teeth", "24", "--od", "39", "--span", "11.59"));
    assertTrue(out.toString().lines().skip(1).findFirst().orElse("").startsWith("module 1.5 mm"));
    assertEquals(0, run("", "identify", "--teeth", "23", "--od", "1.5625in", "--units", "in"));
    assertTrue(
        out.toString().matches("(?s)size +module in .*off in\n *dp 16 +0\\.0625.*"), out::toString);
    assertEquals(2, run("", "identify", "--teeth", "24"));
    assertTrue(err.toString().contains("give a diameter"), err.toString());
    assertEquals(2, run("", "identify", "--teeth", "24", "--od", "x"));
  }

  @Test
  void aJobOfSeveralTrainsIsSolvedWhole() throws Exception {
    String job = demo();
    assertEquals(0, run("", "solve", job, "--json"));
    assertTrue(out.toString().contains("\"train\": \"Mirror-cover winch\""), out.toString());
    assertEquals(0, run("", "check", job));
    assertTrue(out.toString().contains("note idler: B is an idler"), out.toString());
  }

  @Test
  void withoutTheWindowItsCommandsSaySo() {
    for (String[] command : new String[][] {{"demo"}, {"open", "a.txt"}, {"shots", "there"}}) {
      assertEquals(2, run("", command));
      assertTrue(err.toString().contains("./steady-cog"), err.toString());
    }
  }

  @Test
  void theBoardHasEveryPairOfShaftsBothWays() {
    assertEquals(0, run("parallel 20 ~ 33 ~ 50 = 10 ~ 30\n", "board", "-"));
    assertEquals(1 + 4 * 3 + 4, out.toString().lines().count());
    assertTrue(out.toString().contains("holds: it holds itself"), out.toString());
    assertTrue(out.toString().contains("A      E           -7.5    -15/2"), out.toString());
    assertEquals(0, run("parallel 20 ~ 50\n", "board", "-", "--json"));
    assertTrue(out.toString().contains("\"ratio\": \"-5/2\""), out.toString());
    assertTrue(out.toString().contains("\"mode\": \"reverse-overdrive\""), out.toString());
  }

  private static final String PRINTED =
      """
      planetary sun 12/- planet 18=18 x3 ring 48/51
      efficiency printed
      drive sun 3000 rpm motor 40 Nmm 6500 rpm; hold ring1; take ring2 0.9 Nm
      """;

  @Test
  void lossesMotorAndWorkingArePrinted() throws Exception {
    assertEquals(0, run(PRINTED, "solve", "-", "--working"));
    assertTrue(out.toString().contains("comes out   35.4%   lost 6.0644 W"), out.toString());
    assertTrue(out.toString().contains("pushed back holds   tips over at 0.59715 x"));
    assertTrue(out.toString().contains("motor       no start: takes 0.029892 Nm of 0.04"));
    assertTrue(out.toString().contains("sun ~ planet           -0.029892  18/12 x 0.93"));
    assertTrue(out.toString().contains("-0.9 (take) 0.9 (planet2 ~ ring2)"), out.toString());
    assertEquals(0, run(PRINTED, "board", "-", "--json"));
    JsonNode all = new ObjectMapper().readTree(out.toString()).get("configurations");
    for (JsonNode one : all) {
      boolean runs = one.get("powerFlow").asText().equals("runs");
      assertEquals(runs, one.get("efficiency").isNumber(), one.toString());
      assertEquals(one.get("backDrivable").asBoolean(), one.get("backEfficiency").isNumber());
    }
    assertEquals(
        1,
        run(
            PRINTED.replace("drive sun", "hold ring1; drive ring2 10 rpm; take sun #"),
            "check",
            "-"));
    assertTrue(out.toString().contains("error locks: At these losses it locks"), out.toString());
  }

  @Test
  void findKeepsToTheLossesAskedFor() throws Exception {
    String[] asked = {
      "find", "--target", "85", "--losses", "printed", "--efficiency", "50%", "--json"
    };
    assertEquals(0, run("", asked));
    JsonNode found = new ObjectMapper().readTree(out.toString());
    assertTrue(found.get("rejected").get("efficiency").asInt() > 0);
    for (JsonNode one : found.get("candidates")) {
      assertTrue(one.get("efficiency").asDouble() >= 0.5, one.toString());
      String card = one.get("card").asText();
      assertTrue(card.contains("efficiency printed"), card);
      int exit = run(card, "solve", "-", "--json");
      assertTrue(exit < 2);
      JsonNode solved = new ObjectMapper().readTree(out.toString());
      assertEquals(one.get("efficiency").asDouble(), solved.get("efficiency").asDouble(), 1e-12);
    }
    assertEquals(
        0,
        run(
            "",
            "find",
            "--target",
            "85",
            "--kind",
            "two-row",
            "--backwards",
            "holds",
            "--losses",
            "printed",
            "--top",
            "3"));
    assertTrue(out.toString().contains("holds"), out.toString());
    assertEquals(2, run("", "find", "--target", "85", "--losses", "sticky"));
    assertTrue(err.toString().contains("--losses: 'sticky' says no losses"), err.toString());
  }

  @Test
  void membersGoIntoATable() throws Exception {
    Path card = folder.resolve("dome.txt");
    Files.writeString(card, DOME);
    Path csv = folder.resolve("dome.csv");
    assertEquals(0, run("", "export", card.toString(), "--to", csv.toString()));
    var lines = Files.readAllLines(csv);
    assertEquals(7, lines.size());
    assertTrue(lines.getFirst().startsWith("train,reduction ratio i = in/out,"));
    assertTrue(
        lines
            .getLast()
            .startsWith(
                "dome,-128,-128,1,-0.0078125,F,take,136,false,-0.0078125,-1,128,-11.71875,48.93"));
    assertTrue(lines.getLast().contains(",51.2,"), lines.getLast());
    Path book = folder.resolve("dome.xlsx");
    assertEquals(0, run("", "export", card.toString(), "--to", book.toString()));
    try (ZipFile zip = new ZipFile(book.toFile())) {
      String members =
          new String(
              zip.getInputStream(zip.getEntry("xl/worksheets/sheet1.xml")).readAllBytes(),
              StandardCharsets.UTF_8);
      assertTrue(members.contains("<f>'Equations'!"), members);
    }
    assertEquals(2, run("", "export", card.toString(), "--to", book.toString(), "--inch"));
  }

  @Test
  void solvesBoardsAndChecksAPlanetarySet() {
    String set = "planetary sun 24 planet 15 x3 ring 54\nhold ring\ndrive sun\ntake carrier\n";
    assertEquals(0, run(set, "solve", "-", "--json"));
    assertTrue(out.toString().contains("\"ratio\": \"13/4\""), out.toString());
    assertTrue(out.toString().contains("\"relativeToCarrier\": \"-72/65\""), out.toString());
    assertEquals(0, run(set, "board", "-", "--json"));
    assertTrue(out.toString().contains("\"lock\": \"sun = carrier\""), out.toString());
    assertTrue(out.toString().contains("\"reactionTorque\": \"9/4\""), out.toString());
    assertEquals(0, run(set, "board", "-", "--csv"));
    assertEquals(10, out.toString().lines().count(), "titles, six ratios and three locks");
    assertTrue(
        out.toString()
            .contains(
                "ring,carrier,sun,,-0.444444444444,-4,9,-2.25,opposite,reverse-overdrive,-1.44444444444"),
        out.toString());
    assertEquals(
        1, run("planetary planet 14 x2 ring 28\nhold ring\ndrive carrier\n", "check", "-"));
    assertTrue(out.toString().startsWith("error no-sun: Virtual sun of 0 teeth"), out.toString());
    assertEquals(2, run("planetary sun 24 planet 15 x99 ring 54\n", "check", "-"));
    assertTrue(err.toString().startsWith("<stdin>:1:28: found 'x99'"), err.toString());
  }

  @Test
  void findsTeethWhoseCardsSolveToTheRatioTheyPromise() throws Exception {
    assertEquals(
        0,
        run(
            "",
            "find",
            "--target",
            "85",
            "--kind",
            "two-row",
            "--teeth",
            "12..40",
            "--top",
            "3",
            "--json"));
    JsonNode found = new ObjectMapper().readTree(out.toString());
    assertTrue(found.get("provenBest").asBoolean());
    assertTrue(found.get("examined").asLong() > 1000);
    assertEquals(3, found.get("candidates").size());
    for (JsonNode candidate : found.get("candidates")) {
      assertEquals(0, run(candidate.get("card").asText(), "solve", "-", "--json"));
      JsonNode solved = new ObjectMapper().readTree(out.toString());
      assertEquals(candidate.get("ratio").asText(), solved.get("ratio").asText());
    }
    assertEquals(0, run("", "find", "--target", "6", "--kind", "parallel", "--csv", "--top", "4"));
    assertEquals(5, out.toString().lines().count());
    assertEquals(0, run(DOME, "find", "--near", "-", "--target", "130"));
    assertTrue(out.toString().contains("F 136 -> 138"), out.toString());
  }

  @Test
  void findRanksMarksAndSaysWhatToLoosen() throws Exception {
    ObjectMapper json = new ObjectMapper();
    String[] smallest = {"find", "--target", "20", "--rank", "size", "--top", "3", "--json"};
    assertEquals(0, run("", smallest));
    JsonNode found = json.readTree(out.toString());
    assertEquals("size", found.get("rank").asText());
    assertEquals("1%", found.get("tolerance").asText());
    assertTrue(found.get("provenBest").asBoolean());
    assertEquals(3, found.get("candidates").size());
    int before = 0;
    for (JsonNode one : found.get("candidates")) {
      assertTrue(one.get("size").asInt() >= before);
      assertTrue(one.get("breaks").isNull());
      before = one.get("size").asInt();
    }
    String[] pair = {
      "find", "--target", "9", "--kind", "parallel", "--stages", "1", "--teeth", "20..60"
    };
    assertEquals(0, run("", pair));
    assertTrue(out.toString().contains("Nothing found."), out.toString());
    assertTrue(out.toString().contains("--stages 1..2  for\n    parallel"), out.toString());
    assertTrue(out.toString().contains("--teeth 20..1"), out.toString());
    String[] any = {
      "find", "--target", "3", "--kind", "planetary", "--teeth", "5..7", "--stages", "1", "--any"
    };
    assertEquals(0, run("", any));
    assertTrue(out.toString().contains("error: "), out.toString());
    assertEquals(0, run("parallel 12 ~ 60\ndrive A\ntake B", "find", "--near", "-"));
    assertTrue(out.toString().contains("shift A 0.3"), out.toString());
  }

  @Test
  void whatCannotBeFoundIsSaidInOneLine() {
    for (String[] bad :
        new String[][] {
          {"--target", "0"},
          {"--target", "-85"},
          {"--target", "85", "--teeth", "0..3"},
          {"--target", "85", "--stock", ","},
          {"--target", "85", "--kind", "magic"},
          {"--target", "85", "--top", "2.7"},
          {"--target", "85", "--distortion", "0.5"},
          {"--target", "85", "--rank", "beauty"},
          {"--target", "85", "--same", "--opposite"},
          {}
        }) {
      String[] args = new String[bad.length + 1];
      args[0] = "find";
      System.arraycopy(bad, 0, args, 1, bad.length);
      assertEquals(2, run("", args), String.join(" ", bad));
      assertEquals("", out.toString());
      assertEquals(1, err.toString().lines().count());
      assertTrue(err.toString().startsWith("find: "), err.toString());
    }
  }
}
