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

  /** Said before a build is loaded. */
  public static final String LOADING =
      "A loaded train stores energy and can throw parts: put a shield round it, stand clear, raise"
          + " the load in steps, and keep hands away until it is off. A motor held fast draws its"
          + " full current: fuse the supply. Local codes and licensed practice decide.";

  private Cautions() {}
}
