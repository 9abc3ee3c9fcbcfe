package steadycog.train;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import steadycog.train.Helix.Hand;

/**
 * How the teeth of a train wind: teeth that mesh have one angle, outside of each other opposite
 * hands, in a ring the same. What is stated for one wheel holds for all that mesh with it, directly
 * or by others; the first wheel is right-handed where nothing else is said.
 */
public final class Helices {
  private Helices() {}

  /**
   * Two wheels whose statements do not go together.
   *
   * @param angles whether it is their angles, or halves, not their hands
   */
  public record Contradiction(MemberId one, MemberId other, boolean angles) {}

  /** How the teeth of {@code wheel} wind; straight for teeth that cannot. */
  public static Helix of(Train train, MemberId wheel) {
    if (!any(train)) {
      return Helix.STRAIGHT;
    }
    Part part = train.partOf(wheel);
    if (!part.takesHelix() || part.meshes().stream().noneMatch(mesh -> mesh.touches(wheel))) {
      return Helix.STRAIGHT;
    }
    return Optional.ofNullable(group(train, wheel).get(wheel)).orElse(Helix.STRAIGHT);
  }

  /** {@link Helix#baseCosine} of a wheel's teeth. */
  public static double baseCosine(Train train, MemberId wheel) {
    return of(train, wheel).baseCosine(train.sizes().rackInForce().radians());
  }

  /** Whether any teeth are said to wind. */
  public static boolean any(Train train) {
    return train.sizes().common().helix().isPresent()
        || train.sizes().wheels().values().stream().anyMatch(size -> size.helix().isPresent());
  }

  /** The module of a wheel's teeth at right angles to them, mm; 1 where none is chosen. */
  public static double normalModuleMm(Train train, MemberId wheel) {
    return train.pitch(wheel).map(given -> given.moduleMm().doubleValue()).orElse(1.0);
  }

  /**
   * The same train with {@code wheel} wound so, whatever was said of those that mesh with it; empty
   * for what is said of all.
   */
  public static Train with(Train train, MemberId wheel, Optional<Helix> helix) {
    Sizes sizes = train.sizes();
    for (MemberId one : train.meshing(wheel)) {
      sizes = sizes.with(one, sizes.own(one).withHelix(Optional.empty()));
    }
    return train.withSizes(sizes.with(wheel, sizes.own(wheel).withHelix(helix)));
  }

  /** Statements that do not go together, pair by pair. */
  public static List<Contradiction> contradictions(Train train) {
    List<Contradiction> all = new ArrayList<>();
    for (Map.Entry<MemberId, WheelSize> stated : train.sizes().wheels().entrySet()) {
      Optional<Helix> helix = stated.getValue().helix();
      if (helix.isEmpty()) {
        continue;
      }
      Map<MemberId, Helix> group = group(train, stated.getKey());
      MemberId leader = leader(train, stated.getKey());
      Helix follows = group.getOrDefault(stated.getKey(), Helix.STRAIGHT);
      boolean angles =
          !follows.degrees().equals(helix.get().degrees())
              || follows.isDouble() != helix.get().isDouble()
              || (follows.isDouble() && !follows.groove().equals(helix.get().groove()));
      boolean hands =
          !follows.isStraight()
              && helix.get().hand().isPresent()
              && !helix.get().hand().equals(follows.hand());
      if (angles || hands) {
        all.add(new Contradiction(leader, stated.getKey(), angles));
      }
    }
    return all;
  }

  /** The wheel whose statement the others of its group follow: the first in card order. */
  private static MemberId leader(Train train, MemberId wheel) {
    List<MemberId> meshing = inOrder(train, wheel);
    return meshing.stream()
        .filter(one -> train.sizes().own(one).helix().isPresent())
        .findFirst()
        .orElse(meshing.getFirst());
  }

  private static List<MemberId> inOrder(Train train, MemberId wheel) {
    List<MemberId> meshing = train.meshing(wheel);
    return train.partOf(wheel).members().stream()
        .map(Member::id)
        .filter(meshing::contains)
        .toList();
  }

  /** All that mesh with {@code wheel}, as they follow from the first that is stated. */
  private static Map<MemberId, Helix> group(Train train, MemberId wheel) {
    MemberId leader = leader(train, wheel);
    Optional<Helix> stated = train.sizes().own(leader).helix().or(train.sizes().common()::helix);
    Map<MemberId, Helix> group = new LinkedHashMap<>();
    if (stated.isEmpty()) {
      return group;
    }
    Helix first = stated.get();
    group.put(leader, handed(first, first.hand().orElse(Hand.RIGHT)));
    List<MemberId> reached = new ArrayList<>(List.of(leader));
    for (int k = 0; k < reached.size(); k++) {
      MemberId at = reached.get(k);
      Hand hand = group.getOrDefault(at, first).hand().orElse(Hand.RIGHT);
      for (Mesh mesh : train.partOf(wheel).meshes()) {
        if (mesh.touches(at) && !reached.contains(mesh.other(at))) {
          reached.add(mesh.other(at));
          group.put(mesh.other(at), handed(first, hand.mate(mesh.internal())));
        }
      }
    }
    return group;
  }

  private static Helix handed(Helix helix, Hand hand) {
    return helix.isStraight() ? Helix.STRAIGHT : helix.handed(Optional.of(hand));
  }
}
