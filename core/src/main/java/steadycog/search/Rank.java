package steadycog.search;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/**
 * By which measure candidates are put in order, the best first. Those that are equal in it follow
 * by error, then by stages, then by size.
 */
public enum Rank {
  ERROR("the nearest"),
  SIZE("the fewest teeth"),
  STAGES("the fewest stages"),
  EFFICIENCY("the most efficient"),
  DIAMETER("the smallest largest wheel"),
  /** Of those with the fewest teeth: how heavy one is follows only when it is sized. */
  LOAD("the lightest that holds");

  private final String best;

  Rank(String best) {
    this.best = best;
  }

  /** As the command line spells it. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** What comes first: {@code the nearest}. */
  public String best() {
    return best;
  }

  public static Optional<Rank> of(String word) {
    return Arrays.stream(values()).filter(rank -> rank.word().equalsIgnoreCase(word)).findFirst();
  }

  /** Where a candidate of these measures stands among others. */
  Key key(Measures of) {
    double first =
        switch (this) {
          case ERROR -> of.error();
          case SIZE, LOAD -> of.size();
          case STAGES -> of.stages();
          case EFFICIENCY -> -of.efficiency();
          case DIAMETER -> of.diameter();
        };
    return new Key(first, of.error(), of.stages(), of.size());
  }
}
