package steadycog.bench;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.motion.RatioBoard.Configuration;
import steadycog.number.Exact;
import steadycog.number.Figures;
import steadycog.study.EpicyclicWorking;
import steadycog.study.Study;
import steadycog.study.Working;
import steadycog.train.Roles;
import steadycog.train.ShiftPlan;
import steadycog.train.Train;

/**
 * How a ratio comes to be stated wrongly: the slip of the hand that leads from the right working to
 * just that number.
 *
 * @param kind of slip
 * @param detail which mesh, configuration or wheel; may be empty
 */
public record Slip(Kind kind, String detail) {

  /** The usual slips. */
  public enum Kind {
    NONE("right"),
    DIRECTION("the size is right, the direction is not: each external mesh turns it round"),
    UPSIDE_DOWN("upside down: that is out over in, the train value; i is in over out"),
    UPSIDE_DOWN_AND_DIRECTION("upside down and the other way round"),
    CARRIER_FORGOTTEN(
        "the carrier's own turn is left out: seen from the carrier the ratio is this, but the"
            + " carrier itself goes round once"),
    OTHER_CONFIGURATION("that is the ratio of another configuration"),
    STAGE_INVERTED("divided the wrong way round at one mesh"),
    STAGE_MISSING("one mesh is left out"),
    ENDS_ONLY(
        "only the first and the last wheel are counted: that holds for idlers, but wheels on one"
            + " shaft do not cancel"),
    MISCOUNT("one wheel is a tooth off"),
    UNKNOWN("none of the usual slips leads to it");

    private final String words;

    Kind(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /** In words, with the detail. */
  public String text() {
    return detail.isEmpty() ? kind.words : kind.words + ": " + detail;
  }

  /**
   * Finds what leads to {@code guess}.
   *
   * @param train in any roles
   * @param asked the configuration whose ratio was asked for
   * @param all every configuration of the train
   * @param guess i = in/out with its sign, not zero
   */
  public static Slip of(
      Train train, Configuration asked, List<Configuration> all, BigFraction guess) {
    BigFraction right = asked.ratio().reduction();
    if (Guess.near(guess, right)) {
      return new Slip(Kind.NONE, "");
    }
    if (Guess.near(guess, right.negate())) {
      return new Slip(Kind.DIRECTION, "");
    }
    // Before the carrier's turn: an upside-down ratio of a pair says more.
    if (Guess.near(guess, right.reciprocal())) {
      return new Slip(Kind.UPSIDE_DOWN, "");
    }
    if (Guess.near(guess, right.reciprocal().negate())) {
      return new Slip(Kind.UPSIDE_DOWN_AND_DIRECTION, "");
    }
    Study study = Study.of(train.withShifts(ShiftPlan.NONE).withRoles(asked.in(Roles.NONE)));
    return carrier(study, asked, guess, right)
        .or(() -> study.working().flatMap(working -> stage(working, guess)))
        .or(() -> other(asked, all, guess))
        .or(() -> miscount(study, guess))
        .orElse(new Slip(Kind.UNKNOWN, ""));
  }

  /** With the carrier left out i0 = i - 1 remains, where the carrier drives 1/i - 1 of e. */
  private static Optional<Slip> carrier(
      Study study, Configuration asked, BigFraction guess, BigFraction right) {
    boolean drives =
        study.train().meshes().stream()
            .anyMatch(mesh -> mesh.carrier().filter(asked.drive()::equals).isPresent());
    boolean carried = study.train().meshes().stream().anyMatch(m -> m.carrier().isPresent());
    BigFraction seen = (drives ? right.reciprocal() : right).subtract(BigFraction.ONE);
    if (!carried || Exact.isZero(seen)) {
      return Optional.empty();
    }
    return Stream.of(seen, seen.negate(), seen.reciprocal(), seen.reciprocal().negate())
            .anyMatch(one -> Guess.near(guess, one))
        ? Optional.of(new Slip(Kind.CARRIER_FORGOTTEN, ""))
        : Optional.empty();
  }

  private static Optional<Slip> stage(Working working, BigFraction guess) {
    for (Working.Step step : working.steps()) {
      String mesh = step.driver() + "\u2013" + step.driven();
      BigFraction without = working.product().divide(step.stage());
      if (Guess.near(guess, without.divide(step.stage()))) {
        return Optional.of(new Slip(Kind.STAGE_INVERTED, mesh));
      }
      if (Guess.near(guess.abs(), without.abs())) {
        return Optional.of(new Slip(Kind.STAGE_MISSING, mesh));
      }
    }
    int first = working.steps().getFirst().driverWheel().count();
    int last = working.steps().getLast().drivenWheel().count();
    return Guess.near(guess.abs(), Exact.of(last, first))
        ? Optional.of(new Slip(Kind.ENDS_ONLY, last + "/" + first))
        : Optional.empty();
  }

  private static Optional<Slip> other(
      Configuration asked, List<Configuration> all, BigFraction guess) {
    return all.stream()
        .filter(one -> !one.isLike(asked) && Guess.near(guess, one.ratio().reduction()))
        .findFirst()
        .map(one -> new Slip(Kind.OTHER_CONFIGURATION, words(one)));
  }

  private static Optional<Slip> miscount(Study study, BigFraction guess) {
    return Miscounts.single(study.train(), 1).stream()
        .filter(one -> Guess.near(guess, one.ratio().reduction()))
        .findFirst()
        .map(one -> new Slip(Kind.MISCOUNT, one.text() + ", i = " + text(one.ratio().reduction())));
  }

  /** A configuration in words: {@code sun drives, ring held, carrier out}. */
  public static String words(Configuration one) {
    String held =
        one.lock()
            .map(lock -> lock.a() + " locked to " + lock.b())
            .or(() -> one.heldText().map(text -> text + " held"))
            .orElse("nothing held");
    return one.drive() + " drives, " + held + ", " + one.take() + " out";
  }

  /**
   * How the ratio of a configuration is worked, in a line or two; empty where no way is at hand.
   */
  public static String working(Train train, Configuration asked) {
    Study study = Study.of(train.withShifts(ShiftPlan.NONE).withRoles(asked.in(Roles.NONE)));
    Optional<String> meshes =
        study.working().map(working -> "i = " + Figures.typeset(working.productForm()));
    return meshes.or(() -> study.epicyclicWorking().map(Slip::seenFromCarrier)).orElse("");
  }

  /** Relative motion in a sentence. */
  public static String seenFromCarrier(EpicyclicWorking working) {
    EpicyclicWorking.RelativeMotion relative = working.relative();
    String turns =
        relative.turns().entrySet().stream()
            .map(one -> one.getKey() + " " + Figures.exact(one.getValue()))
            .collect(Collectors.joining(", "));
    return "Seen from "
        + relative.carrier()
        + ", "
        + relative.last()
        + " turns "
        + Figures.exact(relative.basic())
        + " for one turn of "
        + relative.first()
        + "; with the turns of "
        + relative.carrier()
        + " added, for one turn in: "
        + turns
        + ".";
  }

  private static String text(BigFraction ratio) {
    return Figures.typeset(Figures.significant(ratio.doubleValue(), 6));
  }
}
