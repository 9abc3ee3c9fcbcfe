package steadycog.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import steadycog.number.Pace;
import steadycog.train.Planetary;

/** Runs every rule. */
public final class Checks {
  private static final List<Rule> RULES =
      List.of(
          new MotionRule(),
          new TorqueRule(),
          new LossRule(),
          new RingSizeRule(),
          new PitchFitRule(),
          new RowClosureRule(),
          new NoSunRule(),
          new LobeCountRule(),
          new StrainWaveRule(),
          new ShorteningRule(),
          new LobeUndercutRule(),
          new OutputHolesRule(),
          new BalanceRule(),
          new AssemblyRule(),
          new IndexingRule(),
          new NeighbourRule(),
          new FewTeethRule(),
          new InterferenceRule(),
          new InternalInterferenceRule(),
          new ClosureRule(),
          new BindingRule(),
          new ClashRule(),
          new BoreRule(),
          new StrengthRule(),
          new ContactRatioRule(),
          new UndercutRule(),
          new DeadWheelRule(),
          new EndsRule(),
          new FeedbackRule(),
          new SharedCarrierRule(),
          new DifferentialRule(),
          new IdlerRule(),
          new StageRatioRule(),
          new SensitivityRule(),
          new TallPlanetRule(),
          new IdleSunRule(),
          new PhasingRule(),
          new HuntingRule(),
          new BevelRule());

  private Checks() {}

  /** All findings, worst first; within a severity in the order of the rules and of the card. */
  public static List<Finding> of(Subject subject) {
    return of(subject, Pace.FREE);
  }

  /** The same, watched and perhaps stopped by {@code pace}. */
  public static List<Finding> of(Subject subject, Pace pace) {
    return of(subject, RULES, pace);
  }

  /** The same by the rules that need not know where wheels stand: a tenth of the cost. */
  public static List<Finding> withoutLayout(Subject subject) {
    return of(subject, RULES.stream().filter(rule -> !rule.looksAtLayout()).toList(), Pace.FREE);
  }

  private static List<Finding> of(Subject subject, List<Rule> rules, Pace pace) {
    List<Finding> all = new ArrayList<>();
    for (int k = 0; k < rules.size(); k++) {
      pace.at((double) k / rules.size());
      all.addAll(rules.get(k).check(subject));
    }
    all.sort(Comparator.comparing(Finding::severity).reversed());
    return List.copyOf(all);
  }

  /**
   * The rule that keeps a planetary set from going together, quickly found: its shape alone, no
   * roles. Empty where it fits, assembles, and keeps its planets and tips clear.
   */
  public static Optional<String> trouble(Planetary set) {
    return Recount.trouble(set);
  }
}
