package steadycog.study;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.motion.Mechanism;
import steadycog.motion.Motion;
import steadycog.motion.MotionSolver;
import steadycog.number.Exact;
import steadycog.number.Ratio;
import steadycog.shape.CycloidGeometry;
import steadycog.shape.FaceLayout;
import steadycog.shape.PlanetGeometry;
import steadycog.torque.EachWay;
import steadycog.torque.MeshEfficiency;
import steadycog.train.Cycloidal;
import steadycog.train.Join;
import steadycog.train.Losses;
import steadycog.train.MemberId;
import steadycog.train.Part;
import steadycog.train.Planetary;
import steadycog.train.Roles;
import steadycog.train.StrainWave;
import steadycog.train.Train;

/**
 * The same ratio, as nearly as it can be had, by another kind of gear: for arguing which to build.
 *
 * @param train the candidate with its roles, ready for the bench
 * @param ratio what it makes
 * @param error its ratio against the wanted one, as a share, signed
 * @param parts pieces with teeth, lobes or pins, and their carriers
 * @param eachWay with the losses of the train that it is compared with, but for those of single
 *     meshes
 * @param diameter of the largest piece in modules; of a cycloidal drive whose pins are two modules
 *     thick
 */
public record KindChoice(
    Kind kind,
    Train train,
    Ratio ratio,
    double error,
    EachWay eachWay,
    int parts,
    double diameter) {
  private static final int FEWEST = 14;
  private static final int MOST_SUN = 40;
  private static final int MOST_PLANET = 70;
  private static final int PLANETS = 3;
  private static final double WORST = 0.05;
  private static final double PIN_MODULES = 2;
  private static final int LEAST_STRAIN = 30;
  private static final int MOST_STRAIN = 320;
  private static final int LEAST_LOBES = 5;
  private static final int MOST_LOBES = 120;

  /** A kind, with what its practitioners say of it. */
  public enum Kind {
    PLANETARY("some"),
    TWO_PLANETARY("some"),
    CYCLOIDAL("little"),
    STRAIN_WAVE("near none");

    private final String backlash;

    Kind(String backlash) {
      this.backlash = backlash;
    }

    /** How much lost motion to expect, as a class. */
    public String backlash() {
      return backlash;
    }
  }

  /**
   * The best candidate of each kind within {@value #WORST} of the study's ratio, all with input and
   * output in line; empty where the train has no ratio. Cost: some thousand sets.
   */
  static List<KindChoice> of(Study study) {
    if (study.ratio().isEmpty()) {
      return List.of();
    }
    BigFraction wanted = study.ratio().get().reduction();
    Search search = new Search(wanted, study.train().losses().ofKinds());
    List<KindChoice> all = new ArrayList<>();
    search.planetary().ifPresent(all::add);
    search.twoPlanetary().ifPresent(all::add);
    search.cycloidal().ifPresent(all::add);
    search.strainWave().ifPresent(all::add);
    all.removeIf(choice -> Math.abs(choice.error) > WORST);
    return List.copyOf(all);
  }

  /** What all candidates have in common. */
  private record Search(BigFraction wanted, Losses losses) {

    private Optional<KindChoice> planetary() {
      return bestSet("", wanted)
          .map(
              set ->
                  choice(
                      Kind.PLANETARY,
                      Train.of(List.of(set)).withRoles(roles(set, wanted.signum() > 0))));
    }

    /**
     * Ring held and carrier out for the same direction, carrier held and ring out for the other.
     */
    private static Roles roles(Planetary set, boolean same) {
      return roles(
          set.sunId(0),
          same ? set.ringId(0) : set.carrierId(),
          same ? set.carrierId() : set.ringId(0));
    }

    private static Roles roles(MemberId drive, MemberId hold, MemberId take) {
      return Roles.between(drive, List.of(hold), take);
    }

    /** The set of three planets nearest to a ratio, the smaller of equally near ones. */
    private static Optional<Planetary> bestSet(String name, BigFraction wanted) {
      double target = wanted.doubleValue();
      Planetary best = null;
      double nearest = Double.POSITIVE_INFINITY;
      for (int sun = FEWEST; sun <= MOST_SUN; sun++) {
        for (int planet = FEWEST; planet <= MOST_PLANET; planet++) {
          int ring = sun + 2 * planet;
          double ratio = target > 0 ? 1 + (double) ring / sun : -(double) ring / sun;
          double off = Math.abs(ratio / target - 1) + 1e-9 * ring;
          if ((sun + ring) % PLANETS == 0 && off < nearest) {
            Planetary set = Planetary.of(name, sun, planet, PLANETS, ring);
            if (new PlanetGeometry(set).neighbourMargin() > 0) {
              nearest = off;
              best = set;
            }
          }
        }
      }
      return Optional.ofNullable(best);
    }

    /** Two sets in series, the carrier of the first on the sun of the second. */
    private Optional<KindChoice> twoPlanetary() {
      double first = Math.sqrt(Math.abs(wanted.doubleValue()));
      Optional<Planetary> front = bestSet("first", Exact.of(Math.round(first * 100), 100));
      if (front.isEmpty()) {
        return Optional.empty();
      }
      Planetary one = front.get();
      int ring = one.row().ring().orElseThrow().count();
      int sun = one.row().sun().orElseThrow().count();
      BigFraction rest = wanted.divide(Exact.of(sun + ring, sun));
      return bestSet("second", rest)
          .map(
              two -> {
                boolean same = wanted.signum() > 0;
                Roles roles =
                    Roles.between(
                        one.sunId(0),
                        List.of(one.ringId(0), same ? two.ringId(0) : two.carrierId()),
                        same ? two.carrierId() : two.ringId(0));
                Train train =
                    new Train(
                        List.of(one, two),
                        List.of(new Join(one.carrierId(), two.sunId(0))),
                        List.of(),
                        List.of(),
                        Optional.empty(),
                        roles);
                return choice(Kind.TWO_PLANETARY, train);
              });
    }

    /**
     * The whole ratio of a drive with its outer shaft held: one less where that shaft is taken off.
     */
    private long slower() {
      long whole = Math.round(Math.abs(wanted.doubleValue()));
      return wanted.signum() > 0 ? whole - 1 : whole;
    }

    private Optional<KindChoice> cycloidal() {
      long lobes = slower();
      if (lobes < LEAST_LOBES || lobes > MOST_LOBES) {
        return Optional.empty();
      }
      Cycloidal drive =
          new Cycloidal("", (int) lobes, (int) lobes + 1, Cycloidal.Sizes.USUAL.withDiscs(2));
      return Optional.of(slowing(Kind.CYCLOIDAL, drive));
    }

    private Optional<KindChoice> strainWave() {
      long nominal = slower();
      if (nominal < LEAST_STRAIN || nominal > MOST_STRAIN) {
        return Optional.empty();
      }
      StrainWave drive = StrainWave.nominal("", (int) nominal, 2, StrainWave.Sizes.USUAL);
      return Optional.of(slowing(Kind.STRAIN_WAVE, drive));
    }

    /** A drive whose first shaft is the fast one; which slow one is held decides the direction. */
    private KindChoice slowing(Kind kind, Part drive) {
      MemberId fast = drive.shafts().get(0);
      MemberId inner = drive.shafts().get(1);
      MemberId outer = drive.shafts().get(2);
      Roles roles = wanted.signum() > 0 ? roles(fast, inner, outer) : roles(fast, outer, inner);
      return choice(kind, Train.of(List.of(drive)).withRoles(roles));
    }

    private KindChoice choice(Kind kind, Train bare) {
      Train train = bare.withLosses(losses);
      Motion motion = MotionSolver.solve(Mechanism.of(train));
      Ratio ratio = motion.ratio().orElseThrow();
      EachWay eachWay = EachWay.of(motion, MeshEfficiency.of(train)).orElseThrow();
      double error = ratio.reduction().divide(wanted).doubleValue() - 1;
      double[] box = FaceLayout.of(train).bounds();
      double diameter = (box[2] - box[0]) / pinScale(train);
      return new KindChoice(kind, train, ratio, error, eachWay, parts(train), diameter);
    }
  }

  /** A cycloidal drive is laid out in mm; its pins are to be two modules thick. */
  private static double pinScale(Train train) {
    return train.parts(Cycloidal.class).stream()
        .findFirst()
        .map(drive -> 2 * new CycloidGeometry(drive).pinRadius() / PIN_MODULES)
        .orElse(1.0);
  }

  private static int parts(Train train) {
    int count = 0;
    for (Part part : train.parts()) {
      count += part.members().stream().mapToInt(member -> part.copies(member.id())).sum();
    }
    return count;
  }
}
