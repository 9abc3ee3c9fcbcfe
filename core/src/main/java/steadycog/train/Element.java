package steadycog.train;

import java.util.List;
import java.util.function.UnaryOperator;

/** A brake or a clutch: what a shift plan engages and releases. */
public sealed interface Element {

  /** Holds a member against the housing. */
  record Brake(MemberId member) implements Element {
    @Override
    public List<MemberId> members() {
      return List.of(member);
    }

    @Override
    public String toString() {
      return "brake " + member;
    }
  }

  /** Locks two members to each other; which one is named first does not matter. */
  record Clutch(Join join) implements Element {
    public static Clutch of(MemberId a, MemberId b) {
      return new Clutch(new Join(a, b));
    }

    @Override
    public List<MemberId> members() {
      return List.of(join.a(), join.b());
    }

    @Override
    public boolean equals(Object other) {
      return other instanceof Clutch(Join tied) && tied.touches(join.a()) && tied.touches(join.b());
    }

    @Override
    public int hashCode() {
      return join.a().hashCode() + join.b().hashCode();
    }

    @Override
    public String toString() {
      return "clutch " + join.a() + " = " + join.b();
    }
  }

  /** The same for members under other names. */
  default Element renamed(UnaryOperator<MemberId> rename) {
    return switch (this) {
      case Brake(MemberId member) -> new Brake(rename.apply(member));
      case Clutch(Join join) -> Clutch.of(rename.apply(join.a()), rename.apply(join.b()));
    };
  }

  /** The member that is held, or the two that are locked. */
  List<MemberId> members();
}
