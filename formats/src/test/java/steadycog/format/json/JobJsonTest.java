package steadycog.format.json;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import steadycog.bench.BenchBook;
import steadycog.bench.BenchTest;
import steadycog.bench.Build;
import steadycog.bench.Guess;
import steadycog.bench.LoadStep;
import steadycog.bench.LoadTest;
import steadycog.bench.Measure;
import steadycog.bench.Outcome;
import steadycog.bench.Rigging;
import steadycog.bench.TestHead;
import steadycog.bench.TurnTest;
import steadycog.format.demo.TernRock;
import steadycog.format.file.JobFiles;
import steadycog.job.Job;
import steadycog.job.Sheet;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.number.Exact;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.search.Wanted;
import steadycog.search.Wanted.Field;

class JobJsonTest {
  private static final LocalDate DAY = LocalDate.of(2031, 5, 6);

  @Test
  void filesOfTheFirstVersionOpenAndAreSavedAsTheNewest() throws UnreadableException {
    String old =
        "{\"format\":\"steady-cog-job\",\"version\":1,\"title\":\"t\",\"trains\":[{\"name\":\"a\","
            + "\"card\":[\"parallel 18 ~ 72\"]}]}";
    Job job = JobJson.read(old);
    assertEquals("parallel 18 ~ 72\n", job.sheets().getFirst().text());
    assertTrue(JobJson.write(job).contains("\"version\": 8"), JobJson.write(job));
    assertEquals(job, JobJson.read(JobJson.write(job)));
  }

  /** Jobs that every version of the format has written: nothing in them is lost by a save. */
  @ParameterizedTest
  @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8})
  void jobsOfEveryVersionOpenWithAllThatIsInThem(int version) throws Exception {
    Path file = Path.of("src/test/resources/jobs/version-" + version + ".cog.json");
    JsonNode written = JobJson.MAPPER.readTree(file.toFile());
    assertEquals(version, written.get("version").asInt());
    assertEquals(JobJson.VERSION, 8, "a new version needs a file of its own here");
    Job job = JobFiles.open(file);
    assertEquals(written.get("trains").size(), job.sheets().size());
    for (int k = 0; k < job.sheets().size(); k++) {
      JsonNode train = written.get("trains").get(k);
      Sheet sheet = job.sheets().get(k);
      assertEquals(train.get("name").asText(), sheet.name());
      List<String> lines = new ArrayList<>();
      train.get("card").forEach(line -> lines.add(line.asText()));
      assertEquals(String.join("\n", lines).strip(), sheet.text().strip());
      assertTrue(sheet.card().isPresent(), "its card can still be read");
      assertEquals(train.at("/bench/builds").size(), sheet.book().builds().size());
    }
    assertEquals(job, JobJson.read(JobJson.write(job)));
  }

  @Test
  void writingThenReadingGivesTheSameJob() throws Exception {
    Job demo = TernRock.job();
    assertEquals(demo, JobJson.read(JobJson.write(demo)));
    Job odd = oddJob();
    assertEquals(odd, JobJson.read(JobJson.write(odd)));
    assertEquals(JobJson.write(odd), JobJson.write(JobJson.read(JobJson.write(odd))));
  }

  /** Up to version 7 a job had one search, at its foot. */
  @Test
  void theSearchOfAnEarlierJobGoesToItsFirstTrain() throws Exception {
    String earlier =
        """
        {"format": "steady-cog-job", "version": 7, "trains": [{"name": "one"}, {"name": "two"}],
         "find": {"target": "85", "sound": "yes"}}\
        """;
    Job job = JobJson.read(earlier);
    assertEquals(Wanted.NOTHING.with(Field.TARGET, "85"), job.sheets().getFirst().wanted());
    assertEquals(Wanted.NOTHING, job.sheets().getLast().wanted());
    assertFalse(JobJson.write(job).contains("sound"));
  }

  private static Job oddJob() throws CardException {
    Card card = Card.read("parallel 9 ~ 9 # \"quoted\" \\ é\n\n\n");
    return new Job(
        "Tern \"Rock\"\u2028 é",
        List.of(
            new Sheet(
                "one",
                Optional.of(card),
                Optional.of("parallel 9 ~\n"),
                "bought twice\n\nsee shelf\n"),
            Sheet.of("two", Card.read("parallel 9 ~ 9\n")),
            Sheet.empty("three")
                .wanting(Wanted.NOTHING.with(Field.TARGET, "1 : \"4\"").with(Field.ANY, true)),
            new Sheet("four", Optional.empty(), Optional.of("para\n"), "")));
  }

  /** Any bench book comes back as it was, and the published schema takes it. */
  @Test
  void benchBooksComeBackAsTheyWere() throws Exception {
    JsonSchema schema =
        JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
            .getSchema(JobJson.class.getResourceAsStream("job.schema.json"));
    Random random = new Random(3);
    for (int round = 0; round < 60; round++) {
      List<Build> builds = new ArrayList<>();
      for (int k = random.nextInt(4); k > 0; k--) {
        builds.add(build(random));
      }
      BenchBook book =
          new BenchBook(
              builds,
              random.nextBoolean()
                  ? List.of()
                  : List.of(new BenchBook.Settled("undercut A", "bought " + word(random))),
              random.nextBoolean()
                  ? List.of()
                  : List.of(new Guess(DAY, word(random), Exact.of(-7, 2), Exact.parse("3.25"))));
      Sheet sheet = Sheet.of("one", Card.read("parallel 9 ~ 9\n")).booking(book);
      Job job = new Job("", List.of(sheet));
      assertEquals(job, JobJson.read(JobJson.write(job)));
      assertEquals(Set.of(), schema.validate(JobJson.MAPPER.readTree(JobJson.write(job))));
    }
  }

  private static Build build(Random random) throws CardException {
    List<BenchTest> tests = new ArrayList<>();
    for (int k = random.nextInt(4); k > 0; k--) {
      TestHead head =
          new TestHead("t " + word(random), day(random), word(random), word(random), word(random));
      tests.add(random.nextBoolean() ? turns(head, random) : load(head, random));
    }
    return new Build(
        "b " + word(random),
        day(random),
        word(random) + "\n" + word(random),
        random.nextBoolean() ? List.of() : List.of("shots/" + word(random) + ".png"),
        Card.read("parallel " + random.nextInt(9, 90) + " ~ 40 # " + random.nextInt() + "\n"),
        tests);
  }

  /** Some wrote none down. */
  private static Optional<LocalDate> day(Random random) {
    return random.nextInt(4) == 0
        ? Optional.empty()
        : Optional.of(DAY.plusDays(random.nextInt(900)));
  }

  private static TurnTest turns(TestHead head, Random random) {
    List<TurnTest.Reading> readings = new ArrayList<>();
    for (int k = random.nextInt(3); k > 0; k--) {
      readings.add(
          new TurnTest.Reading(
              Exact.of(random.nextInt(-900, 900), random.nextInt(1, 99)),
              Exact.of(random.nextInt(-900, 900), random.nextInt(1, 360))));
    }
    return new TurnTest(head, random.nextDouble(0.1, 20), readings);
  }

  private static LoadTest load(TestHead head, Random random) {
    Rigging.Way way = Rigging.Way.values()[random.nextInt(3)];
    Rigging rigging =
        new Rigging(
            way,
            way == Rigging.Way.METER ? Optional.empty() : Optional.of(Quantity.of("4.5", Unit.IN)),
            random.nextBoolean() ? Optional.empty() : Optional.of(random.nextDouble(0.001, 3)),
            random.nextBoolean() ? 0 : random.nextDouble());
    List<LoadStep> steps = new ArrayList<>();
    for (int k = random.nextInt(5); k > 0; k--) {
      LoadStep step =
          LoadStep.planned(rigging.readLoad(random.nextInt(1, 99) + "." + random.nextInt(10)))
              .ended(Outcome.values()[random.nextInt(5)])
              .at(word(random));
      for (Measure measure : Measure.values()) {
        List<Unit> units = measure.usual().dimension().units();
        Unit unit = units.get(random.nextInt(units.size()));
        if (random.nextBoolean()) {
          Quantity value = new Quantity(Exact.of(random.nextInt(-99, 99), 8), unit);
          step = step.with(measure, Optional.of(value));
        }
      }
      steps.add(step);
    }
    return new LoadTest(head, rigging, steps);
  }

  private static String word(Random random) {
    return List.of("", "plain", "\"quoted\" \\ \u00e9", "two words").get(random.nextInt(4));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "{\"builds\":[{\"name\":\"A\"}]}|92: a build without its card",
        "{\"builds\":[{\"name\":\"A\",\"date\":\"May\"}]}|111: 'May' is no date",
        "{\"guesses\":[{\"guess\":\"0\",\"ratio\":\"1\"}]}|93: a ratio is never zero",
        "{\"settled\":[{\"finding\":\"x\",\"how\":\" \"}]}|93: nothing settled",
        "{\"tests\":[]}|82: unknown field 'tests'"
      })
  void aBadBenchBookIsRefusedWithItsPlace(String book, String expected) {
    String text =
        "{\"format\":\"steady-cog-job\",\"version\":7,\"trains\":[{\"name\":\"a\",\"notes\":[],\"bench\":"
            + book
            + "}]}";
    UnreadableException refused = assertThrows(UnreadableException.class, () -> JobJson.read(text));
    assertTrue(refused.at("f").startsWith("f:1:" + expected), refused.at("f"));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "[]|1:1: expected a job",
        "{}|1:1: not a Steady Cog job: \"format\" is missing",
        "{\"format\":\"other\",\"version\":1}|1:11: not a Steady Cog job",
        "{\"format\":\"steady-cog-job\"}|1:1: not a Steady Cog job: \"version\" is missing",
        "{\"format\":\"steady-cog-job\",\"version\":\"1\"}|1:38: version: expected",
        "{\"format\":\"steady-cog-job\",\"version\":9,\"news\":[]}|1:38: made by a newer",
        "{\"format\":\"steady-cog-job\",\"version\":1}|1:39: no train in the job",
        "{\"format\":\"steady-cog-job\",\"version\":1,\"titel\":\"\"}|1:40: unknown field 'titel'",
        "{\"format\":\"steady-cog-job\",\"version\":1,\"trains\":[{\"card\":[\"parallel"
            + " 9\"]}]}|1:50: a train without a name",
        "{\"format\":\"steady-cog-job\",\"version\":1,\"trains\":[{\"name\":\"a\",\"card\":[\"paralel"
            + " 9\"]}]}|1:71: found 'paralel'",
        "{\"format\":\"steady-cog-job\",\"version\":1,\"trains\":[{\"name\":\"a\",\"card\":[]}]}|1:70:"
            + " no part",
        "{\"format\":\"steady-cog-job\",\"version\":1,\"title\":7}|1:48: expected title: a text",
        "{\"format\":\"steady-cog-job\",\"format\":1}|1:36: no valid JSON: Duplicate field",
        "{\"format\":|1:11: no valid JSON"
      })
  void aBadJobIsRefusedWithItsPlace(String text, String expected) {
    UnreadableException refused = assertThrows(UnreadableException.class, () -> JobJson.read(text));
    String found = refused.at("f").substring(2);
    assertTrue(found.startsWith(expected), found);
  }

  @Test
  void deepNestingIsRefused() {
    String text = "{\"format\":\"steady-cog-job\",\"version\":1,\"trains\":" + "[".repeat(100_000);
    assertThrows(UnreadableException.class, () -> JobJson.read(text));
  }

  @Test
  void damagedFilesAreRefusedOrReadWholeButNeverCrash() {
    String whole = JobJson.write(TernRock.job());
    Random random = new Random(11);
    int refused = 0;
    for (int k = 0; k < 1000; k++) {
      StringBuilder text = new StringBuilder(whole);
      for (int hits = 1 + random.nextInt(3); hits > 0; hits--) {
        int at = random.nextInt(text.length());
        switch (random.nextInt(3)) {
          case 0 -> text.setLength(Math.max(1, at));
          case 1 -> text.setCharAt(at, (char) random.nextInt(32, 127));
          default -> text.delete(at, Math.min(text.length(), at + 1 + random.nextInt(20)));
        }
        if (text.isEmpty()) {
          text.append(' ');
        }
      }
      try {
        Job read = JobJson.read(text.toString());
        assertEquals(read, JobJson.read(JobJson.write(read)));
      } catch (UnreadableException clear) {
        refused++;
        assertTrue(clear.line() >= 1 && !clear.getMessage().isBlank());
      }
    }
    assertTrue(refused > 500, "most damage was seen: " + refused);
  }

  @Test
  void thePublishedSchemaTakesWhatIsWrittenAndRefusesWhatTheReaderRefuses() throws Exception {
    JsonSchema schema =
        JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
            .getSchema(JobJson.class.getResourceAsStream("job.schema.json"));
    for (Job job : List.of(TernRock.job(), oddJob(), Job.empty())) {
      assertEquals(Set.of(), schema.validate(JobJson.MAPPER.readTree(JobJson.write(job))));
    }
    String head = "{\"format\":\"steady-cog-job\",\"version\":1";
    for (String tail :
        List.of(
            "}",
            ",\"trains\":[]}",
            ",\"trains\":[{\"card\":[\"parallel 9\"]}]}",
            ",\"trains\":[{\"name\":\" \"}]}",
            ",\"trains\":[{\"name\":\"a\",\"card\":\"parallel 9\"}]}",
            ",\"trains\":[{\"name\":\"a\",\"notes\":[\"a\\nb\"]}]}",
            ",\"trains\":[{\"name\":\"a\"}],\"more\":1}",
            ",\"title\":3,\"trains\":[{\"name\":\"a\"}]}")) {
      assertThrows(UnreadableException.class, () -> JobJson.read(head + tail), tail);
      assertFalse(schema.validate(JobJson.MAPPER.readTree(head + tail)).isEmpty(), tail);
    }
  }
}
