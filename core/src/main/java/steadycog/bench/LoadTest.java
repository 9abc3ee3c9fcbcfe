package steadycog.bench;

import java.util.ArrayList;
import java.util.List;
import steadycog.number.Figures;
import steadycog.number.Quantity;

/**
 * A build loaded step by step.
 *
 * @param steps in the order in which they are tried
 */
public record LoadTest(TestHead head, Rigging rigging, List<LoadStep> steps) implements BenchTest {
  /** No plan needs more steps. */
  public static final int MOST_STEPS = 200;

  private static final int DIGITS = 4;

  public LoadTest {
    steps = List.copyOf(steps);
    if (steps.size() > MOST_STEPS) {
      throw new IllegalArgumentException("at most " + MOST_STEPS + " steps");
    }
    for (LoadStep step : steps) {
      if (!rigging.way().loads().contains(step.load().unit().dimension())) {
        throw new IllegalArgumentException(
            step.load() + ": a " + rigging.way().title() + " is loaded otherwise");
      }
    }
  }

  @Override
  public LoadTest headed(TestHead changed) {
    return new LoadTest(changed, rigging, steps);
  }

  public LoadTest on(Rigging changed) {
    return new LoadTest(head, changed, steps);
  }

  public LoadTest with(List<LoadStep> changed) {
    return new LoadTest(head, rigging, changed);
  }

  /** The same with {@code step} at {@code index}, or added behind the last. */
  public LoadTest with(int index, LoadStep step) {
    List<LoadStep> changed = new ArrayList<>(steps);
    if (index < changed.size()) {
      changed.set(index, step);
    } else {
      changed.add(step);
    }
    return with(changed);
  }

  /**
   * Loads in {@code count} even steps up to {@code top}, all still to be tried.
   *
   * @param count 1 to {@value #MOST_STEPS}
   */
  public static List<LoadStep> plan(Quantity top, int count) {
    List<LoadStep> steps = new ArrayList<>();
    for (int k = 1; k <= count; k++) {
      double part = top.value().doubleValue() * k / count;
      String rounded = Figures.significant(part, DIGITS);
      steps.add(LoadStep.planned(Quantity.of(rounded, top.unit())));
    }
    return steps;
  }
}
