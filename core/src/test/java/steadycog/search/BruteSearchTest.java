package steadycog.search;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Locale;
import java.util.Random;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import steadycog.search.Wanted.Field;

/** Random searches of every kind, by every rank and limit, against nested loops over cards. */
@Tag("slow")
class BruteSearchTest {
  /** More with {@code -Dsearches=400}: so many of each kind. */
  private static final int SEARCHES = Integer.getInteger("searches", 12);

  private static int between(Random random, int from, int to) {
    return from + random.nextInt(to - from + 1);
  }

  /** Something to look for in a small range, with a handful of limits. */
  private static Wanted wanted(Random random, Kind kind) {
    int stages =
        switch (kind) {
          case PARALLEL -> between(random, 1, 3);
          case PLANETARY -> random.nextInt(4) == 0 ? 3 : between(random, 1, 2);
          default -> 1;
        };
    int width =
        kind == Kind.PARALLEL ? new int[] {40, 9, 3}[stages - 1] : stages > 1 ? 2 - stages / 3 : 3;
    int least = between(random, 9, 24);
    double most =
        kind == Kind.STRAIN_WAVE || kind == Kind.CYCLOIDAL
            ? 150
            : Math.pow(stages == 1 ? 6 : 4, stages);
    double target =
        Math.exp(
            random.nextDouble() * Math.log(kind == Kind.PARALLEL ? Math.pow(1.6, stages) : most));
    if (random.nextInt(3) == 0) {
      target = 1 / target;
    }
    Wanted wanted =
        Wanted.NOTHING
            .with(Field.TARGET, String.format(Locale.ROOT, "%.4f", target))
            .with(Field.KIND, kind.word())
            .with(Field.STAGES, random.nextBoolean() ? "" + stages : "1.." + stages)
            .with(Field.TEETH, least + ".." + (least + width))
            .with(Field.TOP, "" + between(random, 1, 30))
            .with(Field.RANK, Rank.values()[random.nextInt(5)].word())
            .with(Field.TOLERANCE, pick(random, "", "0.5%", "3%", "15%", "1 tooth"));
    Field[] limits = {
      Field.PLANETS,
      Field.DISTORTION,
      Field.PER_STAGE,
      Field.DIRECTION,
      Field.DIAMETER,
      Field.RING,
      Field.LOSSES,
      Field.EFFICIENCY,
      Field.BACKWARDS,
      Field.COAXIAL,
      Field.DRIVER,
      Field.STOCK
    };
    for (int k = 0; k < 3; k++) {
      Field field = limits[random.nextInt(limits.length)];
      wanted =
          wanted.with(
              field,
              switch (field) {
                case PLANETS -> pick(random, "2..4", "3", "1..6", "4..5");
                case DISTORTION -> pick(random, "0", "1", "3");
                case PER_STAGE -> pick(random, "2", "3.5", "8");
                case DIRECTION -> pick(random, "same", "opposite");
                case DIAMETER -> "" + (least + between(random, 3, 60));
                case RING -> "" + (2 * least) + ".." + (4 * least);
                case LOSSES -> pick(random, "printed", "ideal", "greased");
                case EFFICIENCY -> pick(random, "90%", "0.96");
                case BACKWARDS -> pick(random, "turns", "holds");
                case COAXIAL -> kind == Kind.PARALLEL && stages != 2 ? "" : "yes";
                case DRIVER -> "" + (least + 1);
                case STOCK -> stock(random, least, kind);
                default -> "";
              });
    }
    return kind == Kind.TWO_ROW ? wanted.with(Field.TWO_MODULES, random.nextBoolean()) : wanted;
  }

  private static String stock(Random random, int least, Kind kind) {
    StringBuilder stock = new StringBuilder();
    for (int k = 0; k < 5; k++) {
      stock
          .append(least + random.nextInt(6))
          .append("x")
          .append(between(random, 1, 4))
          .append(", ");
    }
    for (int k = 0; k < (kind == Kind.PARALLEL ? 1 : 12); k++) {
      stock.append(3 * least + random.nextInt(12)).append("ix2, ");
    }
    return stock.toString();
  }

  private static String pick(Random random, String... of) {
    return of[random.nextInt(of.length)];
  }

  @ParameterizedTest
  @EnumSource(Kind.class)
  void everyListIsThatOfNestedLoops(Kind kind) {
    int compared = 0;
    for (int run = 0; run < SEARCHES; run++) {
      Wanted wanted = wanted(new Random(1000L * kind.ordinal() + run), kind);
      Query query = wanted.query();
      Found found = Hunt.run(query, Watch.NONE);
      List<Candidate> all = BruteSearch.of(query);
      List<Candidate> expected = all.subList(0, Math.min(query.listing().top(), all.size()));
      if (found.provenBest()) {
        Rank rank = query.listing().rank();
        assertEquals(
            measures(rank, expected),
            measures(rank, found.candidates()),
            () -> wanted.texts().toString());
        compared += expected.size();
      }
    }
    assertTrue(compared > 0, "something to compare: " + compared);
  }

  /** What decides the order; of what is equal in all of it either may stand first. */
  private static String measures(Rank rank, List<Candidate> candidates) {
    StringBuilder all = new StringBuilder();
    for (Candidate c : candidates) {
      double first = rank == Rank.DIAMETER ? c.diameter() : BruteSearch.efficiency(c);
      all.append(
          String.format(
              Locale.ROOT,
              "%.7f first, %.9f off, %d stages, %d teeth%n",
              rank == Rank.DIAMETER || rank == Rank.EFFICIENCY ? first : 0,
              Math.abs(c.error()),
              c.stages(),
              c.size()));
    }
    return all.toString();
  }
}
