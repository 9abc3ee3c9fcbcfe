package steadycog.search;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import java.util.stream.Collectors;
import steadycog.search.Limits.Direction;
import steadycog.search.Wanted.Field;
import steadycog.train.Member;
import steadycog.train.Planetary;
import steadycog.train.Teeth;

/**
 * Where nothing is found: which limit to loosen, and how far. Every limit is loosened by itself and
 * looked under again, for the candidate that asks least of it.
 */
public final class Loosen {
  private static final List<Double> STEPS = List.of(1.25, 1.5, 2.0, 3.0, 5.0, 10.0, 30.0, 100.0);
  private static final String FURTHEST = "50%";
  private static final List<String> NEAR_FIRST = List.of("1%", "10%", FURTHEST);

  /**
   * A limit under which something is found.
   *
   * @param text what to write in the field; empty for nothing
   * @param first what is found then
   */
  public record Hint(Field field, String text, Candidate first) {}

  private final Wanted wanted;
  private final Query query;
  private final Watch watch;
  private final List<Hint> hints = new ArrayList<>();

  private Loosen(Wanted wanted, Watch watch) {
    this.wanted = wanted;
    this.query = wanted.query();
    this.watch =
        new Watch() {
          @Override
          public boolean cancelled() {
            return watch.cancelled();
          }
        };
  }

  /**
   * All limits that stand alone between what is wanted and something found.
   *
   * @param watch may stop it; what is found under other limits is not told on the way
   */
  public static List<Hint> of(Wanted wanted, Watch watch) {
    Loosen loosen = new Loosen(wanted.with(Field.TOP, "1").with(Field.ANY, false), watch);
    loosen.run();
    return loosen.hints;
  }

  private void run() {
    Limits limits = query.limits();
    if (query.tolerance().isPresent()) {
      look(Field.TOLERANCE, FURTHEST, Rank.ERROR, Loosen::tolerance);
    }
    if (limits.direction() != Direction.ANY) {
      look(Field.DIRECTION, "", query.listing().rank(), c -> "");
    }
    if (query.wheels().stock().isEmpty()) {
      teeth(limits.teeth());
    } else {
      look(Field.STOCK, "", query.listing().rank(), this::stock);
    }
    limits.ring().ifPresent(now -> look(Field.RING, "", Rank.DIAMETER, c -> ring(now, c)));
    limits
        .diameter()
        .ifPresent(d -> look(Field.DIAMETER, "", Rank.DIAMETER, c -> up(c.diameter())));
    limits.perStage().ifPresent(this::steps);
    planets(limits.planets());
    for (int more = limits.distortion() + 1; more <= Limits.MOST_DISTORTION; more++) {
      if (look(Field.DISTORTION, "" + more, query.listing().rank(), c -> "" + c.distortion())) {
        break;
      }
    }
    if (query.kinds().contains(Kind.TWO_ROW) && !limits.twoModules()) {
      look(Field.TWO_MODULES, Wanted.YES, query.listing().rank(), c -> Wanted.YES);
    }
    query
        .running()
        .least()
        .ifPresent(share -> look(Field.EFFICIENCY, "", Rank.EFFICIENCY, Loosen::efficiency));
    for (Field field :
        List.of(
            Field.BACKWARDS,
            Field.COAXIAL,
            Field.DRIVER,
            Field.DRIVEN,
            Field.HELIX,
            Field.DISTANCE)) {
      if (!wanted.text(field).isEmpty()) {
        look(field, "", query.listing().rank(), c -> "");
      }
    }
    int to = limits.stages().to();
    if (to < Limits.MOST_STAGES) {
      String more = new Range(limits.stages().from(), to + 1).toString();
      look(Field.STAGES, more, query.listing().rank(), c -> more);
    }
    if (hints.isEmpty() && !query.kinds().equals(Query.everyKind())) {
      String kinds = wanted.text(Field.KIND);
      look(Field.KIND, "all", query.listing().rank(), c -> kinds + "," + c.kind().word());
    }
  }

  /**
   * Looks with another text in one field; what is found says how much of it is needed. Where no
   * tolerance is said something near is looked for first.
   */
  private boolean look(Field field, String text, Rank rank, Function<Candidate, String> needed) {
    Wanted looser = wanted.with(field, text).with(Field.RANK, rank.word());
    List<String> tolerances =
        wanted.text(Field.TOLERANCE).isEmpty() ? NEAR_FIRST : List.of(looser.text(Field.TOLERANCE));
    try {
      for (String within : tolerances) {
        Query asked = looser.with(Field.TOLERANCE, within).query();
        List<Candidate> found = watch.cancelled() ? List.of() : Hunt.run(asked, watch).candidates();
        if (!found.isEmpty()) {
          hints.add(new Hint(field, needed.apply(found.getFirst()), found.getFirst()));
          return true;
        }
      }
    } catch (IllegalArgumentException contradiction) {
      return false;
    }
    return false;
  }

  private void teeth(Range now) {
    int most = Math.min(Limits.MOST_TEETH, 4 * now.to());
    boolean more =
        look(
            Field.TEETH,
            new Range(now.from(), most).toString(),
            Rank.DIAMETER,
            c -> new Range(now.from(), Math.max(now.to(), largest(c))).toString());
    int fewest = Math.min(now.from(), 8);
    if (!more && fewest < now.from()) {
      look(
          Field.TEETH,
          new Range(fewest, now.to()).toString(),
          query.listing().rank(),
          c -> new Range(Math.min(now.from(), smallest(c)), now.to()).toString());
    }
  }

  private void planets(Range now) {
    for (int more = 1; more <= Planetary.MOST_PLANETS; more++) {
      int from = Math.max(1, now.from() - more);
      int to = Math.min(Planetary.MOST_PLANETS, now.to() + more);
      Function<Candidate, String> needed =
          c ->
              new Range(Math.min(now.from(), c.planets()), Math.max(now.to(), c.planets()))
                  .toString();
      boolean done = from == 1 && to == Planetary.MOST_PLANETS;
      boolean sets = query.kinds().contains(Kind.PLANETARY) || query.kinds().contains(Kind.TWO_ROW);
      if (!sets || look(Field.PLANETS, from + ".." + to, query.listing().rank(), needed) || done) {
        return;
      }
    }
  }

  private void steps(double now) {
    for (double times : STEPS) {
      String more = up(now * times);
      if (look(Field.PER_STAGE, more, query.listing().rank(), c -> more)) {
        return;
      }
    }
  }

  private static String tolerance(Candidate candidate) {
    return rounded(Math.abs(candidate.error()) * 100, RoundingMode.UP) + "%";
  }

  private static String efficiency(Candidate candidate) {
    double share = candidate.eachWay().efficiency().orElse(0.0);
    return rounded(share * 100, RoundingMode.DOWN) + "%";
  }

  private static String up(double number) {
    return rounded(number, RoundingMode.UP);
  }

  /** To three figures. */
  private static String rounded(double number, RoundingMode mode) {
    BigDecimal exact = new BigDecimal(String.format(Locale.ROOT, "%.9f", number));
    return exact.round(new MathContext(3, mode)).stripTrailingZeros().toPlainString();
  }

  private static String ring(Range now, Candidate candidate) {
    int least = now.from();
    int most = now.to();
    for (int count : counts(candidate, true)) {
      least = Math.min(least, count);
      most = Math.max(most, count);
    }
    return new Range(least, most).toString();
  }

  /** The stock with the wheels that are missing. */
  private String stock(Candidate candidate) {
    List<Teeth> missing = new ArrayList<>();
    for (Member wheel : candidate.train().involuteWheels()) {
      wheel.teeth().filter(teeth -> !query.wheels().mayHave(teeth)).ifPresent(missing::add);
    }
    return missing.isEmpty()
        ? ""
        : wanted.text(Field.STOCK)
            + missing.stream().map(teeth -> ", " + teeth).distinct().collect(Collectors.joining());
  }

  private static int largest(Candidate candidate) {
    return counts(candidate, false).stream().mapToInt(Integer::intValue).max().orElse(0);
  }

  private static int smallest(Candidate candidate) {
    return counts(candidate, false).stream().mapToInt(Integer::intValue).min().orElse(0);
  }

  private static List<Integer> counts(Candidate candidate, boolean internal) {
    return candidate.train().involuteWheels().stream()
        .flatMap(wheel -> wheel.teeth().stream())
        .filter(teeth -> teeth.internal() == internal)
        .map(Teeth::count)
        .toList();
  }
}
