package steadycog.notation;

import java.util.Arrays;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;
import steadycog.number.Unit.Dimension;
import steadycog.train.Clearance;
import steadycog.train.Duty;
import steadycog.train.Losses;
import steadycog.train.Material;
import steadycog.train.MeshKind;
import steadycog.train.Screw;
import steadycog.train.ShaftSize;
import steadycog.train.Tolerance;

/**
 * What may follow the word that a statement begins with, for those who complete it as it is typed.
 * Whether a statement is right is decided by reading it, never by this.
 *
 * @param whom what it speaks of
 * @param words the other words that may stand in it
 * @param units of the numbers in it
 */
record Follows(Whom whom, List<String> words, List<Dimension> units) {
  /** What a statement speaks of before it says something. */
  enum Whom {
    NOBODY,
    /** A member, or two joined by a sign. */
    MEMBER,
    /** A mesh, named by its two bodies. */
    MESH
  }

  static final Follows NOTHING = of(Whom.NOBODY, List.of());
  static final Follows MEMBERS = of(Whom.MEMBER, List.of());
  static final List<String> MATERIALS =
      with(words(Material.values(), Material::word), List.of("bending", "contact"));
  static final List<String> LOSSES =
      with(
          words(Losses.Practice.values(), Losses.Practice::word),
          words(MeshKind.values(), MeshKind::word));
  static final List<String> CLEARANCES =
      with(
          words(Clearance.Process.values(), Clearance.Process::word),
          words(Clearance.Gap.values(), Clearance.Gap::word));
  static final List<String> RATINGS =
      with(
          with(words(Duty.Term.values(), Duty.Term::word), List.of("h", "crowned")),
          words(Duty.Mounting.values(), Duty.Mounting::word));
  static final List<String> SHAFTINGS =
      with(
          words(ShaftSize.Term.values(), ShaftSize.Term::word),
          List.of("strength", "yield", "both", "ends"));
  static final List<String> HOUSINGS =
      with(List.of("wall", "bolts", "x"), Screw.usual().stream().map(Screw::name).toList());
  static final List<String> TOLERANCES = words(Tolerance.Of.values(), Tolerance.Of::word);

  static Follows of(Whom whom, List<String> words, Dimension... units) {
    return new Follows(whom, words, List.of(units));
  }

  /** The other words of a part's statement, and lengths in it. */
  static Follows clauses(String words, Dimension... units) {
    return of(Whom.NOBODY, words.isEmpty() ? List.of() : List.of(words.split(" ")), units);
  }

  private static <T> List<String> words(T[] values, Function<T, String> word) {
    return Arrays.stream(values).map(word).toList();
  }

  private static List<String> with(List<String> these, List<String> those) {
    return Stream.concat(these.stream(), those.stream()).toList();
  }
}
