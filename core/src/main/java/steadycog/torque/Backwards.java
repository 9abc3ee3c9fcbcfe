package steadycog.torque;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import steadycog.motion.Motion;
import steadycog.torque.LossModel.Flows;
import steadycog.torque.PowerFlow.Verdict;
import steadycog.train.MemberId;

/**
 * A train with one drive pushed at its take-off instead, the same members held: whether it turns
 * back, or holds itself.
 *
 * @param verdict {@link Verdict#RUNS} where it can be driven backwards, {@link Verdict#LOCKS} where
 *     it holds itself: the former drive would have to be pushed as well
 * @param efficiency backwards; present only where it runs
 * @param tipping where the one would become the other; empty where no loss below a half does, where
 *     nothing is lost, and on fixed axes, which never lock
 */
public record Backwards(Verdict verdict, Optional<Double> efficiency, Optional<Tipping> tipping) {
  /** Meshes that lose more than this are no gears. */
  private static final double MOST_LOSS = 0.5;

  /** The tipping point is found to this share of the losses. */
  private static final double RESOLUTION = 1e-5;

  private static final int MOST_STEPS = 40;

  /**
   * The losses at which a train begins to hold itself.
   *
   * @param factor by which all losses 1 - h together would have to grow; below 1 where it holds
   *     itself already
   * @param shares the efficiency of each mesh there
   */
  public record Tipping(double factor, List<Double> shares) {
    public Tipping {
      shares = List.copyOf(shares);
    }

    /** The smallest and largest efficiency of the meshes there. */
    public double least() {
      return shares.stream().mapToDouble(share -> share).min().orElse(1);
    }

    public double most() {
      return shares.stream().mapToDouble(share -> share).max().orElse(1);
    }
  }

  /** Pushes the take-off of {@code motion}, which has a ratio. */
  static Backwards of(LossModel model, double[] shares, Motion motion) {
    MemberId take = motion.mechanism().roles().take().orElseThrow().member();
    Push push = model.push(motion.mechanism().indexOf(take));
    Flows now = push.flows(shares);
    Verdict verdict = PowerFlow.verdict(now);
    return new Backwards(
        verdict,
        PowerFlow.efficiency(now),
        verdict.known() && model.canLock()
            ? new Scaled(model, push, shares).tipping()
            : Optional.empty());
  }

  /** Whether it can be driven backwards; empty where that is not known. */
  public Optional<Boolean> drivable() {
    return verdict.known() ? Optional.of(verdict == Verdict.RUNS) : Optional.empty();
  }

  /** How many times the present losses lie at the edge; empty where no such number is known. */
  public Optional<Double> lossFactor() {
    return tipping.map(Tipping::factor);
  }

  /** The push on the take-off, with the losses of each mesh scaled together. */
  private static final class Scaled {
    private final Push push;
    private final double[] shares;

    /** What each mesh loses at a factor of 1; 0 where it does not roll. */
    private final double[] losses;

    private final double worst;

    Scaled(LossModel model, Push push, double[] shares) {
      this.push = push;
      this.shares = shares;
      losses = new double[shares.length];
      for (int k = 0; k < losses.length; k++) {
        losses[k] = model.rolls(k) ? 1 - shares[k] : 0;
      }
      worst = Arrays.stream(losses).max().orElse(0);
    }

    private double[] at(double factor) {
      double[] scaled = new double[shares.length];
      for (int k = 0; k < scaled.length; k++) {
        scaled[k] = losses[k] == 0 ? shares[k] : 1 - factor * losses[k];
      }
      return scaled;
    }

    private boolean locks(double factor) {
      return PowerFlow.verdict(push.flows(at(factor))) != Verdict.RUNS;
    }

    /** Bisection between no losses, where every train runs back, and the largest. */
    Optional<Tipping> tipping() {
      double runs = 0;
      double locks = worst == 0 ? 0 : MOST_LOSS / worst;
      if (locks == 0 || !locks(locks)) {
        return Optional.empty();
      }
      for (int step = 0; step < MOST_STEPS && locks - runs > RESOLUTION * locks; step++) {
        double middle = (runs + locks) / 2;
        if (locks(middle)) {
          locks = middle;
        } else {
          runs = middle;
        }
      }
      double found = (runs + locks) / 2;
      return Optional.of(new Tipping(found, Arrays.stream(at(found)).boxed().toList()));
    }
  }
}
