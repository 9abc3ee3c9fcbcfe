package steadycog.bench;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.bench.Tracks.Stretch;
import steadycog.motion.Mechanism;
import steadycog.motion.MotionSolver;
import steadycog.number.Exact;
import steadycog.number.Figures;
import steadycog.train.Train;

/**
 * What a recording says.
 *
 * @param ratio i = in/out as the slope of a straight line through both angles, stretch by stretch
 *     and without what does not follow; empty without both angles, where turns cannot be counted,
 *     or where the output stood still
 * @param scatter of the output about that line, degrees, one standard deviation
 * @param turns a turn count with one reading a stretch in which the output follows; empty as for
 *     the ratio
 * @param load a step for every torque that was kept for a while; empty without torque
 * @param remarks what was found and done, in words
 */
public record RecordingResult(
    Optional<Double> ratio,
    double scatter,
    Optional<TurnTest> turns,
    Optional<LoadTest> load,
    List<String> remarks) {
  private static final int MOST_READINGS = 20;

  /** Stretches in which the output turns less than this are too short, turns. */
  private static final double LEAST_OUTPUT = 0.02;

  /** Of a stretch, at either end. */
  private static final double ENDS = 0.15;

  private static final double FINEST = 0.5;
  private static final long SCALE = 1_000_000;

  public RecordingResult {
    remarks = List.copyOf(remarks);
  }

  /**
   * Works a recording out. Cost: linear in its rows.
   *
   * @param train that was tested, whose ratio tells whether an angle that starts again may have
   *     gone round unseen
   */
  public static RecordingResult of(
      Recording recording, Rigging rigging, LocalDate date, String state, Optional<Train> train) {
    List<String> remarks = new ArrayList<>(recording.said());
    Optional<Tracks> tracks = Tracks.of(recording);
    tracks.ifPresent(both -> remarks.addAll(both.remarks()));
    Optional<Line> read = tracks.filter(Tracks::countable).flatMap(Line::through);
    Optional<Double> expected =
        train
            .flatMap(t -> MotionSolver.solve(Mechanism.of(t)).ratio())
            .map(i -> i.reduction().doubleValue());
    Optional<String> slow =
        read.flatMap(l -> expected.flatMap(i -> tracks.orElseThrow().tooSlow(l.ratio(), i)));
    slow.ifPresent(remarks::add);
    Optional<Line> line = read.filter(l -> slow.isEmpty());
    Optional<TurnTest> turns =
        line.map(
            l ->
                new TurnTest(
                    new TestHead("Turns of " + recording.name(), date, recording.name(), state, ""),
                    Math.max(FINEST, Math.min(90, 4 * l.scatter)),
                    readings(tracks.orElseThrow(), l.kept())));
    line.ifPresent(l -> l.leftOut(tracks.orElseThrow()).ifPresent(remarks::add));
    if (recording.skipped() > 0) {
      remarks.add(recording.skipped() + (recording.skipped() == 1 ? " row" : " rows") + " skipped");
    }
    List<LoadStep> steps = Plateaus.of(recording, tracks.filter(Tracks::countable), remarks);
    Optional<LoadTest> load =
        steps.isEmpty()
            ? Optional.empty()
            : Optional.of(
                new LoadTest(
                    new TestHead("Load of " + recording.name(), date, recording.name(), state, ""),
                    new Rigging(
                        Rigging.Way.METER,
                        Optional.empty(),
                        rigging.torqueConstant(),
                        rigging.idle()),
                    steps));
    return new RecordingResult(
        line.map(Line::ratio),
        line.map(Line::scatter).orElse(0.0),
        turns.filter(test -> !test.readings().isEmpty()),
        load,
        remarks);
  }

  private static List<TurnTest.Reading> readings(Tracks tracks, List<Stretch> kept) {
    return kept.stream()
        .sorted(Comparator.comparingInt(Stretch::length).reversed())
        .limit(MOST_READINGS)
        .sorted(Comparator.comparingInt(Stretch::from))
        .map(RecordingResult::inner)
        .map(
            s ->
                new TurnTest.Reading(
                    exact(tracks.input()[s.to() - 1] - tracks.input()[s.from()]),
                    exact(tracks.output()[s.to() - 1] - tracks.output()[s.from()])))
        .filter(reading -> Math.abs(reading.output().doubleValue()) >= LEAST_OUTPUT)
        .toList();
  }

  /** Without its ends, where play is taken up. */
  private static Stretch inner(Stretch s) {
    int end = (int) (ENDS * s.length());
    return new Stretch(s.from() + end, s.to() - end);
  }

  /** To a millionth of a turn. */
  private static BigFraction exact(double turns) {
    return Exact.parse(Figures.significant((double) Math.round(turns * SCALE) / SCALE, 12));
  }

  /** The straight line through both angles, each stretch with a start of its own. */
  private record Line(double ratio, double scatter, List<Stretch> kept) {
    /** Stretches are looked at in so many pieces. */
    private static final int PIECES = 200;

    private static final int SHORTEST_PIECE = 40;

    /** A piece in which the output goes otherwise by more than this has something else going on. */
    private static final double OTHERWISE = 0.03;

    /** The same in median deviations from the median. */
    private static final double FAR = 7;

    private record Piece(Stretch stretch, double slope) {}

    static Optional<Line> through(Tracks tracks) {
      return line(tracks, following(tracks));
    }

    /**
     * The stretches without pieces in which the output does not follow: stalled, broken, rocked.
     */
    private static List<Stretch> following(Tracks tracks) {
      int rows = tracks.input().length;
      int length = Math.max(SHORTEST_PIECE, rows / PIECES);
      List<Piece> pieces = new ArrayList<>();
      for (Stretch s : tracks.stretches()) {
        for (int from = s.from(); from < s.to(); from += length) {
          int to = s.to() - from < 2 * length ? s.to() : from + length;
          double in = tracks.input()[to - 1] - tracks.input()[from];
          double out = tracks.output()[to - 1] - tracks.output()[from];
          pieces.add(new Piece(new Stretch(from, to), in == 0 ? Double.NaN : out / in));
          from = to - length;
        }
      }
      double[] slopes =
          pieces.stream().mapToDouble(Piece::slope).filter(Double::isFinite).sorted().toArray();
      if (slopes.length == 0) {
        return tracks.stretches();
      }
      double middle = slopes[slopes.length / 2];
      double[] apart = Arrays.stream(slopes).map(s -> Math.abs(s - middle)).sorted().toArray();
      double most = Math.max(OTHERWISE * Math.abs(middle), FAR * apart[apart.length / 2]);
      List<Stretch> kept = new ArrayList<>();
      for (Piece piece : pieces) {
        Stretch s = piece.stretch;
        if (!(Math.abs(piece.slope - middle) <= most)) {
          continue;
        }
        boolean goesOn = !kept.isEmpty() && kept.getLast().to() == s.from();
        boolean cut = tracks.stretches().stream().anyMatch(whole -> whole.from() == s.from());
        kept.add(goesOn && !cut ? new Stretch(kept.removeLast().from(), s.to()) : s);
      }
      return kept;
    }

    private static Optional<Line> line(Tracks tracks, List<Stretch> stretches) {
      double sxx = 0;
      double sxy = 0;
      double syy = 0;
      long n = 0;
      for (Stretch s : stretches) {
        double meanX = mean(tracks.input(), s);
        double meanY = mean(tracks.output(), s);
        for (int k = s.from(); k < s.to(); k++) {
          double x = tracks.input()[k] - meanX;
          double y = tracks.output()[k] - meanY;
          sxx += x * x;
          sxy += x * y;
          syy += y * y;
        }
        n += s.length();
      }
      if (sxy == 0 || sxx == 0 || n < 3) {
        return Optional.empty();
      }
      double slope = sxy / sxx;
      double rest = Math.max(0, syy - slope * sxy);
      return Optional.of(new Line(1 / slope, 360 * Math.sqrt(rest / n), stretches));
    }

    /** What was left out because the output did not follow, in words. */
    Optional<String> leftOut(Tracks tracks) {
      int all = tracks.stretches().stream().mapToInt(Stretch::length).sum();
      int used = kept.stream().mapToInt(Stretch::length).sum();
      return used < all
          ? Optional.of(
              "the turns leave out "
                  + (all - used)
                  + " rows in which the output does not follow the input as elsewhere")
          : Optional.empty();
    }

    private static double mean(double[] values, Stretch s) {
      double sum = 0;
      for (int k = s.from(); k < s.to(); k++) {
        sum += values[k];
      }
      return sum / s.length();
    }
  }
}
