package steadycog.notation;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import steadycog.number.Exact;
import steadycog.number.Quantity;
import steadycog.train.Drive;
import steadycog.train.Element;
import steadycog.train.Join;
import steadycog.train.Losses;
import steadycog.train.MemberId;
import steadycog.train.Part;
import steadycog.train.Pitch;
import steadycog.train.Place;
import steadycog.train.Roles;
import steadycog.train.ShiftPlan;
import steadycog.train.Sizes;
import steadycog.train.State;
import steadycog.train.Take;
import steadycog.train.Train;

/** What one statement says. A card is a list of items and a train is the same list, sorted. */
sealed interface Item {
  record OfPart(Part part) implements Item {}

  record OfJoin(Join join) implements Item {}

  record OfCoaxial(Join pair) implements Item {}

  record OfPlace(Place place) implements Item {}

  record OfPitch(Pitch pitch) implements Item {}

  record OfDrive(Drive drive) implements Item {}

  record OfHold(MemberId member) implements Item {}

  record OfTake(Take take) implements Item {}

  record OfLock(Join lock) implements Item {}

  record OfElement(Element element) implements Item {}

  /** What one {@code efficiency} or {@code friction} statement says. */
  record OfLosses(Losses losses) implements Item {}

  /** What one statement about sizes says. */
  record OfSizes(Sizes sizes) implements Item {}

  record OfState(State state) implements Item {}

  /** The train's items in the order in which a card is printed. */
  static List<Item> of(Train train) {
    List<Item> items = new ArrayList<>();
    train.parts().forEach(part -> items.add(new OfPart(part)));
    train.joins().forEach(join -> items.add(new OfJoin(join)));
    train.coaxials().forEach(pair -> items.add(new OfCoaxial(pair)));
    train.places().forEach(place -> items.add(new OfPlace(place)));
    train.pitch().ifPresent(pitch -> items.add(new OfPitch(pitch)));
    train.sizes().statements().forEach(sizes -> items.add(new OfSizes(sizes)));
    items.addAll(of(train.losses()));
    items.addAll(of(train.roles()));
    train.shifts().declared().forEach(element -> items.add(new OfElement(element)));
    train.shifts().states().forEach(state -> items.add(new OfState(state)));
    return items;
  }

  /** What is said about losses: one statement of efficiencies, one of friction. */
  static List<Item> of(Losses losses) {
    List<Item> items = new ArrayList<>();
    Losses stated = losses.withFriction(Optional.empty());
    if (!stated.unstated()) {
      items.add(new OfLosses(stated));
    }
    if (losses.friction().isPresent()) {
      items.add(new OfLosses(Losses.UNSTATED.withFriction(losses.friction())));
    }
    return items;
  }

  /** What all items say about losses; throws IllegalArgumentException as {@link Losses#and}. */
  static Losses losses(List<? extends Item> items) {
    return only(OfLosses.class, items).stream()
        .map(OfLosses::losses)
        .reduce(Losses.UNSTATED, Losses::and);
  }

  /** What all items say about sizes; throws IllegalArgumentException as {@link Sizes#and}. */
  static Sizes sizes(List<? extends Item> items) {
    return only(OfSizes.class, items).stream()
        .map(OfSizes::sizes)
        .reduce(Sizes.UNSTATED, Sizes::and);
  }

  private static List<Item> of(Roles roles) {
    List<Item> items = new ArrayList<>();
    roles.drives().forEach(drive -> items.add(new OfDrive(drive)));
    roles.holds().forEach(held -> items.add(new OfHold(held)));
    roles.take().ifPresent(take -> items.add(new OfTake(take)));
    roles.locks().forEach(lock -> items.add(new OfLock(lock)));
    return items;
  }

  /** The roles that {@code items} give; throws IllegalArgumentException as {@link Roles} does. */
  static Roles roles(List<Item> items) {
    return new Roles(
        only(OfDrive.class, items).stream().map(OfDrive::drive).toList(),
        only(OfHold.class, items).stream().map(OfHold::member).toList(),
        only(OfTake.class, items).stream().map(OfTake::take).findFirst(),
        only(OfLock.class, items).stream().map(OfLock::lock).toList());
  }

  /** The items of one kind, in order. */
  static <T extends Item> List<T> only(Class<T> kind, List<? extends Item> items) {
    return items.stream().filter(kind::isInstance).map(kind::cast).toList();
  }

  /** The train that {@code items} make; throws IllegalArgumentException as {@link Train} does. */
  static Train train(List<Item> items) {
    return new Train(
        only(OfPart.class, items).stream().map(OfPart::part).toList(),
        only(OfJoin.class, items).stream().map(OfJoin::join).toList(),
        only(OfCoaxial.class, items).stream().map(OfCoaxial::pair).toList(),
        only(OfPlace.class, items).stream().map(OfPlace::place).toList(),
        only(OfPitch.class, items).stream().map(OfPitch::pitch).findFirst(),
        roles(items),
        new ShiftPlan(
            only(OfElement.class, items).stream().map(OfElement::element).toList(),
            only(OfState.class, items).stream().map(OfState::state).toList()),
        losses(items),
        sizes(items));
  }

  /** The same said of members under other names; empty where it is said of one that is gone. */
  default Optional<Item> following(Function<MemberId, Optional<MemberId>> follows) {
    if (!members().stream().allMatch(id -> follows.apply(id).isPresent())
        && !(this instanceof OfState || this instanceof OfLosses)) {
      return Optional.empty();
    }
    UnaryOperator<MemberId> rename = id -> follows.apply(id).orElse(id);
    Predicate<MemberId> stays = id -> follows.apply(id).isPresent();
    return Optional.of(
        switch (this) {
          case OfPart part -> part;
          case OfJoin(Join join) -> new OfJoin(join.renamed(rename));
          case OfCoaxial(Join pair) -> new OfCoaxial(pair.renamed(rename));
          case OfPlace(Place place) ->
              new OfPlace(new Place(rename.apply(place.member()), place.degrees()));
          case OfPitch pitch -> pitch;
          case OfDrive(Drive drive) -> new OfDrive(drive.movedTo(rename.apply(drive.member())));
          case OfHold(MemberId member) -> new OfHold(rename.apply(member));
          case OfTake(Take take) -> new OfTake(take.movedTo(rename.apply(take.member())));
          case OfLock(Join lock) -> new OfLock(lock.renamed(rename));
          case OfElement(Element element) -> new OfElement(element.renamed(rename));
          case OfLosses(Losses losses) -> new OfLosses(losses.renamed(rename, stays));
          case OfSizes(Sizes sizes) -> new OfSizes(sizes.renamed(rename, stays));
          case OfState(State state) -> new OfState(state.renamed(rename, stays));
        });
  }

  /** Whom it is said of. */
  private List<MemberId> members() {
    return switch (this) {
      case OfPart part -> List.of();
      case OfJoin(Join join) -> List.of(join.a(), join.b());
      case OfCoaxial(Join pair) -> List.of(pair.a(), pair.b());
      case OfPlace(Place place) -> List.of(place.member());
      case OfPitch pitch -> List.of();
      case OfDrive(Drive drive) -> List.of(drive.member());
      case OfHold(MemberId member) -> List.of(member);
      case OfTake(Take take) -> List.of(take.member());
      case OfLock(Join lock) -> List.of(lock.a(), lock.b());
      case OfElement(Element element) -> element.members();
      case OfLosses(Losses losses) -> losses.members();
      case OfSizes(Sizes sizes) -> sizes.members();
      case OfState state -> List.of();
    };
  }

  /**
   * What it speaks of. Of two statements of one subject, one before and one after a change, the
   * later says something else of the same.
   */
  default Object subject() {
    return switch (this) {
      case OfPart(Part part) -> part.name();
      case OfState(State state) -> state.name();
      case OfSizes sizes -> List.of(print().split(" ", 2)[0], members());
      default -> members();
    };
  }

  /** Whether the statement may come to speak of something else, as a drive that is moved does. */
  default boolean moves() {
    return switch (this) {
      case OfPart part -> true;
      case OfPitch pitch -> true;
      case OfDrive drive -> true;
      case OfHold held -> true;
      case OfTake take -> true;
      case OfState state -> true;
      default -> false;
    };
  }

  /** Whether the order of such statements says something. */
  default boolean ordered() {
    return !(this instanceof OfSizes || this instanceof OfLosses);
  }

  /** The statement in canonical form. */
  default String print() {
    return switch (this) {
      case OfPart(Part part) -> PartText.print(part);
      case OfJoin(Join join) -> "join " + join.a() + " = " + join.b();
      case OfCoaxial(Join pair) -> "coaxial " + pair.a() + " = " + pair.b();
      case OfPlace(Place place) ->
          "place " + place.member() + " " + Exact.plain(place.degrees()) + " deg";
      case OfPitch(Pitch pitch) -> pitch.statement();
      case OfDrive(Drive drive) ->
          "drive "
              + drive.member()
              + optional(drive.speed())
              + optional(drive.effort())
              + drive.motor().map(motor -> " " + motor).orElse("");
      case OfHold(MemberId member) -> "hold " + member;
      case OfTake(Take take) -> "take " + take.member() + optional(take.load());
      case OfLock(Join lock) -> "lock " + lock.a() + " = " + lock.b();
      case OfElement(Element element) -> element.toString();
      case OfLosses(Losses losses) -> LossText.print(losses);
      case OfSizes(Sizes sizes) -> SizeText.print(sizes);
      case OfState(State(String name, Roles roles)) ->
          ("state " + name + ": " + clauses(roles)).stripTrailing();
    };
  }

  private static String clauses(Roles roles) {
    return of(roles).stream().map(Item::print).collect(Collectors.joining("; "));
  }

  private static String optional(Optional<Quantity> quantity) {
    return quantity.map(given -> " " + given).orElse("");
  }
}
