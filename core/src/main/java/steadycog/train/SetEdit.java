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

  /** A train without a sun or a ring; empty where it cannot be spared. */
  public static Optional<Edited> without(Train train, Planetary set, MemberId member) {
    return without(set, member)
        .map(
            left -> {
              boolean first = set.placeOf(member).filter(at -> at.row() == 0).isPresent();
              boolean gone = left.rows().size() < set.rows().size();
              return replacing(train, set, left, first && gone ? 1 : 0);
            });
  }

  /** A train with other rows in a set, the first ones as they were. */
  public static Edited replacing(Train train, Planetary set, Planetary changed) {
    return replacing(train, set, changed, 0);
  }

  /** The same with so many rows less at the drive end: their wheels are gone with them. */
  private static Edited replacing(Train train, Planetary set, Planetary changed, int gone) {
    return Edited.replacing(
        train,
        set,
        changed,
        id ->
            !id.part().equals(set.name())
                ? Optional.of(id)
                : id.equals(set.carrierId())
                    ? Optional.of(changed.carrierId())
                    : set.placeOf(id)
                        .map(at -> new WheelPlace(at.row() - gone, at.kind(), at.index()))
                        .filter(changed.places()::contains)
                        .map(changed::idAt));
  }
}
