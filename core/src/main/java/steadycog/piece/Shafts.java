package steadycog.piece;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import steadycog.number.Figures;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.shape.Axes;
import steadycog.shape.BevelPair;
import steadycog.shape.Cut;
import steadycog.shape.GearOutline;
import steadycog.shape.Rims;
import steadycog.train.Bore;
import steadycog.train.Differential;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Planetary;
import steadycog.train.Teeth;
import steadycog.train.Train;

/**
 * The shafts that members sit on. Whatever is keyed or joined sits on one shaft: a bore that is
 * stated for one of them holds for all that say nothing themselves, and where nobody says anything
 * the shaft is as thick as the smallest of its wheels bears.
 */
public final class Shafts {
  /** A shaft as a share of the root diameter of the smallest wheel on it. */
  private static final double SHARE = 0.35;

  /** Shafts thinner than the thinnest usual one come in such steps, mm. */
  private static final double STEP = 0.1;

  /** A planet is at least so many times as wide as its pin is thick, by judgement. */
  private static final double SLENDER = 0.6;

  private static final List<Double> USUAL =
      List.of(
          1.0, 1.5, 2.0, 2.5, 3.0, 4.0, 5.0, 6.0, 8.0, 10.0, 12.0, 15.0, 17.0, 20.0, 25.0, 30.0,
          35.0, 40.0, 50.0, 60.0, 80.0, 100.0);

  private Shafts() {}

  /**
   * The hole of a member for its shaft.
   *
   * @param stated whether the card says it, of this member or of another on its shaft
   */
  public record Hole(Optional<Bore> bore, boolean stated) {}

  /** The usual diameters of shafts from {@code mm} up, the smallest first. */
  public static List<Quantity> usualFrom(double mm) {
    return USUAL.stream()
        .filter(one -> one >= mm)
        .map(one -> Quantity.of(Figures.significant(one, 3), Unit.MM))
        .toList();
  }

  /** A member with the bore that the card states for it. */
  public record Seat(MemberId member, Bore bore) {}

  /** Whether the card states any bore; most do not, and rules about bores have nothing to say. */
  public static boolean isAnyStated(Train train) {
    return train.sizes().common().bore().isPresent()
        || train.sizes().wheels().values().stream().anyMatch(size -> size.bore().isPresent());
  }

  /** The hole of a member: as stated for what sits on its shaft, else a usual one. */
  public static Hole hole(Train train, MemberId id) {
    Optional<Bore> own = train.size(id).bore();
    if (own.isPresent()) {
      return new Hole(own, true);
    }
    List<MemberId> members = onShaftOf(train, id);
    Optional<Bore> other =
        members.stream()
            .flatMap(member -> train.size(member).bore().stream())
            .min(Comparator.comparingDouble(bore -> bore.size().inBase()));
    return other.isPresent() ? new Hole(other, true) : new Hole(usual(train, id, members), false);
  }

  /** Who states the bore of a member: itself, or all of its shaft that state one. */
  public static List<MemberId> stating(Train train, MemberId id) {
    return train.sizes().own(id).bore().isPresent()
        ? List.of(id)
        : onShaftOf(train, id).stream()
            .filter(member -> train.sizes().own(member).bore().isPresent())
            .toList();
  }

  private static List<MemberId> onShaftOf(Train train, MemberId id) {
    Axes shafts = Axes.ofShafts(train);
    return shafts.on(shafts.of(id)).stream().map(Member::id).toList();
  }

  /** Only what has a bore by nature has a usual one: external wheels that go round no ring. */
  private static Optional<Bore> usual(Train train, MemberId id, List<MemberId> members) {
    if (rootDiameter(train, id) <= 0) {
      return Optional.empty();
    }
    double most =
        SHARE
            * members.stream()
                .mapToDouble(member -> rootDiameter(train, member))
                .filter(root -> root > 0)
                .min()
                .orElseThrow();
    return thickest(Math.min(most, thickestPin(train, members)));
  }

  /** What planets so wide turn on without tilting, mm; no limit for what is on a shaft. */
  private static double thickestPin(Train train, List<MemberId> members) {
    boolean turnsOnPin =
        train.parts().stream()
            .anyMatch(
                part -> part instanceof Planetary set && members.stream().anyMatch(set::isPlanet));
    return turnsOnPin
        ? members.stream().mapToDouble(one -> Blank.widthMm(train, one)).sum() / SLENDER
        : Double.MAX_VALUE;
  }

  /** The usual shaft in a wheel of that root diameter, mm; empty where it bears none. */
  static Optional<Bore> usual(double rootDiameter) {
    return thickest(SHARE * rootDiameter);
  }

  private static Optional<Bore> thickest(double most) {
    double thin = Math.floor(most / STEP) * STEP;
    double shaft =
        USUAL.stream().filter(one -> one <= most).reduce((less, more) -> more).orElse(thin);
    return shaft <= 0
        ? Optional.empty()
        : Optional.of(new Bore.Round(Quantity.of(Figures.significant(shaft, 3), Unit.MM)));
  }

  /** mm; 0 for what sits on no shaft with a hole of its own. */
  private static double rootDiameter(Train train, MemberId id) {
    Optional<BevelPair> bevel = BevelPair.of(train, id);
    if (bevel.isPresent()) {
      return bevelRoot(train, bevel.get(), id);
    }
    Member member = train.member(id);
    Optional<Teeth> teeth =
        member.teeth().filter(t -> !t.internal() && train.partOf(id).involute());
    return teeth.isEmpty() || Rims.of(train).containsKey(id)
        ? 0
        : 2 * GearOutline.rootRadius(teeth.get(), Cut.of(train, id)) * train.moduleMm(id);
  }

  /** At the small end; the case of a differential is none that has teeth. */
  private static double bevelRoot(Train train, BevelPair pair, MemberId id) {
    boolean other = id.equals(pair.other().id());
    if (other && train.partOf(id, Differential.class).isPresent()) {
      return 0;
    }
    BevelPair.Gear gear = other ? pair.other() : pair.one();
    return pair.rootAtToeMm(train, gear);
  }

  /**
   * The shafts whose seats the card states to be of more than one size, each with its seats in the
   * order of the card.
   */
  public static List<List<Seat>> stepped(Train train) {
    if (!isAnyStated(train)) {
      return List.of();
    }
    Axes shafts = Axes.ofShafts(train);
    List<List<Seat>> all = new ArrayList<>();
    Set<MemberId> rims = Rims.of(train).keySet();
    for (int shaft = 0; shaft < shafts.count(); shaft++) {
      List<Seat> seats = new ArrayList<>();
      for (Member member : shafts.on(shaft)) {
        boolean open = member.teeth().filter(Teeth::internal).isPresent();
        if (!open && !rims.contains(member.id())) {
          train.size(member.id()).bore().ifPresent(b -> seats.add(new Seat(member.id(), b)));
        }
      }
      if (seats.stream().map(Seat::bore).distinct().count() > 1) {
        all.add(seats);
      }
    }
    return all;
  }
}
