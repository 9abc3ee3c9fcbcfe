package steadycog.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import steadycog.bench.LoadResult.Row;

/**
 * Two builds under load, step by step.
 *
 * @param before what the older one did
 * @param after what the newer one did
 * @param steps loads that were tried on either, the smallest first
 * @param statements of the newer card that the older had not
 */
public record Comparison(
    Build older,
    Build newer,
    LoadResult before,
    LoadResult after,
    List<Pair> steps,
    List<String> statements) {
  /** Loads no further apart than this are one step. */
  private static final double ALIKE = 0.04;

  /**
   * A step of one build beside that of the other.
   *
   * @param torque at the output, N m
   */
  public record Pair(double torque, Optional<Row> before, Optional<Row> after) {

    /** What efficiency has gained, in parts of 1. */
    public Optional<Double> gain() {
      return before
          .flatMap(Row::efficiency)
          .flatMap(old -> after.flatMap(Row::efficiency).map(now -> now - old));
    }

    /** Change of a reading where both held, in its base unit. */
    public Optional<Double> change(Measure measure) {
      return before
          .filter(Pair::held)
          .flatMap(row -> row.step().of(measure))
          .flatMap(
              old ->
                  after
                      .filter(Pair::held)
                      .flatMap(row -> row.step().of(measure))
                      .map(now -> now.inBase() - old.inBase()));
    }

    private static boolean held(Row row) {
      return row.step().outcome() == Outcome.HELD;
    }
  }

  public Comparison {
    steps = List.copyOf(steps);
    statements = List.copyOf(statements);
  }

  /** Compares two load tests, each of a build. */
  public static Comparison of(Build older, LoadTest one, Build newer, LoadTest other) {
    LoadResult before = LoadResult.of(older.train(one), one);
    LoadResult after = LoadResult.of(newer.train(other), other);
    return new Comparison(older, newer, before, after, pairs(before, after), newer.newSince(older));
  }

  private static List<Pair> pairs(LoadResult before, LoadResult after) {
    List<Row> left = new ArrayList<>(after.rows());
    List<Pair> pairs = new ArrayList<>();
    for (Row old : before.rows()) {
      Optional<Row> like =
          left.stream()
              .filter(row -> Math.abs(row.torque() - old.torque()) <= ALIKE * old.torque())
              .findFirst();
      like.ifPresent(left::remove);
      pairs.add(new Pair(old.torque(), Optional.of(old), like));
    }
    left.forEach(row -> pairs.add(new Pair(row.torque(), Optional.empty(), Optional.of(row))));
    pairs.sort((a, b) -> Double.compare(a.torque, b.torque));
    return pairs;
  }

  /** The largest load held now over that held before; empty where either held none. */
  public Optional<Double> stronger() {
    return before
        .best()
        .flatMap(old -> after.best().map(now -> now.torque() / old.torque()))
        .filter(Double::isFinite);
  }
}
