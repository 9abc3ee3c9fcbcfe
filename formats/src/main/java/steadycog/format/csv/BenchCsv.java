package steadycog.format.csv;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.math.BigInteger;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.bench.BenchTest;
import steadycog.bench.LoadResult;
import steadycog.bench.LoadStep;
import steadycog.bench.LoadTest;
import steadycog.bench.Measure;
import steadycog.bench.Outcome;
import steadycog.bench.TurnTest;
import steadycog.bench.rig.Rig;
import steadycog.bench.rig.RigReading;
import steadycog.format.json.UnreadableException;
import steadycog.number.Exact;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.train.Train;

/** Tests of a bench book as comma-separated values, and back; what a rig read, row by row. */
public final class BenchCsv {
  private static final String LOAD = "load";
  private static final String OUTCOME = "outcome";
  private static final String WHERE = "where";
  private static final String INPUT = "input";
  private static final String OUTPUT = "output";
  private static final String DEGREES = "degrees";
  private static final String UNIT = " unit";
  private static final long DEGREES_PER_TURN = 360;

  private BenchCsv() {}

  /**
   * A test, a line a reading or step, each value with its unit as it was read; of a load test also
   * what follows of it.
   */
  public static String write(Train train, BenchTest test) {
    return switch (test) {
      case TurnTest turns -> turns(turns);
      case LoadTest load -> load(LoadResult.of(train, load));
    };
  }

  private static String turns(TurnTest test) {
    List<List<String>> lines =
        test.readings().stream()
            .map(
                r -> {
                  BigInteger whole =
                      r.output().bigDecimalValue(0, RoundingMode.DOWN).toBigInteger();
                  BigFraction rest = r.output().subtract(whole).multiply(DEGREES_PER_TURN);
                  return List.of(decimal(r.input()), whole.toString(), decimal(rest));
                })
            .toList();
    return Csv.write(List.of(INPUT + " turns", OUTPUT + " turns", DEGREES), lines);
  }

  /** In full where it ends, else to twelve figures. */
  private static String decimal(BigFraction value) {
    String plain = Exact.plain(value);
    return plain.contains("/") ? Csv.number(value.doubleValue()) : plain;
  }

  private static String load(LoadResult result) {
    List<String> heads = new ArrayList<>();
    List<List<String>> columns = new ArrayList<>();
    List<LoadResult.Row> rows = result.rows();
    add(heads, columns, LOAD, rows.stream().map(row -> Optional.of(row.step().load())).toList());
    for (Measure measure : Measure.values()) {
      add(heads, columns, measure.key(), rows.stream().map(row -> row.step().of(measure)).toList());
    }
    heads.addAll(List.of(OUTCOME, WHERE, "torque out [Nm]", "efficiency", "factor"));
    columns.add(rows.stream().map(row -> row.step().outcome().word()).toList());
    columns.add(rows.stream().map(row -> row.step().where()).toList());
    columns.add(rows.stream().map(row -> Csv.number(row.torque())).toList());
    columns.add(rows.stream().map(row -> Csv.number(row.efficiency())).toList());
    columns.add(rows.stream().map(row -> Csv.number(row.factor().map(f -> f.factor()))).toList());
    List<List<String>> lines = new ArrayList<>();
    for (int k = 0; k < rows.size(); k++) {
      int row = k;
      lines.add(columns.stream().map(column -> column.get(row)).toList());
    }
    return Csv.write(heads, lines);
  }

  /** A column of numbers with the unit in its head; in one of its own where the units differ. */
  private static void add(
      List<String> heads,
      List<List<String>> columns,
      String name,
      List<Optional<Quantity>> values) {
    List<Unit> units =
        values.stream().flatMap(Optional::stream).map(Quantity::unit).distinct().toList();
    heads.add(units.size() == 1 ? name + " [" + units.getFirst().symbol() + "]" : name);
    columns.add(values.stream().map(v -> v.map(q -> decimal(q.value())).orElse("")).toList());
    if (units.size() > 1) {
      heads.add(name + UNIT);
      columns.add(values.stream().map(v -> v.map(q -> q.unit().symbol()).orElse("")).toList());
    }
  }

  /**
   * Reads the lines of a test into it, in place of those it has. Heads of columns say what each
   * holds, with a unit where the values have none ({@code current [mA]}); columns of other names
   * are passed over.
   *
   * @throws UnreadableException with the line and what is expected; nothing is then taken over
   */
  public static BenchTest read(String text, BenchTest into) throws UnreadableException {
    CSVFormat format =
        CSVFormat.RFC4180
            .builder()
            .setHeader()
            .setSkipHeaderRecord(true)
            .setIgnoreSurroundingSpaces(true)
            .setIgnoreEmptyLines(true)
            .get();
    try (CSVParser parser = CSVParser.parse(text, format)) {
      List<Heading> heads = parser.getHeaderNames().stream().map(Heading::of).toList();
      return switch (into) {
        case TurnTest turns -> turns(turns, parser, heads);
        case LoadTest load -> load(load, parser, heads);
      };
    } catch (IOException broken) {
      throw new UnreadableException(1, 1, "cannot be parted into columns: " + broken.getMessage());
    } catch (UncheckedIOException broken) {
      throw new UnreadableException(
          1,
          1,
          "cannot be parted into columns: "
              + Objects.requireNonNull(broken.getCause()).getMessage());
    } catch (IllegalArgumentException broken) {
      throw new UnreadableException(1, 1, "heads of columns: " + broken.getMessage());
    }
  }

  private static TurnTest turns(TurnTest test, CSVParser parser, List<Heading> heads)
      throws UnreadableException {
    int input = column(heads, INPUT);
    int output = column(heads, OUTPUT);
    int degrees = find(heads, DEGREES);
    List<TurnTest.Reading> readings = new ArrayList<>();
    for (CSVRecord row : parser) {
      BigFraction turns = number(parser, row, output);
      BigFraction rest = degrees < 0 ? BigFraction.ZERO : number(parser, row, degrees);
      readings.add(
          new TurnTest.Reading(
              number(parser, row, input), turns.add(rest.divide(DEGREES_PER_TURN))));
    }
    return test.with(readings);
  }

  private static BigFraction number(CSVParser parser, CSVRecord row, int column)
      throws UnreadableException {
    String cell =
        column < row.size() ? Csv.plain(row.get(column).strip()).replace('\u2212', '-') : "";
    if (cell.isEmpty()) {
      return BigFraction.ZERO;
    }
    if (!Exact.isNumber(cell)) {
      throw at(parser, "'" + cell + "' is no number");
    }
    return Exact.parse(cell);
  }

  private static LoadTest load(LoadTest test, CSVParser parser, List<Heading> heads)
      throws UnreadableException {
    int load = column(heads, LOAD);
    List<LoadStep> steps = new ArrayList<>();
    for (CSVRecord row : parser) {
      try {
        LoadStep step =
            LoadStep.planned(test.rigging().readLoad(cell(row, load, heads)))
                .ended(outcome(cell(row, find(heads, OUTCOME), heads)))
                .at(cell(row, find(heads, WHERE), heads));
        for (Measure measure : Measure.values()) {
          String cell = cell(row, find(heads, measure.key().replace('-', ' ')), heads);
          if (!cell.isEmpty()) {
            step = step.with(measure, Optional.of(measure.read(cell)));
          }
        }
        steps.add(step);
      } catch (IllegalArgumentException wrong) {
        throw at(parser, String.valueOf(wrong.getMessage()));
      }
    }
    if (steps.size() > LoadTest.MOST_STEPS) {
      throw at(parser, "more than " + LoadTest.MOST_STEPS + " steps");
    }
    return test.with(steps);
  }

  /** A cell with its unit, its own or that of the head; empty where there is none. */
  private static String cell(CSVRecord row, int column, List<Heading> heads) {
    if (column < 0 || column >= row.size()) {
      return "";
    }
    String cell = Csv.plain(row.get(column).strip());
    int beside = find(heads, heads.get(column).name() + UNIT);
    String unit = beside < 0 ? heads.get(column).unit() : row.get(beside).strip();
    return Exact.isNumber(cell) ? (cell + " " + unit).strip() : cell;
  }

  private static Outcome outcome(String word) {
    if (word.isEmpty()) {
      return Outcome.HELD;
    }
    return Outcome.of(word)
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    "'" + word + "': expected held, stalled, slipped, broke or not tried"));
  }

  private static int column(List<Heading> heads, String name) throws UnreadableException {
    int found = find(heads, name);
    if (found < 0) {
      throw new UnreadableException(1, 1, "no column '" + name + "'");
    }
    return found;
  }

  private static int find(List<Heading> heads, String name) {
    for (int k = 0; k < heads.size(); k++) {
      if (heads.get(k).name().equals(name)) {
        return k;
      }
    }
    return -1;
  }

  private static UnreadableException at(CSVParser parser, String what) {
    return new UnreadableException((int) parser.getCurrentLineNumber(), 1, what);
  }

  /** What a rig read, in the form that {@link RecordingCsv} reads. */
  public static String readings(Rig rig, List<RigReading> readings) {
    StringBuilder text = new StringBuilder();
    text.append("time [s],input angle [counts/").append(rig.inputCounts());
    text.append("],output angle [counts/").append(rig.outputCounts());
    text.append("],torque out [Nm],current [A],voltage [V],temperature [\u00b0C],noise [dB]\r\n");
    for (RigReading one : readings) {
      text.append((float) one.time()).append(',').append(one.inputCounts()).append(',');
      text.append(one.outputCounts()).append(',').append((float) one.torque()).append(',');
      text.append((float) one.current()).append(',').append((float) one.voltage()).append(',');
      text.append((float) one.temperature()).append(',').append((float) one.noise());
      text.append("\r\n");
    }
    return text.toString();
  }
}
