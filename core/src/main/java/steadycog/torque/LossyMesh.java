package steadycog.torque;

/**
 * A mesh as the balance of shafts sees it.
 *
 * @param na teeth of wheel a
 * @param nb teeth of wheel b times the sign s of the mesh
 * @param shaftA shaft of wheel a
 * @param shaftB shaft of wheel b
 * @param shaftC shaft of the carrier; -1 for the frame
 * @param rolling speed of wheel a less that of the carrier; 0 where they turn alike or it does not
 *     follow
 * @param unknown whether that speed does not follow
 */
record LossyMesh(
    double na, double nb, int shaftA, int shaftB, int shaftC, double rolling, boolean unknown) {

  boolean rolls() {
    return rolling != 0;
  }

  /** Torque on wheel a for a multiplier of 1; less where b drives it. */
  double onA(double efficiency, boolean aDrives) {
    return !rolls() || aDrives ? na : efficiency * na;
  }

  /** Torque on wheel b for a multiplier of 1; less where a drives it. */
  double onB(double efficiency, boolean aDrives) {
    return !rolls() || !aDrives ? nb : efficiency * nb;
  }

  /** Power that wheel a gives, as seen from the carrier, with a multiplier. */
  double given(double force) {
    return -force * na * rolling;
  }

  /** Whether it acts on {@code shaft} by one wheel alone. */
  boolean actsByAWheel(int shaft) {
    return shaftC != shaft && (shaftA == shaft ^ shaftB == shaft);
  }

  /** Whether it acts on {@code shaft} by its carrier, or by both wheels. */
  boolean actsOtherwise(int shaft) {
    return shaftC == shaft || (shaftA == shaft && shaftB == shaft);
  }

  /** The sign of its torque on one of its wheels' shafts, for a multiplier of 1. */
  double signOn(int shaft) {
    return shaftA == shaft ? 1 : Math.signum(nb);
  }
}
