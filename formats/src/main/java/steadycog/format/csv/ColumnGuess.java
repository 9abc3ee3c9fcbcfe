package steadycog.format.csv;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import steadycog.bench.Recording.Channel;
import steadycog.format.csv.Columns.Column;
import steadycog.number.Unit.Dimension;

/**
 * What the heads, units and first rows of a recording say about its columns. What can be read two
 * ways is asked, never chosen in silence.
 *
 * @param columns what is certain enough to be taken
 * @param said what was taken, and what had to be assumed, a line each
 * @param questions what only a person can tell
 */
public record ColumnGuess(Columns columns, List<String> said, List<Question> questions) {

  /**
   * Something that can be read in more than one way.
   *
   * @param channels that it is about: deciding one of them answers it
   * @param words what can be what
   * @param example an answer as it is typed
   */
  public record Question(Set<Channel> channels, String words, String example) {}

  public ColumnGuess {
    said = List.copyOf(said);
    questions = List.copyOf(questions);
  }

  /**
   * The columns with what a person says about them.
   *
   * @param told as for {@link Columns#with}
   * @throws IllegalArgumentException if that cannot be read, or a question stays open
   */
  public Columns with(String told, List<String> heads) {
    Columns all = columns.with(told, heads);
    Set<Channel> named = Columns.named(told);
    List<Question> open =
        questions.stream().filter(q -> q.channels().stream().noneMatch(named::contains)).toList();
    if (!open.isEmpty()) {
      throw new IllegalArgumentException(
          open.stream()
              .map(q -> q.words() + ": say which, as in --columns " + q.example())
              .collect(Collectors.joining("; ")));
    }
    return all;
  }

  private static final Set<String> IN =
      Set.of("in", "input", "motor", "drive", "driver", "driving", "primary");
  private static final Set<String> OUT =
      Set.of("out", "output", "load", "driven", "off", "brake", "secondary");
  private static final Map<Dimension, Set<String>> MEASURED =
      Map.of(
          Dimension.ANGLE,
          Set.of(
              "angle",
              "position",
              "pos",
              "rotation",
              "rotations",
              "turns",
              "revs",
              "rev",
              "revolutions",
              "encoder",
              "enc",
              "theta",
              "phi",
              "degrees"),
          Dimension.TORQUE,
          Set.of("torque", "moment", "trq"),
          Dimension.CURRENT,
          Set.of("current", "amps", "amp", "i"),
          Dimension.VOLTAGE,
          Set.of("voltage", "volts", "volt", "v", "u"),
          Dimension.TEMPERATURE,
          Set.of("temperature", "temp"),
          Dimension.SOUND,
          Set.of("noise", "sound", "spl"),
          Dimension.TIME,
          Set.of("time", "timestamp", "elapsed", "seconds", "clock", "datetime", "t", "date"));

  /** Heads of columns that no channel holds. */
  private static final Set<String> OTHER =
      Set.of(
          "speed",
          "velocity",
          "rpm",
          "power",
          "force",
          "mass",
          "weight",
          "rate",
          "acceleration",
          "frequency",
          "humidity",
          "pressure",
          "strain",
          "status",
          "index",
          "sample",
          "row",
          "cycle",
          "efficiency",
          "energy",
          "vibration");

  /** Words of a value that was wanted or worked out, not read. */
  private static final Set<String> WANTED =
      Set.of(
          "set",
          "setpoint",
          "target",
          "limit",
          "max",
          "min",
          "peak",
          "cmd",
          "command",
          "ref",
          "reference",
          "demand",
          "desired",
          "nominal",
          "error",
          "std");

  /** Sides without a word of what is measured there: these name angles by themselves. */
  private static final Set<String> PLAIN_SIDES = Set.of("in", "input", "out", "output");

  /** Works out what the columns of a recording hold. */
  static ColumnGuess of(Beginning beginning) {
    return new Work(beginning).guess();
  }

  /** What one column may be. */
  private record May(int index, Set<Channel> channels, boolean wanted) {}

  private static final class Work {
    private final Beginning beginning;
    private final List<Heading> heads;
    private final Map<Channel, Column> found = new EnumMap<>(Channel.class);
    private final List<String> said = new ArrayList<>();
    private final List<Question> questions = new ArrayList<>();

    Work(Beginning beginning) {
      this.beginning = beginning;
      heads = IntStream.range(0, beginning.heads().size()).mapToObj(this::heading).toList();
    }

    private Heading heading(int k) {
      Heading own = Heading.of(beginning.heads().get(k));
      String below = k < beginning.units().size() ? beginning.units().get(k) : "";
      String unit = below.isBlank() ? own.unit() : below;
      return new Heading(own.text(), own.name(), unit.isEmpty() ? beginning.unitOf(k) : unit);
    }

    ColumnGuess guess() {
      List<May> all = new ArrayList<>();
      for (int k = 0; k < heads.size(); k++) {
        Set<Channel> channels = channels(k);
        if (!channels.isEmpty()) {
          boolean wanted = heads.get(k).words().stream().anyMatch(WANTED::contains);
          all.add(new May(k, channels, wanted));
        }
      }
      time(all.stream().filter(may -> may.channels.contains(Channel.TIME)).toList());
      List<May> rest = all.stream().filter(may -> !may.channels.contains(Channel.TIME)).toList();
      for (Channel channel : Channel.values()) {
        single(channel, rest.stream().filter(may -> may.channels.equals(Set.of(channel))).toList());
      }
      several(rest.stream().filter(may -> may.channels.size() > 1).toList());
      notUsed();
      return new ColumnGuess(new Columns(found), said, questions);
    }

    /** What the column may hold, by its unit and its words. */
    private Set<Channel> channels(int k) {
      Heading heading = heads.get(k);
      if (beginning.timed(k).isPresent()) {
        return beginning.timed(k).get() == Times.Kind.DATE
            ? Set.of(Channel.DATE, Channel.TIME)
            : Set.of(Channel.TIME);
      }
      if (heading.name().equals("t") && heading.unit().isEmpty() && !beginning.rising(k)) {
        return EnumSet.of(Channel.TORQUE, Channel.TEMPERATURE);
      }
      Set<String> words = Set.copyOf(heading.words());
      boolean in = words.stream().anyMatch(IN::contains);
      boolean out = words.stream().anyMatch(OUT::contains);
      Optional<Dimension> unit = Heading.dimension(heading.unit());
      List<Dimension> named =
          MEASURED.entrySet().stream()
              .filter(one -> words.stream().anyMatch(one.getValue()::contains))
              .map(Map.Entry::getKey)
              .toList();
      boolean other = words.stream().anyMatch(OTHER::contains);
      if ((in && out)
          || (unit.isEmpty() && !heading.unit().isEmpty() && named.isEmpty() && !in && !out)) {
        return Set.of();
      }
      Dimension dimension;
      if (unit.isPresent()) {
        dimension = unit.get();
      } else if (named.size() == 1 && !other) {
        dimension = named.getFirst();
      } else if (other) {
        return Set.of();
      } else {
        return bare(words, in, out);
      }
      boolean contradicts = unit.isPresent() && !named.isEmpty() && !named.contains(dimension);
      Set<Channel> may = of(dimension, in, out);
      if ((contradicts && !may.isEmpty()) || (contradicts && named.contains(Dimension.TORQUE))) {
        String example =
            may.stream().findFirst().orElse(Channel.TORQUE).key() + "=" + (k + 1) + " or =none";
        questions.add(
            new Question(
                may.isEmpty() ? Set.of(Channel.TORQUE, Channel.TORQUE_IN) : may,
                "'" + heading.text() + "' is headed otherwise than its unit " + heading.unit(),
                example));
        return Set.of();
      }
      return may;
    }

    private static Set<Channel> bare(Set<String> words, boolean in, boolean out) {
      if (!in && !out) {
        return Set.of();
      }
      if (words.stream().anyMatch(PLAIN_SIDES::contains)) {
        return Set.of(in ? Channel.INPUT : Channel.OUTPUT);
      }
      return in
          ? EnumSet.of(Channel.INPUT, Channel.TORQUE_IN, Channel.CURRENT)
          : EnumSet.of(Channel.OUTPUT, Channel.TORQUE);
    }

    private static Set<Channel> of(Dimension dimension, boolean in, boolean out) {
      return switch (dimension) {
        case ANGLE ->
            in
                ? Set.of(Channel.INPUT)
                : out ? Set.of(Channel.OUTPUT) : EnumSet.of(Channel.INPUT, Channel.OUTPUT);
        case TORQUE -> Set.of(in ? Channel.TORQUE_IN : Channel.TORQUE);
        case CURRENT -> Set.of(Channel.CURRENT);
        case VOLTAGE -> Set.of(Channel.VOLTAGE);
        case TEMPERATURE -> Set.of(Channel.TEMPERATURE);
        case SOUND -> Set.of(Channel.NOISE);
        case TIME -> Set.of(Channel.TIME);
        default -> Set.of();
      };
    }

    /** Seconds before clocks, a date beside a clock; two of a kind are asked. */
    private void time(List<May> all) {
      List<May> numbers = all.stream().filter(may -> beginning.timed(may.index).isEmpty()).toList();
      List<May> clocks = kind(all, Times.Kind.CLOCK);
      List<May> both = kind(all, Times.Kind.BOTH);
      List<May> dates = kind(all, Times.Kind.DATE);
      List<May> best = !numbers.isEmpty() ? numbers : !both.isEmpty() ? both : clocks;
      if (best.size() > 1) {
        ask(Channel.TIME, best);
      } else if (best.size() == 1) {
        take(Channel.TIME, best.getFirst());
        if (best == clocks && dates.size() == 1) {
          take(Channel.DATE, dates.getFirst());
        }
      }
    }

    private List<May> kind(List<May> all, Times.Kind kind) {
      return all.stream()
          .filter(may -> beginning.timed(may.index).filter(k -> k == kind).isPresent())
          .toList();
    }

    private void single(Channel channel, List<May> all) {
      List<May> read = all.stream().filter(may -> !may.wanted).toList();
      List<May> these = read.isEmpty() ? all : read;
      if (these.size() == 1) {
        take(channel, these.getFirst());
      } else if (these.size() > 1) {
        ask(channel, these);
      }
    }

    private void several(List<May> all) {
      for (May may : all) {
        List<Channel> open = may.channels.stream().filter(c -> !found.containsKey(c)).toList();
        boolean alike = all.stream().filter(m -> m.channels.equals(may.channels)).count() > 1;
        boolean angles = may.channels.equals(EnumSet.of(Channel.INPUT, Channel.OUTPUT));
        if (angles && open.size() == 1 && !alike) {
          take(open.getFirst(), may);
        } else {
          questions.add(
              new Question(
                  may.channels,
                  named(may)
                      + " can be "
                      + may.channels.stream()
                          .map(Channel::title)
                          .collect(Collectors.joining(" or ")),
                  example(may.channels.iterator().next(), may)));
        }
      }
    }

    private void ask(Channel channel, List<May> these) {
      questions.add(
          new Question(
              Set.of(channel),
              these.stream().map(this::named).collect(Collectors.joining(" and "))
                  + " can each be the "
                  + channel.title(),
              example(channel, these.getFirst())));
    }

    private String named(May may) {
      return "'" + heads.get(may.index).text() + "' (column " + (may.index + 1) + ")";
    }

    private String example(Channel channel, May may) {
      String unit = heads.get(may.index).unit();
      return channel.key()
          + "="
          + (may.index + 1)
          + (unit.isEmpty() && channel.dimension() != Dimension.TIME
              ? ":" + channel.usual().symbol()
              : "");
    }

    private void take(Channel channel, May may) {
      Heading heading = heads.get(may.index);
      Optional<Times.Kind> clock = beginning.timed(may.index);
      String unit = clock.isPresent() ? "clock" : heading.unit();
      found.put(channel, new Column(may.index, unit));
      String assumed =
          channel.dimension() == Dimension.ANGLE ? "degrees" : channel.usual().symbol();
      said.add(
          channel.title()
              + ": "
              + named(may)
              + (channel == Channel.DATE
                  ? ""
                  : clock.isPresent()
                      ? ", by the clock"
                      : unit.isEmpty() ? ", no unit stated: taken as " + assumed : " in " + unit));
    }

    private void notUsed() {
      String rest =
          IntStream.range(0, heads.size())
              .filter(k -> found.values().stream().noneMatch(column -> column.index() == k))
              .mapToObj(k -> heads.get(k).text())
              .filter(text -> !text.isBlank())
              .collect(Collectors.joining(", "));
      if (!rest.isEmpty()) {
        said.add("not used: " + rest);
      }
    }
  }
}
