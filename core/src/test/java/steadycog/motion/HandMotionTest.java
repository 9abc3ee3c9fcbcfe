package steadycog.motion;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import steadycog.RandomCards;
import steadycog.RandomTrains;
import steadycog.motion.Motion.Status;
import steadycog.train.Bevel;
import steadycog.train.Cycloidal;
import steadycog.train.Differential;
import steadycog.train.Join;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Parallel;
import steadycog.train.Part;
import steadycog.train.PlanetRow;
import steadycog.train.Planetary;
import steadycog.train.Shaft;
import steadycog.train.StrainWave;
import steadycog.train.Teeth;
import steadycog.train.Train;

/**
 * Speeds of random trains of all kinds against equations written down from the parts themselves by
 * the textbook, in doubles, and solved by plain elimination: another route than the program's
 * meshes, relations and fractions.
 */
class HandMotionTest {
  private static final double ZERO = 1e-9;

  private final Map<MemberId, Integer> columns = new LinkedHashMap<>();
  private final List<double[]> rows = new ArrayList<>();

  /** {@code Na (wa - wc) + s Nb (wb - wc) = 0}; without a carrier wc = 0. */
  private void rolls(double na, MemberId a, double nb, MemberId b, Optional<MemberId> carrier) {
    double[] row = new double[columns.size() + 1];
    row[columns.get(a)] += na;
    row[columns.get(b)] += nb;
    carrier.ifPresent(c -> row[columns.get(c)] -= na + nb);
    rows.add(row);
  }

  private void same(MemberId a, MemberId b) {
    double[] row = new double[columns.size() + 1];
    row[columns.get(a)] += 1;
    row[columns.get(b)] -= 1;
    rows.add(row);
  }

  private void turns(MemberId member, double speed) {
    double[] row = new double[columns.size() + 1];
    row[columns.get(member)] = 1;
    row[columns.size()] = speed;
    rows.add(row);
  }

  private void part(Part part) {
    switch (part) {
      case Parallel chain -> chain(chain);
      case Planetary set -> {
        for (int row = 0; row < set.rows().size(); row++) {
          row(set, set.rows().get(row), row);
        }
        set.keyed().forEach(join -> same(join.a(), join.b()));
      }
      case Cycloidal drive ->
          rolls(
              drive.lobes(),
              drive.discId(),
              -drive.pins(),
              drive.ringId(),
              Optional.of(drive.eccentricId()));
      case StrainWave drive ->
          rolls(
              drive.flex(),
              drive.flexId(),
              -drive.circular(),
              drive.circularId(),
              Optional.of(drive.waveId()));
      case Differential sides ->
          rolls(1, sides.leftId(), 1, sides.rightId(), Optional.of(sides.caseId()));
      case Bevel pair -> {
        // Seen from the left end of the cross shaft a crown on the right turns as the pinion does.
        int sign = pair.side() == Bevel.Side.RIGHT ? -1 : 1;
        rolls(
            pair.pinion(), pair.pinionId(), sign * pair.crown(), pair.crownId(), Optional.empty());
      }
      case Shaft shaft -> {
        // It turns as what it is joined to.
      }
    }
  }

  private void chain(Parallel chain) {
    List<MemberId> ids = chain.members().stream().map(Member::id).toList();
    for (int k = 0; k < chain.links().size(); k++) {
      Teeth a = chain.wheels().get(k);
      Teeth b = chain.wheels().get(k + 1);
      if (chain.links().get(k) == Parallel.Link.SHAFT) {
        same(ids.get(k), ids.get(k + 1));
      } else {
        int sign = a.internal() || b.internal() ? -1 : 1;
        rolls(a.count(), ids.get(k), sign * b.count(), ids.get(k + 1), Optional.empty());
      }
    }
  }

  private void row(Planetary set, PlanetRow row, int number) {
    Optional<MemberId> carrier = Optional.of(set.carrierId());
    MemberId inner = set.planetIds(number).getFirst();
    MemberId outer = set.planetIds(number).getLast();
    row.sun()
        .ifPresent(
            sun -> rolls(sun.count(), set.sunId(number), row.inner().count(), inner, carrier));
    if (row.paired()) {
      rolls(row.inner().count(), inner, row.outer().count(), outer, carrier);
    }
    row.ring()
        .ifPresent(
            ring -> rolls(row.outer().count(), outer, -ring.count(), set.ringId(number), carrier));
  }

  /** Reduced rows; empty where they contradict one another. */
  private Optional<double[][]> reduced() {
    double[][] matrix = rows.toArray(double[][]::new);
    int width = columns.size();
    int rank = 0;
    for (int column = 0; column < width; column++) {
      int best = rank;
      for (int r = rank; r < matrix.length; r++) {
        best = Math.abs(matrix[r][column]) > Math.abs(matrix[best][column]) ? r : best;
      }
      if (rank == matrix.length || Math.abs(matrix[best][column]) < ZERO) {
        continue;
      }
      double[] pivot = matrix[best];
      matrix[best] = matrix[rank];
      matrix[rank++] = pivot;
      double first = pivot[column];
      for (int c = 0; c <= width; c++) {
        pivot[c] /= first;
      }
      for (double[] row : matrix) {
        double factor = row[column];
        for (int c = 0; row != pivot && factor != 0 && c <= width; c++) {
          row[c] -= factor * pivot[c];
        }
      }
    }
    for (int r = rank; r < matrix.length; r++) {
      if (Math.abs(matrix[r][width]) > ZERO) {
        return Optional.empty();
      }
    }
    return Optional.of(matrix);
  }

  private void write(Train train) {
    columns.clear();
    rows.clear();
    train.members().forEach(member -> columns.put(member.id(), columns.size()));
    train.parts().forEach(this::part);
    for (Join tie : train.joins()) {
      same(tie.a(), tie.b());
    }
    for (Join lock : train.rolesInForce().locks()) {
      same(lock.a(), lock.b());
    }
    train.rolesInForce().holds().forEach(held -> turns(held, 0));
    train
        .rolesInForce()
        .drives()
        .forEach(drive -> turns(drive.member(), drive.angularSpeed().inRpm()));
    // Whole rows of one size, so that one zero serves for all.
    for (double[] row : rows) {
      double most = 0;
      for (int c = 0; c < columns.size(); c++) {
        most = Math.max(most, Math.abs(row[c]));
      }
      for (int c = 0; c < row.length && most > 0; c++) {
        row[c] /= most;
      }
    }
  }

  /** The member's speed where one row names it alone. */
  private Optional<Double> speed(double[][] reduced, MemberId member) {
    for (double[] row : reduced) {
      boolean alone = Math.abs(row[columns.get(member)]) > ZERO;
      for (int c = 0; c < columns.size() && alone; c++) {
        alone = c == columns.get(member) || Math.abs(row[c]) < ZERO;
      }
      if (alone) {
        return Optional.of(row[columns.size()] / row[columns.get(member)]);
      }
    }
    return Optional.empty();
  }

  /** Whether every speed follows: with nothing driven all of them are nought. */
  private boolean all(double[][] reduced) {
    return columns.keySet().stream().allMatch(member -> speed(reduced, member).isPresent());
  }

  private Status compare(Train train) {
    write(train);
    Motion motion = MotionSolver.solve(Mechanism.of(train));
    Optional<double[][]> reduced = reduced();
    boolean moving =
        train.rolesInForce().drives().stream().allMatch(d -> !d.angularSpeed().isZero());
    if (moving) {
      // A drive at rest contradicts nothing in numbers, though the train could not turn.
      boolean still =
          train.rolesInForce().drives().isEmpty() && reduced.filter(this::all).isPresent();
      assertEquals(reduced.isEmpty() || still, motion.status() == Status.JAMMED, train::toString);
    }
    if (motion.status() != Status.JAMMED && reduced.isPresent()) {
      for (Member member : train.members()) {
        Optional<Double> own = motion.speed(member.id()).map(speed -> speed.inRpm());
        Optional<Double> hand = speed(reduced.get(), member.id());
        assertEquals(hand.isPresent(), own.isPresent(), () -> member.id() + " of " + train);
        hand.ifPresent(
            speed -> assertEquals(speed, own.get(), 1e-5 * (1 + Math.abs(speed)), train::toString));
      }
    }
    return motion.status();
  }

  @Test
  void trainsOfAllKindsTurnAsTheTextbookSays() {
    Random random = new Random(211);
    Map<Status, Integer> seen = new EnumMap<>(Status.class);
    for (int k = 0; k < 400; k++) {
      Train card = RandomCards.next(random).train();
      Train train =
          card.shifts().states().isEmpty() ? card : card.in(card.shifts().states().getFirst());
      seen.merge(compare(train), 1, Integer::sum);
    }
    for (Status status : Status.values()) {
      assertTrue(seen.getOrDefault(status, 0) > 15, seen.toString());
    }
  }

  @Test
  void linkagesTurnAsTheTextbookSaysInEveryState() {
    Random random = new Random(223);
    int states = 0;
    for (int k = 0; k < 150; k++) {
      Train train = RandomTrains.combined(random);
      for (var state : train.shifts().states()) {
        compare(train.in(state));
        states++;
      }
    }
    assertTrue(states > 150, states + " states");
  }
}
