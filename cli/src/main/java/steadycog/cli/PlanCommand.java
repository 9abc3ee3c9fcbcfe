package steadycog.cli;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import steadycog.format.csv.PlanCsv;
import steadycog.format.json.StudyJson;
import steadycog.job.Sheet;
import steadycog.notation.CardPrinter;
import steadycog.number.Exact;
import steadycog.search.ShiftOrder;
import steadycog.search.StateHunt;
import steadycog.search.StateHunt.FoundState;
import steadycog.search.StateHunt.FoundStates;
import steadycog.search.StateHunt.Way;
import steadycog.search.Watch;
import steadycog.study.NamedStudy;
import steadycog.study.ShiftTable;
import steadycog.train.Element;
import steadycog.train.State;
import steadycog.train.Train;

/** {@code plan}: the states of a train side by side, or every state that there could be. */
@Command(
    name = "plan",
    mixinStandardHelpOptions = true,
    description = "The states of a train side by side, or every state that could be made.")
final class PlanCommand implements Callable<Integer> {
  @Mixin CardInput input;

  @Option(names = "--find", description = "every ratio that brakes and clutches can make")
  boolean find;

  @Option(names = "--json", description = "print JSON")
  boolean json;

  @Option(names = "--csv", description = "print comma-separated values")
  boolean csv;

  @Override
  public Integer call() {
    return input.withOne(sheet -> find ? find(sheet) : print(sheet));
  }

  private int print(Sheet sheet) {
    Train train = sheet.card().orElseThrow().train();
    if (train.shifts().states().isEmpty()) {
      return refuse("no states on the card, expected one such as: state low: hold ring");
    }
    NamedStudy named = NamedStudy.of(sheet.name(), train);
    ShiftTable plan = named.plan().orElseThrow();
    input.print(
        json
            ? StudyJson.solve(List.of(named))
            : csv ? PlanCsv.write(plan) : PlanTable.of(plan, Optional.empty()));
    return named.hasErrors() ? Exit.DONE_WITH_ERRORS : Exit.DONE;
  }

  private int find(Sheet sheet) {
    Train train = sheet.card().orElseThrow().train();
    Optional<String> trouble = StateHunt.trouble(train);
    if (trouble.isPresent()) {
      return refuse(trouble.get());
    }
    FoundStates found = StateHunt.of(train, new Watch() {});
    List<State> proposed = ShiftOrder.propose(found.states());
    input.print(json ? StudyJson.found(found, proposed) : table(found, proposed));
    return Exit.DONE;
  }

  private static String table(FoundStates found, List<State> proposed) {
    TextTable table = new TextTable(0, "i = in/out", "ways", "fastest", "engaged");
    for (FoundState state : found.states()) {
      Way best = state.ways().getFirst();
      table.add(
          Exact.text(state.ratio().reduction()),
          Integer.toString(state.ways().size()),
          PlanTable.times(best.fastest()),
          best.engaged().stream().map(Element::toString).collect(Collectors.joining(", ")));
    }
    String order =
        proposed.stream()
            .map(state -> CardPrinter.print(state) + "\n")
            .collect(Collectors.joining());
    return table
        + "\n"
        + found.examined()
        + " choices tried, "
        + found.jammed()
        + " jam, "
        + found.neutral()
        + " leave the output free or at rest"
        + (found.whole() ? "" : "; more were not tried")
        + "\n\none swap a shift:\n"
        + order;
  }

  private int refuse(String reason) {
    return input.refuse(input.source + ":1:1: " + reason);
  }
}
