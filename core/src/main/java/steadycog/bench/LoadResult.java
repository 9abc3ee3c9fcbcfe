package steadycog.bench;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.motion.Motion;
import steadycog.number.Exact;
import steadycog.number.Figures;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.sizing.Band;
import steadycog.sizing.LostMotion;
import steadycog.sizing.Screening;
import steadycog.sizing.ToothLoad;
import steadycog.study.Study;
import steadycog.torque.Loading;
import steadycog.train.Train;

/**
 * What a load test says against what was worked out.
 *
 * @param rows one a step
 * @param predicted efficiency from drive to take-off by the losses of the card; empty where it does
 *     not follow
 * @param play lost motion at the output by the clearances and tolerances of the card, arc minutes;
 *     empty where none is worked out
 * @param doubts what cannot be so among the readings
 */
public record LoadResult(
    List<Row> rows, Optional<Double> predicted, Optional<Band> play, List<Doubt> doubts) {

  private static final double MINUTES = 60;

  /**
   * A step worked out.
   *
   * @param torque at the output, N m
   * @param torqueIn at the input, N m: read, or that of the motor at its current
   * @param efficiency of the train: (torque out / torque in) / i
   * @param whole power out over electrical power in: the train with its motor
   * @param factor stress allowed over stress of the tooth that gives way first, as screened
   */
  public record Row(
      LoadStep step,
      double torque,
      Optional<Double> torqueIn,
      Optional<Double> efficiency,
      Optional<Double> whole,
      Optional<ToothLoad.Weakest> factor) {}

  public LoadResult {
    rows = List.copyOf(rows);
    doubts = List.copyOf(doubts);
  }

  /** Works out {@code test} of a train in its roles. */
  public static LoadResult of(Train train, LoadTest test) {
    Study study = Studies.of(train);
    List<Row> rows = new ArrayList<>();
    for (LoadStep step : test.steps()) {
      rows.add(row(study, test.rigging(), step));
    }
    return new LoadResult(
        rows,
        study.efficiency(),
        study.cutSheet().lostMotion().map(LostMotion::band),
        Doubt.of(rows, test.rigging(), study.efficiency()));
  }

  /** The least play at the output that was read, arc minutes; wear and load only add to it. */
  public Optional<Double> measuredPlay() {
    return rows.stream()
        .flatMap(row -> row.step.of(Measure.BACKLASH).stream())
        .map(play -> play.inBase() * MINUTES)
        .min(Comparator.naturalOrder());
  }

  /** What was read of the play against what was worked out, in words; empty without either. */
  public Optional<String> playWords() {
    if (play.isEmpty() || measuredPlay().isEmpty()) {
      return Optional.empty();
    }
    Band band = play.get();
    double read = measuredPlay().get();
    String compared = "Play " + minutes(read) + ", worked out " + minutes(band.nominal());
    if (!band.isWide()) {
      return Optional.of(compared);
    }
    String verdict =
        read > band.most()
            ? "more than its tolerances explain"
            : read < band.least() ? "less than its tolerances explain" : "within its tolerances";
    return Optional.of(
        compared
            + ", likely "
            + minutes(band.likelyLeast())
            + " to "
            + minutes(band.likelyMost())
            + ": "
            + verdict);
  }

  private static String minutes(double minutes) {
    return Figures.significant(Math.max(0, minutes), 3) + "\u2032";
  }

  private static Row row(Study study, Rigging rigging, LoadStep step) {
    double torque = rigging.torque(step.load());
    Optional<Double> in =
        step.of(Measure.TORQUE_IN)
            .map(Quantity::inBase)
            .or(() -> step.of(Measure.CURRENT).flatMap(i -> rigging.torqueAt(i.inBase())))
            .filter(given -> given > 0);
    Optional<Double> ratio = study.ratio().map(i -> Math.abs(i.reduction().doubleValue()));
    boolean ran = step.outcome() == Outcome.HELD;
    return new Row(
        step,
        torque,
        in,
        ran ? in.flatMap(given -> ratio.map(i -> torque / given / i)) : Optional.empty(),
        ran ? ratio.flatMap(i -> whole(step, torque, i)) : Optional.empty(),
        weakest(study, torque));
  }

  private static Optional<Double> whole(LoadStep step, double torque, double ratio) {
    Optional<Double> speed = step.of(Measure.SPEED).map(Quantity::inBase);
    Optional<Double> volts = step.of(Measure.VOLTAGE).map(Quantity::inBase);
    Optional<Double> amps = step.of(Measure.CURRENT).map(Quantity::inBase);
    if (speed.isEmpty() || volts.isEmpty() || amps.isEmpty() || volts.get() * amps.get() <= 0) {
      return Optional.empty();
    }
    double out = torque * Math.abs(speed.get()) * Math.PI / 30 / ratio;
    return Optional.of(out / (volts.get() * amps.get()));
  }

  /**
   * The tooth that gives way first under a torque at the output, N m; empty where the card says no
   * size of teeth or the torques do not follow.
   */
  public static Optional<ToothLoad.Weakest> weakest(Study study, double torque) {
    Train train = study.train();
    if (!(torque > 0) || train.rolesInForce().take().isEmpty() || !train.isSized()) {
      return Optional.empty();
    }
    BigFraction exact = Exact.parse(Figures.significant(torque, 9));
    Motion motion = study.motion().under(new Quantity(exact, Unit.NM));
    return Screening.of(train, motion, Loading.of(train, motion).flow().torques()).weakest();
  }

  /** The largest load that was held; empty where none was. */
  public Optional<Row> best() {
    return rows.stream()
        .filter(row -> row.step.outcome() == Outcome.HELD)
        .max(Comparator.comparingDouble(Row::torque));
  }

  /** The first step at which the build gave way. */
  public Optional<Row> firstFailure() {
    return rows.stream().filter(row -> row.step.outcome().failed()).findFirst();
  }

  /** The efficiency at the largest load that was held and has one. */
  public Optional<Double> efficiency() {
    return rows.stream()
        .filter(row -> row.efficiency.isPresent())
        .max(Comparator.comparingDouble(Row::torque))
        .flatMap(Row::efficiency);
  }

  /** Best step, first failure and how it failed, in words; torques in {@code unit}. */
  public String words(Unit unit) {
    String held = best().map(row -> "Held " + text(row.torque, unit)).orElse("Nothing held yet");
    String failed =
        firstFailure()
            .map(
                row ->
                    "; "
                        + row.step.outcome().word()
                        + " at "
                        + text(row.torque, unit)
                        + (row.step.where().isBlank() ? "" : " (" + row.step.where() + ")")
                        + row.factor
                            .map(
                                f ->
                                    ", where the screening has a factor of "
                                        + Figures.significant(f.factor(), 3))
                            .orElse(""))
            .orElse("");
    String model =
        efficiency()
            .map(
                measured ->
                    ". Efficiency "
                        + percent(measured)
                        + predicted.map(p -> ", predicted " + percent(p)).orElse(""))
            .orElse("");
    return held + failed + model + "." + playWords().map(words -> " " + words + ".").orElse("");
  }

  private static String text(double torque, Unit unit) {
    return Figures.significant(torque / unit.inBase(), 4) + " " + unit.symbol();
  }

  private static String percent(double share) {
    return Figures.percent(share, 1);
  }
}
