package steadycog.rating;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.function.ToDoubleFunction;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.AngularSpeed;
import steadycog.number.Quantity;
import steadycog.piece.Blank;
import steadycog.rating.Beam.Load;
import steadycog.rating.RatedShaft.Held;
import steadycog.shape.Axes;
import steadycog.shape.EdgeLayout.EdgeShaft;
import steadycog.shape.FaceLayout;
import steadycog.sizing.Thrust;
import steadycog.sizing.ToothPush;
import steadycog.train.BallBearing;
import steadycog.train.BearingSize;
import steadycog.train.Duty.Term;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Part;
import steadycog.train.Planetary;
import steadycog.train.Role;
import steadycog.train.ShaftSize;
import steadycog.train.Teeth;
import steadycog.train.Train;
import steadycog.train.WheelSize;

/**
 * Shafts in their bearings and planets on their pins, under the forces of involute teeth on
 * parallel axes, as the side view shows them: a shaft that nothing stands before goes on to the
 * walls, any other has its bearing beside its last wheel. What belts, chains and couplings add from
 * outside is not known here.
 *
 * @param shafts in the order of the card, pins among them
 * @param walls of flexsplines, screened
 * @param unrated members of shafts that other teeth press, or that are hollow
 */
public record ShaftRating(List<RatedShaft> shafts, List<FlexWall> walls, List<MemberId> unrated) {
  private static final double NMM_PER_NM = 1000;
  private static final double RPM_PER_RAD_S = 30 / Math.PI;
  private static final double MILLION_TURNS_IN_MINUTES = 1e6 / 60;

  public ShaftRating {
    shafts = List.copyOf(shafts);
    walls = List.copyOf(walls);
    unrated = List.copyOf(unrated);
  }

  /** Of a train that runs in these ways, laid out as {@code face}. */
  public static ShaftRating of(Train train, FaceLayout face, List<Running> runnings) {
    return of(train, face, runnings, Carried.AS_DRAWN);
  }

  /**
   * The same where its shafts are carried otherwise than the drawing has them, in bearings of which
   * the rating is estimated where it is not stated.
   */
  public static ShaftRating of(
      Train train, FaceLayout face, List<Running> runnings, Carried carried) {
    List<Running> all = runnings.stream().filter(one -> one.share() > 0).toList();
    return all.isEmpty()
        ? new ShaftRating(List.of(), List.of(), List.of())
        : new Maker(train, face, all, carried).rating();
  }

  private static final class Maker {
    private final Train train;
    private final List<Running> runnings;
    private final Carried carried;
    private final Axes axes;
    private final ShaftPlaces places;
    private final double overload;
    private final List<List<ToothPush>> pushes;
    private final List<List<Thrust>> thrusts;

    Maker(Train train, FaceLayout face, List<Running> runnings, Carried carried) {
      this.train = train;
      this.carried = carried;
      this.runnings = runnings;
      axes = Axes.ofShafts(train);
      places = new ShaftPlaces(train, face);
      overload = train.sizes().duty().value(Term.OVERLOAD);
      pushes = runnings.stream().map(one -> ToothPush.of(train, face, one.torques())).toList();
      thrusts = runnings.stream().map(one -> Thrust.ofShafts(train, one.torques())).toList();
    }

    ShaftRating rating() {
      List<RatedShaft> all = new ArrayList<>();
      List<MemberId> unrated = new ArrayList<>();
      for (int axis = 0; axis < axes.count(); axis++) {
        if (axes.on(axis).stream().anyMatch(member -> isPressedOtherwise(member.id()))) {
          unrated.add(axes.on(axis).getFirst().id());
        }
      }
      for (EdgeShaft shaft : places.shafts()) {
        boolean others = shaft.members().stream().anyMatch(this::isPressedOtherwise);
        if (!others && shaft.bore() > 0) {
          unrated.add(shaft.members().getFirst());
        } else if (!others && !shaft.members().stream().allMatch(this::isRing)) {
          shaft(shaft).ifPresent(all::add);
        }
      }
      pins(all);
      return new ShaftRating(all, FlexWall.of(train, runnings), unrated);
    }

    private boolean isRing(MemberId member) {
      return train.member(member).teeth().filter(Teeth::internal).isPresent();
    }

    /** By teeth whose forces across the axis are not worked out. */
    private boolean isPressedOtherwise(MemberId member) {
      Part part = train.partOf(member);
      return !part.takesHelix() && part.members().size() > 1;
    }

    private Optional<RatedShaft> shaft(EdgeShaft shaft) {
      Held held =
          carried.held(shaft.members()).orElseGet(() -> places.held(shaft, this::isPressed));
      List<Bent> all = new ArrayList<>();
      for (int k = 0; k < runnings.size(); k++) {
        all.add(bent(shaft, held, k));
      }
      return rated(false, shaft.members(), held, all, shaft(shaft.members()));
    }

    private Optional<RatedShaft> rated(
        boolean pin, List<MemberId> wheels, Held held, List<Bent> all, ShaftSize size) {
      ShaftSteel steel = ShaftSteel.of(size, train.sizes().duty());
      double wanted = size.value(ShaftSize.Term.FACTOR);
      List<Asked> asked =
          all.stream()
              .flatMap(
                  bent ->
                      bent.beam().sections().stream()
                          .map(at -> Asked.of(steel, pin, bent, at, wanted)))
              .filter(one -> one.diameter() > 0)
              .toList();
      MemberId member = wheels.getFirst();
      return asked.stream()
          .max(
              Comparator.comparingDouble(Asked::diameter)
                  .thenComparing(one -> one.section().wheel().isPresent()))
          .map(
              worst ->
                  new RatedShaft(
                      member,
                      pin,
                      wheels,
                      held.from(middle(member)),
                      largest(all, bent -> bent.beam().onFirst()),
                      largest(all, bent -> bent.beam().onSecond()),
                      largest(all, bent -> Math.abs(bent.thrust())),
                      new RatedShaft.Worst(
                          worst.bent().running().state(),
                          worst.section().wheel(),
                          worst.section().bending(),
                          worst.section().torque()),
                      worst.diameter(),
                      made(wheels, asked),
                      wanted,
                      bearing(pin, wheels),
                      bearing(wheels).bearing().isPresent(),
                      life(all, pin, rating(wheels))));
    }

    /** Of its bearings, N: as stated, else as estimated of those that are known to be there. */
    private Optional<Double> rating(List<MemberId> wheels) {
      return bearing(wheels)
          .rating()
          .map(Quantity::inBase)
          .or(() -> carried.bearing(wheels).map(BallBearing::estimatedRating));
    }

    private static double largest(List<Bent> all, ToDoubleFunction<Bent> of) {
      return all.stream().mapToDouble(of).max().orElse(0);
    }

    private Optional<RatedShaft.Life> life(List<Bent> all, boolean pin, Optional<Double> rated) {
      double turns = 0;
      double worn = 0;
      for (Bent bent : all) {
        turns += bent.running().share() * bent.rpm();
        double load = pin ? bent.beam().across() : bent.load();
        worn += bent.running().share() * bent.rpm() * Math.pow(load, 3);
      }
      if (rated.isEmpty() || worn == 0) {
        return Optional.empty();
      }
      double rating = rated.get();
      return Optional.of(
          new RatedShaft.Life(
              rating,
              Math.cbrt(worn / turns),
              turns,
              MILLION_TURNS_IN_MINUTES * Math.pow(rating, 3) / worn,
              train.sizes().duty().value(Term.LIFE)));
    }

    /** By the smallest bore of what sits on it. */
    private Optional<RatedShaft.Made> made(List<MemberId> wheels, List<Asked> asked) {
      return thinnest(wheels)
          .map(
              blank ->
                  new RatedShaft.Made(
                      size(blank),
                      blank.boreStated(),
                      asked.stream()
                          .mapToDouble(one -> one.factor(thickness(one, wheels, size(blank))))
                          .min()
                          .orElseThrow()));
    }

    /** At a bearing a shaft is as thick as its bore, where that is less. */
    private double thickness(Asked asked, List<MemberId> wheels, double shaft) {
      double bore = bearing(wheels).bearing().map(BallBearing::bore).orElse(Integer.MAX_VALUE);
      return asked.section().wheel().isEmpty() && !asked.pin() ? Math.min(shaft, bore) : shaft;
    }

    private double middle(MemberId member) {
      return places.middle(member) + carried.shift(member);
    }

    private Optional<BallBearing> bearing(boolean pin, List<MemberId> wheels) {
      Optional<BallBearing> stated = bearing(wheels).bearing().or(() -> carried.bearing(wheels));
      return stated.isPresent() || pin
          ? stated
          : thinnest(wheels).flatMap(blank -> BallBearing.on(size(blank)));
    }

    /** What has the smallest bore; empty where nothing has one. */
    private Optional<Blank> thinnest(List<MemberId> wheels) {
      return wheels.stream()
          .map(wheel -> Blank.of(train, wheel))
          .filter(blank -> blank.bore().isPresent())
          .min(Comparator.comparingDouble(Maker::size));
    }

    private static double size(Blank blank) {
      return blank.bore().orElseThrow().size().inBase();
    }

    /** What the card says of a shaft by any of its wheels, else of all. */
    private WheelSize size(List<MemberId> wheels, Predicate<WheelSize> says) {
      return train.size(
          wheels.stream()
              .filter(wheel -> says.test(train.sizes().own(wheel)))
              .findFirst()
              .orElse(wheels.getFirst()));
    }

    private ShaftSize shaft(List<MemberId> wheels) {
      return size(wheels, own -> own.shaft().isPresent()).shaft().orElse(ShaftSize.NONE);
    }

    private BearingSize bearing(List<MemberId> wheels) {
      return size(wheels, own -> own.bearing().isPresent()).bearing().orElse(BearingSize.NONE);
    }

    private boolean isPressed(MemberId wheel) {
      return pushes.stream().flatMap(List::stream).anyMatch(push -> push.wheel().equals(wheel));
    }

    private Bent bent(EdgeShaft shaft, Held held, int k) {
      Running running = runnings.get(k);
      List<Load> loads = new ArrayList<>();
      for (ToothPush push : pushes.get(k)) {
        if (shaft.members().contains(push.wheel())) {
          loads.add(load(push));
        }
      }
      double left = 0;
      for (MemberId member : shaft.members()) {
        double torque = torque(member, running);
        left += torque;
        loads.add(new Load(Optional.of(member), middle(member), 0, 0, 0, 0, torque));
      }
      Role role =
          shaft.members().stream()
              .map(running.motion().mechanism().roles()::of)
              .filter(one -> one != Role.FREE)
              .findFirst()
              .orElse(Role.FREE);
      double end =
          shaft.way().toLeft(role)
              ? Math.min(held.first(), 0) - 1
              : Math.max(held.second(), places.height()) + 1;
      loads.add(new Load(Optional.empty(), end, 0, 0, 0, 0, -left));
      double speed =
          running
              .motion()
              .speed(shaft.members().getFirst())
              .map(AngularSpeed::inRadPerS)
              .orElse(0.0);
      double thrust =
          thrusts.get(k).stream()
              .filter(one -> axes.of(one.member()) == axes.of(shaft.members().getFirst()))
              .mapToDouble(Thrust::force)
              .sum();
      return new Bent(
          running,
          new Beam(loads, held.first(), held.second()),
          speed != 0,
          Math.abs(speed) * RPM_PER_RAD_S,
          thrust * overload);
    }

    /** What all meshes put on a member, N mm, with overload. */
    private double torque(MemberId member, Running running) {
      int index = running.torques().mechanism().indexOf(member);
      BigFraction sum = BigFraction.ZERO;
      for (int k = 0; k < train.meshes().size(); k++) {
        Mesh mesh = train.meshes().get(k);
        if (mesh.touches(member) || mesh.carrier().filter(member::equals).isPresent()) {
          sum = sum.add(running.torques().relationTorque(k, index).orElse(BigFraction.ZERO));
        }
      }
      return sum.doubleValue() * NMM_PER_NM * overload;
    }

    private Load load(ToothPush push) {
      return new Load(
          Optional.of(push.wheel()),
          places.contact(push) + carried.shift(push.wheel()),
          push.x() * overload,
          push.y() * overload,
          push.tiltX() * overload,
          push.tiltY() * overload,
          0);
    }

    private void pins(List<RatedShaft> all) {
      for (Part part : train.parts()) {
        if (part instanceof Planetary set) {
          Map<Integer, List<MemberId>> bodies = new LinkedHashMap<>();
          for (Member member : set.members()) {
            if (set.isPlanet(member.id())) {
              bodies
                  .computeIfAbsent(axes.of(member.id()), none -> new ArrayList<>())
                  .add(member.id());
            }
          }
          bodies.values().forEach(body -> pin(set, body).ifPresent(all::add));
        }
      }
    }

    private Optional<RatedShaft> pin(Planetary set, List<MemberId> body) {
      ShaftSize size = shaft(body);
      Held held = places.pin(body, size.bothEnds());
      List<Bent> bent = new ArrayList<>();
      for (int k = 0; k < runnings.size(); k++) {
        Running running = runnings.get(k);
        List<Load> loads =
            pushes.get(k).stream()
                .filter(push -> body.contains(push.wheel()))
                .map(this::load)
                .toList();
        double own = speed(running, body.getFirst()) - speed(running, set.carrierId());
        bent.add(
            new Bent(
                running,
                new Beam(loads, held.first(), held.second()),
                false,
                Math.abs(own) * RPM_PER_RAD_S,
                0));
      }
      return rated(true, body, held, bent, size);
    }

    private static double speed(Running running, MemberId member) {
      return running.motion().speed(member).map(AngularSpeed::inRadPerS).orElse(0.0);
    }
  }
}
