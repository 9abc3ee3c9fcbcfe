package steadycog.gearbox;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import steadycog.assembly.Assembly;
import steadycog.motion.FreeMotion;
import steadycog.motion.Mechanism;
import steadycog.number.Figures;
import steadycog.number.Known;
import steadycog.piece.Flexing;
import steadycog.piece.Piece;
import steadycog.piece.Region;
import steadycog.rating.RatedShaft;
import steadycog.rating.Running;
import steadycog.shape.FaceLayout;
import steadycog.train.Bevel;
import steadycog.train.Clearance;
import steadycog.train.Clearance.Gap;
import steadycog.train.Cycloidal;
import steadycog.train.Differential;
import steadycog.train.Housing;
import steadycog.train.MemberId;
import steadycog.train.Parallel;
import steadycog.train.Part;
import steadycog.train.Planetary;
import steadycog.train.Shaft;
import steadycog.train.StrainWave;
import steadycog.train.Train;

/**
 * A whole gearbox: every piece with its place, made and bought.
 *
 * @param train in it
 * @param components in the order of the bill, numbered from 1
 * @param supports where what turns is carried
 * @param housing the wall and bolts that it has, as stated or by proportion, and which of its
 *     pieces the card leaves out
 * @param dotted names of pieces of which dots show which tooth goes where
 * @param shafts what those on ball bearings bear; empty where torques do not follow
 */
public record Gearbox(
    Train train,
    List<Component> components,
    List<Support> supports,
    Housing housing,
    List<String> dotted,
    List<RatedShaft> shafts) {

  /** Play along the axes of what turns, mm. */
  public static final double AXIAL_PLAY = Box.PLAY;

  private static final String KINDS =
      "it is made for parallel, planetary, cycloidal and strain wave trains";

  public Gearbox {
    components = List.copyOf(components);
    supports = List.copyOf(supports);
    dotted = List.copyOf(dotted);
    shafts = List.copyOf(shafts);
  }

  /**
   * What came of building one.
   *
   * @param box empty where none is made
   * @param why none is made, in words; empty where one is
   */
  public record Result(Optional<Gearbox> box, String why) {}

  /**
   * Builds it. Bearings that are not stated go by bore and room, and where torques are stated by
   * load: where one does not last, all is built again with such as do, if they fit.
   *
   * @param layout of {@code train}
   * @param chord how far straight pieces of outlines may leave the true line, mm
   */
  public static Result of(Train train, FaceLayout layout, double chord) {
    Optional<Running> running =
        train.rolesInForce().isLoaded() ? Running.of(train) : Optional.empty();
    return running
        .map(load -> of(train, layout, chord, load, Map.of()))
        .orElseGet(() -> built(train, layout, chord, Map.of()));
  }

  /** The same under a load, with bearings that bear so much, N, where they fit. */
  private static Result of(
      Train train,
      FaceLayout layout,
      double chord,
      Running running,
      Map<MemberId, Double> ratings) {
    Result made = built(train, layout, chord, ratings);
    if (made.box.isEmpty()) {
      return made;
    }
    Gearbox box = made.box.get();
    List<RatedShaft> shafts = Bearings.of(box, layout, running);
    Map<MemberId, Double> needed = new HashMap<>(Bearings.needed(shafts));
    if (!ratings.keySet().containsAll(needed.keySet())) {
      needed.putAll(ratings);
      Result stronger = of(train, layout, chord, running, needed);
      if (stronger.box.isPresent()) {
        return stronger;
      }
    }
    return new Result(Optional.of(box.with(shafts)), "");
  }

  private Gearbox with(List<RatedShaft> rated) {
    return new Gearbox(train, components, supports, housing, dotted, rated);
  }

  private static Result built(
      Train train, FaceLayout layout, double chord, Map<MemberId, Double> ratings) {
    if (!train.shifts().states().isEmpty()) {
      return none(
          "it is made for trains without states: brakes and clutches need room of their own");
    }
    Optional<List<Planetary>> sets = StackBox.chain(train);
    if (sets.isPresent()) {
      return built(train, new StackBox(train, layout, chord, sets.get()).bearing(ratings));
    } else if (train.parts().size() != 1) {
      return none(
          "it is made for trains of one part, or planetary sets in a row, each with one sun and one"
              + " ring and its carrier joined to the next sun");
    }
    Part part = train.parts().getFirst();
    return switch (part) {
      case Parallel chain ->
          built(train, new ParallelBox(train, layout, chord, chain).bearing(ratings));
      case Planetary set ->
          built(train, new PlanetaryBox(train, layout, chord, set).bearing(ratings));
      case Cycloidal drive ->
          built(train, new CycloidalBox(train, layout, chord, drive).bearing(ratings));
      case StrainWave drive ->
          built(train, new StrainWaveBox(train, layout, chord, drive).bearing(ratings));
      case Bevel pair -> none(KINDS);
      case Differential sides -> none(KINDS);
      case Shaft shaft -> none(KINDS);
    };
  }

  private static Result built(Train train, Box box) {
    return box.build()
        .map(Gearbox::none)
        .orElseGet(
            () ->
                new Result(
                    Optional.of(
                        new Gearbox(
                                train, box.all, box.supports, box.housing, box.dotted, List.of())
                            .without(train.sizes().housing().leftOut())),
                    ""));
  }

  private static Result none(String why) {
    return new Result(Optional.empty(), why);
  }

  /** The same without some pieces, and without what these carried. */
  private Gearbox without(List<String> names) {
    if (names.isEmpty()) {
      return this;
    }
    Map<Boolean, List<Component>> parted =
        components.stream().collect(Collectors.partitioningBy(one -> names.contains(one.name())));
    List<Component> kept = Known.in(parted, false);
    return new Gearbox(
        train,
        kept,
        supports.stream().filter(one -> kept.stream().anyMatch(one::isCarriedBy)).toList(),
        housing.without(Known.in(parted, true).stream().map(Component::name).toList()),
        dotted.stream().filter(name -> !names.contains(name)).toList(),
        shafts);
  }

  /** Pieces that the card leaves out and that there are none of. */
  List<String> unknown() {
    return train.sizes().housing().leftOut().stream()
        .filter(name -> !housing.leftOut().contains(name))
        .toList();
  }

  /** What the holes leave free for what goes into them, in words. */
  public String fits() {
    Clearance clearance = train.sizes().clearance();
    return "Holes for bearings and pins are "
        + Figures.significant(clearance.mm(Gap.SEAT), 2)
        + " mm wider than these, bores "
        + Figures.significant(clearance.mm(Gap.BORE), 2)
        + " mm wider than what turns or slips in them.";
  }

  /** Which of its pieces the card leaves out, in words; empty where it has all. */
  public Optional<String> omissions() {
    return Optional.of(String.join(", ", housing.leftOut()))
        .filter(names -> !names.isEmpty())
        .map(names -> "Left out, as the card has it: " + names + ".");
  }

  /** What has to be made, a piece a component. */
  public List<Piece> made() {
    return components.stream().filter(one -> !one.isBought()).map(Component::piece).toList();
  }

  /** All bodies. */
  public List<Piece> pieces() {
    return components.stream().map(Component::piece).toList();
  }

  /** How its members turn, what is held held. Cost: an exact solution. */
  FreeMotion motion() {
    return FreeMotion.held(Mechanism.of(train));
  }

  /**
   * The same with the first drive turned on, and all others with it: every piece where it then
   * stands.
   */
  public Gearbox turned(double turns) {
    return turned(motion(), turns);
  }

  /** The same where its motion is known. */
  Gearbox turned(FreeMotion motion, double turns) {
    double[] choice = Arrays.stream(motion.perInputTurn()).map(each -> each * turns).toArray();
    ToDoubleFunction<MemberId> turned = member -> 2 * Math.PI * motion.turns(member, choice);
    return new Gearbox(
        train,
        components.stream().map(one -> one.turned(turned)).map(one -> bent(one, turned)).toList(),
        supports,
        housing,
        dotted,
        shafts);
  }

  /** A flexspline as its generator bends it where both then are. */
  private Component bent(Component one, ToDoubleFunction<MemberId> turned) {
    if (!one.piece().isFlexible()) {
      return one;
    }
    Region now = Flexing.of(train, one.member()).bent(turned, Assembly.chord(train));
    return new Component(one.piece().bent(now), one.size(), one.fastening());
  }

  /** The component of that name; throws where there is none. */
  public Component component(String name) {
    return components.stream().filter(one -> one.name().equals(name)).findFirst().orElseThrow();
  }
}
