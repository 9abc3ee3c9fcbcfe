package steadycog.shape;

import java.util.HashMap;
import java.util.Map;
import java.util.OptionalDouble;
import steadycog.train.Bevel;
import steadycog.train.Cycloidal;
import steadycog.train.Differential;
import steadycog.train.Join;
import steadycog.train.MemberId;
import steadycog.train.Parallel;
import steadycog.train.Planetary;
import steadycog.train.Shaft;
import steadycog.train.StrainWave;
import steadycog.train.Teeth;
import steadycog.train.Train;

/**
 * Wheels cut on the outside of a ring: external wheels of a chain that are joined to a ring and
 * large enough to go round it. They lie in the ring's plane and are hollow.
 */
public final class Rims {
  /** Material left between the roots of both, in modules. */
  private static final double WALL = 0.8;

  private Rims() {}

  /** Every such wheel with the ring it goes round. */
  public static Map<MemberId, MemberId> of(Train train) {
    Map<MemberId, MemberId> rims = new HashMap<>();
    for (Join join : train.joins()) {
      add(train, join.a(), join.b(), rims);
      add(train, join.b(), join.a(), rims);
    }
    return rims;
  }

  /**
   * Material round the roots of a ring of {@code set}, in modules of the ring: up to the roots of
   * the wheel that is cut round it, else what rings are drawn and made with.
   */
  public static double thickness(Train train, Planetary set, MemberId ring) {
    double own = rootRadius(train, set, ring);
    return of(train).entrySet().stream()
        .filter(rim -> rim.getValue().equals(ring))
        .mapToDouble(
            rim -> rootRadius(train, (Parallel) train.partOf(rim.getKey()), rim.getKey()) - own)
        .map(layer -> layer / scale(train, ring))
        .min()
        .orElse(GearOutline.RIM);
  }

  private static void add(
      Train train, MemberId wheel, MemberId ring, Map<MemberId, MemberId> rims) {
    OptionalDouble least = hollow(train, ring);
    if (least.isPresent()
        && train
            .partOf(wheel, Parallel.class)
            .filter(chain -> rootRadius(train, chain, wheel) >= least.getAsDouble())
            .isPresent()) {
      rims.put(wheel, ring);
    }
  }

  /** Of an external wheel its root radius, of an internal one nothing that goes round a ring. */
  private static double rootRadius(Train train, Parallel chain, MemberId wheel) {
    Teeth teeth = chain.wheels().get(chain.indexOf(wheel));
    return teeth.internal() ? 0 : scale(train, wheel) * GearOutline.rootRadius(teeth, Cut.STANDARD);
  }

  /** A wheel's module over that of the train: radii here are in modules of the train. */
  private static double scale(Train train, MemberId wheel) {
    return train.moduleMm(wheel) / train.moduleMm();
  }

  /** Radius that a wheel must leave free to go round {@code ring}; empty for what is no ring. */
  static OptionalDouble hollow(Train train, MemberId ring) {
    return switch (train.partOf(ring)) {
      case Planetary set when isRing(set, ring) ->
          OptionalDouble.of(rootRadius(train, set, ring) + WALL * scale(train, ring));
      case Cycloidal drive when drive.ringId().equals(ring) ->
          OptionalDouble.of(Drives.radius(train, drive));
      case StrainWave drive when drive.circularId().equals(ring) ->
          OptionalDouble.of(Drives.radius(train, drive));
      case Parallel _, Planetary _, Cycloidal _, StrainWave _, Bevel _, Differential _, Shaft _ ->
          OptionalDouble.empty();
    };
  }

  private static boolean isRing(Planetary set, MemberId member) {
    return set.wheels().stream()
        .filter(wheel -> wheel.id().equals(member))
        .anyMatch(wheel -> wheel.teeth().orElseThrow().internal());
  }

  private static double rootRadius(Train train, Planetary set, MemberId ring) {
    Teeth teeth =
        set.wheels().stream()
            .filter(wheel -> wheel.id().equals(ring))
            .findFirst()
            .flatMap(wheel -> wheel.teeth())
            .orElseThrow();
    return scale(train, ring) * GearOutline.rootRadius(teeth, Cut.of(train, ring));
  }

  /** The fewest teeth of a wheel that goes round {@code member}, or round its whole part. */
  public static int fewestTeeth(Train train, MemberId member) {
    double least =
        hollow(train, member).orElseGet(() -> Drives.radius(train, train.partOf(member)) + WALL);
    return (int) Math.ceil(2 * (least + BasicRack.ISO_53_A.dedendum()));
  }
}
