package steadycog.study;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;
import steadycog.number.Pace;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.piece.Blank;
import steadycog.rating.RatedMesh;
import steadycog.rating.Rating;
import steadycog.rating.Running;
import steadycog.shape.FaceLayout;
import steadycog.shape.GearOutline;
import steadycog.sizing.Box;
import steadycog.sizing.Identify;
import steadycog.sizing.MeshFigures;
import steadycog.train.Bore;
import steadycog.train.Material;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Part;
import steadycog.train.Pitch;
import steadycog.train.Sizes;
import steadycog.train.Teeth;
import steadycog.train.Train;
import steadycog.train.WheelSize;

/**
 * From loads to sizes: the smallest standard teeth, each with the narrowest face of 8 to 14
 * modules, at which every tooth of every mesh has the factors that are wanted (Shigley, ch. 14).
 *
 * @param choices the smallest module first
 * @param nearest where there are no choices the largest teeth that were tried, too weak or too
 *     large
 */
public record SizeChoices(List<Choice> choices, Optional<Choice> nearest) {
  /** Faces that are tried, in modules. */
  public static final int NARROWEST = 8;

  public static final int WIDEST = 14;

  /** How many standard sizes above the smallest that holds are offered. */
  private static final int MORE = 5;

  private static final double STEP = 0.5;
  private static final double MM3_PER_M3 = 1e9;

  public SizeChoices {
    choices = List.copyOf(choices);
  }

  /**
   * What a size may be at most, and of what.
   *
   * @param diameter of the cylinder round all, mm
   * @param distance of any two meshing axes, mm
   * @param mass of all wheels, kg
   * @param part whose teeth are sized; empty for all
   */
  public record Wish(
      Optional<Double> diameter,
      Optional<Double> distance,
      Optional<Double> mass,
      Optional<String> part) {
    public static final Wish ANY =
        new Wish(Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());

    /** What of a rating it is about. */
    private Rating of(Rating whole) {
      return part.map(whole::of).orElse(whole);
    }

    private boolean allows(Choice choice) {
      return choice.diameter <= diameter.orElse(Double.MAX_VALUE)
          && choice.distance <= distance.orElse(Double.MAX_VALUE)
          && choice.mass <= mass.orElse(Double.MAX_VALUE);
    }
  }

  /**
   * One size.
   *
   * @param train with that size on its card
   * @param face mm
   * @param diameter of the cylinder round all, mm
   * @param distance the largest of any two meshing axes, mm
   * @param mass of all wheels without hubs and webs, kg
   * @param bending the least factor against bending
   * @param contact the least factor against pitting
   */
  public record Choice(
      Train train,
      Pitch pitch,
      double face,
      double diameter,
      double distance,
      double mass,
      Rating.Weakest weakest,
      double bending,
      double contact) {}

  /**
   * Looks for them.
   *
   * @throws IllegalArgumentException where nothing can be rated, or the part is none, with the
   *     remedy
   */
  public static SizeChoices of(Train train, Wish wish, Pace pace) {
    return of(train, wish, MORE, pace);
  }

  /** The smallest alone; empty where none holds or nothing can be rated. */
  public static Optional<Choice> smallest(Train train) {
    try {
      return of(train, Wish.ANY, 0, Pace.FREE).choices.stream().findFirst();
    } catch (IllegalArgumentException nothingToRate) {
      return Optional.empty();
    }
  }

  private static SizeChoices of(Train train, Wish wish, int more, Pace pace) {
    List<Running> runnings = Ratings.runnings(train);
    if (wish.of(Rating.of(train, runnings)).weakest().isEmpty()) {
      throw new IllegalArgumentException(
          "no tooth can be rated: give a drive with torque and speed and a take-off, and involute"
              + " teeth on parallel axes"
              + wish.part().map(name -> " in a part " + name).orElse(""));
    }
    if (wish.part().isEmpty() && train.hasOwnPitches()) {
      throw new IllegalArgumentException(
          "the train has several modules: size one part after the other, such as "
              + train.parts().getFirst().name());
    }
    boolean inch = train.pitch().filter(Pitch.Diametral.class::isInstance).isPresent();
    List<Pitch> series =
        Identify.series().stream()
            .filter(pitch -> pitch instanceof Pitch.Diametral == inch)
            .sorted((a, b) -> Double.compare(mm(a), mm(b)))
            .toList();
    int first = 0;
    int last = series.size();
    while (first < last) {
      pace.at((double) first / series.size());
      int middle = (first + last) / 2;
      if (Trial.of(train, series.get(middle), WIDEST, wish, runnings).holds()) {
        last = middle;
      } else {
        first = middle + 1;
      }
    }
    List<Choice> found = new ArrayList<>();
    for (int k = first; k < Math.min(series.size(), first + 1 + more); k++) {
      pace.at((double) k / series.size());
      Choice choice = narrowest(train, series.get(k), wish, runnings);
      if (!wish.allows(choice)) {
        return new SizeChoices(found, found.isEmpty() ? Optional.of(choice) : Optional.empty());
      }
      found.add(choice);
    }
    return new SizeChoices(
        found,
        found.isEmpty() ? nearest(train, series.getLast(), wish, runnings) : Optional.empty());
  }

  private static double mm(Pitch pitch) {
    return pitch.moduleMm().doubleValue();
  }

  /** The narrowest face that holds, of teeth that hold with the widest. */
  private static Choice narrowest(Train train, Pitch pitch, Wish wish, List<Running> runnings) {
    int low = NARROWEST;
    int high = WIDEST;
    while (low < high) {
      int middle = (low + high) / 2;
      if (Trial.of(train, pitch, middle, wish, runnings).holds()) {
        high = middle;
      } else {
        low = middle + 1;
      }
    }
    return choice(pitch, Trial.of(train, pitch, high, wish, runnings));
  }

  /** A size and what it comes to. */
  private record Trial(Train sized, Rating rating, double face) {
    static Trial of(Train train, Pitch pitch, int modules, Wish wish, List<Running> runnings) {
      double face = Math.ceil(modules * mm(pitch) / STEP) * STEP;
      Train sized = SizeChoices.sized(train, pitch, face, wish.part());
      return new Trial(sized, wish.of(Rating.of(sized, runnings)), face);
    }

    boolean holds() {
      return rating.weakest().filter(weakest -> weakest.margin() >= 1).isPresent();
    }
  }

  /** Of the largest teeth, too weak as they are; empty where they cannot be cut. */
  private static Optional<Choice> nearest(
      Train train, Pitch pitch, Wish wish, List<Running> runnings) {
    Trial trial = Trial.of(train, pitch, WIDEST, wish, runnings);
    return trial.rating.weakest().map(weak -> choice(pitch, trial));
  }

  private static Choice choice(Pitch pitch, Trial trial) {
    return new Choice(
        trial.sized,
        pitch,
        trial.face,
        Box.of(trial.sized, FaceLayout.of(trial.sized)).diameter(),
        distance(trial.sized),
        mass(trial.sized),
        trial.rating.weakest().orElseThrow(),
        trial.rating.meshes().stream().mapToDouble(RatedMesh::bending).min().orElseThrow(),
        trial.rating.meshes().stream().mapToDouble(RatedMesh::contact).min().orElseThrow());
  }

  /** With teeth and faces so, of all wheels or of a part; a hardness that was assumed is said. */
  private static Train sized(Train train, Pitch pitch, double face, Optional<String> part) {
    Optional<Quantity> width =
        Optional.of(new Quantity(Exact.parse(String.valueOf(face)), Unit.MM));
    if (part.isEmpty()) {
      Sizes sizes = hardened(train, train.sizes());
      for (MemberId wheel : sizes.wheels().keySet()) {
        sizes = sizes.with(wheel, sizes.own(wheel).withWidth(Optional.empty()));
      }
      WheelSize common = sizes.common().withWidth(width);
      return train.sized(pitch).withSizes(sizes.withCommon(common));
    }
    Part one =
        train.parts().stream()
            .filter(p -> p.name().equals(part.get()))
            .findFirst()
            .orElseThrow(
                () -> new IllegalArgumentException("no part " + part.get() + " on the card"));
    Train sized = train.withSizes(hardened(train, train.sizes()));
    for (Member wheel : one.members()) {
      if (wheel.teeth().isPresent()) {
        sized = sized.withPitch(wheel.id(), Optional.of(pitch));
        Sizes sizes = sized.sizes();
        sized = sized.withSizes(sizes.with(wheel.id(), sizes.own(wheel.id()).withWidth(width)));
      }
    }
    return sized;
  }

  private static Sizes hardened(Train train, Sizes sizes) {
    boolean assumed =
        train.involuteWheels().stream()
            .anyMatch(
                wheel ->
                    Blank.made(train, wheel.id()).material() == Material.STEEL
                        && train.size(wheel.id()).hardness().isEmpty());
    return assumed
        ? sizes.withCommon(
            sizes.common().withHardness(Optional.of(BigFraction.of(Rating.USUAL_BRINELL))))
        : sizes;
  }

  private static double distance(Train train) {
    return train.meshes().stream()
        .flatMap(mesh -> MeshFigures.of(train, mesh).stream())
        .mapToDouble(MeshFigures::distance)
        .max()
        .orElse(0);
  }

  /** Of discs as wide as their faces round the pitch circles, and of rims of rings. */
  private static double mass(Train train) {
    double mass = 0;
    for (Member wheel : train.involuteWheels()) {
      MemberId id = wheel.id();
      Teeth teeth = wheel.teeth().orElseThrow();
      double module = train.moduleMm(id);
      double outer = teeth.count() * module / 2 + (teeth.internal() ? GearOutline.RIM * module : 0);
      double inner =
          teeth.internal()
              ? teeth.count() * module / 2
              : Blank.of(train, id).bore().map(Bore::size).map(b -> b.inBase() / 2).orElse(0.0);
      double area = Math.PI * (outer * outer - inner * inner);
      mass +=
          area
              * Blank.widthMm(train, id)
              * Blank.made(train, id).material().density()
              / MM3_PER_M3
              * train.partOf(id).copies(id);
    }
    return mass;
  }
}
