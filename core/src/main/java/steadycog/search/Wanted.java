package steadycog.search;

import java.util.Collections;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * What is looked for, as it was typed: also while it is half typed or wrong. One text a field; a
 * field that is left empty is not among them and means what is usual.
 */
public record Wanted(Map<Field, String> texts) {
  public static final Wanted NOTHING = new Wanted(Map.of());

  /** The text of a field that is only chosen or not. */
  public static final String YES = "yes";

  private static final String ALL = "all";

  /** What limits are about: those said every day stand by themselves. */
  public enum Subject {
    DAILY("What is wanted"),
    TEETH("Stages and teeth"),
    PLANETS("Planets and rows"),
    ROOM("Room"),
    LOSSES("Losses");

    private final String title;

    Subject(String title) {
      this.title = title;
    }

    public String title() {
      return title;
    }
  }

  /** What can be said about what is looked for. */
  public enum Field {
    TARGET(
        Subject.DAILY,
        "target",
        "Target",
        "85 \u00b7 1500 rpm to 12 rpm",
        "A ratio (85, 1:4), speeds in and out (1500 rpm to 12 rpm), or one turn of the output (23 h"
            + " 56 min 4.0905 s from 1 rpm)"),
    TOLERANCE(
        Subject.DAILY,
        "tolerance",
        "Within",
        "the nearest",
        "0.1%, 50ppm, or 0.5 teeth of the last wheel a turn; empty: the nearest there are"),
    DIRECTION(Subject.DAILY, "direction", "Turns", "either", "The way that the output turns"),
    KIND(
        Subject.DAILY,
        "kind",
        "Kinds",
        ALL,
        "parallel, planetary, two-row, cycloidal, strainwave or all"),
    RANK(
        Subject.DAILY,
        "rank",
        "First",
        "error",
        "error, size, stages, efficiency, diameter or load"),
    STAGES(Subject.TEETH, "stages", "Stages", "1..3", "Pairs of wheels, or sets in series"),
    TEETH(Subject.TEETH, "teeth", "Teeth", "12..120", "Of wheels, suns and planets"),
    RING(
        Subject.TEETH,
        "ring",
        "Rings",
        "any",
        "Rings follow from sun and planets; limit them here"),
    PLANETS(
        Subject.PLANETS,
        "planets",
        "Planets",
        "3..5",
        "On one carrier: as many as go in are taken"),
    DISTORTION(
        Subject.PLANETS,
        "distortion",
        "Rows off",
        "2 teeth",
        "By how many teeth two rows may differ"),
    PER_STAGE(
        Subject.TEETH, "per-stage", "Step", "any", "The largest ratio of one stage, such as 8"),
    DIAMETER(
        Subject.ROOM,
        "diameter",
        "Largest \u00d8",
        "any",
        "Of any wheel: 40 modules, or 60 mm at 1.5 mm"),
    DRIVER(
        Subject.TEETH, "driver", "Driver", "free", "Counts that must drive, as on the motor: 18"),
    DRIVEN(Subject.TEETH, "driven", "Driven", "free", "Counts that must be driven: 96"),
    STOCK(Subject.TEETH, "stock", "Own only", "any wheel", "The wheels there are: 24, 36x2, 72i"),
    HELIX(
        Subject.TEETH,
        "helix",
        "Helix",
        "straight",
        "Degrees of all involute teeth: 20, or 20 double; with a distance between which it is"
            + " found: 8..30"),
    DISTANCE(
        Subject.ROOM,
        "distance",
        "Axes apart",
        "free",
        "Of every pair, closed by its helix: 64 mm at 1.5 mm, or 42.7 modules"),
    LOAD(
        Subject.ROOM,
        "load",
        "Must bear",
        "nothing",
        "At the drive: 1500 rpm 0.5 Nm, or 1500 rpm 80 W 2000 h; what is found is sized for it"),
    LOSSES(
        Subject.LOSSES,
        "losses",
        "Made",
        "cut and oiled",
        "oiled, greased, printed, ideal, friction 0.06, or external 0.95 internal 0.97; candidates"
            + " say so on their cards"),
    EFFICIENCY(
        Subject.LOSSES, "efficiency", "Out", "any", "The least that must come out, such as 60 %"),
    BACKWARDS(
        Subject.LOSSES,
        "backwards",
        "Pushed",
        "either",
        "What it does when its take-off is pushed: turns, or holds. What holds itself is no brake"),
    TWO_MODULES(
        Subject.PLANETS,
        "two-modules",
        "Rows in two modules",
        "",
        "Rows of planets that two standard modules bring to one distance, without distortion"),
    COAXIAL(
        Subject.ROOM,
        "coaxial",
        "Input and output in line",
        "",
        "Two pairs of one centre distance"),
    ANY(Subject.TEETH, "any", "With errors too", "", "List what breaks a rule as well, marked"),
    TOP(Subject.ROOM, "top", "Listed", "20", "How many are listed");

    private final Subject subject;
    private final String key;
    private final String label;
    private final String usual;
    private final String help;

    Field(Subject subject, String key, String label, String usual, String help) {
      this.subject = subject;
      this.key = key;
      this.label = label;
      this.usual = usual;
      this.help = help;
    }

    public Subject subject() {
      return subject;
    }

    /** What it is called in files and on the command line. */
    public String key() {
      return key;
    }

    /** What it is called beside its field. */
    public String label() {
      return label;
    }

    /** What is meant where nothing is said; "" where it is only chosen or not. */
    public String usual() {
      return usual;
    }

    /** What can be said, in words. */
    public String help() {
      return help;
    }

    /** Whether it is only chosen or not. */
    public boolean isChoice() {
      return usual.isEmpty();
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
            read(Field.STAGES, text -> Limits.stages(Range.parse(text))).orElse(usual.stages()),
            read(Field.TEETH, text -> Limits.teeth(Range.parse(text)))
                .or(wheels::range)
                .orElse(usual.teeth()),
            read(Field.RING, Range::parse).or(usual::ring),
            read(Field.PLANETS, text -> Limits.planets(Range.parse(text))).orElse(usual.planets()),
            read(Field.PER_STAGE, text -> Limits.perStage(WantedText.number(text))),
            read(Field.DIRECTION, WantedText::direction).orElse(usual.direction()),
            read(Field.DISTORTION, text -> Limits.distortion(WantedText.whole(text)))
                .orElse(usual.distortion()),
            read(Field.DIAMETER, text -> Limits.diameter(WantedText.modules(text))),
            is(Field.TWO_MODULES),
            is(Field.COAXIAL));
    Running running =
        new Running(
            read(Field.LOSSES, WantedText::losses).orElse(Running.ANY.losses()),
            read(Field.EFFICIENCY, Running::share),
            read(Field.BACKWARDS, Running.Back::parse).orElse(Running.Back.ANY),
            read(Field.LOAD, Load::parse));
    Optional<Winding.Distance> distance = read(Field.DISTANCE, Winding.Distance::parse);
    Winding winding =
        read(Field.HELIX, text -> Winding.parse(Optional.of(text), distance))
            .orElseGet(() -> Winding.parse(Optional.empty(), distance));
    return new Query(target, kinds(), tolerance(), limits, wheels, winding, running, listing());
  }

  /** The ratio alone; empty where none is said. */
  public Optional<Target> target() {
    return read(Field.TARGET, Target::parse);
  }

  public Optional<TargetTolerance> tolerance() {
    return read(Field.TOLERANCE, TargetTolerance::parse);
  }

  /** What is listed, and in what order. */
  public Listing listing() {
    return new Listing(
        read(Field.RANK, WantedText::rank).orElse(Listing.USUAL.rank()),
        is(Field.ANY),
        read(Field.TOP, WantedText::whole).orElse(Listing.USUAL.top()));
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
}
