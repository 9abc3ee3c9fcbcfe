package steadycog.bench;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import steadycog.bench.Miscounts.Miscount;
import steadycog.motion.Mechanism;
import steadycog.motion.Motion;
import steadycog.motion.MotionSolver;
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
 * @param likely what may lie behind it, the likeliest first, one a kind
 * @param next turns of the input after which a reading decides between the first two of them; empty
 *     where nothing is open
 */
public record TurnVerdict(
    Kind kind,
    Optional<Ratio> theory,
    Optional<Double> measured,
    List<Row> rows,
    Optional<Teeth> last,
    List<Count> counts,
    List<Configuration> configurations,
    Optional<Double> slip,
    List<Likely> likely,
    Optional<Integer> next) {

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
    /** One reading alone does not fit the others. */
    MISREAD,
    /** Several explanations are as likely: more must be read. */
    UNSURE,
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
   * What may lie behind readings.
   *
   * @param words what would be so
   * @param share how likely all of its kind are together, 0 to 1
   */
  public record Likely(Kind kind, String words, double share) {
    private String said() {
      return switch (kind) {
        case MISCOUNT -> "a miscount such as " + words;
        case MISREAD -> words + " was misread";
        default -> words;
      };
    }
  }

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
    likely = List.copyOf(likely);
  }

  /**
   * Judges the readings of {@code test} on a train in its roles. Cost: the motion of some hundred
   * trains and of every configuration.
   */
  public static TurnVerdict of(Train train, TurnTest test) {
    Study study = Studies.of(train);
    if (study.ratio().isEmpty()) {
      return bare(Kind.NO_RATIO, test, Optional.empty());
    }
    if (test.readings().isEmpty()) {
      return bare(Kind.NOTHING_READ, test, study.ratio());
    }
    return new TurnJudge(study, test).judge();
  }

  private static TurnVerdict bare(Kind kind, TurnTest test, Optional<Ratio> theory) {
    List<Row> rows =
        test.readings().stream()
            .map(
                reading ->
                    new Row(
                        reading,
                        ratioOf(reading),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty()))
            .toList();
    return new TurnVerdict(
        kind,
        theory,
        measuredOf(test),
        rows,
        Optional.empty(),
        List.of(),
        List.of(),
        Optional.empty(),
        List.of(),
        Optional.empty());
  }

  static Optional<Double> ratioOf(TurnTest.Reading reading) {
    return Exact.isZero(reading.output()) || Exact.isZero(reading.input())
        ? Optional.empty()
        : Optional.of(reading.input().divide(reading.output()).doubleValue());
  }

  static Optional<Double> measuredOf(TurnTest test) {
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
          "Off by the same however far it turned, "
              + teethText()
              + ": a tooth jumped, or a mark was misread. The counts are right.";
      case SLIPPING ->
          slip.orElse(0.0) <= 0
              ? "Not twice alike: the readings disagree with each other, so something slips or was"
                  + " misread."
              : "Slipping: the output falls "
                  + Figures.significant(100 * slip.orElse(0.0), 3)
                  + " % behind, and no count within two teeth and no other member accounts for it."
                  + (rows.size() == 1 ? " Turn again: slip changes, a count does not." : "");
      case MISREAD ->
          "All readings but one agree with i = "
              + theoryText()
              + ": "
              + likely.getFirst().words()
              + " is off by "
              + teethText()
              + ". Read it again; if it stays so, a tooth jumped.";
      case UNSURE -> unsure();
      case STANDING ->
          "The output stood still: nothing reacts, a key is missing, or it slips altogether.";
      case UNEXPLAINED ->
          "The readings agree with each other at "
              + measuredText()
              + ", but no count within two teeth and no other member gives that"
              + (slip.orElse(0.0) < 0 ? ", and nothing that slips runs ahead" : "")
              + ". Count all wheels again.";
      case NO_RATIO -> "The card has no ratio to compare with: drive one member and take off one.";
      case NOTHING_READ -> "Nothing counted yet.";
    };
  }

  private String theoryText() {
    return text(theory.orElseThrow().reduction().doubleValue());
  }

  private String measuredText() {
    return "i = " + text(measured.orElseThrow());
  }

  /** {@code Cannot tell yet: all is as on the card (67 %), or ring 55 instead of 54 (33 %)}. */
  private String unsure() {
    String said =
        likely.stream()
            .map(one -> one.said() + " (" + Math.round(100 * one.share()) + " %)")
            .collect(Collectors.joining(", or "));
    return "Cannot tell yet: "
        + said
        + "."
        + next.map(
                turns ->
                    " Turn the input "
                        + (turns == 1 ? "once" : turns + " times")
                        + " and read again: that decides.")
            .orElse("");
  }

  /** How far the reading that is furthest off is off, in teeth of the last mesh. */
  private String teethText() {
    double most =
        rows.stream()
            .flatMap(row -> row.teeth().stream())
            .reduce(0.0, (a, b) -> Math.abs(b) > Math.abs(a) ? b : a);
    boolean one = Math.abs(Math.abs(most) - 1) < 0.005;
    return Figures.typeset(Figures.significant(most, 3))
        + (one ? " tooth" : " teeth")
        + " of the last mesh";
  }

  private static String text(double ratio) {
    return Figures.typeset(Figures.significant(ratio, 6));
  }

  /** The word in machine output: {@code other-member}. */
  public String word() {
    return word(kind);
  }

  /** The word for a kind in machine output. */
  public static String word(Kind kind) {
    return kind.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }
}
