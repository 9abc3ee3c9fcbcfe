package steadycog.gearbox;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.DoubleStream;
import steadycog.piece.Levels;
import steadycog.rating.Carried;
import steadycog.rating.RatedShaft;
import steadycog.rating.RatedShaft.Held;
import steadycog.rating.RatedShaft.Life;
import steadycog.rating.Running;
import steadycog.rating.ShaftRating;
import steadycog.shape.FaceLayout;
import steadycog.train.BallBearing;
import steadycog.train.MemberId;

/**
 * The shafts of a gearbox in its bearings, where they stand in it. Of a bearing between two members
 * that turn the speed of the shaft itself is taken.
 */
final class Bearings implements Carried {
  /** What rounding leaves of forces that cancel, as those of planets on a sun, N. */
  private static final double NOTHING = 1e-6;

  private final Gearbox box;
  private final Levels drawn;
  private final FaceLayout layout;

  private Bearings(Gearbox box, FaceLayout layout) {
    this.box = box;
    this.layout = layout;
    drawn = Levels.of(box.train(), layout);
  }

  /** What its shafts on ball bearings bear, and planets on those of their own. */
  static List<RatedShaft> of(Gearbox box, FaceLayout layout, Running running) {
    Bearings bearings = new Bearings(box, layout);
    return ShaftRating.of(box.train(), layout, List.of(running), bearings).shafts().stream()
        .filter(shaft -> shaft.onFirst() + shaft.onSecond() > NOTHING)
        .filter(
            shaft ->
                shaft.pin()
                    ? bearings.bearing(shaft.wheels()).isPresent()
                    : bearings.held(shaft.wheels()).isPresent())
        .toList();
  }

  /** The ratings that bearings need which do not last and are not stated, N. */
  static Map<MemberId, Double> needed(List<RatedShaft> shafts) {
    Map<MemberId, Double> needed = new HashMap<>();
    for (RatedShaft shaft : shafts) {
      shaft
          .life()
          .filter(life -> life.isShort() && !shaft.bearingStated())
          .map(Life::needed)
          .ifPresent(rating -> shaft.wheels().forEach(wheel -> needed.put(wheel, rating)));
    }
    return needed;
  }

  private List<Support> supports(List<MemberId> wheels) {
    return box.supports().stream().filter(one -> wheels.contains(one.member())).toList();
  }

  @Override
  public Optional<Held> held(List<MemberId> wheels) {
    double[] middles =
        supports(wheels).stream().mapToDouble(one -> (one.from() + one.to()) / 2).toArray();
    return middles.length < 2
        ? Optional.empty()
        : Optional.of(
            new Held(
                DoubleStream.of(middles).min().orElseThrow(),
                DoubleStream.of(middles).max().orElseThrow(),
                false));
  }

  @Override
  public Optional<BallBearing> bearing(List<MemberId> wheels) {
    List<Optional<BallBearing>> all =
        supports(wheels).stream().map(one -> BallBearing.of(one.bearing())).toList();
    return all.isEmpty() || all.stream().anyMatch(Optional::isEmpty)
        ? Optional.empty()
        : all.stream()
            .flatMap(Optional::stream)
            .min(Comparator.comparingDouble(BallBearing::estimatedRating));
  }

  /** Wheels of a chain stand on storeys of their own; all others where they are drawn. */
  @Override
  public double shift(MemberId wheel) {
    return box.components().stream()
        .filter(made -> made.member().equals(wheel))
        .filter(made -> made.name().startsWith(ParallelBox.WHEEL))
        .findFirst()
        .map(made -> made.piece().stands().getFirst().z() - drawn.from(layout.wheel(wheel).plane()))
        .orElse(0.0);
  }
}
