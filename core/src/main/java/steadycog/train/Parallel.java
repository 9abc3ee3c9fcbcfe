package steadycog.train;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Wheels on fixed parallel axes in a chain, each meshing with or keyed to the one before it: simple
 * trains with idlers, compound trains, internal wheels.
 *
 * @param wheels at least one, named A, B … Z, AA, AB … in order
 * @param links how wheel k+1 is tied to wheel k; one fewer than wheels
 */
public record Parallel(String name, List<Teeth> wheels, List<Link> links) implements Part {

  /** How a wheel is tied to the one before it. */
  public enum Link {
    /** Their teeth touch. */
    MESH,
    /** They share a shaft. */
    SHAFT
  }

  public Parallel {
    wheels = List.copyOf(wheels);
    links = List.copyOf(links);
    if (wheels.isEmpty() || links.size() != wheels.size() - 1) {
      throw new IllegalArgumentException(
          wheels.size() + " wheels need one link fewer, not " + links.size());
    }
    for (int k = 0; k < links.size(); k++) {
      if (links.get(k) == Link.MESH && wheels.get(k).internal() && wheels.get(k + 1).internal()) {
        throw new IllegalArgumentException(
            "two internal wheels cannot mesh: " + letters(k) + ", " + letters(k + 1));
      }
    }
  }

  /** Names that are asked for again and again: of as many wheels as anybody puts in a chain. */
  private static final List<String> LETTERS =
      IntStream.range(0, 1000).mapToObj(Parallel::spelled).toList();

  /** The name of wheel {@code index} (from 0): A … Z, AA, AB … */
  public static String letters(int index) {
    return index < LETTERS.size() ? LETTERS.get(index) : spelled(index);
  }

  private static String spelled(int index) {
    String last = String.valueOf((char) ('A' + index % 26));
    return index < 26 ? last : spelled(index / 26 - 1) + last;
  }

  @Override
  public Parallel named(String changed) {
    return new Parallel(changed, wheels, links);
  }

  @Override
  public List<Member> members() {
    List<Member> all = new ArrayList<>(wheels.size());
    for (int k = 0; k < wheels.size(); k++) {
      all.add(wheel(k));
    }
    return all;
  }

  /** Asked for again and again where many counts are tried: only the one is made. */
  @Override
  public Optional<Member> member(MemberId id) {
    int index = find(id);
    return index < 0 ? Optional.empty() : Optional.of(wheel(index));
  }

  private Member wheel(int index) {
    return new Member(id(index), Optional.of(wheels.get(index)));
  }

  @Override
  public List<Mesh> meshes() {
    List<Mesh> all = new ArrayList<>();
    for (int k = 0; k < links.size(); k++) {
      if (links.get(k) == Link.MESH) {
        all.add(new Mesh(id(k), wheels.get(k), id(k + 1), wheels.get(k + 1), Optional.empty()));
      }
    }
    return all;
  }

  @Override
  public List<Join> keyed() {
    List<Join> all = new ArrayList<>();
    for (int k = 0; k < links.size(); k++) {
      if (links.get(k) == Link.SHAFT) {
        all.add(new Join(id(k), id(k + 1)));
      }
    }
    return all;
  }

  @Override
  public List<Join> inLine() {
    return List.of();
  }

  @Override
  public List<MemberId> shafts() {
    return members().stream().map(Member::id).toList();
  }

  @Override
  public boolean involute() {
    return true;
  }

  @Override
  public boolean takesShift(MemberId wheel) {
    return true;
  }

  @Override
  public boolean isChain() {
    return true;
  }

  @Override
  public boolean takesHelix() {
    return true;
  }

  @Override
  public boolean takesDistance() {
    return true;
  }

  @Override
  public Optional<Ends> usualEnds() {
    return wheels.size() < 2
        ? Optional.empty()
        : Optional.of(new Ends(id(0), id(wheels.size() - 1)));
  }

  @Override
  public Parallel withTeeth(MemberId member, Teeth teeth) {
    List<Teeth> changed = new ArrayList<>(wheels);
    changed.set(indexOf(member), teeth);
    return new Parallel(name, changed, links);
  }

  /** Which wheel {@code member} is, from 0. */
  public int indexOf(MemberId member) {
    int index = find(member);
    if (index < 0) {
      throw new IllegalArgumentException("no member " + member);
    }
    return index;
  }

  /** The place of a wheel in the chain, or -1. */
  private int find(MemberId member) {
    for (int k = 0; k < wheels.size() && name.equals(member.part()); k++) {
      if (letters(k).equals(member.name())) {
        return k;
      }
    }
    return -1;
  }

  private MemberId id(int index) {
    return new MemberId(name, letters(index));
  }
}
