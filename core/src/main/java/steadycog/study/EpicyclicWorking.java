package steadycog.study;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.apache.commons.numbers.fraction.BigFraction;
import org.jspecify.annotations.Nullable;
import steadycog.motion.Motion;
import steadycog.number.Exact;
import steadycog.number.Known;
import steadycog.train.Drive;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Planetary;
import steadycog.train.Roles;

/**
 * The turns of a planetary set worked out as by hand, in three ways that know nothing of each other
 * or of the solver, for one turn of the input (Müller, <i>Epicyclic Drive Trains</i>; Norton,
 * <i>Design of Machinery</i>, ch. 9).
 *
 * @param relative by relative motion (Willis)
 * @param table by the turn table (superposition)
 * @param pitchLine by pitch-line speeds
 * @param agrees whether all three equal what the solver found, exactly
 */
public record EpicyclicWorking(
    RelativeMotion relative, TurnTable table, PitchLine pitchLine, boolean agrees) {

  /**
   * (w_last - w_carrier) / (w_first - w_carrier) = basic ratio, solved for the member not given.
   *
   * @param first the innermost wheel; with two rows a wheel whose turns are given
   * @param last the outermost wheel; with two rows the other wheel that is given, or taken off
   * @param basic turns of the last for one turn of the first with the carrier held
   */
  public record RelativeMotion(
      MemberId first,
      MemberId last,
      MemberId carrier,
      BigFraction basic,
      Map<MemberId, BigFraction> turns) {}

  /**
   * All turn with the carrier; then the carrier stands and the first wheel is turned on; the rows
   * are added.
   *
   * @param withCarrier turns of every member with the carrier
   * @param apart turns of each member while the carrier stands
   */
  public record TurnTable(
      BigFraction withCarrier,
      Map<MemberId, BigFraction> apart,
      Map<MemberId, BigFraction> turns) {}

  /** Speeds along the pitch lines, and the turns that follow from them. */
  public record PitchLine(List<Point> points, Map<MemberId, BigFraction> turns) {

    /**
     * A point on a pitch circle, or a planet's pin.
     *
     * @param radius from the carrier's axis, in modules
     * @param speed modules a radian of the input: radius times turns
     */
    public record Point(MemberId member, BigFraction radius, BigFraction speed) {}
  }

  /** A member's turns as they are given by a drive or a hold. */
  private record Given(MemberId member, BigFraction turns) {}

  /**
   * The workings of a train that is one planetary set with two of its three shafts driven or held;
   * empty for any other.
   */
  static Optional<EpicyclicWorking> of(Study study) {
    List<Planetary> sets = study.train().parts(Planetary.class);
    if (sets.isEmpty()
        || study.train().parts().size() != 1
        || study.motion().status() != Motion.Status.DETERMINED) {
      return Optional.empty();
    }
    Planetary set = sets.getFirst();
    List<Given> given = given(study.motion());
    boolean atShafts = given.stream().allMatch(g -> set.shafts().contains(g.member));
    if (given.size() != 2 || !atShafts || !study.motion().mechanism().roles().locks().isEmpty()) {
      return Optional.empty();
    }
    RelativeMotion relative = relative(set, study.motion(), given);
    TurnTable table = table(set, given);
    PitchLine pitchLine = pitchLine(set, given);
    boolean agrees =
        set.members().stream()
            .map(Member::id)
            .allMatch(
                id ->
                    Stream.of(relative.turns, table.turns, pitchLine.turns)
                        .allMatch(turns -> isSolved(study.motion(), id, turns.get(id))));
    return Optional.of(new EpicyclicWorking(relative, table, pitchLine, agrees));
  }

  private static boolean isSolved(Motion motion, MemberId id, @Nullable BigFraction worked) {
    return worked != null
        && motion.turnsPerInputTurn(id).filter(turns -> turns.compareTo(worked) == 0).isPresent();
  }

  /** The first drive makes one turn, a second one its share; what is held makes none. */
  private static List<Given> given(Motion motion) {
    Roles roles = motion.mechanism().roles();
    List<Given> all = new ArrayList<>();
    for (Drive drive : roles.drives()) {
      motion
          .turnsPerInputTurn(drive.member())
          .ifPresent(turns -> all.add(new Given(drive.member(), turns)));
    }
    roles.holds().forEach(held -> all.add(new Given(held, BigFraction.ZERO)));
    return all;
  }

  /** Turns of every wheel for one of {@code first} with the carrier held, mesh by mesh. */
  private static Map<MemberId, BigFraction> onFixedAxes(Planetary set, MemberId first) {
    Map<MemberId, BigFraction> turns = new LinkedHashMap<>();
    turns.put(first, BigFraction.ONE);
    while (turns.size() < set.wheels().size()) {
      for (Mesh mesh : set.meshes()) {
        BigFraction quotient = Exact.of(mesh.teethA().count(), mesh.teethB().count());
        BigFraction step = mesh.internal() ? quotient : quotient.negate();
        reach(turns, mesh.a(), mesh.b(), step);
      }
      set.keyed().forEach(join -> reach(turns, join.a(), join.b(), BigFraction.ONE));
    }
    turns.put(set.carrierId(), BigFraction.ZERO);
    return turns;
  }

  /** Takes turns over from whichever of two wheels has them: b makes {@code step} for one of a. */
  private static void reach(
      Map<MemberId, BigFraction> turns, MemberId a, MemberId b, BigFraction step) {
    if (turns.containsKey(a)) {
      turns.putIfAbsent(b, turns.get(a).multiply(step));
    } else if (turns.containsKey(b)) {
      turns.put(a, turns.get(b).divide(step));
    }
  }

  private static RelativeMotion relative(Planetary set, Motion motion, List<Given> given) {
    MemberId carrier = set.carrierId();
    MemberId first = set.wheels().getFirst().id();
    MemberId last = set.wheels().getLast().id();
    if (set.stepped()) {
      List<MemberId> ends = new ArrayList<>(given.stream().map(Given::member).toList());
      motion.mechanism().roles().take().ifPresent(take -> ends.add(take.member()));
      // Where the carrier is one of them any other shaft shows how the set is geared.
      ends.addAll(set.shafts());
      ends.removeIf(carrier::equals);
      first = ends.getFirst();
      MemberId other = first;
      last = ends.stream().filter(end -> !end.equals(other)).findFirst().orElseThrow();
    }
    Map<MemberId, BigFraction> fixed = onFixedAxes(set, first);
    BigFraction basic = Known.in(fixed, last);
    Map<MemberId, BigFraction> known = values(given);
    BigFraction ofCarrier = carrierTurns(known, first, last, carrier, basic);
    BigFraction against =
        known.containsKey(first)
            ? Known.in(known, first).subtract(ofCarrier)
            : Known.in(known, last).subtract(ofCarrier).divide(basic);
    Map<MemberId, BigFraction> turns = new LinkedHashMap<>();
    for (Member member : set.members()) {
      turns.put(member.id(), ofCarrier.add(Known.in(fixed, member.id()).multiply(against)));
    }
    return new RelativeMotion(first, last, carrier, basic, turns);
  }

  /** Turns of the carrier: those given, else those that follow from both ends. */
  private static BigFraction carrierTurns(
      Map<MemberId, BigFraction> known,
      MemberId first,
      MemberId last,
      MemberId carrier,
      BigFraction basic) {
    if (known.containsKey(carrier)) {
      return Known.in(known, carrier);
    }
    BigFraction left = Known.in(known, last).subtract(basic.multiply(Known.in(known, first)));
    return left.divide(BigFraction.ONE.subtract(basic));
  }

  private static TurnTable table(Planetary set, List<Given> given) {
    Map<MemberId, BigFraction> fixed = onFixedAxes(set, set.wheels().getFirst().id());
    BigFraction one = Known.in(fixed, given.getFirst().member);
    BigFraction two = Known.in(fixed, given.getLast().member);
    BigFraction apartTurns =
        given.getFirst().turns.subtract(given.getLast().turns).divide(one.subtract(two));
    BigFraction together = given.getFirst().turns.subtract(one.multiply(apartTurns));
    Map<MemberId, BigFraction> apart = new LinkedHashMap<>();
    Map<MemberId, BigFraction> turns = new LinkedHashMap<>();
    for (Member member : set.members()) {
      BigFraction own = Known.in(fixed, member.id()).multiply(apartTurns);
      apart.put(member.id(), own);
      turns.put(member.id(), together.add(own));
    }
    return new TurnTable(together, apart, turns);
  }

  private static PitchLine pitchLine(Planetary set, List<Given> given) {
    return set.paired()
        ? PitchLines.ofPairs(set, values(given))
        : PitchLines.of(set, values(given));
  }

  private static Map<MemberId, BigFraction> values(List<Given> given) {
    Map<MemberId, BigFraction> values = new LinkedHashMap<>();
    given.forEach(g -> values.put(g.member, g.turns));
    return values;
  }

  /** The two pitch-line constructions: a planet is a lever, pairs are levers behind each other. */
  private static final class PitchLines {
    private PitchLines() {}

    /**
     * A planet moves as one rigid lever: its pin goes with v, its pitch point towards a sun with v
     * - w p, that towards a ring with v + w p, each in its row.
     */
    static PitchLine of(Planetary set, Map<MemberId, BigFraction> given) {
      Mesh innermost = set.meshes().getFirst();
      int inner = innermost.teethA().count();
      int outer = innermost.teethB().count();
      BigFraction pin = Exact.of(innermost.internal() ? Math.abs(outer - inner) : outer + inner, 2);
      List<Lever> levers = new ArrayList<>();
      levers.add(new Lever(set.carrierId(), pin, BigFraction.ZERO));
      for (Mesh mesh : set.meshes()) {
        boolean sun = !mesh.internal();
        MemberId central = sun ? mesh.a() : mesh.b();
        BigFraction wheel = BigFraction.of(mesh.teeth(central).count());
        BigFraction planet = BigFraction.of(mesh.teeth(mesh.other(central)).count());
        BigFraction span = sun ? wheel.add(planet) : wheel.subtract(planet);
        BigFraction arm = pin.multiply(planet).divide(span);
        levers.add(new Lever(central, pin.multiply(wheel).divide(span), sun ? arm.negate() : arm));
      }
      return solved(set.planetIds(), levers, given);
    }

    /** A point at {@code radius} from the carrier's axis, {@code arm} beyond the planet's pin. */
    private record Lever(MemberId member, BigFraction radius, BigFraction arm) {}

    private static PitchLine solved(
        List<MemberId> planets, List<Lever> levers, Map<MemberId, BigFraction> given) {
      List<BigFraction[]> equations = new ArrayList<>();
      for (Lever lever : levers) {
        BigFraction turns = given.get(lever.member);
        if (turns != null) {
          equations.add(
              new BigFraction[] {BigFraction.ONE, lever.arm, turns.multiply(lever.radius)});
        }
      }
      for (MemberId planet : planets) {
        if (given.containsKey(planet)) {
          equations.add(new BigFraction[] {BigFraction.ZERO, BigFraction.ONE, given.get(planet)});
        }
      }
      BigFraction[] answer = twoUnknowns(equations.get(0), equations.get(1));
      Map<MemberId, BigFraction> turns = new LinkedHashMap<>();
      List<PitchLine.Point> points = new ArrayList<>();
      planets.forEach(planet -> turns.put(planet, answer[1]));
      for (Lever lever : levers) {
        BigFraction speed = answer[0].add(answer[1].multiply(lever.arm));
        turns.put(lever.member, speed.divide(lever.radius));
        points.add(new PitchLine.Point(lever.member, lever.radius, speed));
      }
      points.sort((a, b) -> Exact.compare(a.radius(), b.radius()));
      return new PitchLine(points, turns);
    }

    /** Seen from the carrier the teeth of all wheels of a set of pairs run equally fast. */
    static PitchLine ofPairs(Planetary set, Map<MemberId, BigFraction> given) {
      Map<MemberId, BigFraction> perTooth = new LinkedHashMap<>();
      int way = 1;
      MemberId before = set.wheels().getFirst().id();
      for (Member wheel : set.wheels()) {
        boolean external = !wheel.teeth().orElseThrow().internal();
        way = !wheel.id().equals(before) && external ? -way : way;
        perTooth.put(wheel.id(), Exact.of(2L * way, wheel.teeth().orElseThrow().count()));
      }
      perTooth.put(set.carrierId(), BigFraction.ZERO);
      List<BigFraction[]> equations = new ArrayList<>();
      given.forEach(
          (member, turns) ->
              equations.add(new BigFraction[] {BigFraction.ONE, perTooth.get(member), turns}));
      BigFraction[] answer = twoUnknowns(equations.get(0), equations.get(1));
      Map<MemberId, BigFraction> turns = new LinkedHashMap<>();
      List<PitchLine.Point> points = new ArrayList<>();
      perTooth.forEach(
          (member, each) -> {
            turns.put(member, answer[0].add(answer[1].multiply(each)));
            if (!Exact.isZero(each)) {
              points.add(new PitchLine.Point(member, each.abs().reciprocal(), answer[1]));
            }
          });
      return new PitchLine(points, turns);
    }

    /** Solves a x + b y = c twice over (Cramer's rule). */
    private static BigFraction[] twoUnknowns(BigFraction[] one, BigFraction[] two) {
      BigFraction determinant = one[0].multiply(two[1]).subtract(two[0].multiply(one[1]));
      return new BigFraction[] {
        one[2].multiply(two[1]).subtract(two[2].multiply(one[1])).divide(determinant),
        one[0].multiply(two[2]).subtract(two[0].multiply(one[2])).divide(determinant)
      };
    }
  }
}
