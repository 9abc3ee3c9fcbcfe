package steadycog.cli;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import steadycog.format.json.Layout;
import steadycog.job.Job;
import steadycog.study.NamedStudy;

/** A command that works every train of its CARD out and prints something about it. */
abstract class ReportCommand implements Callable<Integer> {
  @Mixin CardInput input;

  @Mixin ManyCards many;

  @Parameters(
      index = "1..*",
      arity = "0..*",
      paramLabel = "CARD",
      description = "with --lines further cards, jobs and folders")
  List<String> more = List.of();

  @Option(names = "--json", description = "print JSON")
  boolean json;

  @Option(names = "--cures", description = "with --lines also look for what puts findings right")
  boolean cures;

  abstract String table(List<NamedStudy> studies);

  abstract String json(List<NamedStudy> studies, boolean cures, Layout layout);

  /** Refuses options that mean nothing here. */
  void check() {
    input.requireText(!json && !many.lines);
    input.requires("--json", !many.lines, "--lines are JSON: leave one of them out");
    input.requires("--cures", many.lines, "they are told anyway: leave it out");
    if (!more.isEmpty() && !many.lines) {
      throw new ParameterException(
          input.spec.commandLine(), "several cards: add --lines, for a line of JSON each");
    }
  }

  /** The results that it tells. */
  List<NamedStudy> studies(Job job) {
    return CardInput.studies(job);
  }

  @Override
  public final Integer call() {
    check();
    if (many.lines) {
      List<String> sources = new ArrayList<>(List.of(input.source));
      sources.addAll(more);
      return ManyCards.run(
          sources,
          input.spec.commandLine().getOut(),
          job -> {
            List<NamedStudy> studies = studies(input.chosen(job));
            return new ManyCards.Answer(
                CardInput.exitCode(studies), json(studies, cures, Layout.LINE));
          });
    }
    return input.with(
        job -> {
          List<NamedStudy> studies = studies(job);
          if (json) {
            input.print(json(studies, true, Layout.PAGE));
          } else {
            input.tell(table(studies));
          }
          return CardInput.exitCode(studies);
        });
  }
}
