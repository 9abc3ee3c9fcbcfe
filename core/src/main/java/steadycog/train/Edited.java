package steadycog.train;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;

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

  /**
   * {@code train} with {@code changed} in place of {@code old}; what is said of members that are
   * gone goes with them.
   */
  public static Edited replacing(
      Train train, Part old, Part changed, Function<MemberId, Optional<MemberId>> follows) {
    return new Edited(
        replaced(
            train,
            old,
            changed,
            id -> follows.apply(id).orElse(id),
            id -> follows.apply(id).isPresent()),
        follows);
  }

  /**
   * The same train with {@code changed} in place of {@code old}: members called anew by {@code
   * rename}, and without whatever is said about members that do not stay, or pairs that no longer
   * mesh.
   */
  private static Train replaced(
      Train train,
      Part old,
      Part changed,
      UnaryOperator<MemberId> rename,
      Predicate<MemberId> stays) {
    List<Part> now = train.parts().stream().map(part -> part.equals(old) ? changed : part).toList();
    return new Train(
        now,
        Join.renamed(train.joins(), rename, stays),
        Join.renamed(train.coaxials(), rename, stays),
        train.places().stream()
            .filter(place -> stays.test(place.member()))
            .map(place -> new Place(rename.apply(place.member()), place.degrees()))
            .toList(),
        train.pitch(),
        train.roles().renamed(rename, stays),
        train.shifts().renamed(rename, stays),
        train.losses().renamed(rename, stays).ofPairs((a, b) -> isMesh(now, a, b)),
        train.sizes().renamed(rename, stays).ofPairs((a, b) -> isMesh(now, a, b)));
  }

  /** Whether two bodies mesh: what is said of a pair holds only as long as they do. */
  private static boolean isMesh(List<Part> parts, MemberId a, MemberId b) {
    for (Part part : parts) {
      for (Mesh mesh : part.meshes()) {
        Join pair = new Join(part.body(mesh.a()), part.body(mesh.b()));
        if (pair.touches(a) && pair.touches(b)) {
          return true;
        }
      }
    }
    return false;
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
