package steadycog.cli;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import steadycog.check.Finding;
import steadycog.cure.Cure;
import steadycog.cure.PutRight;
import steadycog.cure.PutRight.Keep;
import steadycog.cure.PutRight.Outcome;
import steadycog.format.json.FindingJson;
import steadycog.format.json.StudyJson;
import steadycog.job.Job;
import steadycog.job.Sheet;
import steadycog.job.TrainText;
import steadycog.notation.Card;
import steadycog.number.Pace;
import steadycog.number.Ratio;

/** {@code cure}: the least change of a card after which nothing worse than a note is left. */
@Command(
    name = "cure",
    mixinStandardHelpOptions = true,
    description = {
      "The card with the least change after which nothing worse than a note is left:",
      "shifts before counts. What changed goes to standard error.",
      "Exit code 1 where no such change is within reach."
    })
final class CureCommand implements Callable<Integer> {
  @Mixin CardInput input;

  @Option(
      names = "--keep",
      paramLabel = "WHAT",
      description = {
        "ratio: the exact ratio stays;",
        "teeth: all counts stay, only shifts, spacing and sizes change"
      })
  Keep keep = Keep.NOTHING;

  @Option(names = "--json", description = "print JSON")
  boolean json;

  @Override
  public Integer call() {
    return input.with(this::cure);
  }

  private int cure(Job job) {
    input.requireText(!json);
    boolean several = job.sheets().size() > 1;
    boolean sound = true;
    List<TrainText> all = new ArrayList<>();
    for (Sheet sheet : job.sheets()) {
      Card card = sheet.card().orElseThrow();
      Outcome outcome = PutRight.of(card.train(), keep, Pace.FREE);
      sound &= outcome.isSound();
      if (json) {
        all.add(new TrainText(sheet.name(), FindingJson.cure(card, outcome)));
        continue;
      }
      if (outcome.isSound()) {
        String name = several ? "# " + sheet.name() + "\n" : "";
        all.add(new TrainText(sheet.name(), name + text(card, outcome)));
      }
      input.remark((several ? sheet.name() + ": " : "") + said(card, outcome));
    }
    input.print(json ? StudyJson.eachTrain(all) : Lines.headed(all, false));
    return sound ? Exit.DONE : Exit.DONE_WITH_ERRORS;
  }

  private static String text(Card card, Outcome outcome) {
    String text =
        outcome.cure().map(found -> card.revised(found.train()).text()).orElse(card.text());
    return text.endsWith("\n") ? text : text + "\n";
  }

  private String said(Card card, Outcome outcome) {
    if (!outcome.isSound()) {
      return (outcome.searched()
              ? "no change within reach: "
              : "too large to try changes, the worst is ")
          + line(outcome.left().orElseThrow().in(input.units(card.train())));
    }
    return outcome.cure().map(CureCommand::words).orElse("nothing to put right") + still(outcome);
  }

  private static String words(Cure cure) {
    return cure.change() + cure.ratio().map(ratio -> "; " + ratio(cure, ratio)).orElse("");
  }

  private static String still(Outcome outcome) {
    String codes =
        String.join(", ", outcome.still().stream().map(Finding::code).distinct().toList());
    return codes.isEmpty() ? "" : "; still noted: " + codes;
  }

  private static String ratio(Cure cure, Ratio ratio) {
    return cure.changesRatio()
        ? "ratio now " + StudyTable.signed(ratio)
        : "ratio kept, " + StudyTable.signed(ratio);
  }

  private static String line(Finding finding) {
    return finding.code()
        + ": "
        + finding.message()
        + finding.remedy().map(remedy -> " " + remedy).orElse("");
  }
}
