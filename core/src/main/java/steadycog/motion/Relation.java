package steadycog.motion;

import java.util.List;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.train.Join;
import steadycog.train.MemberId;
import steadycog.train.Mesh;

/**
 * A homogeneous linear equation between the speeds of bodies: the sum of its terms is zero.
 *
 * @param cause what in the train makes it so
 * @param terms bodies with non-zero coefficients; the frame, which stands still, has no term
 */
public record Relation(Cause cause, List<Term> terms) {

  /** {@code coefficient} times the speed of {@code body}. */
  public record Term(int body, BigFraction coefficient) {}

  /** Why a relation holds; its text is how a card says it. */
  public sealed interface Cause {
    /** The members that it ties. */
    List<MemberId> members();
  }

  /** Teeth in contact. */
  public record Meshing(Mesh mesh) implements Cause {
    @Override
    public List<MemberId> members() {
      return List.of(mesh.a(), mesh.b());
    }

    @Override
    public String toString() {
      return mesh.a() + " ~ " + mesh.b();
    }
  }

  /** Members keyed to one shaft inside a part. */
  public record Keyed(Join join) implements Cause {
    @Override
    public List<MemberId> members() {
      return List.of(join.a(), join.b());
    }

    @Override
    public String toString() {
      return join.a() + " = " + join.b();
    }
  }

  /** Members of parts joined to one body. */
  public record Joined(Join join) implements Cause {
    @Override
    public List<MemberId> members() {
      return List.of(join.a(), join.b());
    }

    @Override
    public String toString() {
      return "join " + join.a() + " = " + join.b();
    }
  }

  /** Members locked by a clutch. */
  public record Locked(Join join) implements Cause {
    @Override
    public List<MemberId> members() {
      return List.of(join.a(), join.b());
    }

    @Override
    public String toString() {
      return "lock " + join.a() + " = " + join.b();
    }
  }

  /** A member kept from turning. */
  public record Held(MemberId member) implements Cause {
    @Override
    public List<MemberId> members() {
      return List.of(member);
    }

    @Override
    public String toString() {
      return "hold " + member;
    }
  }

  /** A member turned from outside: no relation of the train, but part of a conflict. */
  public record Driven(MemberId member) implements Cause {
    @Override
    public List<MemberId> members() {
      return List.of(member);
    }

    @Override
    public String toString() {
      return "drive " + member;
    }
  }

  public Relation {
    terms = List.copyOf(terms);
  }
}
