package steadycog.study;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.check.Checks;
import steadycog.number.Exact;
import steadycog.shape.Envelope;
import steadycog.shape.FaceLayout;
import steadycog.train.MemberId;
import steadycog.train.Parallel;
import steadycog.train.Parallel.Link;
import steadycog.train.Planetary;
import steadycog.train.Roles;
import steadycog.train.Teeth;
import steadycog.train.Train;

/**
 * How much room a train takes, and how much other arrangements of the same ratio would take at the
 * same module: people choose a compound train to save room.
 *
 * @param kind which arrangement it is
 * @param train the arrangement itself, ready for the bench
 * @param width of the smallest upright box round its wheels, in modules
 * @param height of that box
 * @param planes how many wheels deep it is
 */
public record Room(Kind kind, Train train, double width, double height, int planes) {

  /** The arrangements compared. */
  public enum Kind {
    /** The train on the bench. */
    THIS,
    /** One pair, with an idler where the output must turn the same way. */
    FEWEST_WHEELS,
    /** Two pairs with the fewest teeth, with an idler where the output must turn the other way. */
    COMPOUND,
    /** The smallest set of sun, planets and ring that assembles. */
    PLANETARY
  }

  private static final int SMALLEST = 17;
  private static final int SMALLEST_IN_SET = 12;
  private static final int LARGEST_SUN = 60;
  private static final int PLANETS = 3;
  private static final int LARGEST_PINION = 40;
  private static final int LARGEST = 200;
  private static final int LARGEST_OF_PAIR = 2_000;

  /** Larger numerators or denominators never come from two pairs of wheels this small. */
  private static final int MOST_BITS = 40;

  public int wheels() {
    return train.members().size();
  }

  /** Area of the box in square modules. */
  public double area() {
    return width * height;
  }

  /**
   * This train first, then what exists of the others for the same ratio exactly; empty for a train
   * without a ratio. Cost: about a hundred thousand products at most.
   */
  static List<Room> compare(Study study) {
    if (study.ratio().isEmpty()) {
      return List.of();
    }
    BigFraction size = study.ratio().get().reduction().abs();
    boolean same = study.ratio().get().sameDirection();
    List<Room> rooms = new ArrayList<>();
    rooms.add(of(Kind.THIS, study.train(), study.layout()));
    pair(size, same).ifPresent(train -> rooms.add(of(Kind.FEWEST_WHEELS, train)));
    compound(size, same).ifPresent(train -> rooms.add(of(Kind.COMPOUND, train)));
    planetary(size, same).ifPresent(train -> rooms.add(of(Kind.PLANETARY, train)));
    return List.copyOf(rooms);
  }

  private static Room of(Kind kind, Train train) {
    return of(kind, train, FaceLayout.of(train));
  }

  private static Room of(Kind kind, Train train, FaceLayout layout) {
    Envelope around = Envelope.of(train, layout);
    long planes = layout.bodies().stream().mapToInt(body -> body.plane()).distinct().count();
    return new Room(kind, train, around.width(), around.height(), (int) planes);
  }

  /** The smallest pair of at least {@value #SMALLEST} teeth with this ratio. */
  private static Optional<Train> pair(BigFraction size, boolean same) {
    BigInteger driven = size.getNumerator().abs();
    BigInteger driver = size.getDenominator().abs();
    BigInteger smaller = driven.min(driver);
    BigInteger times =
        BigInteger.valueOf(SMALLEST).add(smaller).subtract(BigInteger.ONE).divide(smaller);
    if (driven.max(driver).multiply(times).compareTo(BigInteger.valueOf(LARGEST_OF_PAIR)) > 0) {
      return Optional.empty();
    }
    int first = driver.multiply(times).intValueExact();
    int last = driven.multiply(times).intValueExact();
    return Optional.of(
        same ? chain(List.of(first, SMALLEST, last), 0) : chain(List.of(first, last), 0));
  }

  /** The two pairs with the fewest teeth in all whose product is this ratio. */
  private static Optional<Train> compound(BigFraction size, boolean same) {
    boolean down = size.compareTo(BigFraction.ONE) >= 0;
    return fewestTeeth(down ? size : size.reciprocal())
        .map(
            found -> {
              List<Integer> wheels = new ArrayList<>(found);
              if (!same) {
                wheels.add(3, SMALLEST);
              }
              return down ? chain(wheels, 2) : chain(wheels.reversed(), wheels.size() - 2);
            });
  }

  /** Teeth a, b, c, d with b d / (a c) equal to {@code size}, which is at least 1. */
  private static Optional<List<Integer>> fewestTeeth(BigFraction size) {
    BigInteger top = size.getNumerator().abs();
    BigInteger bottom = size.getDenominator().abs();
    if (top.bitLength() > MOST_BITS || bottom.bitLength() > MOST_BITS) {
      return Optional.empty();
    }
    Optional<List<Integer>> best = Optional.empty();
    int fewest = Integer.MAX_VALUE;
    for (int a = SMALLEST; a <= LARGEST_PINION; a++) {
      for (int c = a; c <= LARGEST_PINION; c++) {
        long scaled = top.longValueExact() * a * c;
        long gears = scaled / bottom.longValueExact();
        boolean whole = scaled % bottom.longValueExact() == 0 && gears <= LARGEST * LARGEST;
        for (int b = SMALLEST; whole && b <= LARGEST; b++) {
          int d = (int) (gears / b);
          boolean fits = gears % b == 0 && d >= SMALLEST && d <= LARGEST;
          if (fits && a + b + c + d < fewest) {
            fewest = a + b + c + d;
            best = Optional.of(List.of(a, b, c, d));
          }
        }
      }
    }
    return best;
  }

  /**
   * Sun, {@value #PLANETS} planets and ring with this ratio: the ring held, or the carrier where
   * the output turns the other way. The sun is driven to gear down, else taken off.
   */
  private static Optional<Train> planetary(BigFraction size, boolean same) {
    boolean down = size.compareTo(BigFraction.ONE) >= 0;
    BigFraction ringOverSun = (down ? size : size.reciprocal()).subtract(same ? 1 : 0);
    for (int sun = SMALLEST_IN_SET; sun <= LARGEST_SUN; sun++) {
      BigFraction ring = ringOverSun.multiply(sun);
      if (!Exact.isWhole(ring) || ring.bigDecimalValue().intValue() > LARGEST) {
        continue;
      }
      int rings = ring.getNumerator().intValueExact();
      int planet = (rings - sun) / 2;
      Planetary set = Planetary.of("", sun, Math.max(1, planet), PLANETS, Math.max(1, rings));
      boolean whole = (rings - sun) % 2 == 0 && planet >= SMALLEST_IN_SET;
      if (whole && Checks.trouble(set).isEmpty()) {
        MemberId in = set.sunId(0);
        MemberId out = same ? set.carrierId() : set.ringId(0);
        MemberId held = same ? set.ringId(0) : set.carrierId();
        Train train = Train.of(List.of(set));
        return Optional.of(
            train.withRoles(
                down
                    ? Roles.between(in, List.of(held), out)
                    : Roles.between(out, List.of(held), in)));
      }
    }
    return Optional.empty();
  }

  /** A chain of meshes in which wheel {@code keyed} (none for 0) is keyed to the one before it. */
  private static Train chain(List<Integer> counts, int keyed) {
    List<Link> links = new ArrayList<>();
    for (int k = 1; k < counts.size(); k++) {
      links.add(k == keyed ? Link.SHAFT : Link.MESH);
    }
    Parallel part = new Parallel("", counts.stream().map(Teeth::external).toList(), links);
    return Train.of(List.of(part));
  }
}
