package steadycog.bench;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import steadycog.number.Unit;
import steadycog.number.Unit.Dimension;

/**
 * What instruments wrote down, row by row.
 *
 * @param name what it is called
 * @param columns values in base units (s, turns for angles, N m, A, V, \u00b0C, dB); a value that
 *     was missing is not a number. All of one length
 * @param rows read
 * @param bad rows that were skipped, the first ones
 * @param skipped how many rows were skipped
 * @param wraps turns after which an angle starts again at nothing, where that is known
 * @param lines where each row stood in the file
 * @param said what was found and assumed in reading it, in words
 */
@SuppressWarnings("ArrayRecordComponent") // Never compared.
public record Recording(
    String name,
    Map<Channel, double[]> columns,
    int rows,
    List<BadRow> bad,
    long skipped,
    Map<Channel, Double> wraps,
    int[] lines,
    List<String> said) {
  /** No more bad rows are listed. */
  public static final int MOST_BAD = 50;

  /** What a column holds. */
  public enum Channel {
    DATE("date", Dimension.TIME),
    TIME("time", Dimension.TIME),
    INPUT("input angle", Dimension.ANGLE),
    OUTPUT("output angle", Dimension.ANGLE),
    TORQUE("torque out", Dimension.TORQUE),
    TORQUE_IN("torque in", Dimension.TORQUE),
    CURRENT("current", Dimension.CURRENT),
    VOLTAGE("voltage", Dimension.VOLTAGE),
    TEMPERATURE("temperature", Dimension.TEMPERATURE),
    NOISE("noise", Dimension.SOUND);

    private final String title;
    private final Dimension dimension;

    Channel(String title, Dimension dimension) {
      this.title = title;
      this.dimension = dimension;
    }

    public String title() {
      return title;
    }

    public Dimension dimension() {
      return dimension;
    }

    /** In what a column is taken that states no unit. */
    public Unit usual() {
      return dimension == Dimension.ANGLE ? Unit.DEGREE : dimension.units().getFirst();
    }

    /** The word on the command line: {@code torque-in}. */
    public String key() {
      return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    public static Optional<Channel> of(String key) {
      return Arrays.stream(values()).filter(channel -> channel.key().equals(key)).findFirst();
    }
  }

  /** A row that was skipped. */
  public record BadRow(long line, String why) {}

  public Recording {
    columns = Map.copyOf(new EnumMap<>(columns));
    bad = List.copyOf(bad);
    wraps = Map.copyOf(wraps);
    said = List.copyOf(said);
    for (double[] column : columns.values()) {
      if (column.length != rows) {
        throw new IllegalArgumentException("columns of different lengths");
      }
    }
  }

  public Optional<double[]> column(Channel channel) {
    return Optional.ofNullable(columns.get(channel));
  }

  public boolean has(Channel channel) {
    return columns.containsKey(channel);
  }
}
