package steadycog.format.csv;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.Collectors;
import steadycog.bench.Recording.Channel;
import steadycog.number.Unit;
import steadycog.number.Unit.Dimension;

/**
 * Which column of a recording holds what.
 *
 * @param of index from 0 and unit by channel
 */
public record Columns(Map<Channel, Column> of) {

  /**
   * A column.
   *
   * @param unit as people write it, {@code counts/4096} too; empty for degrees, N m and so on
   */
  public record Column(int index, String unit) {}

  public Columns {
    of = Map.copyOf(of);
  }

  /**
   * Changes this by what a person says: {@code input=motor:counts/1024, torque=5:lbf-in,
   * noise=none}.
   *
   * @throws IllegalArgumentException saying what was found and what is expected
   */
  public Columns with(String said, List<String> heads) {
    Map<Channel, Column> changed = new EnumMap<>(Channel.class);
    changed.putAll(of);
    for (String one : said.split(",")) {
      if (one.isBlank()) {
        continue;
      }
      Channel channel = channel(one);
      String rest = one.substring(one.indexOf('=') + 1).strip();
      int colon = rest.indexOf(':');
      String column = (colon < 0 ? rest : rest.substring(0, colon)).strip();
      if (column.equals("none")) {
        changed.remove(channel);
        continue;
      }
      int index = index(column, heads);
      String unit =
          colon < 0 ? Heading.of(heads.get(index)).unit() : rest.substring(colon + 1).strip();
      changed.put(channel, new Column(index, unit));
    }
    return new Columns(changed);
  }

  /** The channels that {@code said} decides. */
  static Set<Channel> named(String said) {
    return Arrays.stream(said.split(","))
        .filter(one -> !one.isBlank())
        .map(Columns::channel)
        .collect(Collectors.toCollection(() -> EnumSet.noneOf(Channel.class)));
  }

  private static Channel channel(String one) {
    int equals = one.indexOf('=');
    return Channel.of(equals < 0 ? "" : one.substring(0, equals).strip())
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    "'"
                        + one.strip()
                        + "': expected CHANNEL=COLUMN or CHANNEL=COLUMN:UNIT, CHANNEL one of "
                        + Arrays.stream(Channel.values())
                            .map(Channel::key)
                            .collect(Collectors.joining(", "))));
  }

  private static int index(String column, List<String> heads) {
    for (int k = 0; k < heads.size(); k++) {
      if (heads.get(k).strip().equalsIgnoreCase(column)
          || Heading.of(heads.get(k)).name().equalsIgnoreCase(column)) {
        return k;
      }
    }
    if (column.matches("\\d{1,4}")
        && Integer.parseInt(column) >= 1
        && Integer.parseInt(column) <= heads.size()) {
      return Integer.parseInt(column) - 1;
    }
    throw new IllegalArgumentException(
        "no column '" + column + "', there are: " + String.join(", ", heads));
  }

  /**
   * A unit of a channel.
   *
   * @param toBase to s, turns, N m, A, V, \u00b0C, dB
   * @param wrap turns after which a counter of two bytes starts again; 0 where it is none
   */
  record Scale(DoubleUnaryOperator toBase, double wrap) {
    private static final double COUNTER = 65_536;
    private static final double DEGREES_PER_TURN = 360;

    /** Empty for an unknown unit. */
    static Optional<Scale> of(Channel channel, String unit) {
      boolean angle = channel.dimension() == Dimension.ANGLE;
      String counts = unit.toLowerCase(Locale.ROOT).replaceAll("\\s", "");
      if (angle && counts.matches("counts?/\\d{1,9}(\\.\\d+)?")) {
        double perTurn = Double.parseDouble(counts.substring(counts.indexOf('/') + 1));
        return perTurn > 0
            ? Optional.of(new Scale(value -> value / perTurn, COUNTER / perTurn))
            : Optional.empty();
      }
      Optional<Unit> known =
          unit.isEmpty() ? Optional.of(channel.usual()) : Unit.of(unit, channel.dimension());
      return known.map(
          one -> new Scale(angle ? value -> one.toBase(value) / DEGREES_PER_TURN : one::toBase, 0));
    }
  }
}
