package steadycog.train;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Puts parts together to one train: adds, joins, parts and takes them away. */
public final class PartEdit {
  private static final String FIRST = "main";

  private PartEdit() {}

  /**
   * {@code train} with {@code part} beside what is there, under the first free name from its own.
   */
  public static Edited add(Train train, Part part) {
    return namingFirst(train)
        .then(named -> Edited.sameNames(named.adding(part.named(freeName(named, part.name())))));
  }

  /** What {@code member} is called once the train has several parts. */
  static MemberId inSeveral(MemberId member) {
    return member.part().isEmpty() ? new MemberId(FIRST, member.name()) : member;
  }

  /** The same train with a name for a part that has none, so that others can stand beside it. */
  static Edited namingFirst(Train train) {
    Part old = train.parts().getFirst();
    return old.name().isEmpty()
        ? Edited.replacing(train, old, old.named(FIRST), id -> Optional.of(inSeveral(id)))
        : Edited.sameNames(train);
  }

  /** {@code a} and {@code b} made one body; joined already, they are parted. */
  public static Train toggleJoin(Train train, MemberId a, MemberId b) {
    Join join = new Join(a, b);
    List<Join> joins = new ArrayList<>(train.joins());
    if (!joins.removeIf(old -> old.touches(a) && old.touches(b)) && !a.equals(b)) {
      joins.add(join);
    }
    return train.withJoins(joins);
  }

  /**
   * A wheel on the rim of {@code member}, a ring, carrier or disc, and one that meshes with it.
   *
   * @param rim teeth on the member itself
   * @param mate teeth of the wheel beside it
   */
  public static Edited rim(Train train, MemberId member, Teeth rim, Teeth mate) {
    return namingFirst(train)
        .then(
            named -> {
              String name = freeName(named, "rim");
              Parallel chain = new Parallel(name, List.of(rim, mate), List.of(Parallel.Link.MESH));
              MemberId wheel = new MemberId(name, Parallel.letters(0));
              return Edited.sameNames(toggleJoin(named.adding(chain), inSeveral(member), wheel));
            });
  }

  /** The train without the part that {@code member} is of; the last part stays. */
  public static Edited removePart(Train train, MemberId member) {
    return train.parts().size() == 1
        ? Edited.sameNames(train)
        : new Edited(
            train.without(train.partOf(member)),
            id -> id.part().equals(member.part()) ? Optional.empty() : Optional.of(id));
  }

  static String freeName(Train train, String base) {
    String name = base;
    for (int k = 2; isTaken(train, name); k++) {
      name = base + k;
    }
    return name;
  }

  private static boolean isTaken(Train train, String name) {
    return train.parts().stream().anyMatch(part -> part.name().equals(name));
  }
}
