package steadycog.sizing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.piece.Blank;
import steadycog.shape.BevelPair;
import steadycog.shape.CycloidGeometry;
import steadycog.shape.PlanetGeometry;
import steadycog.shape.Polar;
import steadycog.shape.StrainGeometry;
import steadycog.torque.Torques;
import steadycog.train.Clearance.Gap;
import steadycog.train.Cycloidal;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Part;
import steadycog.train.Planetary;
import steadycog.train.StrainWave;
import steadycog.train.Tolerance;
import steadycog.train.Tolerance.Limits;
import steadycog.train.Train;

/**
 * How far the output can be turned with the input held fast, all play taken up one way and then the
 * other: of meshes, of planets on their pins, and of a drive's own fits. What a contact gives at
 * the output is what it would carry for a torque of one there (virtual work), so it follows from
 * the torques without losses; the planets of a set, or the discs of a drive, lie in it side by side
 * and count once.
 *
 * @param output the member that is turned
 * @param shares what each contact adds, the largest first
 */
public record LostMotion(MemberId output, List<Share> shares) {
  /**
   * What one contact adds.
   *
   * @param of whose it is, in words: {@code sun ~ planet}, {@code planet on its pin}
   * @param minutes arc minutes at the output
   */
  public record Share(String of, Band minutes) {}

  public LostMotion {
    shares =
        shares.stream()
            .sorted((a, b) -> Double.compare(b.minutes.nominal(), a.minutes.nominal()))
            .toList();
  }

  /** All of it, arc minutes. */
  public double minutes() {
    return band().nominal();
  }

  /** All of it with what tolerances make of it, arc minutes. */
  public Band band() {
    return shares.stream().map(Share::minutes).reduce(Band.of(0), Band::plus);
  }

  /** Empty where torques do not follow, or a mesh of another kind takes part in the way. */
  static Optional<LostMotion> of(Train train, List<MeshPlay> plays, Torques ideal) {
    if (ideal.mechanism().roles().take().isEmpty()
        || ideal.mechanism().roles().drives().size() != 1) {
      return Optional.empty();
    }
    MemberId output = ideal.mechanism().roles().take().get().member();
    Optional<BigFraction> torque = ideal.external(output).filter(given -> given.signum() != 0);
    return torque.flatMap(
        given ->
            new Maker(train, plays, ideal, given.doubleValue())
                .shares()
                .map(shares -> new LostMotion(output, shares)));
  }

  private record Maker(Train train, List<MeshPlay> plays, Torques ideal, double torque) {

    Optional<List<Share>> shares() {
      List<Share> all = new ArrayList<>();
      List<Mesh> meshes = train.meshes();
      for (int k = 0; k < meshes.size(); k++) {
        Optional<Double> carried = carried(k);
        if (carried.isEmpty()) {
          return Optional.empty();
        }
        double share = Math.abs(carried.get());
        if (share > 0) {
          List<Share> here = contact(meshes.get(k), share);
          if (here.isEmpty()) {
            return Optional.empty();
          }
          all.addAll(here);
        }
      }
      for (Planetary set : train.parts(Planetary.class)) {
        pins(set, all);
      }
      return Optional.of(all);
    }

    /** The torque a tooth that mesh {@code k} carries for one at the output. */
    private Optional<Double> carried(int k) {
      return ideal.multipliers().get(k).map(multiplier -> multiplier.doubleValue() / torque);
    }

    private List<Share> contact(Mesh mesh, double carried) {
      return switch (train.kind(mesh)) {
        case EXTERNAL, INTERNAL ->
            MeshPlay.of(plays, mesh)
                .filter(play -> Double.isFinite(play.around().nominal()))
                .map(
                    play ->
                        new Share(
                            mesh.a() + " ~ " + mesh.b(),
                            atLeastNone(play.minutesBand(mesh.a()))
                                .times(mesh.teethA().count() * carried)))
                .stream()
                .toList();
        case CYCLOIDAL -> fits((Cycloidal) train.partOf(mesh.a()), carried);
        case STRAIN_WAVE -> List.of(fit((StrainWave) train.partOf(mesh.a()), carried));
        case BEVEL -> bevels(mesh, carried);
      };
    }

    /** What comes off flanks is more at the heel, and the same angle everywhere along the face. */
    private List<Share> bevels(Mesh mesh, double carried) {
      Part part = train.partOf(mesh.a());
      BevelPair pair = BevelPair.of(train, part).orElseThrow();
      double radius = pair.one().teeth() / 2.0 * train.moduleMm(mesh.a());
      double flanks =
          Blank.flankMm(train, pair.one().id()) + Blank.flankMm(train, pair.other().id());
      double around = flanks / Math.cos(pair.one().cut().rack().pressureAngle());
      double minutes = around / radius * MeshFigures.ARC_MINUTES * pair.one().teeth() * carried;
      return part.contacts(mesh).stream()
          .map(contact -> new Share(contact.a() + " ~ " + contact.b(), Band.of(minutes)))
          .toList();
    }

    /** Teeth that bind have no play to give. */
    private static Band atLeastNone(Band band) {
      return band.nominal() < 0 ? new Band(0, band.deviations()) : band;
    }

    /** Lobes between pins, the disc on its cam, its holes on the output pins. */
    private List<Share> fits(Cycloidal drive, double carried) {
      CycloidGeometry geometry = new CycloidGeometry(drive);
      double lever = 0;
      for (Polar pin : geometry.pins()) {
        lever = Math.max(lever, geometry.lever(pin.angle()));
      }
      double lobes = 2 * Blank.flankMm(train, drive.discId()) / lever * drive.lobes();
      Band loose = loose();
      return List.of(
          share(drive.discId() + " ~ " + drive.ringId(), Band.of(lobes), carried),
          share(
              drive.discId() + " on the output pins",
              loose.times(drive.lobes() / geometry.outputCircleRadius()),
              carried),
          share(
              drive.discId() + " on " + drive.eccentricId(),
              loose.times((drive.pins() - drive.lobes()) / geometry.eccentricity()),
              carried));
    }

    /** Straight teeth in their spaces at the lobes. */
    private Share fit(StrainWave drive, double carried) {
      StrainGeometry geometry = new StrainGeometry(drive);
      double thinned =
          Blank.thinning(train, drive.flexId(), StrainGeometry.FLANK_ANGLE)
              + Blank.thinning(train, drive.circularId(), StrainGeometry.FLANK_ANGLE);
      double along = 2 * (geometry.passing() + thinned);
      return share(
          drive.flexId() + " ~ " + drive.circularId(),
          Band.of(along / geometry.flexRadius() * drive.flex()),
          carried);
    }

    private static Share share(String of, Band radians, double carried) {
      return new Share(of, radians.times(carried * MeshFigures.ARC_MINUTES));
    }

    /** By how much a hole is wider than what stands in it, mm. */
    private Band loose() {
      Limits bore = train.sizes().tolerance(Tolerance.Of.BORE);
      Limits pin = train.sizes().tolerance(Tolerance.Of.PIN);
      return Band.of(train.sizes().clearance().mm(Gap.BORE))
          .with(bore.aboveMm(), bore.belowMm(), 1)
          .with(pin.aboveMm(), pin.belowMm(), -1);
    }

    /**
     * What planets add that move on their pins: the force between them is what the forces of all
     * meshes of the planet leave, each at right angles to the line of its axes.
     */
    private void pins(Planetary set, List<Share> all) {
      PlanetGeometry geometry = PlanetGeometry.of(train, set);
      Band loose = loose();
      List<MemberId> bodies = set.planetIds().stream().map(set::body).distinct().toList();
      for (MemberId planet : bodies) {
        double x = 0;
        double y = 0;
        List<Mesh> meshes = train.meshes();
        for (int k = 0; k < meshes.size(); k++) {
          Mesh mesh = meshes.get(k);
          boolean first = isOf(set, mesh.a(), planet);
          if (first || isOf(set, mesh.b(), planet)) {
            double force = 2 * carried(k).orElse(0.0) / train.moduleMm(mesh.a());
            double[] towards = towards(set, geometry, mesh);
            double sign = first ? 1 : -1;
            x -= sign * force * towards[1];
            y += sign * force * towards[0];
          }
        }
        double pressed = Math.hypot(x, y);
        if (pressed > 1e-12 && loose.most() > 0) {
          all.add(share(planet + " on its pin", loose.times(pressed), 1));
        }
      }
    }

    private static boolean isOf(Planetary set, MemberId wheel, MemberId planet) {
      return wheel.part().equals(planet.part()) && set.body(wheel).equals(planet);
    }

    /** From the first wheel's axis to the contact, of length one. */
    private static double[] towards(Planetary set, PlanetGeometry geometry, Mesh mesh) {
      double[] a = at(set, geometry, mesh.a());
      double[] b = at(set, geometry, mesh.b());
      double length = Math.hypot(b[0] - a[0], b[1] - a[1]);
      // In a ring the contact lies beyond the planet, away from the ring's axis.
      double way = mesh.teethB().internal() ? -1 : 1;
      return new double[] {way * (b[0] - a[0]) / length, way * (b[1] - a[1]) / length};
    }

    private static double[] at(Planetary set, PlanetGeometry geometry, MemberId wheel) {
      if (!set.isPlanet(wheel)) {
        return new double[2];
      }
      Polar axis = geometry.axis(wheel, 0);
      return new double[] {
        axis.radius() * Math.cos(axis.angle()), axis.radius() * Math.sin(axis.angle())
      };
    }
  }
}
