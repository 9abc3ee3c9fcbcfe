package steadycog.train;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.BiPredicate;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;
import steadycog.number.Quantity;

/**
 * What a card says about the size of things, beside the module.
 *
 * @param rack pressure angle and depth of all involute teeth; empty for the usual ones
 * @param common what holds for every wheel of which nothing else is said; never a shift or offset
 * @param wheels what is said of single wheels
 * @param clearance room that the making of wheels needs
 * @param distances where axes of meshing wheels really stand, at most one a pair
 * @param sharing the load of the most loaded planet over the mean, 1 to 2; empty for {@link
 *     #USUAL_SHARING}
 * @param tolerances how far lengths may be off, at most one of all and one a pair
 * @param duty what teeth must bear, where a rating is asked for
 * @param housing what is wished of the box round the train
 */
public record Sizes(
    Optional<Rack> rack,
    WheelSize common,
    Map<MemberId, WheelSize> wheels,
    Clearance clearance,
    List<Distance> distances,
    Optional<BigFraction> sharing,
    List<Tolerance> tolerances,
    Duty duty,
    Housing housing) {
  /** Nothing said. */
  public static final Sizes UNSTATED =
      new Sizes(
          Optional.empty(),
          WheelSize.NONE,
          Map.of(),
          Clearance.NONE,
          List.of(),
          Optional.empty(),
          List.of(),
          Duty.NONE,
          Housing.NONE);

  /** Between 1.0 of a floating sun with three planets and 1.3 (Müller; AGMA 6123, load sharing). */
  public static final double USUAL_SHARING = 1.2;

  /** The distance of the axes of two meshing wheels. */
  public record Distance(MemberId a, MemberId b, Quantity length) {
    public Distance {
      Cycloidal.requireLength("distance", length);
    }

    public boolean isOf(MemberId one, MemberId other) {
      return (a.equals(one) && b.equals(other)) || (a.equals(other) && b.equals(one));
    }
  }

  public Sizes {
    Map<MemberId, WheelSize> sorted = new TreeMap<>(wheels);
    sorted.values().removeIf(WheelSize.NONE::equals);
    wheels = Collections.unmodifiableMap(sorted);
    List<Distance> ordered = new ArrayList<>(distances);
    ordered.sort((one, two) -> (one.a + "~" + one.b).compareTo(two.a + "~" + two.b));
    distances = List.copyOf(ordered);
    tolerances =
        tolerances.stream().sorted(Comparator.comparing(one -> one.pair().toString())).toList();
    sharing.ifPresent(
        factor -> {
          if (factor.compareTo(BigFraction.ONE) < 0 || factor.compareTo(BigFraction.of(2)) > 0) {
            throw new IllegalArgumentException(
                "sharing " + Exact.plain(factor) + ": expected 1 (even) to 2, as 1.2");
          }
        });
  }

  /** Whether nothing is said. */
  public boolean unstated() {
    return equals(UNSTATED);
  }

  public Rack rackInForce() {
    return rack.orElse(Rack.USUAL);
  }

  public double sharingInForce() {
    return sharing.map(BigFraction::doubleValue).orElse(USUAL_SHARING);
  }

  /** What is said of {@code wheel} by itself. */
  public WheelSize own(MemberId wheel) {
    return wheels.getOrDefault(wheel, WheelSize.NONE);
  }

  /** The stated profile shift of {@code wheel}. */
  public Optional<BigFraction> shift(MemberId wheel) {
    return own(wheel).shift();
  }

  /** The stated distance of the axes of two bodies, mm. */
  public Optional<Double> distanceMm(MemberId a, MemberId b) {
    return distances.stream()
        .filter(distance -> distance.isOf(a, b))
        .map(distance -> distance.length().inBase())
        .findFirst();
  }

  public Sizes withRack(Optional<Rack> changed) {
    return new Sizes(
        changed, common, wheels, clearance, distances, sharing, tolerances, duty, housing);
  }

  public Sizes withCommon(WheelSize changed) {
    return new Sizes(
        rack, changed, wheels, clearance, distances, sharing, tolerances, duty, housing);
  }

  public Sizes with(MemberId wheel, WheelSize changed) {
    Map<MemberId, WheelSize> all = new TreeMap<>(wheels);
    all.put(wheel, changed);
    return new Sizes(rack, common, all, clearance, distances, sharing, tolerances, duty, housing);
  }

  public Sizes withClearance(Clearance changed) {
    return new Sizes(rack, common, wheels, changed, distances, sharing, tolerances, duty, housing);
  }

  /** The same with the distance of a pair; empty takes it back. */
  public Sizes withDistance(MemberId a, MemberId b, Optional<Quantity> length) {
    List<Distance> all = new ArrayList<>(distances);
    all.removeIf(old -> old.isOf(a, b));
    length.ifPresent(given -> all.add(new Distance(a, b, given)));
    return new Sizes(rack, common, wheels, clearance, all, sharing, tolerances, duty, housing);
  }

  public Sizes withSharing(Optional<BigFraction> changed) {
    return new Sizes(
        rack, common, wheels, clearance, distances, changed, tolerances, duty, housing);
  }

  /** What is said of no single wheel or pair, for another train. */
  public Sizes ofAll() {
    return new Sizes(
        rack,
        common,
        Map.of(),
        clearance,
        List.of(),
        sharing,
        ofAllOnly(tolerances),
        duty,
        housing);
  }

  /** Whether nothing is stated but of single wheels. */
  public boolean ofWheelsOnly() {
    return equals(
        new Sizes(
            Optional.empty(),
            WheelSize.NONE,
            wheels,
            UNSTATED.clearance,
            List.of(),
            Optional.empty(),
            List.of(),
            Duty.NONE,
            Housing.NONE));
  }

  /**
   * These words and {@code more} together.
   *
   * @throws IllegalArgumentException where both speak of the same thing
   */
  public Sizes and(Sizes more) {
    Map<MemberId, WheelSize> all = new TreeMap<>(wheels);
    more.wheels.forEach((wheel, size) -> all.put(wheel, own(wheel).and(size, " of " + wheel)));
    List<Distance> both = new ArrayList<>(distances);
    for (Distance next : more.distances) {
      if (both.stream().anyMatch(old -> old.isOf(next.a, next.b))) {
        throw new IllegalArgumentException(
            "a second distance of " + next.a + " and " + next.b + ": leave one");
      }
      both.add(next);
    }
    if (!clearance.unstated() && !more.clearance.unstated()) {
      throw new IllegalArgumentException("a second clearance: say it all in one statement");
    }
    return new Sizes(
        WheelSize.one("angle", rack, more.rack),
        common.and(more.common, " of all wheels"),
        all,
        clearance.unstated() ? more.clearance : clearance,
        both,
        WheelSize.one("sharing", sharing, more.sharing),
        bothTolerances(more),
        duty.and(more.duty),
        housing.and(more.housing));
  }

  private List<Tolerance> bothTolerances(Sizes more) {
    List<Tolerance> all = new ArrayList<>(tolerances);
    for (Tolerance next : more.tolerances) {
      if (all.stream().anyMatch(old -> old.isOf(next.pair()))) {
        throw new IllegalArgumentException(
            "a second tolerance"
                + next.pair().map(pair -> " of " + pair.a() + " and " + pair.b()).orElse("")
                + ": say it all in one statement");
      }
      all.add(next);
    }
    return all;
  }

  private static List<Tolerance> ofAllOnly(List<Tolerance> all) {
    return all.stream().filter(one -> one.pair().isEmpty()).toList();
  }

  /** How far a length of two meshing bodies may be off: as said of them, or of all. */
  public Tolerance.Limits tolerance(MemberId a, MemberId b, Tolerance.Of length) {
    return stated(Optional.of(new Join(a, b)), length).orElseGet(() -> tolerance(length));
  }

  /** How far a length may be off where nothing is said of a pair. */
  public Tolerance.Limits tolerance(Tolerance.Of length) {
    return stated(Optional.empty(), length).orElse(Tolerance.Limits.NONE);
  }

  private Optional<Tolerance.Limits> stated(Optional<Join> pair, Tolerance.Of length) {
    return tolerances.stream()
        .filter(one -> one.isOf(pair))
        .flatMap(one -> Optional.ofNullable(one.limits().get(length)).stream())
        .findFirst();
  }

  public Sizes withTolerances(List<Tolerance> changed) {
    return new Sizes(rack, common, wheels, clearance, distances, sharing, changed, duty, housing);
  }

  public Sizes withDuty(Duty changed) {
    return new Sizes(
        rack, common, wheels, clearance, distances, sharing, tolerances, changed, housing);
  }

  public Sizes withHousing(Housing changed) {
    return new Sizes(
        rack, common, wheels, clearance, distances, sharing, tolerances, duty, changed);
  }

  /** The same with something else wished of the box round the train. */
  public Sizes wishing(UnaryOperator<Housing> change) {
    return withHousing(change.apply(housing));
  }

  /** What one statement each says, in the order in which a card is printed. */
  public List<Sizes> statements() {
    List<Sizes> all = new ArrayList<>();
    rack.ifPresent(given -> all.add(UNSTATED.withRack(rack)));
    all.addAll(common.split(UNSTATED::withCommon));
    if (!clearance.unstated()) {
      all.add(UNSTATED.withClearance(clearance));
    }
    sharing.ifPresent(given -> all.add(UNSTATED.withSharing(sharing)));
    tolerances.forEach(one -> all.add(UNSTATED.withTolerances(List.of(one))));
    duty.split().forEach(one -> all.add(UNSTATED.withDuty(one)));
    housing.split().forEach(one -> all.add(UNSTATED.withHousing(one)));
    wheels.forEach((wheel, size) -> all.addAll(size.split(one -> UNSTATED.with(wheel, one))));
    for (Distance distance : distances) {
      all.add(UNSTATED.withDistance(distance.a, distance.b, Optional.of(distance.length)));
    }
    return all;
  }

  /** Every member that something is said about. */
  public List<MemberId> members() {
    List<MemberId> all = new ArrayList<>(wheels.keySet());
    distances.forEach(distance -> all.addAll(List.of(distance.a, distance.b)));
    tolerances.forEach(one -> one.pair().ifPresent(p -> all.addAll(List.of(p.a(), p.b()))));
    return all;
  }

  /** The same without what is said of pairs that do not mesh. */
  Sizes ofPairs(BiPredicate<MemberId, MemberId> meshing) {
    return new Sizes(
        rack,
        common,
        wheels,
        clearance,
        distances.stream().filter(pair -> meshing.test(pair.a, pair.b)).toList(),
        sharing,
        tolerances.stream()
            .filter(one -> one.pair().filter(p -> !meshing.test(p.a(), p.b())).isEmpty())
            .toList(),
        duty,
        housing);
  }

  /** The same for members under other names; without what is said of those that do not stay. */
  public Sizes renamed(UnaryOperator<MemberId> rename, Predicate<MemberId> stays) {
    Map<MemberId, WheelSize> kept = new TreeMap<>();
    wheels.forEach(
        (wheel, size) -> {
          if (stays.test(wheel)) {
            kept.put(rename.apply(wheel), size);
          }
        });
    return new Sizes(
        rack,
        common,
        kept,
        clearance,
        distances.stream()
            .filter(distance -> stays.test(distance.a) && stays.test(distance.b))
            .map(d -> new Distance(rename.apply(d.a), rename.apply(d.b), d.length))
            .toList(),
        sharing,
        tolerances.stream()
            .filter(
                one -> one.pair().filter(p -> !stays.test(p.a()) || !stays.test(p.b())).isEmpty())
            .map(
                one ->
                    new Tolerance(
                        one.pair().map(p -> new Join(rename.apply(p.a()), rename.apply(p.b()))),
                        one.limits()))
            .toList(),
        duty,
        housing);
  }
}
