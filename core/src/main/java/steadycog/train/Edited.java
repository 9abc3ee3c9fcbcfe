package steadycog.train;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/**
 * A train after a change, with what became of the members of the train before it: wheels of a chain
 * are named by their order, so one that is put in gives others another name.
 *
 * @param follows what a member of the train before is called now; empty where it is gone
 */
public record Edited(Train train, Function<MemberId, Optional<MemberId>> follows) {

  /** A change after which every member is called as it was. */
  public static Edited sameNames(Train train) {
    return new Edited(train, Optional::of);
  }

  /** {@code train} with {@code changed} in place of {@code old}; see {@link Train#replacing}. */
  public static Edited replacing(
      Train train, Part old, Part changed, Function<MemberId, Optional<MemberId>> follows) {
    return new Edited(
        train.replacing(
            old, changed, id -> follows.apply(id).orElse(id), id -> follows.apply(id).isPresent()),
        follows);
  }

  /** This change and then one of the train that it made. */
  Edited then(Function<Train, Edited> next) {
    Edited after = next.apply(train);
    return new Edited(after.train, id -> follows.apply(id).flatMap(after.follows));
  }

  /** The member that was not there in {@code before}, the last of several. */
  public Optional<MemberId> fresh(Train before) {
    List<MemberId> old =
        before.members().stream()
            .map(Member::id)
            .flatMap(id -> follows.apply(id).stream())
            .toList();
    return train.members().stream()
        .map(Member::id)
        .filter(id -> !old.contains(id))
        .reduce((one, later) -> later);
  }
}
