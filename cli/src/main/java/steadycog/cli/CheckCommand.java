package steadycog.cli;

import java.io.PrintWriter;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;
import steadycog.format.json.StudyJson;
import steadycog.study.NamedStudy;

/** {@code check}: the findings alone. */
@Command(
    name = "check",
    mixinStandardHelpOptions = true,
    description = "The findings alone, worst first.")
final class CheckCommand implements Callable<Integer> {
  @Spec CommandSpec spec;
  @Mixin CardInput input;

  @Option(names = "--json", description = "print JSON")
  boolean json;

  @Override
  public Integer call() {
    return input.with(
        job -> {
          List<NamedStudy> studies = CardInput.studies(job);
          PrintWriter out = spec.commandLine().getOut();
          out.print(json ? StudyJson.check(studies) : StudyTable.check(studies));
          out.flush();
          return CardInput.exitCode(studies);
        });
  }
}
