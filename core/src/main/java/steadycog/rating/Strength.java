package steadycog.rating;

import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.piece.Blank;
import steadycog.train.Duty.Term;
import steadycog.train.Made;
import steadycog.train.Material;
import steadycog.train.MemberId;
import steadycog.train.Train;

/**
 * What the teeth of a wheel bear.
 *
 * @param bending allowable at ten million cycles, MPa
 * @param contact allowable at ten million cycles, MPa
 * @param brinell hardness; empty of what is not judged by it
 * @param source where the figures come from, in words
 */
record Strength(
    double bending,
    double contact,
    Optional<Double> brinell,
    LifeCurve bendingLife,
    LifeCurve contactLife,
    String source) {
  static final double MPA_PER_PSI = 0.006894757;

  /** Of case-hardened steel, by grade (Shigley, tables 14-3 and 14-6), psi. */
  private static final double[] CASE_BENDING_PSI = {55_000, 65_000};

  private static final double[] CASE_CONTACT_PSI = {180_000, 225_000};

  static Strength of(Train train, MemberId wheel) {
    Made made = Blank.made(train, wheel);
    Optional<BigFraction> stated = train.size(wheel).hardness();
    int grade = (int) train.sizes().duty().value(Term.GRADE);
    Strength own =
        switch (made.material()) {
          case STEEL ->
              throughHardened(
                  stated.map(BigFraction::doubleValue).orElse((double) Rating.USUAL_BRINELL),
                  grade,
                  stated.isPresent() ? "" : ", assumed");
          case HARDENED ->
              new Strength(
                  CASE_BENDING_PSI[grade - 1] * MPA_PER_PSI,
                  CASE_CONTACT_PSI[grade - 1] * MPA_PER_PSI,
                  Optional.empty(),
                  LifeCurve.caseBending(),
                  LifeCurve.contact(),
                  "case-hardened");
          case BRONZE, BRASS, ALUMINIUM, ACETAL, NYLON, PLA, PETG ->
              new Strength(
                  made.bendingMpa(),
                  made.contactMpa(),
                  Optional.empty(),
                  LifeCurve.FLAT,
                  LifeCurve.FLAT,
                  made.bending().isPresent() && made.contact().isPresent()
                      ? "as stated for the life"
                      : made.material().says() + ", assumed for any life");
        };
    boolean entered = made.bending().isPresent() || made.contact().isPresent();
    return new Strength(
        made.bending().isPresent() ? made.bendingMpa() : own.bending,
        made.contact().isPresent() ? made.contactMpa() : own.contact,
        own.brinell,
        own.bendingLife,
        own.contactLife,
        entered && !own.bendingLife.equals(LifeCurve.FLAT) ? "stresses as stated" : own.source);
  }

  /** Through-hardened steel (AGMA 2001; Shigley, figs. 14-2 and 14-5). */
  static Strength throughHardened(double brinell, int grade, String how) {
    boolean better = grade == 2;
    double bending = better ? 102 * brinell + 16_400 : 77.3 * brinell + 12_800;
    double contact = better ? 349 * brinell + 34_300 : 322 * brinell + 29_100;
    return new Strength(
        bending * MPA_PER_PSI,
        contact * MPA_PER_PSI,
        Optional.of(brinell),
        LifeCurve.bending(brinell),
        LifeCurve.contact(),
        Math.round(brinell) + " HB" + how);
  }

  /** Whether the wheel's material is steel, for which tables give the elastic coefficient. */
  static boolean isSteel(Material material) {
    return material == Material.STEEL || material == Material.HARDENED;
  }
}
