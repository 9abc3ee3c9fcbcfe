package steadycog.cli;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import steadycog.format.json.SizeJson;
import steadycog.job.Sheet;
import steadycog.notation.Card;
import steadycog.number.Exact;
import steadycog.number.Figures;
import steadycog.number.Pace;
import steadycog.number.Unit;
import steadycog.number.Units;
import steadycog.report.Cautions;
import steadycog.study.NamedStudy;
import steadycog.study.SizeChoices;
import steadycog.study.SizeChoices.Choice;
import steadycog.study.SizeChoices.Wish;
import steadycog.train.Duty;
import steadycog.train.Duty.Term;
import steadycog.train.Train;

/** {@code size}: module and face for the stated loads. */
@Command(
    name = "size",
    mixinStandardHelpOptions = true,
    description = {
      "The smallest standard module, with the narrowest face of 8 to 14 modules, at which all",
      "teeth have the factors wanted over the life on the card, and larger ones.",
      "A design aid: rating to the standard in force by a qualified engineer comes before use.",
      "Exit code 1 where none holds."
    })
final class SizeCommand implements Callable<Integer> {
  @Mixin CardInput input;

  @Option(
      names = "--bending",
      paramLabel = "FACTOR",
      description = "wanted against bending (usual: as on the card, 1.5)")
  Optional<String> bending = Optional.empty();

  @Option(
      names = "--contact",
      paramLabel = "FACTOR",
      description = "wanted against pitting (usual: as on the card, 1.2)")
  Optional<String> contact = Optional.empty();

  @Option(
      names = "--diameter",
      paramLabel = "LENGTH",
      converter = IdentifyCommand.Length.class,
      description = "no wider than this, in all")
  Optional<Double> diameter = Optional.empty();

  @Option(
      names = "--distance",
      paramLabel = "LENGTH",
      converter = IdentifyCommand.Length.class,
      description = "no two meshing axes further apart than this")
  Optional<Double> distance = Optional.empty();

  @Option(names = "--mass", paramLabel = "KG", description = "no heavier than this, in kg")
  Optional<Double> mass = Optional.empty();

  @Option(names = "--part", paramLabel = "NAME", description = "only the teeth of this part")
  Optional<String> part = Optional.empty();

  @Option(names = "--json", description = "print JSON")
  boolean json;

  @Override
  public Integer call() {
    return input.withOne(this::size);
  }

  private int size(Sheet sheet) {
    input.requireText(!json);
    Card card = sheet.card().orElseThrow();
    try {
      Train train = wanting(card.train());
      SizeChoices found =
          SizeChoices.of(train, new Wish(diameter, distance, mass, part), Pace.FREE);
      Units units = input.units(card.train());
      input.print(json ? SizeJson.write(found, card) : text(found, card, units));
      return found.choices().isEmpty() ? Exit.DONE_WITH_ERRORS : Exit.DONE;
    } catch (IllegalArgumentException refused) {
      return input.refuse("size: " + refused.getMessage());
    }
  }

  private Train wanting(Train train) {
    Duty duty = train.sizes().duty();
    for (Map.Entry<Term, Optional<String>> asked :
        Map.of(Term.BENDING, bending, Term.CONTACT, contact).entrySet()) {
      if (asked.getValue().isPresent()) {
        if (!Exact.isNumber(asked.getValue().get())) {
          throw new IllegalArgumentException(
              "--" + asked.getKey().word() + ": expected a factor such as 1.5");
        }
        duty = duty.with(asked.getKey(), Exact.parse(asked.getValue().get()));
      }
    }
    return train.withSizes(train.sizes().withDuty(duty));
  }

  /** Losses follow from counts and practice, not from size: one figure holds for all choices. */
  private static String efficiency(Choice choice) {
    return NamedStudy.of("", choice.train()).each().stream()
        .map(one -> one.study().efficiency())
        .flatMap(Optional::stream)
        .min(Double::compare)
        .map(share -> "Whatever the size " + Figures.percent(share, 1) + " comes out, at least.\n")
        .orElse("");
  }

  private static String text(SizeChoices found, Card card, Units units) {
    Unit length = units.length();
    TextTable table =
        new TextTable(
            1,
            "teeth",
            "face " + length.symbol(),
            "largest " + length.symbol(),
            "axes " + length.symbol(),
            "kg",
            "bending",
            "contact",
            "least");
    List<Choice> rows =
        found.choices().isEmpty() ? found.nearest().stream().toList() : found.choices();
    for (Choice choice : rows) {
      table.add(
          choice.pitch().statement(),
          Figures.significant(length.fromBase(choice.face()), 4),
          Figures.significant(length.fromBase(choice.diameter()), 4),
          Figures.significant(length.fromBase(choice.distance()), 4),
          Figures.significant(choice.mass(), 3),
          Figures.significant(choice.bending(), 3),
          Figures.significant(choice.contact(), 3),
          choice.weakest().tooth().wheel()
              + (choice.weakest().contact() ? " by contact" : " by bending"));
    }
    String said = table + "\n" + card.revised(rows.getFirst().train()).text();
    if (found.choices().isEmpty()) {
      said = "Nothing holds within the limits; the largest that was tried:\n\n" + table;
    }
    return Lines.wrapped(said + "\n" + efficiency(rows.getFirst()) + Cautions.SCREENING + "\n");
  }
}
