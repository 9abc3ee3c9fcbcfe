package steadycog.train;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/**
 * Generic materials with the figures that a first look at strength needs. Allowable stresses are
 * cautious by judgement, for teeth loaded one way and a long life; a designer who knows better
 * states them.
 */
public enum Material {
  STEEL("steel", "quenched and tempered steel", 206_000, 0.3, 180, 550, 7850),
  HARDENED("hardened", "case-hardened steel", 206_000, 0.3, 300, 1_200, 7850),
  /** As cast in sand, with the stresses that AGMA 2001 gives it. */
  BRONZE("bronze", "cast tin bronze", 110_000, 0.34, 39, 207, 8800),
  BRASS("brass", "brass", 105_000, 0.34, 60, 200, 8500),
  ALUMINIUM("aluminium", "aluminium alloy", 70_000, 0.33, 60, 150, 2700),
  ACETAL("acetal", "acetal", 2_800, 0.35, 25, 40, 1410),
  NYLON("nylon", "nylon, moist", 1_600, 0.4, 18, 25, 1130),
  PLA("pla", "printed PLA", 3_000, 0.36, 18, 25, 1240),
  PETG("petg", "printed PETG", 1_900, 0.38, 14, 20, 1270);

  private final String word;
  private final String says;
  private final double youngMpa;
  private final double poisson;
  private final int bendingMpa;
  private final int contactMpa;
  private final int density;

  Material(
      String word,
      String says,
      double youngMpa,
      double poisson,
      int bendingMpa,
      int contactMpa,
      int density) {
    this.word = word;
    this.says = says;
    this.youngMpa = youngMpa;
    this.poisson = poisson;
    this.bendingMpa = bendingMpa;
    this.contactMpa = contactMpa;
    this.density = density;
  }

  /** The word on a card. */
  public String word() {
    return word;
  }

  public String says() {
    return says;
  }

  /** Young's modulus, MPa. */
  public double youngMpa() {
    return youngMpa;
  }

  public double poisson() {
    return poisson;
  }

  /** Bending stress at the root to allow where none is stated, MPa. */
  public int bendingMpa() {
    return bendingMpa;
  }

  /** Contact pressure to allow where none is stated, MPa. */
  public int contactMpa() {
    return contactMpa;
  }

  /** How much it yields in a contact of Hertz, 1/MPa: (1 - nu²) / E. */
  public double softness() {
    return (1 - poisson * poisson) / youngMpa;
  }

  /** Mass of a cubic metre, kg. */
  public int density() {
    return density;
  }

  public static Optional<Material> of(String word) {
    String lower = word.toLowerCase(Locale.ROOT);
    return Arrays.stream(values()).filter(one -> one.word.equals(lower)).findFirst();
  }

  /** All words, for messages. */
  public static String words() {
    return String.join(", ", Arrays.stream(values()).map(Material::word).toList());
  }
}
