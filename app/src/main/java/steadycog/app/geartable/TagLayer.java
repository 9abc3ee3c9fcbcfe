package steadycog.app.geartable;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import javafx.scene.Group;
import steadycog.app.desk.Bench;
import steadycog.app.geartable.BodyView.TagSpot;
import steadycog.app.geartable.TagPlaces.Box;
import steadycog.app.geartable.TagPlaces.Disc;
import steadycog.app.geartable.TagPlaces.Point;
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
 * The tags of all members, one each: on a wheel where that hides nothing while all marks stand at
 * twelve o'clock, else outside with a leader.
 */
final class TagLayer extends Group {
  private static final double LEAST_RADIUS = 72;

  /** Round a wheel, points that a leader may end on. */
  private static final int ENDS = 12;

  private final Map<MemberId, WheelTag> tags = new HashMap<>();
  private final Map<MemberId, BodyView> bodies = new HashMap<>();

  /**
   * Places tags from front to back; {@code order} runs from the back.
   *
   * @param room what of the view is free for drawing
   * @param captions the names of sets, which stand already
   */
  void place(Bench bench, List<BodyView> order, Box room, List<Box> captions) {
    bodies.clear();
    List<Disc> swept = order.stream().map(TagLayer::swept).toList();
    TagPlaces places = new TagPlaces(room, box -> box.into(swept, Box::into));
    captions.forEach(places::take);
    List<BodyView> left = new ArrayList<>();
    for (int k = order.size() - 1; k >= 0; k--) {
      BodyView view = order.get(k);
      boolean covered = view.isBehind() && view instanceof WheelView wheel && !wheel.isRing();
      if (view.isFirst() && !covered && !isCramped(bench, view, order)) {
        tags.computeIfAbsent(view.id(), none -> added()).setViewOrder(-k);
        if (placeOnWeb(bench, places, view, order.subList(k + 1, order.size()))) {
          bodies.put(view.id(), view);
        } else {
          left.add(view);
        }
      }
    }
    left.sort(Comparator.comparingDouble(BodyView::outerRadius).reversed());
    for (BodyView view : left) {
      if (placeOutside(bench, places, view, order)) {
        bodies.put(view.id(), view);
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

  /** On the web of a wheel, where there is one and all of the tag has room on it. */
  private boolean placeOnWeb(Bench bench, TagPlaces places, BodyView view, List<BodyView> front) {
    if (!(view instanceof WheelView wheel) || wheel.isRing()) {
      return false;
    }
    WheelTag tag = show(bench, view);
    Disc web = new Disc(wheel.restX(), wheel.restY(), wheel.webRadius());
    List<Disc> over = front.stream().map(TagLayer::disc).toList();
    for (boolean lying : new boolean[] {false, true}) {
      Optional<Box> place = places.onWeb(web, covered(wheel, front), over, tag.size(lying));
      if (place.isPresent()) {
        tag.tie(place.get().x() - wheel.restX(), place.get().y() - wheel.restY());
        return true;
      }
    }
    return false;
  }

  /** Radius up to which other bodies, or its own shaft, cover a wheel. */
  private static double covered(WheelView wheel, List<BodyView> front) {
    double covered = wheel.hubRadius();
    for (BodyView other : front) {
      // Planets alike have one axis by name, and each stands on its own.
      double away = Math.hypot(other.restX() - wheel.restX(), other.restY() - wheel.restY());
      if (away < 1) {
        covered = Math.max(covered, other.outerRadius());
      }
    }
    return covered;
  }

  /** Outside of all that is drawn, with a leader; with its name alone where more has no room. */
  private boolean placeOutside(Bench bench, TagPlaces places, BodyView view, List<BodyView> order) {
    WheelTag tag = show(bench, view);
    List<Point> ends = ends(view, order.subList(order.indexOf(view) + 1, order.size()));
    Optional<Box> place = places.outside(ends, tag.size(true));
    if (place.isEmpty()) {
      tag.show(name(bench, view.id()), "", 0);
      place = places.outside(ends, tag.size(true));
    }
    place.ifPresent(
        box -> {
          Point end = TagPlaces.nearest(ends, box);
          boolean turning = view.tagSpot().map(TagSpot::turning).orElse(false);
          tag.lead(box, end.x() - view.restX(), end.y() - view.restY(), turning);
        });
    return place.isPresent();
  }

  private WheelTag show(Bench bench, BodyView view) {
    WheelTag tag = Objects.requireNonNull(tags.get(view.id()));
    int way = bench.study().motion().speed(view.id()).map(AngularSpeed::signum).orElse(0);
    String teeth = view instanceof WheelView wheel ? wheel.wheel().teeth().toString() : "";
    tag.show(name(bench, view.id()), teeth, way);
    return tag;
  }

  /** Points of a body that are seen: a leader may end on any of them. */
  private static List<Point> ends(BodyView view, List<BodyView> front) {
    Optional<TagSpot> spot = view.tagSpot();
    if (spot.isPresent()) {
      return List.of(at(view, spot.get().radius(), -spot.get().angle()));
    }
    List<Point> seen = new ArrayList<>();
    for (double radius : radii(view, front)) {
      for (int k = 0; k < ENDS && radius > 0; k++) {
        Point point = at(view, radius, 2 * Math.PI * k / ENDS);
        if (front.stream().noneMatch(over -> hides(over, point))) {
          seen.add(point);
        }
      }
    }
    return seen.isEmpty() ? List.of(at(view, 0, 0)) : seen;
  }

  /** Where a body is solid: a ring in its rim, or where that is hidden in its teeth. */
  private static double[] radii(BodyView view, List<BodyView> front) {
    if (!(view instanceof WheelView wheel)) {
      return new double[] {0};
    }
    return wheel.isRing()
        ? new double[] {
          (wheel.rootRadius() + wheel.outerRadius()) / 2,
          0.2 * wheel.rootRadius() + 0.8 * wheel.innerRadius()
        }
        : new double[] {(covered(wheel, front) + wheel.rootRadius()) / 2};
  }

  private static boolean hides(BodyView over, Point point) {
    double away = Math.hypot(point.x() - over.restX(), point.y() - over.restY());
    double hollow = over instanceof WheelView wheel && wheel.isRing() ? wheel.innerRadius() : 0;
    return away < over.outerRadius() && away >= hollow;
  }

  private static Point at(BodyView view, double radius, double angle) {
    return new Point(
        view.restX() + radius * Math.cos(angle), view.restY() + radius * Math.sin(angle));
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

  /** All that a body sweeps while its carrier takes it round. */
  private static Disc swept(BodyView view) {
    double away = Math.hypot(view.restX() - view.middleX(), view.restY() - view.middleY());
    return new Disc(view.middleX(), view.middleY(), away + view.outerRadius());
  }

  private static Disc disc(BodyView view) {
    return new Disc(view.restX(), view.restY(), view.outerRadius());
  }
}
