package steadycog.report;

/** What is said where an act can hurt someone. */
public final class Cautions {
  /** Said wherever strength is shown. */
  public static final String SCREENING =
      "Strength is a first look by Lewis and Hertz under one steady load. Rating to the applicable"
          + " standard by a qualified engineer comes before use.";

  /** Said of whatever turns. */
  public static final String RUNNING =
      "Pinch points at running gears: guard them, no loose clothing. Never rely on a train that"
          + " holds by itself to hold a load over people: use a brake. Local codes and licensed"
          + " practice decide.";

  /** Said before a gearbox is put together. */
  public static final String ASSEMBLING =
      "Eye protection for pressing pins and bearings and for what springs; fresh edges cut. First"
          + " turn it by hand, unloaded, the motor off and unplugged; cover what turns before it"
          + " runs. Local codes and licensed practice decide.";

  /** Said before a build is loaded. */
  public static final String LOADING =
      "Loads store energy and throw parts: shield it, stand clear, raise in steps, hands away until"
          + " the load is off; fuse the motor. Local codes and licensed practice decide.";

  private Cautions() {}
}
