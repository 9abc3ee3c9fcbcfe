package steadycog.cli;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.ITypeConverter;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;
import picocli.CommandLine.TypeConversionException;
import steadycog.format.json.CutSheetJson;
import steadycog.notation.LengthText;
import steadycog.number.Figures;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.sizing.Identify;

/** {@code identify}: what a gear in hand is. */
@Command(
    name = "identify",
    mixinStandardHelpOptions = true,
    description =
        "Finds module or diametral pitch of a gear from its count and what was measured on it."
            + " Lengths are in mm, or with a unit: 1.25in.")
final class IdentifyCommand implements Callable<Integer> {
  private static final int SHOWN = 6;

  /** Which column the helix is, where it is one. */
  private static final int HELIX = 4;

  @Spec CommandSpec spec;

  @Option(names = "--teeth", required = true, paramLabel = "Z", description = "as counted")
  int teeth;

  @Option(
      names = "--od",
      paramLabel = "LENGTH",
      converter = Length.class,
      description = "diameter over the tips of an external gear")
  Optional<Double> outside = Optional.empty();

  @Option(
      names = "--bore",
      paramLabel = "LENGTH",
      converter = Length.class,
      description = "diameter between the tips of an internal gear")
  Optional<Double> inside = Optional.empty();

  @Option(
      names = "--span",
      paramLabel = "LENGTH",
      converter = Length.class,
      description = "between the jaws over several teeth")
  Optional<Double> span = Optional.empty();

  @Option(
      names = "--next-span",
      paramLabel = "LENGTH",
      converter = Length.class,
      description = "over one tooth more: tells the pressure angle by the base pitch")
  Optional<Double> next = Optional.empty();

  @Option(names = "--over", paramLabel = "K", description = "how many teeth the span goes over")
  Optional<Integer> over = Optional.empty();

  @Option(
      names = "--distance",
      paramLabel = "LENGTH",
      converter = Length.class,
      description = "from its axis to that of its mate")
  Optional<Double> distance = Optional.empty();

  @Option(names = "--mate", paramLabel = "Z", description = "teeth of that mate")
  Optional<Integer> mate = Optional.empty();

  @Option(
      names = "--root",
      paramLabel = "LENGTH",
      converter = Length.class,
      description = "diameter at the roots")
  Optional<Double> root = Optional.empty();

  @Option(
      names = "--helical",
      description = "its teeth wind: give --lead, --root or --next-span with the tips as well")
  boolean helical;

  @Option(
      names = "--lead",
      paramLabel = "LENGTH",
      converter = Length.class,
      description = "along the axis for once round: tells the helix angle")
  Optional<Double> lead = Optional.empty();

  @Option(
      names = "--units",
      paramLabel = "UNIT",
      split = ",",
      converter = ShownUnit.class,
      description = "show lengths in mm (usual), cm or in")
  List<Unit> units = List.of();

  @Option(names = "--json", description = "print JSON")
  boolean json;

  /** A length in mm. */
  static final class Length implements ITypeConverter<Double> {
    @Override
    public Double convert(String text) {
      return LengthText.read(text)
          .map(Quantity::inBase)
          .filter(mm -> mm > 0)
          .orElseThrow(
              () ->
                  new TypeConversionException(
                      "'" + text + "': expected a length as 39.6 or 1.25in"));
    }
  }

  @Override
  public Integer call() {
    try {
      refuse(
          inside.isPresent() && outside.isPresent(),
          "--bore: of a ring there is no --od: leave --od out");
      refuse(over.isPresent() && span.isEmpty(), "--over: needs --span");
      refuse(mate.isPresent() && distance.isEmpty(), "--mate: needs --distance");
      refuse(json && !units.isEmpty(), "--units: the units of JSON are fixed: leave it out");
      refuse(
          units.stream().anyMatch(unit -> unit.dimension() != Unit.Dimension.LENGTH),
          "--units: only lengths are shown here: mm, cm or in");
      boolean internal = inside.isPresent() && outside.isEmpty();
      Identify.Measured measured =
          new Identify.Measured(
              teeth,
              internal,
              number(outside.or(() -> inside)),
              number(span),
              count(span.isPresent() ? over.or(() -> Optional.of(usual())) : over),
              number(next),
              number(distance),
              count(mate),
              number(root),
              helical || lead.isPresent(),
              number(lead));
      List<Identify.Guess> guesses = Identify.of(measured);
      spec.commandLine().getOut().print(json ? CutSheetJson.guesses(guesses) : text(guesses));
      spec.commandLine().getOut().flush();
      return Exit.DONE;
    } catch (IllegalArgumentException wrong) {
      spec.commandLine().getErr().println("<options>:1:1: " + wrong.getMessage());
      return Exit.NOT_READ;
    }
  }

  /** Refuses an option that would be passed over. */
  private static void refuse(boolean passedOver, String reason) {
    if (passedOver) {
      throw new IllegalArgumentException(reason);
    }
  }

  private int usual() {
    return Identify.teethToSpan(teeth);
  }

  private static OptionalDouble number(Optional<Double> value) {
    return value.map(OptionalDouble::of).orElse(OptionalDouble.empty());
  }

  private static OptionalInt count(Optional<Integer> value) {
    return value.map(OptionalInt::of).orElse(OptionalInt.empty());
  }

  private String text(List<Identify.Guess> guesses) {
    if (guesses.isEmpty()) {
      return "No standard size comes near: count again, measure again, or it is no standard"
          + " gear.\n";
    }
    Unit length = ShownUnit.of(units).length();
    List<String> heads =
        new ArrayList<>(
            List.of(
                "size",
                "module " + length.symbol(),
                "teeth",
                "angle",
                "shift",
                "off " + length.symbol()));
    boolean wound = guesses.stream().anyMatch(guess -> guess.helix() > 0);
    if (wound) {
      heads.add(HELIX, "helix");
    }
    TextTable table = new TextTable(1, heads.toArray(String[]::new));
    for (Identify.Guess guess : guesses.stream().limit(SHOWN).toList()) {
      List<String> cells =
          new ArrayList<>(
              List.of(
                  guess.pitch().statement(),
                  Figures.significant(length.fromBase(guess.moduleMm()), 5),
                  guess.teeth() + (guess.teeth() == teeth ? "" : " (counted " + teeth + ")"),
                  Figures.fixed(guess.angle(), 1),
                  Figures.signed(guess.shift(), 2),
                  Figures.signed(length.fromBase(guess.off()), length == Unit.IN ? 5 : 3)));
      if (wound) {
        cells.add(HELIX, Figures.fixed(guess.helix(), 2));
      }
      table.add(cells.toArray(String[]::new));
    }
    return table.toString();
  }
}
