package steadycog.format.csv;

import java.io.BufferedReader;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.function.BooleanSupplier;
import java.util.function.LongConsumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import steadycog.bench.Recording;
import steadycog.bench.Recording.BadRow;
import steadycog.bench.Recording.Channel;
import steadycog.format.csv.Columns.Scale;
import steadycog.format.json.UnreadableException;
import steadycog.number.Unit.Dimension;

/**
 * Reads what instruments recorded: columns parted by commas, semicolons or tabs, a line of heads,
 * perhaps a line of units, lines that begin with # passed over. Decimal commas are understood where
 * they part no columns. A row that cannot be read is skipped and reported with its line.
 */
public final class RecordingCsv {
  /** No more rows are read. */
  public static final int MOST_ROWS = 20_000_000;

  private static final String SEPARATORS = ";\t,|";
  private static final int LOOKED_AT = 64 * 1024;
  private static final int LINES_LOOKED_AT = 40;
  private static final int FIRST_ROWS = 1 << 12;

  /** Rows between two looks at whether to go on. */
  private static final int OFTEN = 1 << 12;

  private static final Pattern WITH_UNIT =
      Pattern.compile("([-+]?[\\d.]+(?:[eE][-+]?\\d+)?)\\s*([^\\d\\s].*)");
  private static final Pattern DECIMAL_COMMA = Pattern.compile("[-+]?\\d*,\\d+(?:[eE][-+]?\\d+)?");

  private RecordingCsv() {}

  /**
   * How a recording begins.
   *
   * @param heads of its columns
   * @param units a line of units under the heads; empty where there is none
   */
  public record Beginning(char separator, List<String> heads, List<String> units) {

    /** What the heads say by themselves, with the units under them. */
    public Columns guess() {
      List<String> said = new ArrayList<>();
      for (int k = 0; k < heads.size(); k++) {
        boolean below = k < units.size() && !units.get(k).isBlank();
        said.add(
            below ? Heading.of(heads.get(k)).name() + " [" + units.get(k) + "]" : heads.get(k));
      }
      return Columns.guess(said);
    }
  }

  /**
   * Looks at how a recording begins.
   *
   * @throws UnreadableException if it has no columns
   */
  public static Beginning peek(InputStream in) throws IOException, UnreadableException {
    byte[] start = in.readNBytes(LOOKED_AT);
    for (byte one : start) {
      if (one == 0) {
        throw new UnreadableException(1, 1, "not text: expected comma-separated values");
      }
    }
    String text = new String(start, StandardCharsets.UTF_8);
    if (text.startsWith("\ufeff")) {
      text = text.substring(1);
    }
    List<String> lines =
        text.lines()
            .filter(line -> !line.isBlank() && !line.startsWith("#"))
            .limit(LINES_LOOKED_AT)
            .toList();
    if (lines.isEmpty()) {
      throw new UnreadableException(1, 1, "nothing in it: expected a line of column heads");
    }
    char separator = separator(lines);
    List<String> heads = cells(lines.getFirst(), separator);
    if (heads.stream().allMatch(RecordingCsv::isNumber)) {
      throw new UnreadableException(
          1, 1, "no column heads: the first line should say what each column holds");
    }
    List<String> second = lines.size() > 1 ? cells(lines.get(1), separator) : List.of();
    boolean units =
        second.size() == heads.size() && second.stream().noneMatch(RecordingCsv::startsAsNumber);
    return new Beginning(separator, heads, units ? second : List.of());
  }

  private static boolean isNumber(String cell) {
    return !Double.isNaN(plain(cell.strip()));
  }

  private static boolean startsAsNumber(String cell) {
    return cell.strip().matches("[-+.]?\\d.*");
  }

  private static List<String> cells(String line, char separator) throws IOException {
    try (CSVParser parser = CSVParser.parse(line, format(separator))) {
      Iterator<CSVRecord> records = parser.iterator();
      return records.hasNext() ? Arrays.asList(records.next().values()) : List.of();
    } catch (UncheckedIOException openQuote) {
      // Looked at once more, with its line, when the whole is read.
      return List.of(line);
    }
  }

  private static CSVFormat format(char separator) {
    return CSVFormat.DEFAULT
        .builder()
        .setDelimiter(separator)
        .setIgnoreSurroundingSpaces(true)
        .setIgnoreEmptyLines(true)
        .setCommentMarker('#')
        .get();
  }

  /** The one that parts most lines into as many columns as the first. */
  private static char separator(List<String> lines) throws UnreadableException {
    char best = 0;
    long most = 0;
    for (char candidate : SEPARATORS.toCharArray()) {
      long columns = count(lines.getFirst(), candidate);
      if (columns > 0) {
        long alike = lines.stream().filter(line -> count(line, candidate) == columns).count();
        if (alike > most) {
          most = alike;
          best = candidate;
        }
      }
    }
    if (best == 0) {
      throw new UnreadableException(
          1, 1, "only one column: expected columns parted by commas, semicolons or tabs");
    }
    return best;
  }

  private static long count(String line, char wanted) {
    return line.chars().filter(c -> c == wanted).count();
  }

  /**
   * Reads a recording.
   *
   * @param name what it is called
   * @param columns what each column holds
   * @param progress is told how many bytes have been read
   * @param cancelled asked now and then; if it says so the reading ends with a {@link
   *     CancellationException}
   * @throws UnreadableException if it is no such text, a unit is unknown, or more rows are bad than
   *     good; with the line
   */
  public static Recording read(
      InputStream in,
      String name,
      Beginning beginning,
      Columns columns,
      LongConsumer progress,
      BooleanSupplier cancelled)
      throws IOException, UnreadableException {
    Counting counting = new Counting(in);
    Rows rows = new Rows(beginning, columns);
    try (BufferedReader reader =
            new BufferedReader(
                new InputStreamReader(
                    counting,
                    StandardCharsets.UTF_8
                        .newDecoder()
                        .onMalformedInput(CodingErrorAction.REPLACE)));
        CSVParser parser = CSVParser.parse(reader, format(beginning.separator()))) {
      int heads = beginning.units().isEmpty() ? 1 : 2;
      for (CSVRecord row : parser) {
        if (heads > 0) {
          rows.line = parser.getCurrentLineNumber();
          heads--;
          continue;
        }
        rows.add(row, parser.getCurrentLineNumber());
        if (rows.seen % OFTEN == 0) {
          progress.accept(counting.bytes);
          if (cancelled.getAsBoolean()) {
            throw new CancellationException();
          }
        }
        if (rows.seen > MOST_ROWS) {
          throw new UnreadableException(
              MOST_ROWS, 1, "more than " + MOST_ROWS + " rows: split the recording");
        }
      }
    } catch (UncheckedIOException broken) {
      throw new UnreadableException(
          Math.toIntExact(Math.min(Integer.MAX_VALUE, rows.line + 1)),
          1,
          "cannot be parted into columns: " + broken.getCause().getMessage());
    }
    return rows.recording(name);
  }

  /** Counts bytes as they go by. */
  private static final class Counting extends FilterInputStream {
    private long bytes;

    Counting(InputStream in) {
      super(in);
    }

    @Override
    public int read() throws IOException {
      int one = super.read();
      bytes += one < 0 ? 0 : 1;
      return one;
    }

    @Override
    public int read(byte[] into, int from, int length) throws IOException {
      int n = super.read(into, from, length);
      bytes += Math.max(0, n);
      return n;
    }
  }

  /** Rows read so far, column by column. */
  private static final class Rows {
    private final Channel[] channels;
    private final Column[] columns;
    private final int heads;
    private final boolean commas;
    private final List<BadRow> bad = new ArrayList<>();
    private int[] lines = new int[FIRST_ROWS];
    private int size;
    private long seen;
    private long skipped;
    private long line;

    private static final class Column {
      final Channel channel;
      final int index;
      final Scale scale;
      double[] values = new double[FIRST_ROWS];

      Column(Channel channel, int index, Scale scale) {
        this.channel = channel;
        this.index = index;
        this.scale = scale;
      }
    }

    Rows(Beginning beginning, Columns chosen) throws UnreadableException {
      channels =
          Arrays.stream(Channel.values()).filter(chosen.of()::containsKey).toArray(Channel[]::new);
      boolean angles =
          chosen.of().containsKey(Channel.INPUT) && chosen.of().containsKey(Channel.OUTPUT);
      if (!angles && !chosen.of().containsKey(Channel.TORQUE)) {
        throw new UnreadableException(
            1,
            1,
            "neither both angles nor a torque among the columns "
                + String.join(", ", beginning.heads())
                + ": say which is which, as in input=COLUMN:deg, output=COLUMN:deg");
      }
      columns = new Column[channels.length];
      for (int k = 0; k < channels.length; k++) {
        Channel channel = channels[k];
        Columns.Column column = chosen.of().get(channel);
        Scale scale =
            Scale.of(channel, column.unit())
                .orElseThrow(
                    () ->
                        new UnreadableException(
                            1,
                            1,
                            "unknown unit '"
                                + column.unit()
                                + "' of "
                                + channel.title()
                                + ": expected "
                                + channel.dimension().symbols()
                                + (channel.dimension() == Dimension.ANGLE
                                    ? ", or counts/N for N counts a turn"
                                    : "")));
        columns[k] = new Column(channel, column.index(), scale);
      }
      heads = beginning.heads().size();
      commas = beginning.separator() != ',';
    }

    void add(CSVRecord row, long at) {
      seen++;
      line = at;
      if (row.size() != heads) {
        skip(row.size() + (row.size() == 1 ? " column" : " columns") + " instead of " + heads);
        return;
      }
      grow();
      for (Column column : columns) {
        String cell = row.get(column.index).strip();
        double value = value(cell, column);
        if (Double.isInfinite(value)) {
          skip(column.channel.title() + ": '" + shortened(cell) + "' is no number");
          return;
        }
        column.values[size] = value;
      }
      lines[size] = (int) Math.min(Integer.MAX_VALUE, at);
      size++;
    }

    private static String shortened(String cell) {
      return cell.length() > 20 ? cell.substring(0, 20) + "\u2026" : cell;
    }

    /** In base units; not a number where nothing stands, infinite where it is no number. */
    private double value(String cell, Column column) {
      if (cell.isEmpty() || cell.equalsIgnoreCase("nan")) {
        return Double.NaN;
      }
      String given = cell.charAt(0) == '\u2212' ? "-" + cell.substring(1) : cell;
      if (commas && DECIMAL_COMMA.matcher(given).matches()) {
        given = given.replace(',', '.');
      }
      double number = plain(given);
      if (!Double.isNaN(number)) {
        return column.scale.toBase().applyAsDouble(number);
      }
      Matcher own = WITH_UNIT.matcher(given);
      Optional<Scale> scale =
          own.matches() ? Scale.of(column.channel, own.group(2).strip()) : Optional.empty();
      double alone = own.matches() ? plain(own.group(1)) : Double.NaN;
      return scale.isEmpty() || Double.isNaN(alone)
          ? Double.POSITIVE_INFINITY
          : scale.get().toBase().applyAsDouble(alone);
    }

    private void skip(String why) {
      skipped++;
      if (bad.size() < Recording.MOST_BAD) {
        bad.add(new BadRow(line, why));
      }
    }

    private void grow() {
      if (size == lines.length) {
        int more = size * 2;
        lines = Arrays.copyOf(lines, more);
        for (Column column : columns) {
          column.values = Arrays.copyOf(column.values, more);
        }
      }
    }

    Recording recording(String name) throws UnreadableException {
      if (skipped > size) {
        BadRow first = bad.getFirst();
        throw new UnreadableException(
            (int) Math.min(Integer.MAX_VALUE, first.line()),
            1,
            skipped
                + " of "
                + seen
                + " rows cannot be read, the first: "
                + first.why()
                + (commas ? "" : " (decimal commas? then part the columns with semicolons)"));
      }
      if (size < 2) {
        throw new UnreadableException(1, 1, "no rows under the column heads");
      }
      Map<Channel, double[]> values = new EnumMap<>(Channel.class);
      Map<Channel, Double> wraps = new EnumMap<>(Channel.class);
      for (Column column : columns) {
        values.put(column.channel, Arrays.copyOf(column.values, size));
        if (column.scale.wrap() > 0) {
          wraps.put(column.channel, column.scale.wrap());
        }
      }
      return new Recording(name, values, size, bad, skipped, wraps, Arrays.copyOf(lines, size));
    }
  }

  /** Not a number where it is none; infinities and hexadecimals are none. */
  private static double plain(String text) {
    if (text.isEmpty()) {
      return Double.NaN;
    }
    char last = text.charAt(text.length() - 1);
    char first = text.charAt(0);
    boolean looks =
        (last >= '0' && last <= '9' || last == '.')
            && (first >= '0' && first <= '9' || first == '-' || first == '+' || first == '.');
    if (!looks || text.indexOf('x') >= 0 || text.indexOf('X') >= 0) {
      return Double.NaN;
    }
    try {
      double value = Double.parseDouble(text);
      return Double.isFinite(value) ? value : Double.NaN;
    } catch (NumberFormatException none) {
      return Double.NaN;
    }
  }
}
