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

/** {@code solve}: speeds, torques and powers of every member for the roles on the card. */
@Command(
    name = "solve",
    mixinStandardHelpOptions = true,
    description = "Speeds, torques, powers, ratio and findings for the roles on the card.")
final class SolveCommand implements Callable<Integer> {
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
          out.print(json ? StudyJson.solve(studies) : StudyTable.solve(studies));
          out.flush();
          return CardInput.exitCode(studies);
        });
  }
}
