package steadycog.app.desk;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import steadycog.train.Member;
import steadycog.train.MemberId;

/** The member that is chosen, and all that are lit: it alone, or whom a chosen finding names. */
final class Choice {
  private final ReadOnlyObjectWrapper<Optional<MemberId>> member =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ReadOnlyObjectWrapper<Set<MemberId>> lit = new ReadOnlyObjectWrapper<>(Set.of());

  ReadOnlyObjectProperty<Optional<MemberId>> memberProperty() {
    return member.getReadOnlyProperty();
  }

  ReadOnlyObjectProperty<Set<MemberId>> litProperty() {
    return lit.getReadOnlyProperty();
  }

  Optional<MemberId> get() {
    return member.get();
  }

  void set(Optional<MemberId> now) {
    set(now.stream().toList());
  }

  /** Chooses the first of {@code all} and lights them together. */
  void set(List<MemberId> all) {
    member.set(all.stream().findFirst());
    lit.set(new LinkedHashSet<>(all));
  }

  /** Lets go whom {@code stays} does not know any more. */
  void keep(Predicate<MemberId> stays) {
    if (!lit.get().stream().allMatch(stays)) {
      set(get().filter(stays));
    }
  }

  /** The member {@code step} further in {@code all}, round and round. */
  void step(List<Member> all, int step) {
    List<MemberId> ids = all.stream().map(Member::id).toList();
    int at = get().map(ids::indexOf).orElse(step > 0 ? -1 : ids.size());
    set(Optional.of(ids.get(Math.floorMod(at + step, ids.size()))));
  }
}
