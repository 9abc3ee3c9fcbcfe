package steadycog.check;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import steadycog.train.Planetary;
import steadycog.train.Train;

/** The rules, in the order in which their findings are told. */
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
          new RingWallRule(),
          new ThreadingRule(),
          new BalanceRule(),
          new AssemblyRule(),
          new IndexingRule(),
          new NeighbourRule(),
          new FewTeethRule(),
          new InterferenceRule(),
          new InternalInterferenceRule(),
          new ModuleRule(),
          new ClosureRule(),
          new BindingRule(),
          new LeastPlayRule(),
          new ClashRule(),
          new BoreRule(),
          new ShaftRule(),
          new StrengthRule(),
          new ShaftStrengthRule(),
          new ContactRatioRule(),
          new FilletRule(),
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
          new FewPlanetsRule(),
          new UnevenBalanceRule(),
          new PlanetRoomRule(),
          new RimRule(),
          new IdleSunRule(),
          new PhasingRule(),
          new HuntingRule(),
          new BevelRule(),
          new BevelTeethRule(),
          new HelixRule());

  private static final int[] CHEAPEST_FIRST =
      IntStream.range(0, RULES.size())
          .boxed()
          .sorted(Comparator.comparing(rule -> RULES.get(rule).needs()))
          .mapToInt(Integer::intValue)
          .toArray();

  private static final int[] WITHOUT_LAYOUT =
      IntStream.range(0, RULES.size())
          .filter(rule -> RULES.get(rule).needs() != Rule.Needs.LAYOUT)
          .toArray();

  private Checks() {}

  /** The numbers of the rules, those that need little first. */
  static int[] cheapestFirst() {
    return CHEAPEST_FIRST;
  }

  /** The numbers of the rules that need not know where wheels stand, in their order. */
  static int[] withoutLayout() {
    return WITHOUT_LAYOUT;
  }

  /** Room for the answer of every rule. */
  @SuppressWarnings({"unchecked", "rawtypes"})
  static @Nullable List<Finding>[] answers() {
    return new List[RULES.size()];
  }

  /** What rule number {@code rule} finds. */
  static List<Finding> ask(int rule, Subject subject) {
    return RULES.get(rule).check(subject).stream().map(finding -> finding.by(rule)).toList();
  }

  /**
   * The rule that keeps a planetary set from going together, quickly found: its shape alone, no
   * roles. Empty where it fits, assembles, and keeps its planets and tips clear.
   */
  public static Optional<String> trouble(Planetary set) {
    return SetTrouble.of(set);
  }

  /** The same for a set as {@code train} sizes it; its ring may be shifted to fit. */
  public static Optional<String> trouble(Train train, Planetary set) {
    return SetTrouble.of(train, set);
  }

  /**
   * Whether the teeth of a set ask for no change of their shifts: no undercut, no interference with
   * flanks, enough contact.
   */
  public static boolean isClean(Train train, Planetary set) {
    return SetTrouble.clean(train, set);
  }
}
