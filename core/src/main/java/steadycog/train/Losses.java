package steadycog.train;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiPredicate;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;
import steadycog.number.Known;

/**
 * What a card says about the losses of meshes. An efficiency is that of one mesh as if its carrier
 * stood still, above 0 and at most 1. The nearest word counts: that of the mesh itself, then the
 * coefficient of friction, then that of the kind of mesh, then the practice.
 *
 * @param practice how the gears are made and run; empty where nothing is said, which means {@link
 *     Practice#OILED}
 * @param kinds efficiencies by the kind of mesh
 * @param meshes efficiencies of single meshes, at most one a mesh
 * @param friction coefficient of friction between teeth, 0 to below 1, from which the efficiencies
 *     of involute and bevel teeth are estimated
 */
public record Losses(
    Optional<Practice> practice,
    Map<MeshKind, BigFraction> kinds,
    List<OfMesh> meshes,
    Optional<BigFraction> friction) {
  /** Nothing said. */
  public static final Losses UNSTATED =
      new Losses(Optional.empty(), Map.of(), List.of(), Optional.empty());

  /**
   * How gears are made and run, with the efficiencies to expect of each kind of mesh. Those of
   * oiled and of printed involute teeth, pins and tooth zones are usual textbook figures (Niemann
   * &amp; Winter, <i>Maschinenelemente II</i>; Müller, <i>Epicyclic Drive Trains</i>); greased ones
   * and printed bevels and flexsplines are set between or beside them by judgement.
   */
  public enum Practice {
    /** Without losses. */
    IDEAL("ideal", "no losses", "1", "1", "1", "1", "1"),
    /** Cut steel in oil. */
    OILED("oiled", "cut and oiled", "0.985", "0.99", "0.98", "0.985", "0.9975"),
    /** Cut or moulded, greased. */
    GREASED("greased", "greased", "0.97", "0.98", "0.965", "0.975", "0.996"),
    /** Printed, dry. */
    PRINTED("printed", "printed, dry", "0.93", "0.95", "0.92", "0.95", "0.99");

    private final String word;
    private final String says;
    private final Map<MeshKind, BigFraction> usual = new EnumMap<>(MeshKind.class);

    Practice(String word, String says, String... efficiencies) {
      this.word = word;
      this.says = says;
      for (MeshKind kind : MeshKind.values()) {
        usual.put(kind, Exact.parse(efficiencies[kind.ordinal()]));
      }
    }

    /** The word on a card: {@code oiled}. */
    public String word() {
      return word;
    }

    /** What it is in words: {@code cut and oiled}. */
    public String says() {
      return says;
    }

    /** The efficiency to expect of a kind of mesh. */
    public BigFraction usual(MeshKind kind) {
      return Known.in(usual, kind);
    }

    public static Optional<Practice> of(String word) {
      String lower = word.toLowerCase(Locale.ROOT);
      return Arrays.stream(values()).filter(one -> one.word.equals(lower)).findFirst();
    }
  }

  /** The efficiency of every mesh of the bodies {@code a} and {@code b}. */
  public record OfMesh(MemberId a, MemberId b, BigFraction efficiency) {
    public OfMesh {
      requireEfficiency(efficiency);
    }

    /** Whether it speaks of a mesh of these two bodies. */
    public boolean isOf(MemberId one, MemberId other) {
      return (a.equals(one) && b.equals(other)) || (a.equals(other) && b.equals(one));
    }
  }

  public Losses {
    Map<MeshKind, BigFraction> sorted = new EnumMap<>(MeshKind.class);
    sorted.putAll(kinds);
    sorted.values().forEach(Losses::requireEfficiency);
    kinds = Collections.unmodifiableMap(sorted);
    List<OfMesh> ordered = new ArrayList<>(meshes);
    ordered.sort(Comparator.comparing(one -> one.a + "~" + one.b));
    meshes = List.copyOf(ordered);
    friction.ifPresent(
        mu -> {
          if (mu.signum() < 0 || mu.compareTo(BigFraction.ONE) >= 0) {
            throw new IllegalArgumentException(
                "friction " + Exact.plain(mu) + ": expected 0 to below 1, as 0.06");
          }
        });
  }

  private static void requireEfficiency(BigFraction efficiency) {
    if (efficiency.signum() <= 0 || efficiency.compareTo(BigFraction.ONE) > 0) {
      throw new IllegalArgumentException(
          "efficiency "
              + Exact.plain(efficiency)
              + ": expected above 0 and at most 1, as 0.985 or 98.5%");
    }
  }

  /** Only a practice said. */
  public static Losses of(Practice practice) {
    return new Losses(Optional.of(practice), Map.of(), List.of(), Optional.empty());
  }

  /** Whether nothing is said, so that everything is assumed. */
  public boolean unstated() {
    return equals(UNSTATED);
  }

  /** The practice stated, or the one assumed. */
  public Practice practiceInForce() {
    return practice.orElse(Practice.OILED);
  }

  /**
   * These words and {@code more} together.
   *
   * @throws IllegalArgumentException where both speak of the same thing
   */
  public Losses and(Losses more) {
    if (practice.isPresent() && more.practice.isPresent()) {
      throw new IllegalArgumentException("a second practice: " + more.practice.get().word);
    }
    if (friction.isPresent() && more.friction.isPresent()) {
      throw new IllegalArgumentException("a second friction: leave one");
    }
    Map<MeshKind, BigFraction> both = new EnumMap<>(MeshKind.class);
    both.putAll(kinds);
    more.kinds.forEach(
        (kind, efficiency) -> {
          if (both.put(kind, efficiency) != null) {
            throw new IllegalArgumentException("a second efficiency of " + kind.word() + " meshes");
          }
        });
    List<OfMesh> all = new ArrayList<>(meshes);
    for (OfMesh one : more.meshes) {
      if (all.stream().anyMatch(old -> old.isOf(one.a, one.b))) {
        throw new IllegalArgumentException("a second efficiency of " + one.a + " ~ " + one.b);
      }
      all.add(one);
    }
    return new Losses(practice.or(more::practice), both, all, friction.or(more::friction));
  }

  /** The same with another practice, and nothing of what was said of kinds of mesh or friction. */
  public Losses with(Practice changed) {
    return new Losses(Optional.of(changed), Map.of(), meshes, Optional.empty());
  }

  /** The same with the efficiency of a mesh; empty takes back what was said of it. */
  public Losses with(MemberId a, MemberId b, Optional<BigFraction> efficiency) {
    List<OfMesh> all = new ArrayList<>();
    boolean found = false;
    for (OfMesh old : meshes) {
      if (old.isOf(a, b)) {
        efficiency.ifPresent(value -> all.add(new OfMesh(old.a, old.b, value)));
        found = true;
      } else {
        all.add(old);
      }
    }
    if (!found && efficiency.isPresent()) {
      all.add(new OfMesh(a, b, efficiency.get()));
    }
    return new Losses(practice, kinds, all, friction);
  }

  /** What is said of no single mesh, for another train. */
  public Losses ofKinds() {
    return new Losses(practice, kinds, List.of(), friction);
  }

  /** The same with a coefficient of friction, or without. */
  public Losses withFriction(Optional<BigFraction> changed) {
    return new Losses(practice, kinds, meshes, changed);
  }

  /** Of these words those about what {@code other} speaks of as well. */
  public Losses about(Losses other) {
    return filtered(other, true);
  }

  /** Of these words those about what {@code other} does not speak of. */
  public Losses notAbout(Losses other) {
    return filtered(other, false);
  }

  private Losses filtered(Losses other, boolean shared) {
    Map<MeshKind, BigFraction> some = new EnumMap<>(MeshKind.class);
    kinds.forEach(
        (kind, efficiency) -> {
          if (other.kinds.containsKey(kind) == shared) {
            some.put(kind, efficiency);
          }
        });
    return new Losses(
        practice.filter(one -> other.practice.isPresent() == shared),
        some,
        meshes.stream()
            .filter(one -> other.meshes.stream().anyMatch(m -> m.isOf(one.a, one.b)) == shared)
            .toList(),
        friction.filter(mu -> other.friction.isPresent() == shared));
  }

  /** Every member that something is said about. */
  public List<MemberId> members() {
    List<MemberId> all = new ArrayList<>();
    meshes.forEach(one -> all.addAll(List.of(one.a, one.b)));
    return all;
  }

  /** The same without what is said of pairs that do not mesh. */
  Losses ofPairs(BiPredicate<MemberId, MemberId> meshing) {
    return new Losses(
        practice,
        kinds,
        meshes.stream().filter(one -> meshing.test(one.a, one.b)).toList(),
        friction);
  }

  /** The same for members under other names; without what is said of those that do not stay. */
  public Losses renamed(UnaryOperator<MemberId> rename, Predicate<MemberId> stays) {
    return new Losses(
        practice,
        kinds,
        meshes.stream()
            .filter(one -> stays.test(one.a) && stays.test(one.b))
            .map(one -> new OfMesh(rename.apply(one.a), rename.apply(one.b), one.efficiency))
            .toList(),
        friction);
  }
}
