package steadycog.cli;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.function.Function;
import java.util.stream.Collectors;
import picocli.CommandLine.ArgGroup;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import steadycog.format.csv.EachTrain;
import steadycog.format.csv.PlanCsv;
import steadycog.format.json.StudyJson;
import steadycog.job.Job;
import steadycog.job.Sheet;
import steadycog.job.TrainText;
import steadycog.notation.CardPrinter;
import steadycog.number.Exact;
import steadycog.number.Figures;
import steadycog.number.Units;
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

  @ArgGroup(exclusive = true)
  Output output = new Output();

  @Override
  public Integer call() {
    return input.with(job -> find ? find(job) : print(job));
  }

  private int print(Job job) {
    input.requireText(!output.json);
    List<NamedStudy> plans =
        CardInput.studies(job).stream().filter(named -> named.plan().isPresent()).toList();
    if (plans.isEmpty()) {
      return refuse("no states on the card, expected one such as: state low: hold ring");
    }
    if (output.json) {
      input.print(StudyJson.solve(plans));
    } else if (output.csv) {
      Units units = input.asked().orElse(Units.USUAL);
      input.print(EachTrain.of(each(plans, plan -> PlanCsv.write(plan, units))));
    } else {
      input.tell(
          Lines.headed(
              each(plans, plan -> PlanTable.of(plan, input.asked())), job.sheets().size() > 1));
    }
    return CardInput.exitCode(plans);
  }

  private static List<TrainText> each(List<NamedStudy> plans, Function<ShiftTable, String> write) {
    return plans.stream()
        .map(one -> new TrainText(one.name(), write.apply(one.plan().orElseThrow())))
        .toList();
  }

  private int find(Job job) {
    input.requires("--csv", false, "what --find finds is printed as text or JSON");
    input.requires("--units", false, "ratios have none: leave it out");
    List<TrainText> all = new ArrayList<>();
    String trouble = "";
    for (Sheet sheet : job.sheets()) {
      Train train = sheet.card().orElseThrow().train();
      Optional<String> none = StateHunt.trouble(train);
      if (none.isPresent()) {
        trouble = none.get();
        continue;
      }
      FoundStates found = StateHunt.of(train, new Watch() {});
      List<State> proposed = ShiftOrder.propose(found.states());
      all.add(
          new TrainText(
              sheet.name(),
              output.json
                  ? StudyJson.found(found, proposed)
                  : table(found, proposed) + instead(train)));
    }
    if (all.isEmpty()) {
      return refuse(trouble);
    }
    if (output.json) {
      input.print(StudyJson.eachTrain(all));
    } else {
      input.tell(Lines.headed(all, job.sheets().size() > 1));
    }
    return Exit.DONE;
  }

  private static String table(FoundStates found, List<State> proposed) {
    TextTable table = new TextTable(0, "i = in/out", "exactly", "ways", "fastest", "engaged");
    for (FoundState state : found.states()) {
      Way best = state.ways().getFirst();
      table.add(
          Figures.plain(state.ratio().reduction()),
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

  /** What the card holds or locks throughout is for the states to hold or lock. */
  private static String instead(Train train) {
    List<String> held = new ArrayList<>();
    if (!StateHunt.released(train).equals(train)) {
      train.roles().holds().forEach(member -> held.add("hold " + member));
      train.roles().locks().forEach(join -> held.add("lock " + join.a() + " = " + join.b()));
    }
    return held.isEmpty()
        ? ""
        : "\nstates in place of: " + String.join("; ", held) + " (take it off the card)\n";
  }

  private int refuse(String reason) {
    return input.refuse(input.source + ":1:1: " + reason);
  }
}
