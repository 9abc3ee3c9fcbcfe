package steadycog.bench;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.NavigableSet;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.Collectors;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.bench.Miscounts.Miscount;
import steadycog.bench.TurnVerdict.Kind;
import steadycog.check.Finding;
import steadycog.check.Inspection;
import steadycog.check.Severity;
import steadycog.motion.RatioBoard;
import steadycog.motion.RatioBoard.Configuration;
import steadycog.number.Figures;
import steadycog.number.Ratio;
import steadycog.study.Study;
import steadycog.torque.Torques;
import steadycog.train.MemberId;
import steadycog.train.Mesh;

/**
 * Everything that may lie behind readings, each with how likely it makes them. A reading is off by
 * half its tolerance as a rule (one standard deviation); what has a size of its own, as a slip,
 * pays for it by how exactly the readings fix that size (Bayes: MacKay, <i>Information Theory,
 * Inference, and Learning Algorithms</i>, ch. 28).
 */
final class Suspects {
  // How rare things are before anything is read, as minus logarithms of shares.
  private static final double MISCOUNTED = -Math.log(0.2);
  private static final double ANOTHER_TOOTH = 2;
  private static final double TWO_WHEELS = 4;

  /** People build what goes together. */
  private static final double UNSOUND = 5;

  private static final double MISTAKEN = -Math.log(0.1);
  private static final double OTHER_DRIVE = 2;
  private static final double OTHER_TAKE = 1;
  private static final double OTHER_WAY = 4.5;
  private static final double STANDING = 5;
  private static final double JUMPED = 4;
  private static final double MISREAD = 5;
  private static final double SLIPS = 1;
  private static final double SLIPS_UNEVENLY = 2.5;
  private static final double ERRATIC = 9;
  private static final double ANY_RATIO = 9;

  /** The most of its turns that an output loses by slip and still is thought to run. */
  private static final double MOST_SLIP = 0.3;

  /** By how much of itself slip differs from one reading to the next. */
  private static final double SLIP_VARIES = 0.15;

  private static final int MOST_JUMPED = 3;

  /** So many standard deviations are told from none. */
  private static final double SEEN = 4;

  private static final double TURN = 360;

  /** Two wheels at once are thought of where nothing simpler comes as near as this. */
  private static final double WANTING = 20;

  /** What is dearer than the best by more is not looked at closely. */
  private static final double OUT_OF_SIGHT = 16;

  /** So many counts are tried whether they go together. */
  private static final int MOST_TRIED = 12;

  private final Study study;
  private final TurnTest test;
  private final double sigma;
  private final double gear;
  private final List<Suspect> all = new ArrayList<>();

  private Suspects(Study study, TurnTest test) {
    this.study = study;
    this.test = test;
    this.sigma = test.tolerance() / 2;
    this.gear = study.ratio().orElseThrow().trainValue().doubleValue();
  }

  /** The likeliest first. Cost: the motion of some hundred trains, the rules of a few. */
  static List<Suspect> of(Study study, TurnTest test) {
    Suspects made = new Suspects(study, test);
    made.right();
    made.members();
    made.counts(Miscounts.single(study.train(), 2), MISCOUNTED);
    made.jumps();
    made.slips();
    if (made.least() > WANTING) {
      made.counts(Miscounts.pairs(study.train()), MISCOUNTED + TWO_WHEELS);
    }
    return made.sorted();
  }

  private double least() {
    return all.stream().mapToDouble(Suspect::cost).min().orElseThrow();
  }

  /** Degrees that a reading is ahead of what {@code output} gives. */
  private static double off(TurnTest.Reading reading, DoubleUnaryOperator output) {
    return TURN
        * (reading.output().doubleValue() - output.applyAsDouble(reading.input().doubleValue()));
  }

  /** How unlikely the readings are where they should be what {@code output} gives. */
  private double misfit(DoubleUnaryOperator output) {
    double sum = 0;
    for (TurnTest.Reading reading : test.readings()) {
      sum += misfit(off(reading, output));
    }
    return sum;
  }

  private double misfit(double degrees) {
    return degrees * degrees / (2 * sigma * sigma);
  }

  /** What a size costs that could be anything within {@code range}, known to {@code exactly}. */
  private static double size(double range, double exactly) {
    return Math.max(0, Math.log(range / (exactly * Math.sqrt(2 * Math.PI))));
  }

  private void add(Kind kind, String words, double prior, DoubleUnaryOperator output) {
    all.add(new Suspect(kind, words, prior + misfit(output), output));
  }

  private void right() {
    add(Kind.RIGHT, "all is as on the card", 0, in -> gear * in);
    add(Kind.OTHER_WAY, "it turns the other way", OTHER_WAY, in -> -gear * in);
    add(Kind.STANDING, "the output stands still", STANDING, in -> 0);
  }

  private void members() {
    MemberId drive = study.motion().mechanism().roles().drives().getFirst().member();
    MemberId take = study.motion().mechanism().roles().take().orElseThrow().member();
    Ratio own = study.ratio().orElseThrow();
    List<Configuration> others =
        RatioBoard.of(study.train()).configurations().stream()
            .filter(one -> !one.ratio().equals(own))
            .toList();
    for (Configuration one : others) {
      double value = one.ratio().trainValue().doubleValue();
      double prior =
          MISTAKEN
              + Math.log(others.size())
              + (one.drive().equals(drive) ? 0 : OTHER_DRIVE)
              + (one.take().equals(take) ? 0 : OTHER_TAKE);
      DoubleUnaryOperator output = in -> value * in;
      all.add(
          new Suspect(
              Kind.OTHER_MEMBER,
              Slip.words(one),
              prior + misfit(output),
              output,
              Optional.empty(),
              Optional.of(one),
              true));
    }
  }

  private void counts(List<Miscount> miscounts, double prior) {
    for (Miscount one : miscounts) {
      double value = one.ratio().trainValue().doubleValue();
      DoubleUnaryOperator output = in -> value * in;
      double cost =
          prior
              + Math.log(Math.max(1, miscounts.size() / 2.0))
              + (one.teeth() > one.counts().size() ? ANOTHER_TOOTH : 0)
              + misfit(output);
      all.add(
          new Suspect(
              Kind.MISCOUNT, one.text(), cost, output, Optional.of(one), Optional.empty(), true));
    }
  }

  /**
   * The same distance off however far it turned: whole teeth of a mesh, or any if a mark was
   * misread; from the first turn on, or from one reading to the next; or one reading alone.
   */
  private void jumps() {
    List<TurnTest.Reading> readings =
        test.readings().stream()
            .sorted(Comparator.comparing((TurnTest.Reading r) -> r.input().abs().doubleValue()))
            .toList();
    for (double tooth : teeth()) {
      for (int many = -MOST_JUMPED; many <= MOST_JUMPED; many++) {
        if (many == 0) {
          continue;
        }
        double turns = many * tooth;
        if (TURN * Math.abs(turns) < SEEN * sigma) {
          continue; // Nobody could read it.
        }
        String words = Math.abs(many) + (Math.abs(many) == 1 ? " tooth" : " teeth") + " jumped";
        add(Kind.JUMPED, words, JUMPED + Math.abs(many) - 1, in -> gear * in + turns);
        for (int from = 1; from < readings.size(); from++) {
          double before = readings.get(from).input().abs().doubleValue();
          DoubleUnaryOperator later = in -> gear * in + (Math.abs(in) >= before - 1e-9 ? turns : 0);
          add(Kind.JUMPED, words + " on the way", JUMPED + 2 + Math.abs(many), later);
        }
      }
    }
    double mean = readings.stream().mapToDouble(r -> off(r, in -> gear * in)).average().orElse(0);
    double exactly = sigma / Math.sqrt(readings.size());
    if (readings.size() > 1) {
      add(
          Kind.JUMPED,
          "a mark was misread by " + Figures.significant(Math.abs(mean), 3) + "\u00b0",
          JUMPED + 2 + size(TURN, exactly),
          in -> gear * in + mean / TURN);
    }
    for (TurnTest.Reading odd : readings.size() > 2 ? readings : List.<TurnTest.Reading>of()) {
      double others = misfit(in -> gear * in) - misfit(off(odd, in -> gear * in));
      all.add(
          new Suspect(
              Kind.MISREAD,
              "the reading after " + Figures.significant(odd.input().doubleValue(), 4) + " turns",
              MISREAD + others + size(TURN, sigma),
              in -> gear * in));
    }
  }

  /** Turns of the output for one tooth in each mesh: what that carries for one at the output. */
  private NavigableSet<Double> teeth() {
    TreeSet<Double> sizes = new TreeSet<>();
    Torques ideal = study.loading().ideal();
    List<Mesh> meshes = study.train().meshes();
    MemberId take = study.motion().mechanism().roles().take().orElseThrow().member();
    Optional<BigFraction> torque = ideal.external(take).filter(given -> given.signum() != 0);
    for (int k = 0; torque.isPresent() && k < meshes.size(); k++) {
      double out = torque.get().doubleValue();
      ideal
          .multipliers()
          .get(k)
          .map(multiplier -> Math.abs(multiplier.doubleValue() / out))
          .filter(turns -> turns > 0)
          .map(turns -> Double.valueOf(Figures.significant(turns, 9)))
          .ifPresent(sizes::add);
    }
    return sizes;
  }

  /** A share of all turns that is lost, alike or unlike from one reading to the next. */
  private void slips() {
    double squares = 0;
    double lost = 0;
    double uneven = 0;
    double wild = 0;
    boolean behind = true;
    for (TurnTest.Reading reading : test.readings()) {
      double way = Math.signum(gear * reading.input().doubleValue());
      double turned = TURN * Math.abs(gear * reading.input().doubleValue());
      double missing = -way * off(reading, in -> gear * in);
      squares += turned * turned;
      lost += turned * missing;
      behind &= missing > -2 * sigma && missing < MOST_SLIP * turned + 2 * sigma;
      uneven += size(MOST_SLIP * turned, sigma);
      wild += size(2 * MOST_SLIP * turned, sigma) + (Math.abs(missing) > turned ? 2 : 0);
    }
    double share = squares == 0 ? 0 : lost / squares;
    double exactly = sigma / Math.sqrt(Math.max(squares, 1e-9));
    double kept = gear * (1 - share);
    if (share > 0 && share < MOST_SLIP) {
      String words = "it slips by " + Figures.significant(100 * share, 2) + " %";
      double cost = SLIPS + size(MOST_SLIP, exactly) + unlike(share);
      all.add(new Suspect(Kind.SLIPPING, words, cost, in -> kept * in));
    }
    if (kept != 0) {
      String any = "another ratio, i = " + Figures.significant(1 / kept, 6);
      add(Kind.UNEXPLAINED, any, ANY_RATIO + size(2, exactly), in -> kept * in);
    }
    if (test.readings().size() > 1) {
      DoubleUnaryOperator fitted = in -> kept * in;
      if (behind) {
        all.add(
            new Suspect(
                Kind.SLIPPING, "it slips, now more, now less", SLIPS_UNEVENLY + uneven, fitted));
      }
      all.add(new Suspect(Kind.SLIPPING, "readings unlike each other", ERRATIC + wild, fitted));
    }
  }

  /**
   * How unlikely readings are where a share of the turns slips that is never twice quite the same:
   * what repeats to a hair is no slip.
   */
  private double unlike(double share) {
    double sum = 0;
    for (TurnTest.Reading reading : test.readings()) {
      double turned = TURN * gear * reading.input().doubleValue();
      double wide = Math.hypot(sigma, SLIP_VARIES * share * turned);
      double off = off(reading, in -> gear * (1 - share) * in);
      sum += off * off / (2 * wide * wide) + Math.log(wide / sigma);
    }
    return sum;
  }

  /** By cost, those that could not be built dearer; of many only the likeliest are tried. */
  private List<Suspect> sorted() {
    double best = least();
    List<Suspect> near =
        all.stream()
            .filter(one -> one.cost() < best + OUT_OF_SIGHT)
            .sorted(Comparator.comparingDouble(Suspect::cost))
            .toList();
    Set<String> own = errors(study.findings());
    List<Suspect> judged = new ArrayList<>();
    int tried = 0;
    for (Suspect one : near) {
      boolean known = one.miscount().isPresent() && tried++ < MOST_TRIED;
      Set<String> errors =
          known ? errors(Inspection.of(one.miscount().get().train()).findings()) : Set.of();
      Suspect told = one.told(errors.isEmpty());
      judged.add(own.containsAll(errors) ? told : told.dearer(UNSOUND));
    }
    judged.sort(Comparator.comparingDouble(Suspect::cost));
    return judged;
  }

  private static Set<String> errors(List<Finding> findings) {
    return findings.stream()
        .filter(finding -> finding.severity() == Severity.ERROR)
        .map(Finding::code)
        .collect(Collectors.toSet());
  }
}
