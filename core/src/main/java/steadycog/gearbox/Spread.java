package steadycog.gearbox;

import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Optional;
import steadycog.gearbox.Move.Way;
import steadycog.number.Known;
import steadycog.piece.Piece;
import steadycog.piece.Piece.Stand;
import steadycog.piece.Region;

/**
 * How far each component stands from its place when the whole is pulled apart along the axes: in
 * the order in which it goes in, each clear of whatever it is pushed past.
 */
final class Spread {
  /** Between pieces that are pulled apart, as a share of the width of the whole. */
  private static final double GAP = 0.16;

  /** The same at a step, which is looked down on: else what is pushed on last hides the rest. */
  private static final double STEP_GAP = 0.34;

  private final IdentityHashMap<Component, Double> by = new IdentityHashMap<>();

  @SuppressWarnings("ArrayRecordComponent") // Never compared.
  private record Span(double low, double high, double[] box) {
    boolean isBeside(Span other) {
      return box[2] <= other.box[0]
          || other.box[2] <= box[0]
          || box[3] <= other.box[1]
          || other.box[3] <= box[1];
    }
  }

  /**
   * @param order in which it goes together; what is not in it stays where it is
   */
  static Spread of(Gearbox box, List<Move> order) {
    return of(box, List.of(), order, GAP);
  }

  /** What goes in at a step off its place; what is there stays. */
  static Spread of(Gearbox box, Step step) {
    return of(box, step.before(), step.moves(), STEP_GAP);
  }

  private static Spread of(Gearbox box, List<Move> before, List<Move> order, double share) {
    Spread spread = new Spread();
    List<Span> there = new ArrayList<>();
    before.forEach(move -> there.add(span(move.component())));
    double[] whole =
        new Region(
                box.pieces().stream().flatMap(p -> placed(p).lines().stream()).toList(),
                box.pieces().stream().flatMap(p -> placed(p).circles().stream()).toList())
            .bounds();
    double gap = share * Math.max(whole[2] - whole[0], whole[3] - whole[1]);
    for (Move move : order) {
      Component next = move.component();
      if (spread.by.containsKey(next)) {
        continue;
      }
      boolean up = move.way() != Way.FROM_THE_DRIVE_END;
      Span own = span(next);
      Optional<Double> face =
          there.stream()
              .filter(other -> !other.isBeside(own))
              .map(other -> up ? other.high : -other.low)
              .max(Double::compare);
      double moved =
          face.map(f -> up ? Math.max(0, f + gap - own.low) : Math.min(0, -(f + gap) - own.high))
              .orElse(0.0);
      spread.by.put(next, moved);
      there.add(new Span(own.low + moved, own.high + moved, own.box));
    }
    return spread;
  }

  private static Region placed(Piece piece) {
    Region first = piece.slabs().getFirst().region();
    Stand stand = piece.stands().getFirst();
    return first.placed(stand.angle(), stand.x(), stand.y());
  }

  private static Span span(Component component) {
    double low = Double.MAX_VALUE;
    double high = -Double.MAX_VALUE;
    double[] box = {Double.MAX_VALUE, Double.MAX_VALUE, -Double.MAX_VALUE, -Double.MAX_VALUE};
    double[] own = component.piece().bounds();
    double reach = 0;
    for (double side : own) {
      reach = Math.max(reach, Math.abs(side));
    }
    for (Stand stand : component.piece().stands()) {
      low = Math.min(low, stand.z());
      high = Math.max(high, stand.z() + component.piece().slabs().getLast().to());
      box[0] = Math.min(box[0], stand.x() - reach);
      box[1] = Math.min(box[1], stand.y() - reach);
      box[2] = Math.max(box[2], stand.x() + reach);
      box[3] = Math.max(box[3], stand.y() + reach);
    }
    return new Span(low, high, box);
  }

  /** How far a component stands from its place, away from the drive end positive, mm. */
  double of(Component component) {
    return by.containsKey(component) ? Known.in(by, component) : 0;
  }
}
