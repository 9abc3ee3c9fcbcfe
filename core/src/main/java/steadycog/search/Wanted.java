package steadycog.search;

import java.util.Arrays;
import java.util.Collections;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import steadycog.notation.LossText;
import steadycog.search.Limits.Direction;
import steadycog.train.Losses;

/**
 * What is looked for, as it was typed: also while it is half typed or wrong. One text a field; a
 * field that is left empty is not among them and means what is usual.
 */
public record Wanted(Map<Field, String> texts) {
  public static final Wanted NOTHING = new Wanted(Map.of());
  static final String YES = "yes";
  private static final String ALL = "all";
  private static final Pattern SIZED =
      Pattern.compile("(\\d+(?:\\.\\d+)?)\\s*mm\\s+at\\s+(\\d*\\.?\\d*[1-9]\\d*)\\s*mm");

  /** What can be said about what is looked for. */
  public enum Field {
    TARGET("target"),
    TOLERANCE("tolerance"),
    KIND("kind"),
    DIRECTION("direction"),
    STAGES("stages"),
    TEETH("teeth"),
    RING("ring"),
    PLANETS("planets"),
    PER_STAGE("per-stage"),
    DIAMETER("diameter"),
    DISTORTION("distortion"),
    TWO_MODULES("two-modules"),
    DRIVER("driver"),
    DRIVEN("driven"),
    STOCK("stock"),
    COAXIAL("coaxial"),
    ANY("any"),
    LOSSES("losses"),
    EFFICIENCY("efficiency"),
    BACKWARDS("backwards"),
    RANK("rank"),
    TOP("top");

    private final String key;

    Field(String key) {
      this.key = key;
    }

    /** What it is called in files and on the command line. */
    public String key() {
      return key;
    }

    public static Optional<Field> of(String key) {
      for (Field field : values()) {
        if (field.key.equals(key)) {
          return Optional.of(field);
        }
      }
      return Optional.empty();
    }
  }

  /** A field that cannot be understood, with what would be right. */
  public static final class BadField extends IllegalArgumentException {
    private static final long serialVersionUID = 1L;
    private final Field field;

    BadField(Field field, String message) {
      super(message);
      this.field = field;
    }

    public Field field() {
      return field;
    }
  }

  public Wanted {
    Map<Field, String> kept = new EnumMap<>(Field.class);
    texts.forEach(
        (field, text) -> {
          if (!text.isBlank()) {
            kept.put(field, text);
          }
        });
    texts = Collections.unmodifiableMap(kept);
  }

  /** The text of a field, or "". */
  public String text(Field field) {
    return texts.getOrDefault(field, "");
  }

  /** The same with another text in one field. */
  public Wanted with(Field field, String text) {
    Map<Field, String> changed = new EnumMap<>(Field.class);
    changed.putAll(texts);
    changed.put(field, text);
    return new Wanted(changed);
  }

  public Wanted with(Field field, boolean yes) {
    return with(field, yes ? YES : "");
  }

  public boolean is(Field field) {
    return text(field).equals(YES);
  }

  /** The kinds asked for: none chosen means all. */
  public Set<Kind> kinds() {
    return read(Field.KIND, Wanted::readKinds).orElse(Query.everyKind());
  }

  private static Set<Kind> readKinds(String text) {
    if (text.strip().equalsIgnoreCase(ALL)) {
      return Query.everyKind();
    }
    Set<Kind> kinds = EnumSet.noneOf(Kind.class);
    for (String word : text.split(",")) {
      kinds.add(
          Kind.of(word.strip())
              .orElseThrow(
                  () ->
                      new IllegalArgumentException(
                          "'"
                              + word.strip()
                              + "' is no kind: use "
                              + String.join(", ", Kind.all().stream().map(Kind::word).toList())
                              + " or all")));
    }
    return kinds;
  }

  /**
   * The query that the texts ask for.
   *
   * @throws BadField naming the first field that cannot be understood
   * @throws IllegalArgumentException where fields contradict each other or lie beyond all bounds
   */
  public Query query() {
    Target target =
        target().orElseThrow(() -> new BadField(Field.TARGET, "no target: say a ratio such as 85"));
    return query(target, Limits.USUAL);
  }

  /** The same of another target, with {@code usual} limits where nothing is said. */
  Query query(Target target, Limits usual) {
    Wheels wheels =
        new Wheels(
            read(Field.DRIVER, Wheels::parseCounts).orElse(Wheels.ANY.drivers()),
            read(Field.DRIVEN, Wheels::parseCounts).orElse(Wheels.ANY.driven()),
            read(Field.STOCK, Wheels::parseStock).orElse(Wheels.ANY.stock()));
    Limits limits =
        new Limits(
            read(Field.STAGES, Range::parse).orElse(usual.stages()),
            read(Field.TEETH, Range::parse).or(wheels::range).orElse(usual.teeth()),
            read(Field.RING, Range::parse).or(usual::ring),
            read(Field.PLANETS, Range::parse).orElse(usual.planets()),
            read(Field.PER_STAGE, Wanted::number),
            read(Field.DIRECTION, Wanted::direction).orElse(usual.direction()),
            read(Field.DISTORTION, Wanted::whole).orElse(usual.distortion()),
            read(Field.DIAMETER, Wanted::modules),
            is(Field.TWO_MODULES),
            is(Field.COAXIAL));
    Running running =
        new Running(
            read(Field.LOSSES, Wanted::losses).orElse(Running.ANY.losses()),
            read(Field.EFFICIENCY, Wanted::share),
            read(Field.BACKWARDS, Running.Back::parse).orElse(Running.Back.ANY));
    return new Query(target, kinds(), tolerance(), limits, wheels, running, listing());
  }

  /** The ratio alone; empty where none is said. */
  public Optional<Target> target() {
    return read(Field.TARGET, Target::parse);
  }

  public Optional<Tolerance> tolerance() {
    return read(Field.TOLERANCE, Tolerance::parse);
  }

  /** What is listed, and in what order. */
  public Listing listing() {
    return new Listing(
        read(Field.RANK, Wanted::rank).orElse(Listing.USUAL.rank()),
        is(Field.ANY),
        read(Field.TOP, Wanted::whole).orElse(Listing.USUAL.top()));
  }

  private <T> Optional<T> read(Field field, Function<String, T> reader) {
    String text = text(field);
    if (text.isEmpty()) {
      return Optional.empty();
    }
    try {
      return Optional.of(reader.apply(text));
    } catch (IllegalArgumentException refused) {
      throw new BadField(field, String.valueOf(refused.getMessage()));
    }
  }

  private static double number(String text) {
    try {
      double number = Double.parseDouble(text.strip());
      if (Double.isFinite(number) && Math.abs(number) < 1e6) {
        return number;
      }
    } catch (NumberFormatException none) {
      // Said below, together with numbers out of all bounds.
    }
    throw new IllegalArgumentException(
        "'" + text.strip() + "' is not a number below a million: write one such as 20");
  }

  private static int whole(String text) {
    double number = number(text);
    if (number != Math.rint(number)) {
      throw new IllegalArgumentException("'" + text.strip() + "' is not a whole number");
    }
    return (int) number;
  }

  private static Rank rank(String text) {
    return Rank.of(text.strip())
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    "'"
                        + text.strip()
                        + "' is no rank: use "
                        + String.join(
                            ", ", Arrays.stream(Rank.values()).map(Rank::word).toList())));
  }

  private static Losses losses(String text) {
    return LossText.read(text)
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    "'" + text.strip() + "' says no losses: use " + LossText.HELP));
  }

  /** {@code 60%} or {@code 0.6}. */
  private static double share(String text) {
    String bare = text.strip();
    double share =
        bare.endsWith("%") ? number(bare.substring(0, bare.length() - 1)) / 100 : number(bare);
    if (share <= 0 || share > 1) {
      throw new IllegalArgumentException("an efficiency is such as 60% or 0.6: found " + bare);
    }
    return share;
  }

  /** A length in modules: {@code 40}, or {@code 60 mm at 1.5 mm}, the module standing behind. */
  private static double modules(String text) {
    Matcher sized = SIZED.matcher(text.strip());
    return sized.matches() ? number(sized.group(1)) / number(sized.group(2)) : number(text);
  }

  private static Direction direction(String text) {
    for (Direction direction : Direction.values()) {
      if (direction.name().equalsIgnoreCase(text.strip())) {
        return direction;
      }
    }
    throw new IllegalArgumentException("'" + text + "' is no direction: use same or opposite");
  }
}
