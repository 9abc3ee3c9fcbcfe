package steadycog.format.csv;

import java.io.BufferedReader;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.charset.CodingErrorAction;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.function.BooleanSupplier;
import java.util.function.LongConsumer;
import steadycog.bench.Recording;
import steadycog.bench.Recording.BadRow;
import steadycog.bench.Recording.Channel;
import steadycog.format.csv.Columns.Scale;
import steadycog.format.json.UnreadableException;
import steadycog.number.Unit.Dimension;

/**
 * Reads what instruments recorded: columns parted by commas, semicolons, tabs or spaces under a
 * line of heads, with whatever the instrument wrote above and below. A row that cannot be read is
 * skipped and reported with its line.
 */
public final class RecordingCsv {
  /** No more rows are read. */
  public static final int MOST_ROWS = 20_000_000;

  private static final int FIRST_ROWS = 1 << 12;

  /** Rows between two looks at whether to go on. */
  private static final int OFTEN = 1 << 12;

  private RecordingCsv() {}

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
                beginning
                    .charset()
                    .newDecoder()
                    .onMalformedInput(CodingErrorAction.REPLACE)
                    .onUnmappableCharacter(CodingErrorAction.REPLACE)))) {
      long number = 0;
      for (String line = reader.readLine(); line != null; line = reader.readLine()) {
        number++;
        if (number < beginning.firstRow() || line.isBlank() || Beginning.isRemark(line)) {
          continue;
        }
        String text = line.startsWith("\ufeff") ? line.substring(1) : line;
        rows.add(Beginning.parted(text, beginning.separator()), number);
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
    private final Beginning beginning;
    private final Column[] columns;
    private final boolean[] numeric;
    private final Optional<Integer> date;
    private final List<BadRow> bad = new ArrayList<>();
    private int[] lines = new int[FIRST_ROWS];
    private int size;
    private long seen;
    private long skipped;
    private long line;

    /** Bad rows behind the last good one. */
    private int footer;

    private static final class Column {
      final Channel channel;
      final int index;
      final Scale scale;
      final Optional<Times> clock;
      double[] values = new double[FIRST_ROWS];
      long missing;
      String mark = "";

      Column(Channel channel, int index, Scale scale, Optional<Times> clock) {
        this.channel = channel;
        this.index = index;
        this.scale = scale;
        this.clock = clock;
      }
    }

    Rows(Beginning beginning, Columns chosen) throws UnreadableException {
      this.beginning = beginning;
      Map<Channel, Columns.Column> of = chosen.of();
      boolean angles = of.containsKey(Channel.INPUT) && of.containsKey(Channel.OUTPUT);
      if (!angles && !of.containsKey(Channel.TORQUE)) {
        throw new UnreadableException(
            Math.max(1, beginning.firstRow() - 1),
            1,
            "neither both angles nor a torque among the columns "
                + String.join(", ", beginning.heads())
                + ": say which is which, as in input=COLUMN:deg, output=COLUMN:deg");
      }
      date = Optional.ofNullable(of.get(Channel.DATE)).map(Columns.Column::index);
      List<Column> all = new ArrayList<>();
      for (Channel channel : Channel.values()) {
        if (of.containsKey(channel) && channel != Channel.DATE) {
          all.add(column(channel, of.get(channel)));
        }
      }
      columns = all.toArray(Column[]::new);
      numeric = new boolean[beginning.heads().size()];
      for (int k = 0; k < numeric.length; k++) {
        numeric[k] = beginning.numeric(k);
      }
    }

    private Column column(Channel channel, Columns.Column chosen) throws UnreadableException {
      boolean clock =
          channel == Channel.TIME
              && (chosen.unit().equals("clock") || beginning.timed(chosen.index()).isPresent());
      List<String> days = beginning.cells(date.orElse(chosen.index()));
      Scale scale =
          Scale.of(channel, clock ? "" : chosen.unit())
              .orElseThrow(() -> unknown(channel, chosen.unit()));
      return new Column(
          channel,
          chosen.index(),
          scale,
          clock ? Optional.of(new Times(Times.order(days))) : Optional.empty());
    }

    private UnreadableException unknown(Channel channel, String unit) {
      boolean angle = channel.dimension() == Dimension.ANGLE;
      return new UnreadableException(
          Math.max(1, beginning.firstRow() - 1),
          1,
          "unknown unit '"
              + unit
              + "' of "
              + channel.title()
              + ": expected "
              + channel.dimension().symbols()
              + (angle ? ", or counts/N for N counts a turn" : "")
              + "; "
              + channel.key()
              + "=none leaves it out");
    }

    void add(List<String> row, long at) {
      seen++;
      line = at;
      int heads = beginning.heads().size();
      boolean tail =
          row.size() > heads && row.subList(heads, row.size()).stream().allMatch(String::isBlank);
      if (row.size() != heads && !tail) {
        skip(row.size() + (row.size() == 1 ? " column" : " columns") + " instead of " + heads);
        return;
      }
      for (int k = 0; k < heads; k++) {
        String cell = row.get(k);
        if (numeric[k]
            && !cell.isEmpty()
            && Character.isLetter(cell.charAt(0))
            && !Numbers.missing(cell)) {
          skip(beginning.heads().get(k) + ": '" + shortened(cell) + "' is no number");
          return;
        }
      }
      grow();
      for (Column column : columns) {
        String cell = row.get(column.index);
        double value =
            column.clock.isPresent()
                ? column.clock.get().next(date.map(row::get).orElse(""), cell)
                : value(cell, column);
        if (Double.isInfinite(value)) {
          skip(
              column.channel.title()
                  + ": '"
                  + shortened(cell)
                  + (column.clock.isPresent() ? "' is no time" : "' is no number"));
          return;
        }
        column.values[size] = value;
      }
      lines[size] = (int) Math.min(Integer.MAX_VALUE, at);
      size++;
      footer = 0;
    }

    private static String shortened(String cell) {
      return cell.length() > 20 ? cell.substring(0, 20) + "\u2026" : cell;
    }

    /** In base units; not a number where nothing stands, infinite where it is no number. */
    private double value(String cell, Column column) {
      double number = beginning.numbers().parse(cell);
      if (!Double.isNaN(number)) {
        return column.scale.toBase().applyAsDouble(number);
      }
      if (Numbers.missing(cell) || beginning.numbers().overRange(cell)) {
        if (!cell.isEmpty() && !cell.equalsIgnoreCase("nan")) {
          column.missing++;
          column.mark = cell;
        }
        return Double.NaN;
      }
      Optional<Beginning.Carried> own = Beginning.carried(cell);
      Optional<Scale> scale = own.flatMap(o -> Scale.of(column.channel, o.unit()));
      double alone = own.map(o -> beginning.numbers().parse(o.number())).orElse(Double.NaN);
      return scale.isEmpty() || Double.isNaN(alone)
          ? Double.POSITIVE_INFINITY
          : scale.get().toBase().applyAsDouble(alone);
    }

    private void skip(String why) {
      skipped++;
      footer++;
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
                + (beginning.separator() == ','
                    ? " (decimal commas? then part the columns with semicolons)"
                    : ""));
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
      return new Recording(
          name, values, size, bad, skipped, wraps, Arrays.copyOf(lines, size), said());
    }

    private List<String> said() {
      List<String> said = new ArrayList<>(beginning.said());
      for (Column column : columns) {
        if (column.missing > 0) {
          said.add(
              column.channel.title()
                  + ": "
                  + column.missing
                  + (column.missing == 1 ? " reading" : " readings")
                  + " missing ('"
                  + column.mark
                  + "')");
        }
        boolean open =
            column.clock.isPresent() && Times.open(beginning.cells(date.orElse(column.index)));
        if (open) {
          said.add(
              "the date '"
                  + beginning.cells(date.orElse(column.index)).getFirst()
                  + "' can be read two ways: only the clock is used, and goes on over midnight");
        }
      }
      if (footer > 0) {
        said.add("the table ends at line " + lines[size - 1]);
      }
      return said;
    }
  }
}
