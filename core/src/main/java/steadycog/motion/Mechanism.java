package steadycog.motion;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.motion.Relation.Term;
import steadycog.number.Known;
import steadycog.number.Quantity;
import steadycog.train.Join;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Roles;
import steadycog.train.Train;

/** A train as bodies and relations: what its parts, joins, locks and holds say about speeds. */
public final class Mechanism {
  private final List<MemberId> bodies;
  private final List<Relation> relations;
  private final Roles roles;
  private final Map<MemberId, Integer> index;

  private Mechanism(
      List<MemberId> bodies, List<Relation> relations, Roles roles, Map<MemberId, Integer> index) {
    this.bodies = bodies;
    this.relations = relations;
    this.roles = roles;
    this.index = index;
  }

  /** One a member, in the order of the card. */
  public List<MemberId> bodies() {
    return bodies;
  }

  /** Meshes, then keyed shafts, joins, locks and holds. */
  public List<Relation> relations() {
    return relations;
  }

  /** The roles in force, assumed ends included. */
  public Roles roles() {
    return roles;
  }

  public static Mechanism of(Train train) {
    List<MemberId> bodies = train.members().stream().map(Member::id).toList();
    Map<MemberId, Integer> index = new HashMap<>();
    bodies.forEach(body -> index.put(body, index.size()));
    Roles roles = train.rolesInForce();
    List<Relation> all = new ArrayList<>();
    train.meshes().forEach(mesh -> all.add(meshing(mesh, index)));
    train.keyed().forEach(join -> all.add(rigid(new Relation.Keyed(join), join, index)));
    train.joins().forEach(join -> all.add(rigid(new Relation.Joined(join), join, index)));
    roles.locks().forEach(lock -> all.add(rigid(new Relation.Locked(lock), lock, index)));
    roles.holds().forEach(held -> all.add(held(held, index)));
    return new Mechanism(bodies, List.copyOf(all), roles, index);
  }

  /** The same bodies and relations with another load on the take-off, which turns nothing. */
  Mechanism under(Quantity load) {
    return new Mechanism(bodies, relations, roles.loaded(Optional.of(load)), index);
  }

  /** Which of the bodies {@code member} is; throws IllegalArgumentException if it is none. */
  public int indexOf(MemberId member) {
    Integer found = index.get(member);
    if (found == null) {
      throw new IllegalArgumentException("no member " + member);
    }
    return found;
  }

  /** Na wa + s Nb wb - (Na + s Nb) wc = 0, s = {@link Mesh#sign} (Willis). */
  private static Relation meshing(Mesh mesh, Map<MemberId, Integer> index) {
    long na = mesh.teethA().count();
    long nb = (long) mesh.sign() * mesh.teethB().count();
    List<Term> terms = new ArrayList<>();
    terms.add(new Term(Known.in(index, mesh.a()), BigFraction.of(na)));
    terms.add(new Term(Known.in(index, mesh.b()), BigFraction.of(nb)));
    mesh.carrier()
        .filter(carrier -> na + nb != 0)
        .ifPresent(
            carrier -> terms.add(new Term(Known.in(index, carrier), BigFraction.of(-na - nb))));
    return new Relation(new Relation.Meshing(mesh), terms);
  }

  private static Relation rigid(Relation.Cause cause, Join join, Map<MemberId, Integer> index) {
    return new Relation(
        cause,
        List.of(
            new Term(Known.in(index, join.a()), BigFraction.ONE),
            new Term(Known.in(index, join.b()), BigFraction.ONE.negate())));
  }

  private static Relation held(MemberId member, Map<MemberId, Integer> index) {
    return new Relation(
        new Relation.Held(member), List.of(new Term(Known.in(index, member), BigFraction.ONE)));
  }
}
