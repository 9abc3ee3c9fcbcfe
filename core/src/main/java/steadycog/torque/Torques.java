package steadycog.torque;

import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.motion.Mechanism;
import steadycog.motion.Relation;
import steadycog.train.Join;
import steadycog.train.MemberId;

/**
 * The torques of a mechanism, in N m, without losses or with those of its meshes. Values stated as
 * a power, or in a unit of which the size is not rational, enter as the nearest double; all else is
 * exact.
 *
 * @param acting one a relation: the torque that it puts on each body that it touches, by the body's
 *     number; empty where that does not follow
 * @param status whether an equilibrium exists and is the only one
 * @param external one a body: the torque from outside; empty where it does not follow
 * @param multipliers one a relation: times a term's coefficient it is the torque of that relation
 *     on the term's body; empty where it does not follow
 */
public record Torques(
    Mechanism mechanism,
    List<Map<Integer, Optional<BigFraction>>> acting,
    Status status,
    List<Optional<BigFraction>> external,
    List<Optional<BigFraction>> multipliers) {

  /** Whether the balance of torques has one answer. */
  public enum Status {
    /** Every torque follows, but perhaps what ties between the same bodies share. */
    DETERMINED,
    /** Paths share the load in a way that stiffness, not tooth counts, decides. */
    INDETERMINATE,
    /** Nothing takes the torque up: it would only speed the train up, or it is jammed. */
    NONE
  }

  /** No torque follows. */
  static Torques none(Mechanism mechanism, Status status) {
    return new Torques(
        mechanism,
        mechanism.relations().stream().map(Torques::unknown).toList(),
        status,
        Collections.nCopies(mechanism.bodies().size(), Optional.empty()),
        Collections.nCopies(mechanism.relations().size(), Optional.empty()));
  }

  private static Map<Integer, Optional<BigFraction>> unknown(Relation relation) {
    Map<Integer, Optional<BigFraction>> none = new HashMap<>();
    relation.terms().forEach(term -> none.put(term.body(), Optional.empty()));
    return none;
  }

  /** The torque from outside on the member; zero on a free one. */
  public Optional<BigFraction> external(MemberId member) {
    return external.get(mechanism.indexOf(member));
  }

  /**
   * The torque that passes through the member, never negative: what flows in equals what flows out,
   * so it is half the sum of the sizes of all torques on it. Empty where one of them does not
   * follow.
   */
  public Optional<BigFraction> carried(MemberId member) {
    int body = mechanism.indexOf(member);
    Optional<BigFraction> sum = external.get(body).map(BigFraction::abs);
    for (int r = 0; r < mechanism.relations().size() && sum.isPresent(); r++) {
      Relation relation = mechanism.relations().get(r);
      if (!(relation.cause() instanceof Relation.Held)) {
        sum = plus(sum.get(), relationTorque(r, body).map(BigFraction::abs));
      }
    }
    return sum.map(total -> total.divide(2));
  }

  /** The size of the torque through the clutch {@code lock}; empty where it does not follow. */
  public Optional<BigFraction> throughClutch(Join lock) {
    for (int k = 0; k < mechanism.relations().size(); k++) {
      if (mechanism.relations().get(k).cause() instanceof Relation.Locked(Join tied)
          && tied.touches(lock.a())
          && tied.touches(lock.b())) {
        return relationTorque(k, mechanism.indexOf(lock.a())).map(BigFraction::abs);
      }
    }
    return Optional.empty();
  }

  /** The torque that relation {@code index} puts on {@code body}; zero if it does not touch it. */
  public Optional<BigFraction> relationTorque(int index, int body) {
    return acting.get(index).getOrDefault(body, Optional.of(BigFraction.ZERO));
  }

  private static Optional<BigFraction> plus(BigFraction sum, Optional<BigFraction> next) {
    return next.map(sum::add);
  }
}
