package steadycog.train;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Changes of the rows of a planetary set. */
public final class SetEdit {
  private SetEdit() {}

  /**
   * The same set without a sun or a ring, and without its row where nothing else is left in that;
   * empty where {@code member} cannot be spared.
   */
  public static Optional<Planetary> without(Planetary set, MemberId member) {
    Optional<WheelPlace> place =
        set.placeOf(member).filter(at -> at.kind() != WheelPlace.Kind.PLANET);
    if (place.isEmpty()) {
      return Optional.empty();
    }
    int at = place.get().row();
    List<PlanetRow> left = new ArrayList<>(set.rows());
    PlanetRow row = left.remove(at);
    row.without(place.get().kind()).ifPresent(smaller -> left.add(at, smaller));
    return left.isEmpty() ? Optional.empty() : Optional.of(set.withRows(left));
  }

  /**
   * What the wheel {@code member} of {@code set} is called in {@code changed}, a set with rows
   * added behind or with wheels taken out; empty where it is gone. With a row gone the first one is
   * what is left.
   */
  public static Optional<MemberId> renamed(Planetary set, Planetary changed, MemberId member) {
    if (member.equals(set.carrierId())) {
      return Optional.of(changed.carrierId());
    }
    boolean fewer = set.rows().size() > changed.rows().size();
    int gone = fewer && !set.row().planets().equals(changed.row().planets()) ? 1 : 0;
    return set.placeOf(member)
        .map(place -> new WheelPlace(place.row() - gone, place.kind(), place.index()))
        .filter(changed.places()::contains)
        .map(changed::idAt);
  }
}
