package steadycog.rating;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.motion.Motion;
import steadycog.number.AngularSpeed;
import steadycog.piece.Blank;
import steadycog.shape.BasicRack;
import steadycog.shape.Cut;
import steadycog.shape.GearOutline;
import steadycog.shape.Rims;
import steadycog.sizing.MeshFigures;
import steadycog.sizing.Screening;
import steadycog.sizing.ToothLoad;
import steadycog.train.Bore;
import steadycog.train.Duty;
import steadycog.train.Duty.Term;
import steadycog.train.Geometry;
import steadycog.train.Helices;
import steadycog.train.Helix;
import steadycog.train.Material;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Part;
import steadycog.train.Planetary;
import steadycog.train.Teeth;
import steadycog.train.Train;

/**
 * How a train's involute teeth on parallel axes bear what they must, in bending and contact, over
 * all states and the whole life (AGMA 2001 as taught; Shigley, ch. 14). A planet is bent both ways;
 * its cycles, and those of sun and ring, are counted against the carrier; the most loaded planet
 * counts.
 *
 * @param meshes in the order of the card, those that are loaded in some state
 * @param unrated meshes of other kinds, of which the screening says what is known, and teeth that
 *     cannot be cut or do not run
 */
public record Rating(Duty duty, List<RatedMesh> meshes, List<Mesh> unrated) {
  /** What a steel wheel has of which nothing is said. */
  public static final int USUAL_BRINELL = 180;

  private static final double SECONDS_AN_HOUR = 3600;

  /** Cp of steel on steel: 2300 roots of psi (Shigley, table 14-8). */
  private static final double STEEL = 2300 * Math.sqrt(Strength.MPA_PER_PSI);

  /** Of the normal base pitch over the length of action of helical teeth (AGMA 908). */
  private static final double HELICAL = 0.95;

  private static final double SOFTER = 1.2;
  private static final double SOFTEST = 1.7;

  public Rating {
    meshes = List.copyOf(meshes);
    unrated = List.copyOf(unrated);
  }

  /** Which factor a tooth has least of, against what is wanted. */
  public record Weakest(
      RatedTooth tooth, Mesh mesh, boolean contact, double factor, double wanted) {
    /** The factor over what is wanted: below 1 it is not reached. */
    public double margin() {
      return factor / wanted;
    }
  }

  /** The same of the meshes of one part alone. */
  public Rating of(String part) {
    return new Rating(
        duty,
        meshes.stream().filter(rated -> rated.mesh().a().part().equals(part)).toList(),
        unrated.stream().filter(mesh -> mesh.a().part().equals(part)).toList());
  }

  /** The factor that falls shortest of what is wanted; empty where nothing is rated. */
  public Optional<Weakest> weakest() {
    List<Weakest> all = new ArrayList<>();
    for (RatedMesh rated : meshes) {
      for (RatedTooth tooth : rated.teeth()) {
        all.add(
            new Weakest(
                tooth, rated.mesh(), false, tooth.bendingFactor(), duty.value(Term.BENDING)));
        all.add(
            new Weakest(
                tooth, rated.mesh(), true, tooth.contactFactor(), duty.value(Term.CONTACT)));
      }
    }
    return all.stream().min(Comparator.comparingDouble(Weakest::margin));
  }

  /** The rating of a train that runs in these ways. */
  public static Rating of(Train train, List<Running> runnings) {
    return new Maker(train, train.sizes().duty(), runnings).rating();
  }

  private record Maker(Train train, Duty duty, List<Running> runnings) {

    Rating rating() {
      List<Screening> screenings =
          runnings.stream().map(one -> Screening.of(train, one.motion(), one.torques())).toList();
      List<RatedMesh> rated = new ArrayList<>();
      List<Mesh> unrated = new ArrayList<>();
      for (Mesh mesh : train.meshes()) {
        Optional<MeshFigures> figures =
            train.partOf(mesh.a()).takesHelix() ? MeshFigures.of(train, mesh) : Optional.empty();
        if (figures.isEmpty()) {
          unrated.add(mesh);
          continue;
        }
        Optional<RatedMesh> both = rated(mesh, figures.get(), screenings);
        if (both.filter(one -> !one.follows()).isPresent()) {
          unrated.add(mesh);
        } else {
          both.ifPresent(rated::add);
        }
      }
      return new Rating(duty, rated, unrated);
    }

    private Optional<RatedMesh> rated(Mesh mesh, MeshFigures figures, List<Screening> screenings) {
      double face =
          Helices.of(train, mesh.a())
              .toothed(Math.min(Blank.widthMm(train, mesh.a()), Blank.widthMm(train, mesh.b())));
      double elastic = elastic(mesh);
      List<Case> a = new ArrayList<>();
      List<Case> b = new ArrayList<>();
      // What a tooth is shaped like does not change from state to state.
      Optional<ToothFactors> ofA = Optional.empty();
      Optional<ToothFactors> ofB = Optional.empty();
      for (int k = 0; k < runnings.size(); k++) {
        Optional<ToothLoad> load = screenings.get(k).of(mesh);
        if (load.isPresent() && runnings.get(k).share() > 0) {
          ToothLoad here = load.get();
          MeshFactors shared = shared(figures, here, face);
          ToothFactors first = ofA.orElseGet(() -> own(mesh.a(), figures, here, shared, face));
          ToothFactors second = ofB.orElseGet(() -> own(mesh.b(), figures, here, shared, face));
          a.add(one(mesh.a(), figures, here, shared, first, k, face, elastic));
          b.add(one(mesh.b(), figures, here, shared, second, k, face, elastic));
          ofA = Optional.of(first);
          ofB = Optional.of(second);
        }
      }
      if (a.isEmpty()) {
        return Optional.empty();
      }
      Strength first = Strength.of(train, mesh.a());
      Strength second = Strength.of(train, mesh.b());
      boolean gearFirst = mesh.gear().equals(mesh.a());
      double ratio = ratio(mesh);
      double hardness = gearFirst ? harder(second, first, ratio) : harder(first, second, ratio);
      return Optional.of(
          new RatedMesh(
              mesh,
              face,
              train.moduleMm(mesh.a()),
              2 * figures.workingRadius(mesh.pinion()),
              elastic,
              RatedTooth.of(
                  mesh.a(),
                  a,
                  first,
                  Screening.isBentBothWays(train, mesh.a()),
                  gearFirst ? hardness : 1),
              RatedTooth.of(
                  mesh.b(),
                  b,
                  second,
                  Screening.isBentBothWays(train, mesh.b()),
                  gearFirst ? 1 : hardness)));
    }

    private static double ratio(Mesh mesh) {
      return (double) mesh.teeth(mesh.gear()).count() / mesh.teeth(mesh.pinion()).count();
    }

    /** CH of a gear that runs against a harder pinion (Shigley, eq. 14-36). */
    private static double harder(Strength pinion, Strength gear, double ratio) {
      if (pinion.brinell().isEmpty() || gear.brinell().isEmpty()) {
        return 1;
      }
      double harder = Math.min(SOFTEST, pinion.brinell().get() / gear.brinell().get());
      double slope = harder < SOFTER ? 0 : 8.98e-3 * harder - 8.29e-3;
      return 1 + slope * (ratio - 1);
    }

    private MeshFactors shared(MeshFigures figures, ToothLoad load, double face) {
      double pinion = 2 * figures.workingRadius(figures.mesh().pinion());
      double sharing = sharing(figures);
      return new MeshFactors(
          duty.value(Term.OVERLOAD),
          MeshFactors.dynamic(duty.value(Term.QUALITY), load.speed().orElse(0.0)),
          MeshFactors.distribution(face, pinion, duty),
          Reliability.ofTeeth(duty.value(Term.RELIABILITY)),
          pitting(figures, sharing),
          sharing);
    }

    /** I as the card gives it for either wheel, else as worked out. */
    private double pitting(MeshFigures figures, double sharing) {
      return Stream.of(figures.mesh().a(), figures.mesh().b())
          .flatMap(wheel -> train.size(wheel).geometry().stream())
          .flatMap(given -> given.contact().stream())
          .mapToDouble(BigFraction::doubleValue)
          .findFirst()
          .orElseGet(
              () ->
                  MeshFactors.pitting(
                      figures.pair().working(),
                      ratio(figures.mesh()),
                      figures.pair().internal(),
                      sharing));
    }

    /** mN: 1 of teeth that do not overlap along the face; else pN / (0.95 Z). */
    private static double sharing(MeshFigures figures) {
      if (figures.winding().overlap() < 1) {
        return 1;
      }
      return figures.winding().baseCosine() / (HELICAL * figures.contactRatio());
    }

    private ToothFactors own(
        MemberId wheel, MeshFigures figures, ToothLoad load, MeshFactors shared, double face) {
      double lewis = load.of(wheel).map(ToothLoad.Bending::form).orElse(Double.NaN);
      BendingFactor j = bending(figures.mesh(), wheel, figures, shared.sharing());
      return new ToothFactors(
          ToothFactors.size(face, lewis, figures.winding().normalModule()),
          ToothFactors.rim(backup(wheel)),
          train
              .size(wheel)
              .geometry()
              .flatMap(Geometry::bending)
              .map(BigFraction::doubleValue)
              .orElse(j.value()),
          j.form(),
          j.concentration());
    }

    private Case one(
        MemberId wheel,
        MeshFigures figures,
        ToothLoad load,
        MeshFactors shared,
        ToothFactors own,
        int running,
        double face,
        double elastic) {
      Mesh mesh = figures.mesh();
      double all =
          load.force() * shared.overload() * shared.dynamic() * own.size() * shared.distribution();
      double pinion = 2 * figures.workingRadius(mesh.pinion());
      Running here = runnings.get(running);
      return new Case(
          here.state(),
          here.share(),
          load.force(),
          load.speed().orElse(0.0),
          shared,
          own,
          all * own.rim() / (face * train.moduleMm(wheel) * own.bending()),
          elastic * Math.sqrt(all / (pinion * face * shared.pitting())),
          cycles(mesh, wheel, here));
    }

    /**
     * J: straight teeth loaded at the highest point of single contact, helical ones at the tip of
     * the straight wheel whose teeth are as theirs across.
     */
    private BendingFactor bending(Mesh mesh, MemberId wheel, MeshFigures figures, double sharing) {
      Teeth teeth = mesh.teeth(wheel);
      Helix helix = Helices.of(train, wheel);
      Cut across = Cut.of(train, wheel).across(train, wheel);
      double thinning =
          Blank.flankMm(train, wheel)
              / Helices.normalModuleMm(train, wheel)
              / Math.cos(across.rack().pressureAngle());
      double count = helix.virtualCount(teeth.count(), train.sizes().rackInForce().radians());
      double radius =
          helix.isStraight()
              ? highestSingle(mesh, wheel, figures)
              : GearOutline.tipRadius(count, teeth.internal(), across);
      return BendingFactor.of(count, teeth.internal(), across, thinning, radius, sharing);
    }

    /**
     * Radius of the highest point at which a tooth bears alone, in modules: one base pitch up from
     * where the tip of its mate begins.
     */
    private double highestSingle(Mesh mesh, MemberId wheel, MeshFigures figures) {
      double module = train.moduleMm(wheel);
      MemberId mate = mesh.other(wheel);
      Teeth own = mesh.teeth(wheel);
      Teeth other = mesh.teeth(mate);
      double angle = BasicRack.of(train, wheel).pressureAngle();
      double base = own.count() / 2.0 * Math.cos(angle);
      double baseOfMate = other.count() / 2.0 * Math.cos(angle);
      double tipOfMate =
          GearOutline.tipRadius(other.count(), other.internal(), Cut.of(train, mate));
      double line = figures.distance() / module * Math.sin(figures.pair().working());
      double toTip = Math.sqrt(Math.max(0, tipOfMate * tipOfMate - baseOfMate * baseOfMate));
      double pitch = Math.PI * Math.cos(angle);
      double along = own.internal() ? line + toTip - pitch : Math.abs(line - toTip) + pitch;
      return Math.hypot(base, along);
    }

    /** Rim over tooth height; endless of what has no bore. */
    private double backup(MemberId wheel) {
      BasicRack rack = BasicRack.of(train.sizes().rackInForce());
      double height = rack.addendum() + rack.dedendum();
      Teeth teeth = train.member(wheel).teeth().orElseThrow();
      Optional<Planetary> set = train.partOf(wheel, Planetary.class);
      if (teeth.internal()) {
        return set.map(s -> Rims.thickness(train, s, wheel) / height)
            .orElse(Double.POSITIVE_INFINITY);
      }
      double root =
          GearOutline.rootRadius(teeth.count(), false, Cut.of(train, wheel))
              * train.moduleMm(wheel);
      double bore =
          Blank.of(train, wheel).bore().map(Bore::size).map(size -> size.inBase() / 2).orElse(0.0);
      return (root - bore) / (height * Helices.normalModuleMm(train, wheel));
    }

    /** How often a tooth is loaded in the life: turns against the carrier times its mates there. */
    private double cycles(Mesh mesh, MemberId wheel, Running here) {
      Motion motion = here.motion();
      double carrier =
          mesh.carrier().flatMap(motion::speed).map(AngularSpeed::inRadPerS).orElse(0.0);
      double own = motion.speed(wheel).map(AngularSpeed::inRadPerS).orElse(0.0);
      double turns = Math.abs(own - carrier) / (2 * Math.PI);
      Part part = train.partOf(wheel);
      int mates = Math.max(1, part.copies(mesh.other(wheel)) / part.copies(wheel));
      double hours = duty.value(Term.LIFE) * here.share();
      return Math.max(1, turns * hours * SECONDS_AN_HOUR * mates);
    }

    /** Cp = 1 / sqrt(pi (softness of both)). */
    private double elastic(Mesh mesh) {
      Material a = Blank.made(train, mesh.a()).material();
      Material b = Blank.made(train, mesh.b()).material();
      return Strength.isSteel(a) && Strength.isSteel(b)
          ? STEEL
          : 1 / Math.sqrt(Math.PI * (a.softness() + b.softness()));
    }
  }
}
