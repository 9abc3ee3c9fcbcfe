package steadycog.cli;

import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import steadycog.check.Finding;
import steadycog.cure.Cure;
import steadycog.cure.PutRight;
import steadycog.cure.PutRight.Keep;
import steadycog.cure.PutRight.Outcome;
import steadycog.format.json.StudyJson;
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
    return input.withOne(
        sheet -> {
          Card card = sheet.card().orElseThrow();
          Outcome outcome = PutRight.of(card.train(), keep, Pace.FREE);
          if (json) {
            input.print(StudyJson.cure(card, outcome));
          } else {
            say(card, outcome);
          }
          return outcome.isSound() ? Exit.DONE : Exit.DONE_WITH_ERRORS;
        });
  }

  private void say(Card card, Outcome outcome) {
    Optional<Cure> cure = outcome.cure();
    if (!outcome.isSound()) {
      input.remark(
          (outcome.searched()
                  ? "no change within reach: "
                  : "too large to try changes, the worst is ")
              + line(outcome.left().orElseThrow()));
      return;
    }
    String text = cure.map(found -> card.revised(found.train()).text()).orElse(card.text());
    input.print(text.endsWith("\n") ? text : text + "\n");
    input.remark(cure.map(CureCommand::words).orElse("nothing to put right") + still(outcome));
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
