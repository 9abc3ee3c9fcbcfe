package steadycog.gearbox;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import steadycog.assembly.Assembly;
import steadycog.assembly.Collision;
import steadycog.motion.FreeMotion;
import steadycog.number.Figures;
import steadycog.number.Pace;
import steadycog.piece.Piece;
import steadycog.train.Member;
import steadycog.train.MemberId;

/**
 * Whether a gearbox goes together, on its material: no two bodies overlap at any position of the
 * crank that is tried, every piece reaches its place along a straight line in some order, nothing
 * is loose along the axes, and what turns is carried at two places or one wide one.
 *
 * @param order in which it goes together
 * @param problems in words; none where it does
 */
public record Proof(List<Move> order, List<String> problems) {
  /** Positions of the crank that are tried. */
  public static final int POSITIONS = 12;

  /** A bush so long, in its diameter, carries alone. */
  private static final double WIDE = 0.6;

  private static final int MOST_ALIKE = 5;

  public Proof {
    order = List.copyOf(order);
    problems = List.copyOf(problems);
  }

  /** The same with what brings its problems about before them. */
  Proof because(List<String> errors) {
    return new Proof(order, Stream.concat(errors.stream(), problems.stream()).toList());
  }

  public boolean holds() {
    return problems.isEmpty();
  }

  /** Cost: all pairs of bodies that are near each other, at every position. */
  public static Proof of(Gearbox box, Pace pace) {
    List<String> problems = new ArrayList<>();
    Assembly assembly = Assembly.of(box.train(), box.pieces(), pace);
    assembly
        .unmade()
        .forEach((piece, why) -> problems.add(piece.name() + " cannot be made: " + why));
    if (problems.isEmpty()) {
      assembly.collisions(POSITIONS, pace).stream().map(Proof::says).forEach(problems::add);
    }
    box.unknown().stream()
        .map(name -> "leave out " + name + ": no piece is called so; take a name of the bill")
        .forEach(problems::add);
    Moves moves = new Moves(List.of(), List.of());
    if (problems.isEmpty()) {
      List<Item> items = Item.all(box, Assembly.chord(box.train()));
      Meeting meeting = new Meeting();
      moves = Moves.of(items, meeting, pace);
      problems.addAll(moves.stuck());
      FreeMotion motion = box.motion();
      Set<MemberId> still = still(box, motion);
      problems.addAll(new Holding(items, meeting, still).loose());
      problems.addAll(uncarried(box, motion, still));
    }
    return new Proof(
        moves.moves(), problems.size() > MOST_ALIKE ? problems.subList(0, MOST_ALIKE) : problems);
  }

  private static String says(Collision one) {
    return one.a().name()
        + " and "
        + one.b().name()
        + " are in one place, "
        + Figures.significant(one.depth(), 2)
        + " mm deep, "
        + Figures.significant(one.radius(), 3)
        + " mm from the axis of "
        + one.a().name();
  }

  private static Set<MemberId> still(Gearbox box, FreeMotion motion) {
    return box.train().members().stream()
        .map(Member::id)
        .filter(motion::isStill)
        .collect(Collectors.toSet());
  }

  /** What turns and is carried at less than two places, none of them wide. */
  private static List<String> uncarried(Gearbox box, FreeMotion motion, Set<MemberId> still) {
    Map<MemberId, List<Support>> at = new LinkedHashMap<>();
    box.supports()
        .forEach(one -> at.computeIfAbsent(one.member(), n -> new ArrayList<>()).add(one));
    List<String> all = new ArrayList<>();
    Set<MemberId> seen = new HashSet<>();
    for (Component component : box.components()) {
      MemberId member = component.member();
      if (member.equals(Piece.FRAME) || still.contains(member) || !seen.add(member)) {
        continue;
      }
      List<Support> own =
          at.entrySet().stream()
              .filter(one -> motion.turnAsOne(one.getKey(), member))
              .flatMap(one -> one.getValue().stream())
              .toList();
      boolean wide = own.stream().anyMatch(one -> one.to() - one.from() >= WIDE * 2 * one.radius());
      if (own.size() < 2 && !wide) {
        all.add(member + " is carried at " + (own.isEmpty() ? "no place" : "one narrow place"));
      }
    }
    return all;
  }
}
