package steadycog.sizing;

import java.util.ArrayList;
import java.util.List;

/**
 * A length or angle between what all deviations at their worst make of it.
 *
 * @param nominal with no deviation
 * @param deviations what each of its causes adds at least and at most
 */
public record Band(double nominal, List<Deviation> deviations) {
  /** What one cause adds. */
  public record Deviation(double least, double most) {
    private double middle() {
      return (least + most) / 2;
    }

    private double half() {
      return (most - least) / 2;
    }

    private Deviation times(double factor) {
      return new Deviation(
          Math.min(factor * least, factor * most), Math.max(factor * least, factor * most));
    }
  }

  public Band {
    deviations = List.copyOf(deviations);
  }

  static Band of(double nominal) {
    return new Band(nominal, List.of());
  }

  /** With one more cause: a length that may be so much above and below, times {@code factor}. */
  Band with(double above, double below, double factor) {
    List<Deviation> all = new ArrayList<>(deviations);
    all.add(new Deviation(-below, above).times(factor));
    return new Band(nominal, all);
  }

  Band times(double factor) {
    return new Band(factor * nominal, deviations.stream().map(one -> one.times(factor)).toList());
  }

  Band plus(Band other) {
    List<Deviation> all = new ArrayList<>(deviations);
    all.addAll(other.deviations);
    return new Band(nominal + other.nominal, all);
  }

  /** Whether anything may deviate. */
  public boolean isWide() {
    return deviations.stream().anyMatch(one -> one.half() > 0);
  }

  /** All deviations at their worst one way. */
  public double least() {
    return nominal + deviations.stream().mapToDouble(Deviation::least).sum();
  }

  /** All deviations at their worst the other way. */
  public double most() {
    return nominal + deviations.stream().mapToDouble(Deviation::most).sum();
  }

  private double middle() {
    return nominal + deviations.stream().mapToDouble(Deviation::middle).sum();
  }

  /** Half the likely band: the root of the sum of squares. */
  private double half() {
    return Math.sqrt(deviations.stream().mapToDouble(one -> one.half() * one.half()).sum());
  }

  /** The lower end of the likely band. */
  public double likelyLeast() {
    return middle() - half();
  }

  /** The upper end of the likely band. */
  public double likelyMost() {
    return middle() + half();
  }
}
