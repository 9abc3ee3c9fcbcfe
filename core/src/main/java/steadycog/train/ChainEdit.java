package steadycog.train;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import steadycog.train.Parallel.Link;

/**
 * Changes the wheels of a chain. Wheels are named by their order, so joins, roles and all that is
 * said about a wheel follow it to its new name; what is said about a wheel that goes, goes with it.
 */
public final class ChainEdit {
  private ChainEdit() {}

  /** Puts a wheel after {@code member} in its chain, tied to it and to what followed by meshes. */
  public static Edited insertAfter(Train train, MemberId member, Teeth teeth) {
    Parallel chain = chain(train, member);
    int at = chain.indexOf(member) + 1;
    return insert(train, chain, at, teeth, Link.MESH, Optional.of(Link.MESH));
  }

  /**
   * Keys a wheel to {@code member}'s shaft: in place before whatever the member is tied to next,
   * which the new wheel takes over.
   */
  public static Edited keyTo(Train train, MemberId member, Teeth teeth) {
    Parallel chain = chain(train, member);
    int index = chain.indexOf(member);
    boolean last = index == chain.wheels().size() - 1;
    Optional<Link> next = last ? Optional.empty() : Optional.of(chain.links().get(index));
    return insert(train, chain, index + 1, teeth, Link.SHAFT, next);
  }

  /** Adds a wheel meshing with {@code member}: at the chain's end, or as a branch of its own. */
  public static Edited meshWith(Train train, MemberId member, Teeth teeth) {
    Parallel chain = chain(train, member);
    boolean last = chain.indexOf(member) == chain.wheels().size() - 1;
    return last
        ? insert(train, chain, chain.wheels().size(), teeth, Link.MESH, Optional.empty())
        : branch(train, member, teeth);
  }

  /**
   * A second chain from {@code member}'s shaft: a wheel like the member's, and one that meshes with
   * it.
   */
  public static Edited branch(Train train, MemberId member, Teeth teeth) {
    MemberId from = PartEdit.inSeveral(member);
    return PartEdit.namingFirst(train)
        .then(
            named -> {
              String name = PartEdit.freeName(named, "branch");
              Teeth twin = chain(named, from).wheels().get(chain(named, from).indexOf(from));
              Parallel second = new Parallel(name, List.of(twin, teeth), List.of(Link.MESH));
              List<Join> joins = new ArrayList<>(named.joins());
              joins.add(new Join(from, new MemberId(name, Parallel.letters(0))));
              return Edited.sameNames(named.adding(second).withJoins(joins));
            });
  }

  /**
   * Takes {@code member} out; its neighbours are tied to each other, by mesh unless it was keyed to
   * both. Empty where that cannot be: it is the only wheel, or two internal wheels would have to
   * mesh.
   */
  public static Optional<Edited> remove(Train train, MemberId member) {
    Parallel chain = chain(train, member);
    int at = chain.indexOf(member);
    List<Teeth> wheels = new ArrayList<>(chain.wheels());
    wheels.remove(at);
    if (wheels.isEmpty()) {
      return Optional.empty();
    }
    List<Link> links = new ArrayList<>(chain.links());
    if (at == 0) {
      links.removeFirst();
    } else {
      Link before = links.remove(at - 1);
      if (at - 1 < links.size()) {
        boolean both = before == Link.SHAFT && links.get(at - 1) == Link.SHAFT;
        links.set(at - 1, both ? Link.SHAFT : Link.MESH);
      }
    }
    try {
      Parallel shorter = new Parallel(chain.name(), wheels, links);
      return Optional.of(
          Edited.replacing(
              train,
              chain,
              shorter,
              id ->
                  id.equals(member) ? Optional.empty() : Optional.of(shifted(chain, id, at, -1))));
    } catch (IllegalArgumentException twoRings) {
      return Optional.empty();
    }
  }

  private static Edited insert(
      Train train, Parallel chain, int at, Teeth teeth, Link before, Optional<Link> after) {
    List<Teeth> wheels = new ArrayList<>(chain.wheels());
    wheels.add(at, teeth);
    List<Link> links = new ArrayList<>(chain.links());
    links.add(at - 1, before);
    if (at < links.size()) {
      links.set(at, after.orElse(Link.MESH));
    }
    Parallel longer = new Parallel(chain.name(), wheels, links);
    return Edited.replacing(train, chain, longer, id -> Optional.of(shifted(chain, id, at - 1, 1)));
  }

  /**
   * The name that {@code id} has once the wheels behind {@code index} have moved by {@code step}.
   */
  private static MemberId shifted(Parallel chain, MemberId id, int index, int step) {
    if (!id.part().equals(chain.name())) {
      return id;
    }
    int old = chain.indexOf(id);
    return old > index ? new MemberId(chain.name(), Parallel.letters(old + step)) : id;
  }

  private static Parallel chain(Train train, MemberId member) {
    return train
        .partOf(member, Parallel.class)
        .orElseThrow(() -> new IllegalArgumentException("no chain with " + member));
  }
}
