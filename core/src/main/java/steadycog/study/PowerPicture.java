package steadycog.study;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.motion.Mechanism;
import steadycog.shape.EdgeLayout;
import steadycog.shape.EdgeLayout.EdgeCarrier;
import steadycog.shape.EdgeLayout.EdgeCone;
import steadycog.shape.EdgeLayout.EdgeShaft;
import steadycog.shape.EdgeLayout.EdgeWheel;
import steadycog.torque.ShaftNumbers;
import steadycog.torque.Torques;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Role;

/**
 * How power goes through a train, drawn over its side view: from the drive along shafts to meshes,
 * through them to other shafts, and out. All is power in space, torque times speed, so that at
 * every mesh and on every shaft what comes in goes out again, but for what a mesh loses. Power that
 * goes round between planets and carrier shows as a loop.
 *
 * @param runs stretches along which the power is the same
 * @param heats one a mesh
 * @param most the largest power of any run, W
 * @param in power that enters, W
 */
public record PowerPicture(List<Run> runs, List<Heat> heats, double most, double in) {
  /** Power below this share of the largest is not drawn. */
  private static final double NOTHING = 1e-6;

  /** Wheel and carrier leave a mesh so far beside each other, in planes. */
  private static final double ASIDE = 0.1;

  /** Where shafts begin on the drive side, in planes. */
  private static final double OUTSIDE = 1.1;

  private static final double PLATE = 0.3;
  private static final double UPRIGHT = 0.7;

  /**
   * A point of the side view.
   *
   * @param at in planes
   * @param height in modules, up
   * @param lane which of several ways beside each other along an axis, 0 on it
   */
  public record Point(double at, double height, int lane) {}

  /**
   * A stretch of the way.
   *
   * @param path at least two points
   * @param watts positive from its first point to its last
   * @param end whether it enters or leaves the train here
   */
  public record Run(List<Point> path, double watts, boolean end) {
    public Run {
      path = List.copyOf(path);
    }
  }

  /** What a mesh loses, and where it lies. */
  public record Heat(Mesh mesh, Point at, double watts) {}

  public PowerPicture {
    runs = List.copyOf(runs);
    heats = List.copyOf(heats);
  }

  /**
   * The picture over {@code layout}, with losses or without; empty where the torques do not follow
   * or nothing moves.
   *
   * @param right where shafts end on the far side, in planes
   */
  public static Optional<PowerPicture> of(
      Study study, EdgeLayout layout, boolean losses, double right) {
    Torques torques = losses ? study.torques() : study.loading().ideal();
    if (torques.status() != Torques.Status.DETERMINED || !study.motion().floating().isEmpty()) {
      return Optional.empty();
    }
    PowerPicture picture = new Drawing(study, layout, torques, right).draw(losses);
    return picture.most > 0 ? Optional.of(picture) : Optional.empty();
  }

  /** Power that comes onto a shaft at a point of its line, and the way there. */
  private record Tap(Point at, double watts, List<Point> way, boolean end) {}

  private static final class Drawing {
    private final Study study;
    private final EdgeLayout layout;
    private final Torques torques;
    private final double right;
    private final Mechanism mechanism;
    private final ShaftNumbers shafts;
    private final Map<Integer, List<Tap>> taps = new LinkedHashMap<>();
    private final Map<Integer, Integer> lanes = new HashMap<>();
    private final Map<Integer, Double> axes = new HashMap<>();
    private final List<Heat> heats = new ArrayList<>();

    Drawing(Study study, EdgeLayout layout, Torques torques, double right) {
      this.right = right;
      this.study = study;
      this.layout = layout;
      this.torques = torques;
      this.mechanism = study.motion().mechanism();
      this.shafts = new ShaftNumbers(mechanism);
    }

    PowerPicture draw(boolean losses) {
      List<Mesh> meshes = study.train().meshes();
      for (int k = 0; k < meshes.size(); k++) {
        addMesh(k, meshes.get(k), losses);
      }
      double in = 0;
      for (MemberId member : mechanism.bodies()) {
        in += Math.max(0, addEnd(member));
      }
      double largest =
          taps.values().stream()
              .flatMap(List::stream)
              .mapToDouble(tap -> Math.abs(tap.watts))
              .max()
              .orElse(0);
      List<Run> runs = new ArrayList<>();
      taps.forEach((shaft, list) -> addRuns(list, largest * NOTHING, runs));
      double most = runs.stream().mapToDouble(run -> Math.abs(run.watts)).max().orElse(0);
      return new PowerPicture(runs, heats, most, in);
    }

    private void addMesh(int index, Mesh mesh, boolean losses) {
      Place a = place(mesh.a());
      Place b = place(mesh.b());
      Point contact = contact(a, b);
      double sum = 0;
      sum += tap(index, mesh.a(), contact, a.axis);
      sum += tap(index, mesh.b(), contact, b.axis);
      if (mesh.carrier().isPresent()) {
        sum += tapCarrier(index, mesh, mesh.carrier().get(), contact);
      }
      heats.add(new Heat(mesh, contact, losses ? Math.max(0, -sum) : 0));
    }

    /** Power that a mesh gives to one of its members. */
    private double power(int mesh, MemberId member) {
      BigFraction torque =
          torques.relationTorque(mesh, mechanism.indexOf(member)).orElse(BigFraction.ZERO);
      return torque.doubleValue()
          * study.motion().speed(member).map(speed -> speed.inRadPerS()).orElse(0.0);
    }

    private double tap(int mesh, MemberId wheel, Point contact, double axis) {
      double watts = power(mesh, wheel);
      double at = contact.at + (isPlanet(wheel) ? -ASIDE : 0);
      List<Point> way = new ArrayList<>(List.of(contact));
      Optional<EdgeWheel> ring = wheel(wheel).filter(EdgeWheel::isRing);
      if (ring.isPresent()) {
        // Along the rim to the plate by which it hangs, and down to the axis.
        at += ring.get().hung() == EdgeLayout.Way.LEFT ? -PLATE : PLATE;
      }
      if (at != contact.at) {
        way.add(new Point(at, contact.height, 0));
      }
      Optional<Pins> own = pins(wheel).filter(pins -> pins.plate.id().equals(wheel));
      if (own.isPresent()) {
        // A disc gives to the pins that go through it.
        add(wheel, own.get().at(at), watts, way, false);
      } else {
        addOnAxis(wheel, new Point(at, axis, lane(wheel, axis)), watts, way, false);
      }
      return watts;
    }

    /** To the pin of the planet. */
    private double tapCarrier(int index, Mesh mesh, MemberId carrier, Point contact) {
      double watts = power(index, carrier);
      Point aside = new Point(contact.at + ASIDE, contact.height, 0);
      Optional<Pins> pins = pins(carrier);
      if (pins.isPresent()) {
        add(carrier, pins.get().at(aside.at), watts, List.of(contact, aside), false);
      } else {
        double pin = place(isPlanet(mesh.a()) ? mesh.a() : mesh.b()).axis;
        double axis = plate(carrier).map(EdgeCarrier::height).orElseGet(() -> place(carrier).axis);
        double at = plate(carrier).map(EdgeCarrier::plateAt).orElse(aside.at);
        List<Point> way = new ArrayList<>(List.of(contact, aside));
        if (at != aside.at) {
          way.addAll(List.of(new Point(aside.at, pin, 1), new Point(at, pin, 1)));
        }
        add(carrier, new Point(at, axis, lane(carrier, axis)), watts, way, false);
      }
      return watts;
    }

    private Optional<EdgeCarrier> plate(MemberId carrier) {
      return layout.carriers().stream().filter(one -> one.id().equals(carrier)).findFirst();
    }

    /** The pins of a carrier: the line along which the power of its shaft is gathered. */
    private record Pins(EdgeCarrier plate) {
      Point at(double plane) {
        return new Point(plane, plate.height() + plate.pinHeight(), 1);
      }
    }

    /** Pins of a shaft that has but one carrier; others gather on their axis. */
    private Optional<Pins> pins(MemberId member) {
      List<EdgeCarrier> carriers =
          layout.carriers().stream().filter(one -> shaft(one.id()) == shaft(member)).toList();
      return carriers.size() == 1 ? Optional.of(new Pins(carriers.getFirst())) : Optional.empty();
    }

    /** What comes along an axis, on to the pins where the shaft gathers there. */
    private void addOnAxis(MemberId member, Point at, double watts, List<Point> way, boolean end) {
      Optional<Pins> pins = pins(member);
      if (pins.isEmpty()) {
        add(member, at, watts, way, end);
        return;
      }
      double plate = pins.get().plate.plateAt();
      List<Point> on = new ArrayList<>(way);
      on.addAll(List.of(at, new Point(plate, at.height, at.lane)));
      add(member, pins.get().at(plate), watts, on, end);
    }

    /** What enters or leaves at a member; 0 where nothing does. */
    private double addEnd(MemberId member) {
      Role role = mechanism.roles().of(member);
      if (role != Role.DRIVE && role != Role.TAKE) {
        return 0;
      }
      double watts = study.power(torques, member).orElse(0.0);

      Optional<EdgeShaft> shaft =
          layout.shafts().stream().filter(one -> one.members().contains(member)).findFirst();
      boolean left = shaft.map(EdgeShaft::way).orElse(EdgeLayout.Way.EITHER).toLeft(role);
      double height = shaft.map(EdgeShaft::height).orElseGet(() -> place(member).axis);
      // A bevel pinion stands upright in the side view: its shaft goes to neither wall.
      Optional<EdgeCone> cone =
          layout.cones().stream().filter(one -> one.id().equals(member)).findFirst();
      double outside = cone.map(one -> one.at() - UPRIGHT).orElse(left ? -OUTSIDE : right);
      addOnAxis(member, new Point(outside, height, lane(member, height)), watts, List.of(), true);
      return watts;
    }

    private void add(MemberId member, Point at, double watts, List<Point> way, boolean end) {
      taps.computeIfAbsent(shaft(member), none -> new ArrayList<>())
          .add(new Tap(at, watts, way, end));
    }

    private int shaft(MemberId member) {
      return shafts.of(mechanism.indexOf(member));
    }

    /** The ways to the line of a shaft, and along it what has come together so far. */
    private void addRuns(List<Tap> list, double least, List<Run> runs) {
      List<Tap> along = new ArrayList<>(list);
      along.sort(Comparator.comparingDouble(tap -> tap.at.at));
      double sum = 0;
      for (int k = 0; k < along.size(); k++) {
        Tap tap = along.get(k);
        if (!tap.way.isEmpty() && Math.abs(tap.watts) > least) {
          List<Point> way = new ArrayList<>(tap.way);
          way.add(tap.at);
          runs.add(new Run(way, tap.watts, tap.end));
        }
        sum += tap.watts;
        if (k + 1 < along.size() && Math.abs(sum) > least) {
          Tap next = along.get(k + 1);
          if (next.at.at > tap.at.at) {
            boolean end = (tap.end && tap.way.isEmpty()) || (next.end && next.way.isEmpty());
            runs.add(new Run(List.of(tap.at, next.at), sum, end));
          }
        }
      }
    }

    /** Shafts about one axis get ways of their own: 0, 1, -1, 2, -2 and so on. */
    private int lane(MemberId member, double axis) {
      int shaft = shaft(member);
      return lanes.computeIfAbsent(
          shaft,
          fresh -> {
            long before =
                axes.entrySet().stream()
                    .filter(entry -> Math.abs(entry.getValue() - axis) < 1e-6)
                    .count();
            axes.put(fresh, axis);
            if (isPlanet(member)) {
              return -1;
            }
            int step = (int) (before + 1) / 2;
            return before % 2 == 0 ? -step : step;
          });
    }

    private boolean isPlanet(MemberId member) {
      return study.train().partOf(member).meshes().stream()
          .filter(mesh -> mesh.touches(member) && mesh.carrier().isPresent())
          .anyMatch(
              mesh -> {
                double own = place(member).axis;
                double frame = place(mesh.carrier().get()).axis;
                return Math.abs(own - frame) > 1e-6;
              });
    }

    /** Where a member lies. */
    private record Place(double at, double axis, double radius, boolean ring) {}

    private Place place(MemberId member) {
      Optional<EdgeWheel> wheel = wheel(member);
      if (wheel.isPresent()) {
        EdgeWheel one = wheel.get();
        double teeth = one.isRing() ? one.inner() : one.outer() - 1;
        return new Place(one.at(), one.height(), teeth, one.isRing());
      }
      for (EdgeCone cone : layout.cones()) {
        if (cone.id().equals(member)) {
          return new Place(cone.at(), (cone.height() + cone.toward()) / 2, 0, false);
        }
      }
      Optional<EdgeCarrier> plate = plate(member);
      if (plate.isPresent()) {
        return new Place(plate.get().plateAt(), plate.get().height(), 0, false);
      }

      return layout.shafts().stream()
          .filter(shaft -> shaft.members().contains(member))
          .findFirst()
          .map(shaft -> new Place((shaft.from() + shaft.to()) / 2, shaft.height(), 0, false))
          .orElse(new Place(0, 0, 0, false));
    }

    private Optional<EdgeWheel> wheel(MemberId member) {
      return layout.wheels().stream()
          .filter(wheel -> wheel.id().equals(member) && wheel.copy() == 0)
          .findFirst();
    }

    /** Where two wheels touch: on the rim of the one inside, or of the first. */
    private static Point contact(Place a, Place b) {
      Place inside = a.ring ? b : a;
      Place other = a.ring ? a : b;
      double way = Math.signum(other.axis - inside.axis) * (other.ring ? -1 : 1);
      double at = inside.radius == 0 || other.radius == 0 ? (a.at + b.at) / 2 : inside.at;
      return new Point(at, inside.axis + (way == 0 ? 1 : way) * inside.radius, 0);
    }
  }
}
