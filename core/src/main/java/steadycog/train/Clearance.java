package steadycog.train;

import java.util.Arrays;
import java.util.Collections;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import steadycog.number.Known;
import steadycog.number.Quantity;
import steadycog.number.Unit;

/**
 * Room that the making of wheels needs.
 *
 * @param process how they are made; empty where that is not said
 * @param stated lengths that are stated; they count before those usual for the process
 */
public record Clearance(Optional<Process> process, Map<Gap, Quantity> stated) {
  /** Nothing said: teeth that touch on both flanks, holes of the size of their shafts. */
  public static final Clearance NONE = new Clearance(Optional.empty(), Map.of());

  private static final double MOST_MM = 5;

  /** Where room is left. */
  public enum Gap {
    /** Off every flank of every wheel, at right angles to it. */
    FLANK,
    /** Off the tips of every wheel. */
    TIP,
    /** Added to the diameter of every hole for a shaft. */
    BORE,
    /** By which all axes of meshing wheels stand further apart than teeth without play would. */
    APART,
    /** Added to the diameter of every hole that a bearing or a pin is pressed into. */
    SEAT;

    /** Those of the teeth and bores of a train, without those of what is round it. */
    public static final Set<Gap> OF_WHEELS =
        Collections.unmodifiableSet(EnumSet.complementOf(EnumSet.of(SEAT)));

    /** The word on a card. */
    public String word() {
      return name().toLowerCase(Locale.ROOT);
    }

    public static Optional<Gap> of(String word) {
      return Arrays.stream(values()).filter(gap -> gap.word().equalsIgnoreCase(word)).findFirst();
    }

    /** All words, for messages. */
    public static String words() {
      return Arrays.stream(values()).map(Gap::word).collect(Collectors.joining(", "));
    }
  }

  /** How wheels are made, with room that such processes usually ask for, by judgement. */
  public enum Process {
    PRINTED("printed", 0.08, 0.1, 0.2, 0.1),
    LASER("laser", 0.04, 0.05, 0.08, 0.04),
    MACHINED("machined", 0.015, 0, 0.02, 0);

    private final String word;
    private final Map<Gap, Double> usual = new EnumMap<>(Gap.class);

    Process(String word, double flank, double tip, double bore, double seat) {
      this.word = word;
      usual.put(Gap.FLANK, flank);
      usual.put(Gap.TIP, tip);
      usual.put(Gap.BORE, bore);
      usual.put(Gap.APART, 0.0);
      usual.put(Gap.SEAT, seat);
    }

    /** The word on a card. */
    public String word() {
      return word;
    }

    /** Usual room, mm. */
    public double usualMm(Gap gap) {
      return Known.in(usual, gap);
    }

    public static Optional<Process> of(String word) {
      return Arrays.stream(values()).filter(one -> one.word.equalsIgnoreCase(word)).findFirst();
    }

    /** All words, for messages. */
    public static String words() {
      return Arrays.stream(values()).map(Process::word).collect(Collectors.joining(", "));
    }
  }

  public Clearance {
    Map<Gap, Quantity> sorted = new EnumMap<>(Gap.class);
    sorted.putAll(stated);
    sorted.forEach(Clearance::requireGap);
    stated = Collections.unmodifiableMap(sorted);
  }

  private static void requireGap(Gap gap, Quantity length) {
    Drive.requireDimension(length, Unit.Dimension.LENGTH);
    double mm = length.inBase();
    if (Math.abs(mm) > MOST_MM || (mm < 0 && gap != Gap.APART)) {
      throw new IllegalArgumentException(
          gap.word() + " " + length + ": expected 0 to " + (int) MOST_MM + " mm");
    }
  }

  public static Clearance of(Process process) {
    return new Clearance(Optional.of(process), Map.of());
  }

  /** Whether nothing is said. */
  public boolean unstated() {
    return equals(NONE);
  }

  /** The room in force, mm. */
  public double mm(Gap gap) {
    Quantity given = stated.get(gap);
    return given != null ? given.inBase() : process.map(p -> p.usualMm(gap)).orElse(0.0);
  }

  /** The same with a stated length; empty takes it back. */
  public Clearance with(Gap gap, Optional<Quantity> length) {
    Map<Gap, Quantity> changed = new EnumMap<>(Gap.class);
    changed.putAll(stated);
    changed.remove(gap);
    length.ifPresent(given -> changed.put(gap, given));
    return new Clearance(process, changed);
  }

  /** As a card states it: {@code clearance printed flank 0.1 mm}. */
  @Override
  public String toString() {
    StringBuilder text = new StringBuilder("clearance");
    process.ifPresent(one -> text.append(' ').append(one.word()));
    stated.forEach((gap, length) -> text.append(' ').append(gap.word()).append(' ').append(length));
    return text.toString();
  }
}
