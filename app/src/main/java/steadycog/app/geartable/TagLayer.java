package steadycog.app.geartable;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import javafx.scene.Group;
import steadycog.app.desk.Bench;
import steadycog.app.geartable.BodyView.TagSpot;
import steadycog.app.geartable.TagPlaces.Disc;
import steadycog.app.look.Sign;
import steadycog.number.AngularSpeed;
import steadycog.number.Known;
import steadycog.train.Bevel;
import steadycog.train.Cycloidal;
import steadycog.train.Differential;
import steadycog.train.MemberId;
import steadycog.train.Parallel;
import steadycog.train.Part;
import steadycog.train.Planetary;
import steadycog.train.Shaft;
import steadycog.train.StrainWave;

/**
 * The tags of all members, one each, where they hide little and are not hidden while all marks
 * stand at twelve o'clock.
 */
final class TagLayer extends Group {
  private static final double LEAST_RADIUS = 72;

  private final Map<MemberId, WheelTag> tags = new HashMap<>();
  private final Map<MemberId, BodyView> bodies = new HashMap<>();

  /** Places tags from front to back; {@code order} runs from the back. */
  void place(Bench bench, List<BodyView> order) {
    bodies.clear();
    TagPlaces places = new TagPlaces();
    for (int k = order.size() - 1; k >= 0; k--) {
      BodyView view = order.get(k);
      boolean covered = view.isBehind() && view instanceof WheelView wheel && !wheel.isRing();
      if (view.isFirst() && !covered && !isCramped(bench, view, order)) {
        bodies.put(view.id(), view);
        tags.computeIfAbsent(view.id(), none -> added()).setViewOrder(-k);
        place(bench, places, view, order.subList(k + 1, order.size()));
      }
    }
    tags.entrySet()
        .removeIf(
            entry -> {
              boolean unused = !bodies.containsKey(entry.getKey());
              if (unused) {
                getChildren().remove(entry.getValue());
              }
              return unused;
            });
  }

  /** Moves the tags along with what they name. */
  void follow() {
    tags.forEach((id, tag) -> tag.follow(Known.in(bodies, id)));
  }

  private void place(Bench bench, TagPlaces places, BodyView view, List<BodyView> front) {
    WheelTag tag = Objects.requireNonNull(tags.get(view.id()));
    int way = bench.study().motion().speed(view.id()).map(AngularSpeed::signum).orElse(0);
    Optional<TagSpot> spot = view.tagSpot();
    if (spot.isPresent()) {
      double x = spot.get().radius() * Math.cos(spot.get().angle());
      double y = -spot.get().radius() * Math.sin(spot.get().angle());
      places.take(new Disc(view.restX() + x, view.restY() + y, 0), WheelTag.SMALL_RADIUS);
      tag.show(name(bench, view.id()), "", way, true);
      tag.tie(x, y, spot.get().turning());
    } else if (view instanceof WheelView wheel) {
      placeOnWheel(bench, places, tag, wheel, front, way);
    }
  }

  /** Members of a set go by their own names: the set's stands over it. */
  private static String name(Bench bench, MemberId id) {
    return isCaptioned(bench.card().train().partOf(id)) ? Sign.ownName(id) : Sign.shortName(id);
  }

  /** In a set drawn so small that its tags would hide it only its name is shown. */
  private static boolean isCramped(Bench bench, BodyView view, List<BodyView> all) {
    if (!isCaptioned(bench.card().train().partOf(view.id()))) {
      return false;
    }
    double largest = 0;
    for (BodyView other : all) {
      boolean same = other.id().part().equals(view.id().part());
      largest = same ? Math.max(largest, other.outerRadius()) : largest;
    }
    return largest < LEAST_RADIUS;
  }

  /** Whether a part's name stands over it: those whose members are all round one axis. */
  static boolean isCaptioned(Part part) {
    boolean round =
        switch (part) {
          case Planetary _, Cycloidal _, StrainWave _ -> true;
          case Parallel _, Bevel _, Differential _, Shaft _ -> false;
        };
    return round && !part.name().isEmpty();
  }

  private WheelTag added() {
    WheelTag tag = new WheelTag();
    getChildren().add(tag);
    return tag;
  }

  private static void placeOnWheel(
      Bench bench, TagPlaces places, WheelTag tag, WheelView wheel, List<BodyView> front, int way) {
    double covered = 0;
    List<Disc> over = new ArrayList<>();
    for (BodyView other : front) {
      over.add(disc(other));
      if (other.placed().axis() == wheel.placed().axis() && !wheel.isRing()) {
        covered = Math.max(covered, other.outerRadius());
      }
    }
    boolean carried = wheel.placed().orbit().isPresent();
    double solid = wheel.isRing() ? wheel.outerRadius() : wheel.rootRadius();
    double inner = wheel.isRing() ? wheel.rootRadius() : carried ? 0 : covered;
    boolean small = wheel.isRing() || (solid - inner) / (inner == 0 ? 1 : 2) < WheelTag.RADIUS + 4;
    double radius = small ? WheelTag.SMALL_RADIUS : WheelTag.RADIUS;
    Disc place =
        carried
            ? places.take(disc(wheel), radius)
            : places.place(disc(wheel), inner, solid, over, radius);
    tag.show(name(bench, wheel.id()), wheel.wheel().teeth().toString(), way, small);
    tag.tie(place.x() - wheel.restX(), place.y() - wheel.restY(), false);
  }

  private static Disc disc(BodyView view) {
    return new Disc(view.restX(), view.restY(), view.outerRadius());
  }
}
