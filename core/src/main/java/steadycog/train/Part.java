package steadycog.train;

import java.util.List;
import java.util.Optional;

/** One gear set: its members, and what ties them together inside the set. */
public sealed interface Part
    permits Parallel, Planetary, Cycloidal, StrainWave, Bevel, Differential, Shaft {

  /** The name on the card, or "" for an unnamed part. */
  String name();

  /** The same part under another name. */
  Part named(String changed);

  /** Every member, in the order of the card. */
  List<Member> members();

  /** The member of that address; empty where it has none. */
  default Optional<Member> member(MemberId id) {
    return members().stream().filter(member -> member.id().equals(id)).findFirst();
  }

  /** Every toothed contact, in the order of the card. */
  List<Mesh> meshes();

  /** What kind of contact one of its meshes is. */
  default MeshKind kind(Mesh mesh) {
    return mesh.internal() ? MeshKind.INTERNAL : MeshKind.EXTERNAL;
  }

  /** The contacts in a row that one of its meshes stands for: itself, as a rule. */
  default List<Mesh> contacts(Mesh mesh) {
    return List.of(mesh);
  }

  /** Members keyed to one another inside the part. */
  default List<Join> keyed() {
    return List.of();
  }

  /** Members whose axes are in line without being one body. */
  List<Join> inLine();

  /** Whether all that can be reached from outside is on one axis. */
  default boolean isCentred() {
    return !inLine().isEmpty();
  }

  /**
   * Whether it is a chain of wheels on axes that stand apart: one that is lengthened, shortened and
   * laid out wheel by wheel.
   */
  default boolean isChain() {
    return false;
  }

  /** How many rows of wheels lie one behind the other on the same axes. */
  default int rowCount() {
    return 1;
  }

  /** The row in which {@code member} lies, from 0 at the drive end; 0 for what is in no row. */
  default int row(MemberId member) {
    return 0;
  }

  /** Whether its teeth are of a module or diametral pitch. */
  default boolean takesModule() {
    return !meshes().isEmpty();
  }

  /** The members that a shaft can reach from outside, in the order of the card. */
  List<MemberId> shafts();

  /**
   * The member whose name the body of {@code wheel} goes by: itself, unless it is a wheel in
   * another row of a body that has a name already.
   */
  default MemberId body(MemberId wheel) {
    return wheel;
  }

  /** How many equal wheels {@code member} stands for: the planets of a set count as one member. */
  default int copies(MemberId member) {
    return 1;
  }

  /** Whether its teeth are involutes cut by a rack, so that the rules for such pairs apply. */
  boolean involute();

  /** Whether a profile shift of one of its wheels can be chosen freely. */
  default boolean takesShift(MemberId wheel) {
    return false;
  }

  /** Whether the axes of its meshing wheels can stand where a card says. */
  default boolean takesDistance() {
    return false;
  }

  /** Whether its teeth can wind round their wheels: involutes on parallel axes. */
  default boolean takesHelix() {
    return false;
  }

  /** Why a shift cannot be chosen, for a message. */
  default String noShift() {
    return "only involute spur teeth are shifted";
  }

  /**
   * What a card without {@code drive} and {@code take} means; empty where a hold must be chosen.
   */
  default Optional<Ends> usualEnds() {
    return Optional.empty();
  }

  /**
   * The same part with another tooth count on one of its wheels; a wheel that is internal or
   * external by its kind stays so.
   */
  Part withTeeth(MemberId member, Teeth teeth);
}
