package steadycog.cli;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.function.BiFunction;
import picocli.CommandLine.ArgGroup;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import steadycog.cure.Cure;
import steadycog.cure.GearboxCures;
import steadycog.format.csv.BillCsv;
import steadycog.format.json.GearboxJson;
import steadycog.format.json.StudyJson;
import steadycog.gearbox.Bill;
import steadycog.gearbox.Build;
import steadycog.gearbox.Build.Whole;
import steadycog.gearbox.Move;
import steadycog.gearbox.ShaftLoads;
import steadycog.job.Job;
import steadycog.job.TrainText;
import steadycog.number.Figures;
import steadycog.number.Pace;
import steadycog.study.NamedStudy;

/** {@code gearbox}: everything round the teeth, made and bought, and how it goes together. */
@Command(
    name = "gearbox",
    mixinStandardHelpOptions = true,
    description =
        "A whole gearbox round the train: the bill of what is made and bought, the order in which"
            + " it goes together, and whether it does. Its pieces: export --gearbox.")
final class GearboxCommand implements Callable<Integer> {
  @Mixin CardInput input;

  @ArgGroup(exclusive = true)
  Output output = new Output();

  @Override
  public Integer call() {
    return input.with(this::print);
  }

  private int print(Job job) {
    input.requires("--units", false, "what is bought comes in mm: leave it out");
    List<NamedStudy> trains = CardInput.studies(job);
    List<Build> builds = trains.stream().map(NamedStudy::gearbox).toList();
    List<String> names = trains.stream().map(NamedStudy::name).toList();
    if (output.json) {
      input.print(StudyJson.eachTrain(each(trains, builds, GearboxJson::write)));
    } else if (output.csv) {
      input.print(BillCsv.write(names, builds));
    } else {
      input.tell(Lines.headed(each(trains, builds, GearboxCommand::text), names.size() > 1));
    }
    return builds.stream().allMatch(Build::goesTogether) ? Exit.DONE : Exit.DONE_WITH_ERRORS;
  }

  /** Each with what would put it right, which is looked for where it does not hold. */
  private static List<TrainText> each(
      List<NamedStudy> trains, List<Build> builds, BiFunction<Build, List<Cure>, String> write) {
    List<TrainText> all = new ArrayList<>();
    for (int k = 0; k < trains.size(); k++) {
      Build build = builds.get(k);
      NamedStudy named = trains.get(k);
      List<Cure> cures =
          build.goesTogether() ? List.of() : GearboxCures.of(named.study().train(), Pace.FREE);
      all.add(new TrainText(named.name(), write.apply(build, cures)));
    }
    return all;
  }

  private static String text(Build build, List<Cure> cures) {
    StringBuilder text =
        new StringBuilder(
            build
                .box()
                .map(GearboxCommand::text)
                .orElseGet(() -> "No gearbox is made of this train: " + build.why() + ".\n"));
    cures.forEach(
        cure -> text.append("It goes together with: ").append(cure.change()).append(".\n"));
    return text.toString();
  }

  private static String text(Whole whole) {
    TextTable table = new TextTable(4, "No.", "count", "piece", "size, mm", "material", "g each");
    for (Bill.Line line : whole.bill().lines()) {
      table.add(
          Integer.toString(line.number()),
          Integer.toString(line.count()),
          line.name(),
          line.size(),
          line.material().map(material -> material.word()).orElse("bought"),
          line.grams().map(g -> Figures.significant(g, 3)).orElse("-"));
    }
    StringBuilder text = new StringBuilder(table.toString());
    text.append("\nMade: ").append(Figures.significant(whole.bill().grams(), 3)).append(" g.\n");
    text.append(whole.gearbox().fits()).append('\n');
    whole.gearbox().omissions().ifPresent(words -> text.append(words).append('\n'));
    ShaftLoads loads = new ShaftLoads(whole.gearbox());
    if (!loads.rows().isEmpty()) {
      TextTable bearings = new TextTable(2, ShaftLoads.HEADS.toArray(String[]::new));
      loads.rows().forEach(row -> bearings.add(row.toArray(String[]::new)));
      text.append('\n').append(bearings);
      loads.weak().forEach(line -> text.append("warning ").append(line).append('\n'));
      loads.note().ifPresent(note -> text.append(note).append('\n'));
    }
    if (!whole.proof().order().isEmpty()) {
      text.append("\nIt goes together so, the drive end below:\n");
      int step = 1;
      for (Move move : whole.proof().order()) {
        text.append(step++).append(". ").append(move.says(whole.bill())).append('\n');
      }
    }
    text.append('\n');
    if (whole.proof().holds()) {
      text.append(Build.PROVEN).append('\n');
    }
    whole.proof().problems().forEach(one -> text.append("error ").append(one).append(".\n"));
    return text.toString();
  }
}
