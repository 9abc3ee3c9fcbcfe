package steadycog.sizing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.motion.Motion;
import steadycog.number.AngularSpeed;
import steadycog.piece.Blank;
import steadycog.shape.BevelPair;
import steadycog.shape.Cut;
import steadycog.shape.CycloidGeometry;
import steadycog.torque.Torques;
import steadycog.train.Cycloidal;
import steadycog.train.Differential;
import steadycog.train.Helices;
import steadycog.train.Helix;
import steadycog.train.Made;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.MeshKind;
import steadycog.train.Part;
import steadycog.train.Role;
import steadycog.train.Teeth;
import steadycog.train.Train;

/**
 * The strength of all teeth under the torques of one way of running.
 *
 * @param loads one a mesh of which the torque follows
 */
public record Screening(List<ToothLoad> loads) {
  /** Of the stress allowed for teeth loaded one way only (AGMA 2001; Shigley). */
  public static final double BOTH_WAYS = 0.7;

  private static final double MM_PER_M = 1000;

  public Screening {
    loads = List.copyOf(loads);
  }

  /** Nothing known. */
  public static final Screening NONE = new Screening(List.of());

  /** The tooth that gives way first. */
  public Optional<ToothLoad.Weakest> weakest() {
    return loads.stream()
        .flatMap(load -> load.weakest().stream())
        .min(Comparator.comparingDouble(ToothLoad.Weakest::factor));
  }

  /** What a mesh bears; empty where its torque does not follow. */
  public Optional<ToothLoad> of(Mesh mesh) {
    return loads.stream().filter(load -> load.mesh().equals(mesh)).findFirst();
  }

  /** Whether a wheel meshes on both flanks of its teeth: a planet, an idler. */
  public static boolean isBentBothWays(Train train, MemberId wheel) {
    long meshes = train.meshes().stream().filter(mesh -> mesh.touches(wheel)).count();
    return meshes > 1 && train.rolesInForce().of(wheel) == Role.FREE;
  }

  /** Whether the card states all that strength follows from: teeth, face widths, materials. */
  public static boolean isStated(Train train) {
    return train.isSized()
        && train.meshes().stream()
            .flatMap(mesh -> Stream.of(mesh.a(), mesh.b()))
            .allMatch(id -> Blank.isStated(train, id));
  }

  /** The larger load of each mesh. */
  Screening underBoth(Screening other) {
    List<ToothLoad> all = new ArrayList<>(loads);
    for (ToothLoad next : other.loads) {
      Optional<ToothLoad> own = of(next.mesh());
      if (own.isEmpty()) {
        all.add(next);
      } else if (own.get().force() < next.force()) {
        all.set(all.indexOf(own.get()), next);
      }
    }
    return new Screening(all);
  }

  public static Screening of(Train train, Motion motion, Torques torques) {
    return new Maker(train, motion, torques).make();
  }

  private record Maker(Train train, Motion motion, Torques torques) {

    Screening make() {
      List<ToothLoad> all = new ArrayList<>();
      List<Mesh> meshes = train.meshes();
      for (int k = 0; k < meshes.size(); k++) {
        Mesh mesh = meshes.get(k);
        int a = torques.mechanism().indexOf(mesh.a());
        Optional<BigFraction> torque = torques.relationTorque(k, a).filter(t -> t.signum() != 0);
        torque.ifPresent(t -> all.add(load(mesh, Math.abs(t.doubleValue()) * MM_PER_M)));
      }
      return new Screening(all);
    }

    /**
     * @param torque on the first wheel from all contacts, N mm
     */
    private ToothLoad load(Mesh mesh, double torque) {
      Part part = train.partOf(mesh.a());
      return switch (train.kind(mesh)) {
        case EXTERNAL, INTERNAL -> spur(mesh, torque);
        case BEVEL -> bevel(mesh, torque, part);
        case CYCLOIDAL -> cycloidal(mesh, torque, (Cycloidal) part);
        case STRAIN_WAVE -> {
          double radius = mesh.teethA().count() * module(mesh.a()) / 2;
          yield new ToothLoad(
              mesh,
              MeshKind.STRAIN_WAVE,
              torque / radius,
              1,
              speed(mesh, radius),
              width(mesh),
              Optional.empty(),
              Optional.empty(),
              Optional.empty(),
              contactAllowed(mesh));
        }
      };
    }

    private double module(MemberId wheel) {
      return train.moduleMm(wheel);
    }

    private Made made(MemberId id) {
      return Blank.made(train, id);
    }

    private double width(Mesh mesh) {
      double face = Math.min(Blank.widthMm(train, mesh.a()), Blank.widthMm(train, mesh.b()));
      return Helices.of(train, mesh.a()).toothed(face);
    }

    private double contactAllowed(Mesh mesh) {
      return Math.min(made(mesh.a()).contactMpa(), made(mesh.b()).contactMpa());
    }

    private ToothLoad spur(Mesh mesh, double torque) {
      Optional<MeshFigures> figures = MeshFigures.of(train, mesh);
      Sharing sharing = Sharing.of(train, mesh);
      double radius =
          figures
              .map(f -> f.workingRadius(mesh.a()))
              .orElse(mesh.teethA().count() * module(mesh.a()) / 2);
      double force = sharing.most(torque / radius);
      double width = width(mesh);
      Optional<Double> pressure =
          figures
              .map(
                  f -> {
                    double sine = Math.sin(f.pair().working());
                    double one = f.workingRadius(mesh.pinion()) * sine;
                    double other = f.workingRadius(mesh.gear()) * sine;
                    double across = mesh.internal() ? 1 / one - 1 / other : 1 / one + 1 / other;
                    // The line of contact is longer by what the force is larger: that cancels.
                    double bent = across * f.winding().baseCosine();
                    return hertz(mesh, force / Math.cos(f.pair().working()) / width, bent);
                  })
              .filter(Double::isFinite);
      return new ToothLoad(
          mesh,
          train.kind(mesh),
          force,
          sharing.contacts(),
          speed(mesh, radius),
          width,
          Optional.of(bending(mesh.a(), mesh.teethA(), Cut.of(train, mesh.a()), force, width)),
          Optional.of(bending(mesh.b(), mesh.teethB(), Cut.of(train, mesh.b()), force, width)),
          pressure,
          contactAllowed(mesh));
    }

    private ToothLoad.Bending bending(
        MemberId wheel, Teeth teeth, Cut cut, double force, double width) {
      Helix helix = Helices.of(train, wheel);
      double angle = train.sizes().rackInForce().radians();
      Cut across = cut.across(train, wheel);
      double module = Helices.normalModuleMm(train, wheel);
      double thinning =
          Blank.flankMm(train, wheel) / module / Math.cos(across.rack().pressureAngle());
      double form =
          LewisForm.of(
              helix.virtualCount(teeth.count(), angle), teeth.internal(), across, thinning);
      boolean bothWays = isBentBothWays(train, wheel);
      double allowed = made(wheel).bendingMpa() * (bothWays ? BOTH_WAYS : 1);
      return new ToothLoad.Bending(wheel, form, force / (width * module * form), allowed, bothWays);
    }

    /**
     * Hertz pressure of two cylinders, MPa.
     *
     * @param line load per mm of width, N
     * @param bent sum of curvatures, 1/mm
     */
    private double hertz(Mesh mesh, double line, double bent) {
      double soft = made(mesh.a()).material().softness() + made(mesh.b()).material().softness();
      return Math.sqrt(line * bent / (Math.PI * soft));
    }

    /** At the middle of the face, as a spur pair of the virtual counts (Tredgold). */
    private ToothLoad bevel(Mesh mesh, double torque, Part part) {
      Optional<Differential> sides = train.partOf(mesh.a(), Differential.class);
      int contacts = sides.map(Differential::spiders).orElse(1);
      BevelPair pair = BevelPair.of(train, part).orElseThrow();
      double width = pair.faceMm(train);
      double mean = (1 + pair.toe(train)) / 2;
      double radius = pair.one().teeth() * module(mesh.a()) / 2 * mean;
      double force = torque / radius / contacts;
      double angle = pair.one().cut().rack().pressureAngle();
      double sine = Math.sin(angle) * module(mesh.a()) * mean / 2;
      double bent =
          1 / (pair.one().virtualTeeth() * sine) + 1 / (pair.other().virtualTeeth() * sine);
      return new ToothLoad(
          mesh,
          MeshKind.BEVEL,
          force,
          contacts,
          speed(mesh, radius),
          width,
          Optional.of(bevel(mesh.a(), pair.one(), force, width, mean)),
          Optional.of(
              bevel(mesh.b(), sides.isPresent() ? pair.one() : pair.other(), force, width, mean)),
          Optional.of(hertz(mesh, force / Math.cos(angle) / width, bent)),
          contactAllowed(mesh));
    }

    private ToothLoad.Bending bevel(
        MemberId wheel, BevelPair.Gear gear, double force, double width, double mean) {
      double thinning = Blank.thinning(train, wheel, gear.cut().rack().pressureAngle());
      double form = LewisForm.of(gear.virtualTeeth(), false, gear.cut(), thinning);
      double allowed = made(wheel).bendingMpa();
      return new ToothLoad.Bending(
          wheel, form, force / (width * module(wheel) * mean * form), allowed, false);
    }

    /**
     * The most pressed pin where pins give way alike: force in proportion to its lever about the
     * disc's axis, so that the greatest is T l / sum l².
     */
    private ToothLoad cycloidal(Mesh mesh, double torque, Cycloidal drive) {
      CycloidGeometry geometry = new CycloidGeometry(drive);
      int discs = drive.sizes().discs();
      double width = Blank.widthMm(train, drive.discId());
      double sum = 0;
      for (double pin : pinAngles(drive)) {
        sum += Math.pow(geometry.lever(pin), 2);
      }
      double most = 0;
      double pressure = 0;
      for (double pin : pinAngles(drive)) {
        double force = torque / discs * geometry.lever(pin) / sum;
        most = Math.max(most, force);
        pressure = Math.max(pressure, hertz(mesh, force / width, geometry.curvatureAgainst(pin)));
      }
      return new ToothLoad(
          mesh,
          MeshKind.CYCLOIDAL,
          most,
          discs,
          Optional.empty(),
          width,
          Optional.empty(),
          Optional.empty(),
          Optional.of(pressure),
          contactAllowed(mesh));
    }

    /** The pins that carry while the eccentric points to the right. */
    private static List<Double> pinAngles(Cycloidal drive) {
      List<Double> all = new ArrayList<>();
      for (int k = 0; k < drive.pins(); k++) {
        double angle = 2 * Math.PI * k / drive.pins();
        if (CycloidGeometry.carries(angle, 0)) {
          all.add(angle);
        }
      }
      return all;
    }

    /** Of the pitch line as seen from the carrier, m/s. */
    private Optional<Double> speed(Mesh mesh, double radius) {
      Optional<AngularSpeed> wheel = motion.speed(mesh.a());
      Optional<AngularSpeed> frame =
          mesh.carrier().map(motion::speed).orElse(Optional.of(AngularSpeed.ZERO));
      return wheel.isPresent() && frame.isPresent()
          ? Optional.of(
              Math.abs(wheel.get().inRadPerS() - frame.get().inRadPerS()) * radius / MM_PER_M)
          : Optional.empty();
    }
  }
}
