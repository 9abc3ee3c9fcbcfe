package steadycog.train;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import steadycog.number.Units;

/**
 * A whole train as it stands on the bench: parts, what joins them, and the roles of their members.
 *
 * @param parts at least one; with several, each has a name of its own
 * @param joins members of (usually different) parts that are one body
 * @param coaxials members whose axes are in line without being one body, as input and output of a
 *     reverted train
 * @param places where shafts are wanted in the drawing; at most one a member
 * @param pitch the size of all teeth, where it is chosen already
 * @param roles those that hold in every state
 * @param shifts brakes, clutches and the states that they make
 * @param losses what is said about the losses of meshes
 * @param sizes what is said about sizes beside the pitch
 */
public record Train(
    List<Part> parts,
    List<Join> joins,
    List<Join> coaxials,
    List<Place> places,
    Optional<Pitch> pitch,
    Roles roles,
    ShiftPlan shifts,
    Losses losses,
    Sizes sizes) {

  public Train {
    parts = List.copyOf(parts);
    joins = List.copyOf(joins);
    coaxials = List.copyOf(coaxials);
    places = List.copyOf(places);
    requireNames(parts);
    Set<MemberId> known = new LinkedHashSet<>();
    parts.forEach(part -> part.members().forEach(member -> known.add(member.id())));
    joins.forEach(join -> requireKnown(known, List.of(join.a(), join.b())));
    coaxials.forEach(pair -> requireKnown(known, List.of(pair.a(), pair.b())));
    places.forEach(place -> requireKnown(known, List.of(place.member())));
    requireKnown(known, roles.members());
    for (State state : shifts.states()) {
      requireKnown(known, together(roles, state).members());
    }
    shifts.declared().forEach(element -> requireKnown(known, element.members()));
    requireKnown(known, losses.members());
    requireKnown(known, sizes.members());
    requireShifts(parts, known, sizes);
  }

  private static void requireShifts(List<Part> parts, Set<MemberId> members, Sizes sizes) {
    for (MemberId member : members) {
      Optional<Part> part = sizes.shift(member).map(shift -> partOf(parts, member));
      if (part.isPresent() && !part.get().takesShift(member)) {
        throw new IllegalArgumentException(
            "shift " + member + ": " + part.get().noShift() + "; leave it out");
      }
    }
  }

  private static Roles together(Roles everywhere, State state) {
    try {
      return everywhere.and(state.roles());
    } catch (IllegalArgumentException conflict) {
      throw new IllegalArgumentException(
          "in state " + state.name() + " " + conflict.getMessage(), conflict);
    }
  }

  /** A train that runs in one way only and of whose losses and sizes nothing is said. */
  public Train(
      List<Part> parts,
      List<Join> joins,
      List<Join> coaxials,
      List<Place> places,
      Optional<Pitch> pitch,
      Roles roles) {
    this(
        parts,
        joins,
        coaxials,
        places,
        pitch,
        roles,
        ShiftPlan.NONE,
        Losses.UNSTATED,
        Sizes.UNSTATED);
  }

  /** Parts with nothing said about them yet. */
  public static Train of(List<? extends Part> parts) {
    return new Train(
        List.copyOf(parts), List.of(), List.of(), List.of(), Optional.empty(), Roles.NONE);
  }

  private static void requireNames(List<Part> parts) {
    if (parts.isEmpty()) {
      throw new IllegalArgumentException("a train needs at least one part");
    }
    Set<String> names = new HashSet<>();
    for (Part part : parts) {
      if (part.name().isEmpty() && parts.size() > 1) {
        throw new IllegalArgumentException("with several parts each needs a name");
      }
      if (!names.add(part.name())) {
        throw new IllegalArgumentException("two parts named " + part.name());
      }
    }
  }

  private static void requireKnown(Set<MemberId> known, List<MemberId> members) {
    for (MemberId member : members) {
      if (!known.contains(member)) {
        throw new IllegalArgumentException("no member " + member);
      }
    }
  }

  /** Every member of every part, in the order of the card. */
  public List<Member> members() {
    List<Member> all = new ArrayList<>();
    parts.forEach(part -> all.addAll(part.members()));
    return all;
  }

  public List<Mesh> meshes() {
    List<Mesh> all = new ArrayList<>();
    parts.forEach(part -> all.addAll(part.meshes()));
    return all;
  }

  /** Meshes of involute teeth. */
  public List<Mesh> involuteMeshes() {
    return meshes().stream().filter(mesh -> partOf(mesh.a()).involute()).toList();
  }

  /** Members with involute teeth. */
  public List<Member> involuteWheels() {
    return members().stream()
        .filter(member -> member.teeth().isPresent() && partOf(member.id()).involute())
        .toList();
  }

  public List<Join> keyed() {
    List<Join> all = new ArrayList<>();
    parts.forEach(part -> all.addAll(part.keyed()));
    return all;
  }

  /** Members whose axes are in line without being one body: stated, or by their part's kind. */
  public List<Join> inLine() {
    List<Join> all = new ArrayList<>(coaxials);
    parts.forEach(part -> all.addAll(part.inLine()));
    return all;
  }

  /** Whether more than one of its parts is a set, drive or differential: has members in line. */
  public boolean hasSeveralSets() {
    return parts.stream().filter(part -> !part.inLine().isEmpty()).count() > 1;
  }

  /** What kind of contact one of its meshes is. */
  public MeshKind kind(Mesh mesh) {
    return partOf(mesh.a()).kind(mesh);
  }

  /** Whether a member of it goes by this name. */
  public boolean has(MemberId id) {
    return members().stream().anyMatch(member -> member.id().equals(id));
  }

  /** The member of that address. */
  public Member member(MemberId id) {
    return partOf(id).member(id).orElseThrow(() -> new IllegalArgumentException("no member " + id));
  }

  /** What is said of the size of {@code wheel}: of itself, of its body, or of all wheels. */
  public WheelSize size(MemberId wheel) {
    MemberId body = partOf(wheel).body(wheel);
    return sizes.own(wheel).or(sizes.own(body)).or(sizes.common());
  }

  /**
   * The size of a wheel's teeth: as stated for it or for any wheel that meshes with it, directly or
   * by others, else that of all teeth; empty where none is chosen.
   */
  public Optional<Pitch> pitch(MemberId wheel) {
    if (!hasOwnPitches()) {
      return pitch;
    }
    return meshing(wheel).stream()
        .flatMap(one -> sizes.own(one).pitch().stream())
        .findFirst()
        .or(() -> pitch);
  }

  /** A wheel and all that mesh with it, directly or by others: their teeth are of one size. */
  public List<MemberId> meshing(MemberId wheel) {
    List<MemberId> meshing = new ArrayList<>(List.of(wheel));
    List<Mesh> meshes = partOf(wheel).meshes();
    for (int k = 0; k < meshing.size(); k++) {
      MemberId at = meshing.get(k);
      for (Mesh mesh : meshes) {
        if (mesh.touches(at) && !meshing.contains(mesh.other(at))) {
          meshing.add(mesh.other(at));
        }
      }
    }
    return meshing;
  }

  /** The same with another size of the teeth of a wheel and all that mesh with it. */
  public Train withPitch(MemberId wheel, Optional<Pitch> own) {
    Sizes changed = sizes;
    for (MemberId one : meshing(wheel)) {
      changed = changed.with(one, changed.own(one).withPitch(Optional.empty()));
    }
    return withSizes(changed.with(wheel, changed.own(wheel).withPitch(own)));
  }

  /** Whether a size of teeth is stated for less than all of them. */
  public boolean hasOwnPitches() {
    return sizes.wheels().values().stream().anyMatch(size -> size.pitch().isPresent());
  }

  /** Whether any size of teeth is chosen, so that lengths are known. */
  public boolean isSized() {
    return pitch.isPresent() || hasOwnPitches();
  }

  /** The module of all teeth for which no other is stated, mm; 1 where none is chosen. */
  public double moduleMm() {
    return pitch.map(given -> given.moduleMm().doubleValue()).orElse(1.0);
  }

  /**
   * The module of a wheel's teeth in the plane of rotation, mt = mn / cos b, mm: diameters are its
   * multiples. Of 1 where none is chosen.
   */
  public double moduleMm(MemberId wheel) {
    return Helices.normalModuleMm(this, wheel) / Helices.of(this, wheel).cosine();
  }

  /** The part that {@code member} belongs to. */
  public Part partOf(MemberId member) {
    return partOf(parts, member);
  }

  private static Part partOf(List<Part> parts, MemberId member) {
    for (Part part : parts) {
      if (part.name().equals(member.part())) {
        return part;
      }
    }
    throw new IllegalArgumentException("no member " + member);
  }

  /** Its parts of one kind, for what concerns that kind alone, in the order of the card. */
  public <P extends Part> List<P> parts(Class<P> kind) {
    return parts.stream().filter(kind::isInstance).map(kind::cast).toList();
  }

  /** The part that {@code member} belongs to where it is of that kind. */
  public <P extends Part> Optional<P> partOf(MemberId member, Class<P> kind) {
    return Optional.of(partOf(member)).filter(kind::isInstance).map(kind::cast);
  }

  /** The same train with its teeth given a size. */
  public Train sized(Pitch changed) {
    return new Train(
        parts, joins, coaxials, places, Optional.of(changed), roles, shifts, losses, sizes);
  }

  public Train withRoles(Roles changed) {
    return new Train(parts, joins, coaxials, places, pitch, changed, shifts, losses, sizes);
  }

  /** The same train with something else said about its losses. */
  public Train withLosses(Losses changed) {
    return new Train(parts, joins, coaxials, places, pitch, roles, shifts, changed, sizes);
  }

  /** The same train with something else said about its sizes. */
  public Train withSizes(Sizes changed) {
    return new Train(parts, joins, coaxials, places, pitch, roles, shifts, losses, changed);
  }

  /** The same train with another plan of its states; shares of the time go with their states. */
  public Train withShifts(ShiftPlan changed) {
    Sizes kept = sizes.withDuty(sizes.duty().of(shifts.names(), changed.names()));
    return new Train(parts, joins, coaxials, places, pitch, roles, changed, losses, kept);
  }

  /** The same train with other members joined. */
  public Train withJoins(List<Join> changed) {
    return new Train(parts, changed, coaxials, places, pitch, roles, shifts, losses, sizes);
  }

  /** The same train with one part more, behind the others. */
  public Train adding(Part part) {
    List<Part> more = new ArrayList<>(parts);
    more.add(part);
    return new Train(more, joins, coaxials, places, pitch, roles, shifts, losses, sizes);
  }

  /** The train as it runs in {@code state}, its roles and the state's together, with no plan. */
  public Train in(State state) {
    return new Train(
        parts,
        joins,
        coaxials,
        places,
        pitch,
        roles.and(state.roles()),
        ShiftPlan.NONE,
        losses,
        sizes);
  }

  /** The same train with {@code part} in place of the one of that name. */
  public Train withPart(Part part) {
    return new Train(
        parts.stream().map(old -> old.name().equals(part.name()) ? part : old).toList(),
        joins,
        coaxials,
        places,
        pitch,
        roles,
        shifts,
        losses,
        sizes);
  }

  /** The same train without one of its parts and whatever is said about its members. */
  public Train without(Part gone) {
    Predicate<MemberId> stays = id -> !id.part().equals(gone.name());
    return new Train(
        parts.stream().filter(part -> !part.equals(gone)).toList(),
        Join.renamed(joins, UnaryOperator.identity(), stays),
        Join.renamed(coaxials, UnaryOperator.identity(), stays),
        places.stream().filter(place -> stays.test(place.member())).toList(),
        pitch,
        roles.renamed(UnaryOperator.identity(), stays),
        shifts.renamed(UnaryOperator.identity(), stays),
        losses.renamed(UnaryOperator.identity(), stays),
        sizes.renamed(UnaryOperator.identity(), stays));
  }

  /** The same train with {@code place} instead of any earlier one for its member. */
  public Train placing(Place place) {
    List<Place> changed = new ArrayList<>(places);
    changed.removeIf(old -> old.member().equals(place.member()));
    changed.add(place);
    return new Train(parts, joins, coaxials, changed, pitch, roles, shifts, losses, sizes);
  }

  /** The same train laid out by itself again. */
  public Train unplaced() {
    return new Train(parts, joins, coaxials, List.of(), pitch, roles, shifts, losses, sizes);
  }

  /** The same train with another tooth count on one wheel; throws where it has no such wheel. */
  public Train withTeeth(MemberId member, Teeth teeth) {
    return withPart(partOf(member).withTeeth(member, teeth));
  }

  /**
   * The roles in force: the stated ones, or for a single part without {@code drive} and {@code
   * take} its {@linkplain Part#usualEnds usual ends} unless a hold stands in the way.
   */
  public Roles rolesInForce() {
    return assumedEnds().map(ends -> roles.driving(ends.drive()).taking(ends.take())).orElse(roles);
  }

  /** The ends that {@link #rolesInForce} assumes because the card states none. */
  public Optional<Ends> assumedEnds() {
    if (!roles.isUnstated() || parts.size() != 1) {
      return Optional.empty();
    }
    return parts
        .getFirst()
        .usualEnds()
        .filter(ends -> roles.of(ends.drive()) != Role.HOLD && roles.of(ends.take()) != Role.HOLD);
  }

  /** The units that its card uses, and the usual ones for the rest. */
  public Units units() {
    return StatedUnits.of(this);
  }
}
