package steadycog.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** Runs every rule. */
public final class Checks {
  private static final List<Rule> RULES =
      List.of(
          new MotionRule(),
          new TorqueRule(),
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
          new ClashRule(),
          new ContactRatioRule(),
          new UndercutRule(),
          new DeadWheelRule(),
          new EndsRule(),
          new IdlerRule(),
          new StageRatioRule(),
          new SensitivityRule(),
          new TallPlanetRule(),
          new IdleSunRule(),
          new PhasingRule(),
          new HuntingRule());

  private Checks() {}

  /** All findings, worst first; within a severity in the order of the rules and of the card. */
  public static List<Finding> of(Subject subject) {
    List<Finding> all = new ArrayList<>();
    RULES.forEach(rule -> all.addAll(rule.check(subject)));
    all.sort(Comparator.comparing(Finding::severity).reversed());
    return List.copyOf(all);
  }
}
