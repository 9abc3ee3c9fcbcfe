package steadycog.torque;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.motion.LinearSystem;
import steadycog.motion.Mechanism;
import steadycog.motion.Motion;
import steadycog.motion.Relation;
import steadycog.motion.Relation.Term;
import steadycog.number.AngularSpeed;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.train.Drive;
import steadycog.train.MemberId;
import steadycog.train.Take;

/**
 * Solves the balance of torques: on every body the torque from outside and those of all relations
 * sum to zero. One torque is given: the load on the take-off, else the first drive's (1 N m if
 * unstated); unknown are the others and a multiplier for every relation.
 */
public final class TorqueSolver {
  private static final Quantity ONE_NM = Quantity.of("1", Unit.NM);

  private final Mechanism mechanism;
  private final List<List<Term>> forms;
  private final Motion motion;
  private final int relations;
  private final List<Integer> ends = new ArrayList<>();

  private TorqueSolver(Motion motion, List<List<Term>> forms) {
    this.forms = forms;
    this.mechanism = motion.mechanism();
    this.motion = motion;
    this.relations = mechanism.relations().size();
  }

  /** Ideal torques for {@code motion}; the cost is that of solving the motion. */
  public static Torques solve(Motion motion) {
    return solve(motion, motion.mechanism().relations().stream().map(Relation::terms).toList());
  }

  /**
   * Torques where the multiplier of each relation acts on bodies by other {@code forms} than its
   * terms: those of a mesh with losses.
   */
  static Torques solve(Motion motion, List<List<Term>> forms) {
    return new TorqueSolver(motion, forms).solve();
  }

  /** The torque from which all others follow; empty where nothing is given. */
  static Optional<Given> given(Motion motion) {
    return new TorqueSolver(motion, List.of()).given();
  }

  private Torques solve() {
    Optional<Given> given = given();
    if (given.isEmpty() || motion.status() == Motion.Status.JAMMED) {
      return none();
    }
    mechanism.roles().drives().forEach(drive -> addEnd(drive.member(), given.get()));
    mechanism.roles().take().ifPresent(take -> addEnd(take.member(), given.get()));
    LinearSystem system = balance(given.get());
    return system.consistent(0) ? read(system, given.get()) : none();
  }

  /** The torque from which all others follow. */
  record Given(int body, BigFraction torque) {}

  private Optional<Given> given() {
    Optional<Take> take = mechanism.roles().take();
    if (take.isPresent() && take.get().load().isPresent()) {
      return load(take.get());
    }
    return mechanism.roles().drives().stream().findFirst().flatMap(this::effort);
  }

  /** Empty where a power is taken off at rest. */
  private Optional<Given> load(Take take) {
    Optional<AngularSpeed> speed = motion.speed(take.member());
    int way = speed.map(AngularSpeed::signum).orElse(0);
    Quantity load = take.load().orElseThrow();
    boolean power = load.unit().dimension() == Unit.Dimension.POWER;
    if (power && way == 0) {
      return Optional.empty();
    }
    BigFraction size =
        power
            ? BigFraction.from(load.inBase() / Math.abs(speed.orElseThrow().inRadPerS()))
            : inNm(load);
    return Optional.of(new Given(mechanism.indexOf(take.member()), way < 0 ? size : size.negate()));
  }

  /** A stated torque pushes the way the drive turns. */
  private Optional<Given> effort(Drive drive) {
    return statedTorque(drive).map(torque -> new Given(mechanism.indexOf(drive.member()), torque));
  }

  /**
   * The torque stated (or, unstated, assumed) on a drive, signed by the way it turns; empty where a
   * power is stated for a drive at rest.
   */
  static Optional<BigFraction> statedTorque(Drive drive) {
    Quantity effort = drive.effort().orElse(ONE_NM);
    AngularSpeed speed = drive.angularSpeed();
    if (effort.unit().dimension() == Unit.Dimension.POWER) {
      return speed.isZero()
          ? Optional.empty()
          : Optional.of(BigFraction.from(effort.inBase() / speed.inRadPerS()));
    }
    BigFraction torque = inNm(effort);
    return Optional.of(speed.signum() < 0 ? torque.negate() : torque);
  }

  static BigFraction inNm(Quantity torque) {
    return torque.value().multiply(torque.unit().factor());
  }

  private void addEnd(MemberId member, Given given) {
    int body = mechanism.indexOf(member);
    if (body != given.body) {
      ends.add(body);
    }
  }

  private LinearSystem balance(Given given) {
    int unknowns = relations + ends.size();
    BigFraction[][] rows = new BigFraction[mechanism.bodies().size()][unknowns + 1];
    for (BigFraction[] row : rows) {
      Arrays.fill(row, BigFraction.ZERO);
    }
    for (int r = 0; r < relations; r++) {
      for (Term term : forms.get(r)) {
        rows[term.body()][r] = rows[term.body()][r].add(term.coefficient());
      }
    }
    for (int k = 0; k < ends.size(); k++) {
      rows[ends.get(k)][relations + k] = BigFraction.ONE;
    }
    rows[given.body][unknowns] = given.torque.negate();
    return new LinearSystem(rows, unknowns);
  }

  private Torques read(LinearSystem system, Given given) {
    List<Optional<BigFraction>> external = new ArrayList<>();
    mechanism.bodies().forEach(body -> external.add(Optional.of(BigFraction.ZERO)));
    external.set(given.body, Optional.of(given.torque));
    for (int k = 0; k < ends.size(); k++) {
      external.set(ends.get(k), system.value(relations + k, 0));
    }
    List<Optional<BigFraction>> multipliers = new ArrayList<>();
    for (int r = 0; r < relations; r++) {
      multipliers.add(system.value(r, 0));
      if (mechanism.relations().get(r).cause() instanceof Relation.Held(MemberId member)) {
        external.set(mechanism.indexOf(member), system.value(r, 0));
      }
    }
    boolean all = external.stream().allMatch(Optional::isPresent);
    for (int r = 0; r < relations; r++) {
      // What a tie said twice passes inside itself is nobody's load.
      boolean tie =
          switch (mechanism.relations().get(r).cause()) {
            case Relation.Keyed keyed -> true;
            case Relation.Joined joined -> true;
            case Relation.Locked locked -> true;
            case Relation.Meshing meshing -> false;
            case Relation.Held held -> false;
            case Relation.Driven driven -> false;
          };
      all &= tie || multipliers.get(r).isPresent();
    }
    List<Map<Integer, Optional<BigFraction>>> acting = new ArrayList<>();
    for (int r = 0; r < relations; r++) {
      Map<Integer, Optional<BigFraction>> on = new HashMap<>();
      for (Term term : forms.get(r)) {
        on.put(term.body(), multipliers.get(r).map(f -> f.multiply(term.coefficient())));
      }
      acting.add(on);
    }
    return new Torques(
        mechanism,
        acting,
        all ? Torques.Status.DETERMINED : Torques.Status.INDETERMINATE,
        List.copyOf(external),
        List.copyOf(multipliers));
  }

  private Torques none() {
    return Torques.none(mechanism, Torques.Status.NONE);
  }
}
