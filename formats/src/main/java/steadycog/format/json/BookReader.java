package steadycog.format.json;

import com.fasterxml.jackson.core.JsonLocation;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonToken;
import java.io.IOException;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.apache.commons.numbers.fraction.BigFraction;
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
import steadycog.notation.Card;
import steadycog.number.Exact;
import steadycog.number.Quantity;
import steadycog.number.Unit;

/** Reads the bench book of a train. */
final class BookReader extends JsonWalk {

  BookReader(JsonParser parser) {
    super(parser);
  }

  private interface Reading<T> {
    T read() throws IOException, UnreadableException;
  }

  private <T> List<T> list(String field, Reading<T> one) throws IOException, UnreadableException {
    expect(JsonToken.START_ARRAY, field + ": a list");
    List<T> all = new ArrayList<>();
    while (parser.nextToken() != JsonToken.END_ARRAY) {
      require(JsonToken.START_OBJECT, field + ": an object");
      all.add(one.read());
    }
    return all;
  }

  /** Makes something of what was read, or says where that cannot be. */
  private static <T> T made(JsonLocation at, Supplier<T> maker) throws UnreadableException {
    try {
      return maker.get();
    } catch (IllegalArgumentException wrong) {
      throw new UnreadableException(
          at.getLineNr(), at.getColumnNr(), String.valueOf(wrong.getMessage()));
    }
  }

  BenchBook book() throws IOException, UnreadableException {
    expect(JsonToken.START_OBJECT, "a bench book: {\"builds\": [\u2026]}");
    List<Build> builds = List.of();
    List<BenchBook.Settled> settled = List.of();
    List<Guess> guesses = List.of();
    while (parser.nextToken() == JsonToken.FIELD_NAME) {
      switch (parser.currentName()) {
        case "builds" -> builds = list("builds", this::build);
        case "settled" -> settled = list("settled", this::settled);
        case "guesses" -> guesses = list("guesses", this::guess);
        default -> throw unknownField("builds, settled or guesses");
      }
    }
    return new BenchBook(builds, settled, guesses);
  }

  private BenchBook.Settled settled() throws IOException, UnreadableException {
    JsonLocation start = parser.currentTokenLocation();
    String finding = "";
    String how = "";
    while (parser.nextToken() == JsonToken.FIELD_NAME) {
      switch (parser.currentName()) {
        case "finding" -> finding = string("finding");
        case "how" -> how = string("how");
        default -> throw unknownField("finding or how");
      }
    }
    String key = finding;
    String words = how;
    return made(start, () -> new BenchBook.Settled(key, words));
  }

  private Guess guess() throws IOException, UnreadableException {
    JsonLocation start = parser.currentTokenLocation();
    Optional<LocalDate> date = Optional.empty();
    String configuration = "";
    BigFraction guess = BigFraction.ZERO;
    BigFraction ratio = BigFraction.ZERO;
    while (parser.nextToken() == JsonToken.FIELD_NAME) {
      switch (parser.currentName()) {
        case "date" -> date = Optional.of(date());
        case "configuration" -> configuration = string("configuration");
        case "guess" -> guess = number("guess");
        case "ratio" -> ratio = number("ratio");
        default -> throw unknownField("date, configuration, guess or ratio");
      }
    }
    Optional<LocalDate> day = date;
    String words = configuration;
    BigFraction stated = guess;
    BigFraction actual = ratio;
    return made(start, () -> new Guess(day, words, stated, actual));
  }

  private Build build() throws IOException, UnreadableException {
    JsonLocation start = parser.currentTokenLocation();
    String name = "";
    Optional<LocalDate> date = Optional.empty();
    String changed = "";
    List<String> files = List.of();
    Optional<Card> card = Optional.empty();
    List<BenchTest> tests = List.of();
    while (parser.nextToken() == JsonToken.FIELD_NAME) {
      switch (parser.currentName()) {
        case "name" -> name = string("name");
        case "date" -> date = Optional.of(date());
        case "changed" -> changed = text("changed");
        case "files" -> files = lines("files").lines();
        case "card" -> card = Optional.of(card(lines("card")));
        case "tests" -> tests = list("tests", this::test);
        default -> throw unknownField("name, date, changed, files, card or tests");
      }
    }
    if (card.isEmpty()) {
      throw new UnreadableException(
          start.getLineNr(), start.getColumnNr(), "a build without its card");
    }
    Card frozen = card.get();
    String title = name;
    Optional<LocalDate> day = date;
    String words = changed;
    List<String> attached = files;
    List<BenchTest> all = tests;
    return made(start, () -> new Build(title, day, words, attached, frozen, all));
  }

  /** Everything that a test may say, until it is known which kind it is. */
  private BenchTest test() throws IOException, UnreadableException {
    JsonLocation start = parser.currentTokenLocation();
    String kind = "";
    String title = "";
    Optional<LocalDate> date = Optional.empty();
    String source = "";
    String state = "";
    String notes = "";
    double tolerance = TurnTest.BY_EYE;
    List<TurnTest.Reading> readings = List.of();
    Rigging.Way way = Rigging.Way.METER;
    Optional<Quantity> length = Optional.empty();
    Optional<Double> constant = Optional.empty();
    double idle = 0;
    List<LoadStep> steps = List.of();
    while (parser.nextToken() == JsonToken.FIELD_NAME) {
      switch (parser.currentName()) {
        case "kind" -> kind = string("kind");
        case "title" -> title = string("title");
        case "date" -> date = Optional.of(date());
        case "source" -> source = string("source");
        case "state" -> state = string("state");
        case "notes" -> notes = text("notes");
        case "tolerance" -> tolerance = decimal("tolerance");
        case "readings" -> readings = list("readings", this::reading);
        case "way" -> way = way();
        case "length" -> length = Optional.of(length());
        case "torqueConstant" -> constant = Optional.of(decimal("torqueConstant"));
        case "idleCurrent" -> idle = decimal("idleCurrent");
        case "steps" -> steps = list("steps", this::step);
        default ->
            throw unknownField(
                "kind, title, date, source, state, notes; of a turn count tolerance, readings; of"
                    + " a load test way, length, torqueConstant, idleCurrent, steps");
      }
    }
    TestHead head = made(start, head(title, date, source, state, notes));
    double degrees = tolerance;
    List<TurnTest.Reading> counted = readings;
    Rigging.Way loadedBy = way;
    Optional<Quantity> arm = length;
    Optional<Double> perAmpere = constant;
    double alone = idle;
    List<LoadStep> tried = steps;
    return switch (kind) {
      case "turns" -> made(start, () -> new TurnTest(head, degrees, counted));
      case "load" ->
          made(
              start, () -> new LoadTest(head, new Rigging(loadedBy, arm, perAmpere, alone), tried));
      default ->
          throw new UnreadableException(
              start.getLineNr(),
              start.getColumnNr(),
              "a test of kind '" + kind + "', expected turns or load");
    };
  }

  private static Supplier<TestHead> head(
      String title, Optional<LocalDate> date, String source, String state, String notes) {
    return () -> new TestHead(title, date, source, state, notes);
  }

  private TurnTest.Reading reading() throws IOException, UnreadableException {
    BigFraction input = BigFraction.ZERO;
    BigFraction output = BigFraction.ZERO;
    while (parser.nextToken() == JsonToken.FIELD_NAME) {
      switch (parser.currentName()) {
        case "input" -> input = number("input");
        case "output" -> output = number("output");
        default -> throw unknownField("input or output");
      }
    }
    return new TurnTest.Reading(input, output);
  }

  private LoadStep step() throws IOException, UnreadableException {
    JsonLocation start = parser.currentTokenLocation();
    Optional<Quantity> load = Optional.empty();
    Map<Measure, Quantity> read = new LinkedHashMap<>();
    Outcome outcome = Outcome.NOT_TRIED;
    String where = "";
    while (parser.nextToken() == JsonToken.FIELD_NAME) {
      Optional<Measure> measure = Measure.of(parser.currentName());
      if (measure.isPresent()) {
        String given = string(measure.get().key());
        read.put(
            measure.get(), made(parser.currentTokenLocation(), () -> measure.get().read(given)));
        continue;
      }
      switch (parser.currentName()) {
        case "load" -> load = Optional.of(load());
        case "outcome" -> outcome = outcome();
        case "where" -> where = string("where");
        default ->
            throw unknownField(
                "load, outcome, where, "
                    + Arrays.stream(Measure.values())
                        .map(Measure::key)
                        .collect(Collectors.joining(", ")));
      }
    }
    if (load.isEmpty()) {
      throw new UnreadableException(
          start.getLineNr(), start.getColumnNr(), "a step without its load");
    }
    Quantity put = load.get();
    Outcome ended = outcome;
    String place = where;
    return made(start, () -> new LoadStep(put, read, ended, place));
  }

  private Rigging.Way way() throws IOException, UnreadableException {
    String word = string("way");
    return Rigging.Way.of(word)
        .orElseThrow(() -> here("'" + word + "', expected arm, pulley or torque-meter"));
  }

  private Outcome outcome() throws IOException, UnreadableException {
    String word = string("outcome");
    return Outcome.of(word)
        .orElseThrow(
            () ->
                here(
                    "'"
                        + word
                        + "', expected "
                        + Arrays.stream(Outcome.values())
                            .map(Outcome::word)
                            .collect(Collectors.joining(", "))));
  }

  private Quantity load() throws IOException, UnreadableException {
    String text = string("load");
    return made(
        parser.currentTokenLocation(),
        () ->
            Measure.read(
                text, Unit.KG, Unit.Dimension.MASS, Unit.Dimension.FORCE, Unit.Dimension.TORQUE));
  }

  private Quantity length() throws IOException, UnreadableException {
    String text = string("length");
    return made(
        parser.currentTokenLocation(), () -> Measure.read(text, Unit.MM, Unit.Dimension.LENGTH));
  }

  private String text(String field) throws IOException, UnreadableException {
    return String.join("\n", lines(field).lines());
  }

  private LocalDate date() throws IOException, UnreadableException {
    String text = string("date");
    try {
      return LocalDate.parse(text);
    } catch (DateTimeParseException wrong) {
      throw here("'" + text + "' is no date: expected such as 2031-04-02");
    }
  }

  private BigFraction number(String field) throws IOException, UnreadableException {
    String text = string(field);
    if (!Exact.isNumber(text)) {
      throw here(field + ": '" + text + "' is no number: expected such as 13/4 or -3.25");
    }
    return made(parser.currentTokenLocation(), () -> Exact.parse(text));
  }

  private double decimal(String field) throws IOException, UnreadableException {
    parser.nextToken();
    if (parser.currentToken() != JsonToken.VALUE_NUMBER_FLOAT) {
      require(JsonToken.VALUE_NUMBER_INT, field + ": a number");
    }
    return parser.getDoubleValue();
  }
}
