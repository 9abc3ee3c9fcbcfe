package steadycog.format.json;

import com.fasterxml.jackson.core.JsonLocation;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.JsonToken;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import steadycog.bench.BenchBook;
import steadycog.job.Job;
import steadycog.job.Sheet;
import steadycog.notation.Card;
import steadycog.search.Wanted;

/** Reads a job token by token; the version is looked at before anything else. */
final class JobReader extends JsonWalk {
  private JobReader(JsonParser parser) {
    super(parser);
  }

  static Job read(String text) throws UnreadableException {
    run(text, JobReader::checkHeader);
    return run(text, JobReader::readJob);
  }

  /** A wish of earlier versions that is always granted now. */
  private static final String ALWAYS_NOW = "sound";

  private interface Reading<T> {
    T of(JobReader reader) throws IOException, UnreadableException;
  }

  private static <T> T run(String text, Reading<T> reading) throws UnreadableException {
    try (JsonParser parser = JobJson.MAPPER.createParser(text)) {
      return reading.of(new JobReader(parser));
    } catch (JsonProcessingException broken) {
      JsonLocation at = broken.getLocation();
      throw new UnreadableException(
          at == null ? 1 : at.getLineNr(),
          at == null ? 1 : at.getColumnNr(),
          "no valid JSON: " + broken.getOriginalMessage());
    } catch (IOException impossible) {
      throw new IllegalStateException("reading from memory", impossible);
    }
  }

  private JobReader checkHeader() throws IOException, UnreadableException {
    expect(JsonToken.START_OBJECT, "a job: {\"format\": \"" + JobJson.FORMAT + "\", …}");
    boolean named = false;
    boolean numbered = false;
    while (parser.nextToken() == JsonToken.FIELD_NAME) {
      String field = parser.currentName();
      JsonToken value = parser.nextToken();
      if (field.equals("format")) {
        named = value == JsonToken.VALUE_STRING && parser.getText().equals(JobJson.FORMAT);
        if (!named) {
          throw here("not a Steady Cog job, expected \"format\": \"" + JobJson.FORMAT + "\"");
        }
      } else if (field.equals("version")) {
        checkVersion(value);
        numbered = true;
      }
      parser.skipChildren();
    }
    if (!named || !numbered) {
      throw new UnreadableException(
          1, 1, "not a Steady Cog job: \"" + (named ? "version" : "format") + "\" is missing");
    }
    return this;
  }

  private void checkVersion(JsonToken value) throws IOException, UnreadableException {
    if (value != JsonToken.VALUE_NUMBER_INT || !parser.getText().matches("[1-9]\\d{0,8}")) {
      throw here("version: expected a whole number from 1");
    }
    if (parser.getIntValue() > JobJson.VERSION) {
      throw here(
          "made by a newer Steady Cog (format version "
              + parser.getIntValue()
              + ", this one reads up to "
              + JobJson.VERSION
              + "): open it with that one");
    }
  }

  private Job readJob() throws IOException, UnreadableException {
    expect(JsonToken.START_OBJECT, "a job");
    String title = "";
    List<Sheet> sheets = new ArrayList<>();
    Wanted wanted = Wanted.NOTHING;
    while (parser.nextToken() == JsonToken.FIELD_NAME) {
      switch (parser.currentName()) {
        case "format", "version" -> parser.nextToken();
        case "title" -> title = string("title");
        case "trains" -> sheets = trains();
        case "find" -> wanted = wanted();
        default -> throw unknownField("format, version, title, trains or find");
      }
    }
    if (sheets.isEmpty()) {
      throw here("no train in the job, expected at least one under \"trains\"");
    }
    if (parser.nextToken() != null) {
      throw here("text after the end of the job");
    }
    if (!wanted.equals(Wanted.NOTHING) && sheets.getFirst().wanted().equals(Wanted.NOTHING)) {
      sheets.set(0, sheets.getFirst().wanting(wanted));
    }
    return new Job(title, sheets);
  }

  /** Up to version 7 it stood at the foot of the job, and candidates could be asked to be sound. */
  private Wanted wanted() throws IOException, UnreadableException {
    expect(JsonToken.START_OBJECT, "what is looked for: {\"target\": …}");
    Wanted wanted = Wanted.NOTHING;
    while (parser.nextToken() == JsonToken.FIELD_NAME) {
      if (parser.currentName().equals(ALWAYS_NOW)) {
        string(ALWAYS_NOW);
        continue;
      }
      Optional<Wanted.Field> field = Wanted.Field.of(parser.currentName());
      if (field.isEmpty()) {
        List<String> known = Arrays.stream(Wanted.Field.values()).map(Wanted.Field::key).toList();
        throw unknownField(String.join(", ", known));
      }
      wanted = wanted.with(field.get(), string(field.get().key()));
    }
    return wanted;
  }

  private List<Sheet> trains() throws IOException, UnreadableException {
    expect(JsonToken.START_ARRAY, "a list of trains");
    List<Sheet> sheets = new ArrayList<>();
    while (parser.nextToken() != JsonToken.END_ARRAY) {
      sheets.add(train());
    }
    return sheets;
  }

  private Sheet train() throws IOException, UnreadableException {
    require(JsonToken.START_OBJECT, "a train: {\"name\": …, \"card\": […]}");
    JsonLocation start = parser.currentTokenLocation();
    String name = "";
    Optional<Card> card = Optional.empty();
    Optional<String> draft = Optional.empty();
    String notes = "";
    BenchBook book = BenchBook.EMPTY;
    Wanted wanted = Wanted.NOTHING;
    while (parser.nextToken() == JsonToken.FIELD_NAME) {
      switch (parser.currentName()) {
        case "name" -> name = string("name");
        case "card" -> card = Optional.of(card(lines("card")));
        case "draft" -> draft = Optional.of(lines("draft").text());
        case "notes" -> notes = lines("notes").text();
        case "bench" -> book = new BookReader(parser).book();
        case "find" -> wanted = wanted();
        default -> throw unknownField("name, card, draft, notes, bench or find");
      }
    }
    if (name.isBlank()) {
      throw new UnreadableException(
          start.getLineNr(), start.getColumnNr(), "a train without a name");
    }
    return new Sheet(name, card, draft, notes, book, wanted);
  }
}
