package steadycog.train;

import java.util.List;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;

/** Two members that turn as one: keyed to the same shaft, joined, or locked by a clutch. */
public record Join(MemberId a, MemberId b) {

  public boolean touches(MemberId member) {
    return a.equals(member) || b.equals(member);
  }

  /** The member that {@code member}, one of the two, is tied to. */
  public MemberId other(MemberId member) {
    return a.equals(member) ? b : a;
  }

  /** The same of members under other names. */
  public Join renamed(UnaryOperator<MemberId> rename) {
    return new Join(rename.apply(a), rename.apply(b));
  }

  /** {@code joins} for members under other names, without those of members that do not stay. */
  static List<Join> renamed(
      List<Join> joins, UnaryOperator<MemberId> rename, Predicate<MemberId> stays) {
    return joins.stream()
        .filter(join -> stays.test(join.a) && stays.test(join.b))
        .map(join -> join.renamed(rename))
        .toList();
  }
}
