package steadycog.bench;

import java.util.Comparator;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.bench.Miscounts.Miscount;
import steadycog.check.Finding;
import steadycog.check.Severity;
import steadycog.motion.Mechanism;
import steadycog.motion.Motion;
import steadycog.motion.MotionSolver;
import steadycog.motion.RatioBoard;
import steadycog.motion.RatioBoard.Configuration;
import steadycog.number.Exact;
import steadycog.number.Figures;
import steadycog.number.Ratio;
import steadycog.study.Study;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Role;
import steadycog.train.Teeth;
import steadycog.train.Train;

/**
 * What counted turns say of a train.
 *
 * @param kind the verdict
 * @param theory what the card says; empty where it has no ratio
 * @param measured turns in over turns out of all readings; empty where the output stood still
 * @param rows one a reading
 * @param last teeth of the wheel of the last mesh
 * @param counts tooth counts that would explain it, the likeliest first
 * @param configurations other ways to hold and take off that would explain it
 * @param slip part of the output's turns that is missing on the whole, negative where there are too
 *     many; empty where that has no sense
 */
public record TurnVerdict(
    Kind kind,
    Optional<Ratio> theory,
    Optional<Double> measured,
    List<Row> rows,
    Optional<Teeth> last,
    List<Count> counts,
    List<Configuration> configurations,
    Optional<Double> slip) {
  /** Beyond this part of the ratio a wrong member comes to mind before a wrong count. */
  private static final double FAR = 0.05;

  /** How far a number of teeth may be from a whole one. */
  private static final double WHOLE = 0.3;

  /** Readings must differ by so much to tell a jump from a slip. */
  private static final double UNLIKE = 1.5;

  private static final int MOST_LISTED = 8;
  private static final int REACH = 2;

  /** What it comes to. */
  public enum Kind {
    RIGHT,
    /** A tooth count is wrong. */
    MISCOUNT,
    /** Another member is held, driven or taken off than the card says. */
    OTHER_MEMBER,
    /** The right size the other way round. */
    OTHER_WAY,
    /** The same whole number of teeth is missing however far it turned. */
    JUMPED,
    /** The output falls behind, or not twice alike. */
    SLIPPING,
    /** The output stood still. */
    STANDING,
    /** Readings agree with each other, run ahead, and agree with nothing else. */
    UNEXPLAINED,
    /** The card has no ratio. */
    NO_RATIO,
    NOTHING_READ
  }

  /**
   * A reading against theory.
   *
   * @param ratio measured
   * @param percent measured over theory less 1, in %
   * @param degrees how far the output is ahead of theory in the sense in which it should turn,
   *     degrees
   * @param teeth the same in teeth of the last mesh
   */
  public record Row(
      TurnTest.Reading reading,
      Optional<Double> ratio,
      Optional<Double> percent,
      Optional<Double> degrees,
      Optional<Double> teeth) {}

  /**
   * Counts that would give what was measured.
   *
   * @param text {@code ring 53 instead of 54}
   * @param sound whether such a train has no error
   */
  public record Count(String text, Ratio ratio, boolean sound) {}

  public TurnVerdict {
    rows = List.copyOf(rows);
    counts = List.copyOf(counts);
    configurations = List.copyOf(configurations);
  }

  /**
   * Judges the readings of {@code test} on a train in its roles. Cost: the motion of some hundred
   * trains and of every configuration.
   */
  public static TurnVerdict of(Train train, TurnTest test) {
    Study study = Study.of(train);
    if (study.ratio().isEmpty()) {
      return bare(Kind.NO_RATIO, test, Optional.empty());
    }
    if (test.readings().isEmpty()) {
      return bare(Kind.NOTHING_READ, test, study.ratio());
    }
    return new Judge(study, test).judge();
  }

  private static TurnVerdict bare(Kind kind, TurnTest test, Optional<Ratio> theory) {
    List<Row> rows =
        test.readings().stream()
            .map(
                reading ->
                    new Row(
                        reading,
                        ratio(reading),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty()))
            .toList();
    return new TurnVerdict(
        kind,
        theory,
        measured(test),
        rows,
        Optional.empty(),
        List.of(),
        List.of(),
        Optional.empty());
  }

  private static Optional<Double> ratio(TurnTest.Reading reading) {
    return Exact.isZero(reading.output()) || Exact.isZero(reading.input())
        ? Optional.empty()
        : Optional.of(reading.input().divide(reading.output()).doubleValue());
  }

  private static Optional<Double> measured(TurnTest test) {
    double in = 0;
    double out = 0;
    for (TurnTest.Reading reading : test.readings()) {
      int way = reading.input().signum() < 0 ? -1 : 1;
      in += way * reading.input().doubleValue();
      out += way * reading.output().doubleValue();
    }
    return in == 0 || out == 0 ? Optional.empty() : Optional.of(in / out);
  }

  /**
   * Teeth of the wheel that the output turns with in its last mesh; for a carrier those of the
   * wheel at rest that its planets roll on, else of the largest they do.
   */
  public static Optional<Teeth> lastMesh(Study study) {
    Mechanism mechanism = study.motion().mechanism();
    Optional<MemberId> take = mechanism.roles().take().map(one -> one.member());
    if (take.isEmpty()) {
      return Optional.empty();
    }
    int body = mechanism.indexOf(take.get());
    Comparator<Teeth> size = Comparator.comparingInt(Teeth::count);
    Optional<Teeth> own =
        study.train().meshes().stream()
            .flatMap(mesh -> Stream.of(mesh.a(), mesh.b()).map(w -> new Side(mesh, w)))
            .filter(side -> mechanism.indexOf(side.wheel) == body)
            .map(Side::teeth)
            .max(size);
    if (own.isPresent()) {
      return own;
    }
    List<Side> carried =
        study.train().meshes().stream()
            .filter(m -> m.carrier().filter(c -> mechanism.indexOf(c) == body).isPresent())
            .flatMap(mesh -> Stream.of(mesh.a(), mesh.b()).map(w -> new Side(mesh, w)))
            .toList();
    return carried.stream()
        .filter(side -> study.role(side.wheel) == Role.HOLD)
        .map(Side::teeth)
        .max(size)
        .or(() -> carried.stream().map(Side::teeth).max(size));
  }

  private record Side(Mesh mesh, MemberId wheel) {
    Teeth teeth() {
      return mesh.teeth(wheel);
    }
  }

  /**
   * The fewest whole turns of the input, at most a million, after which one tooth more or fewer on
   * any wheel shows at the output as at least twice what can be read; empty where no count does.
   */
  public static Optional<Integer> turnsToTell(Train train, double tolerance) {
    Motion motion = MotionSolver.solve(Mechanism.of(train));
    if (motion.ratio().isEmpty()) {
      return Optional.empty();
    }
    double own = motion.ratio().get().trainValue().doubleValue();
    double least = Double.POSITIVE_INFINITY;
    for (Miscount one : Miscounts.single(train, 1)) {
      least = Math.min(least, Math.abs(one.ratio().trainValue().doubleValue() - own));
    }
    double turns = Math.ceil(2 * tolerance / (360 * least) - 1e-9);
    return turns <= 1e6 ? Optional.of((int) Math.max(1, turns)) : Optional.empty();
  }

  /** Works one test out. */
  private record Judge(Study study, TurnTest test) {

    TurnVerdict judge() {
      Ratio theory = study.ratio().orElseThrow();
      Optional<Teeth> last = lastMesh(study);
      List<Row> rows = test.readings().stream().map(r -> row(r, theory, last)).toList();
      List<Count> counts = List.of();
      List<Configuration> configurations = List.of();
      Optional<Double> measured = measured(test);
      Kind kind;
      if (fits(theory)) {
        kind = Kind.RIGHT;
      } else if (measured.isEmpty()) {
        kind = Kind.STANDING;
      } else {
        counts = counts();
        configurations = configurations();
        kind = kind(theory, rows, counts, configurations);
      }
      return new TurnVerdict(
          kind, study.ratio(), measured, rows, last, counts, configurations, slip(rows, theory));
    }

    private Row row(TurnTest.Reading reading, Ratio theory, Optional<Teeth> last) {
      BigFraction should = reading.input().multiply(theory.trainValue());
      BigFraction off = reading.output().subtract(should);
      double turns = (should.signum() < 0 ? -1 : 1) * off.doubleValue();
      Optional<Double> ratio = TurnVerdict.ratio(reading);
      return new Row(
          reading,
          ratio,
          ratio.map(i -> 100 * (i / theory.reduction().doubleValue() - 1)),
          Optional.of(360 * turns),
          last.map(teeth -> turns * teeth.count()));
    }

    /** Whether every reading is what {@code ratio} gives, as well as it can be read. */
    private boolean fits(Ratio ratio) {
      return test.readings().stream().allMatch(reading -> off(reading, ratio) <= test.tolerance());
    }

    private double off(TurnTest.Reading reading, Ratio ratio) {
      BigFraction should = reading.input().multiply(ratio.trainValue());
      return 360 * Math.abs(reading.output().subtract(should).doubleValue());
    }

    private double worst(Ratio ratio) {
      return test.readings().stream().mapToDouble(r -> off(r, ratio)).max().orElse(0);
    }

    private List<Count> counts() {
      List<Miscount> found = fitting(Miscounts.single(study.train(), 1));
      if (found.isEmpty()) {
        found = fitting(Miscounts.single(study.train(), REACH));
      }
      if (found.isEmpty()) {
        found = fitting(Miscounts.pairs(study.train()));
      }
      return found.stream()
          .limit(MOST_LISTED)
          .map(one -> new Count(one.text(), one.ratio(), isSound(one.train())))
          .sorted(Comparator.comparing((Count count) -> !count.sound()))
          .toList();
    }

    private List<Miscount> fitting(List<Miscount> all) {
      return all.stream()
          .filter(one -> fits(one.ratio()))
          .sorted(Comparator.comparingDouble(one -> worst(one.ratio())))
          .toList();
    }

    private static boolean isSound(Train train) {
      return Study.of(train).findings().stream()
          .map(Finding::severity)
          .noneMatch(Severity.ERROR::equals);
    }

    private List<Configuration> configurations() {
      MemberId drive = study.motion().mechanism().roles().drives().getFirst().member();
      MemberId take = study.motion().mechanism().roles().take().orElseThrow().member();
      return RatioBoard.of(study.train()).configurations().stream()
          .filter(one -> fits(one.ratio()))
          .sorted(
              Comparator.comparingInt(
                  (Configuration one) ->
                      (one.drive().equals(drive) ? 0 : 2) + (one.take().equals(take) ? 0 : 1)))
          .limit(MOST_LISTED)
          .toList();
    }

    private Kind kind(
        Ratio theory, List<Row> rows, List<Count> counts, List<Configuration> configurations) {
      double far =
          rows.stream()
              .flatMap(row -> row.percent().stream())
              .mapToDouble(percent -> Math.abs(percent) / 100)
              .max()
              .orElse(0);
      if (fits(new Ratio(theory.reduction().negate()))) {
        return Kind.OTHER_WAY;
      }
      if (!configurations.isEmpty() && (far > FAR || counts.isEmpty())) {
        return Kind.OTHER_MEMBER;
      }
      if (!counts.isEmpty()) {
        return Kind.MISCOUNT;
      }
      if (jumped(rows)) {
        return Kind.JUMPED;
      }
      boolean behind = rows.stream().allMatch(row -> row.degrees().orElse(0.0) < 0);
      return behind || !agree() ? Kind.SLIPPING : Kind.UNEXPLAINED;
    }

    /** Whether one ratio fits all readings. */
    private boolean agree() {
      return fits(new Ratio(BigFraction.from(measured(test).orElseThrow())));
    }

    /** The same whole number of teeth, not none, in every reading, though they turn unlike far. */
    private boolean jumped(List<Row> rows) {
      double read = test.tolerance() / 360;
      List<Double> teeth = rows.stream().flatMap(row -> row.teeth().stream()).toList();
      if (teeth.size() < rows.size() || read * lastMesh(study).orElseThrow().count() > WHOLE) {
        return false;
      }
      DoubleSummaryStatistics turns =
          test.readings().stream()
              .mapToDouble(reading -> Math.abs(reading.input().doubleValue()))
              .summaryStatistics();
      if (teeth.size() > 1 && turns.getMax() < UNLIKE * turns.getMin()) {
        return false;
      }
      long whole = Math.round(teeth.getFirst());
      return whole != 0 && teeth.stream().allMatch(count -> Math.abs(count - whole) <= WHOLE);
    }

    private static Optional<Double> slip(List<Row> rows, Ratio theory) {
      double should = 0;
      double off = 0;
      for (Row row : rows) {
        should += Math.abs(row.reading().input().multiply(theory.trainValue()).doubleValue());
        off += row.degrees().orElse(0.0) / 360;
      }
      return should == 0 ? Optional.empty() : Optional.of(0.0 - off / should);
    }
  }

  /** The verdict in a sentence or two, with its numbers. */
  public String words() {
    return switch (kind) {
      case RIGHT -> "Right: every reading agrees with i = " + theoryText() + ".";
      case MISCOUNT ->
          "Off by a whole tooth: "
              + measuredText()
              + " is what it would be with "
              + counts.getFirst().text()
              + (counts.size() > 1 ? ", or another count below" : "")
              + ". Count that wheel again.";
      case OTHER_MEMBER ->
          "Wrong member: "
              + measuredText()
              + " is what it gives with "
              + Slip.words(configurations.getFirst())
              + (configurations.size() > 1 ? ", or another way below" : "")
              + ".";
      case OTHER_WAY ->
          "The size is right, but it turns the other way: look at the signs of what was counted,"
              + " or for an idler too many or too few.";
      case JUMPED ->
          "Off by "
              + teethText(rows.getFirst().teeth().orElseThrow())
              + " of the last mesh, however far it turned: a tooth jumped, or a mark was misread."
              + " The counts are right.";
      case SLIPPING ->
          slip.orElse(0.0) <= 0
              ? "Not twice alike: the readings disagree with each other, so something slips or was"
                  + " misread."
              : "Slipping: the output falls "
                  + Figures.significant(100 * slip.orElse(0.0), 3)
                  + " % behind, and no count within two teeth and no other member accounts for it."
                  + (rows.size() == 1 ? " Turn again: slip changes, a count does not." : "");
      case STANDING ->
          "The output stood still: nothing reacts, a key is missing, or it slips altogether.";
      case UNEXPLAINED ->
          "The readings agree with each other at "
              + measuredText()
              + ", and the output runs ahead, so nothing slips; but no count within two teeth and"
              + " no other member gives that. Count all wheels again.";
      case NO_RATIO -> "The card has no ratio to compare with: drive one member and take off one.";
      case NOTHING_READ -> "Nothing counted yet.";
    };
  }

  private String theoryText() {
    return text(theory.orElseThrow().reduction().doubleValue());
  }

  private String measuredText() {
    return "i = " + text(Objects.requireNonNull(measured.orElseThrow()));
  }

  private static String teethText(double teeth) {
    long whole = Math.round(Math.abs(teeth));
    return whole + (whole == 1 ? " tooth" : " teeth");
  }

  private static String text(double ratio) {
    return Figures.typeset(Figures.significant(ratio, 6));
  }

  /** The word in machine output: {@code other-member}. */
  public String word() {
    return kind.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }
}
