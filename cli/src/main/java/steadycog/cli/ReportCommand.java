package steadycog.cli;

import java.io.PrintWriter;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;
import steadycog.study.NamedStudy;

/** A command that works every train of its CARD out and prints something about it. */
abstract class ReportCommand implements Callable<Integer> {
  @Spec CommandSpec spec;
  @Mixin CardInput input;

  @Option(names = "--json", description = "print JSON")
  boolean json;

  abstract String table(List<NamedStudy> studies);

  abstract String json(List<NamedStudy> studies);

  @Override
  public final Integer call() {
    return input.with(
        job -> {
          List<NamedStudy> studies = CardInput.studies(job);
          PrintWriter out = spec.commandLine().getOut();
          out.print(json ? json(studies) : table(studies));
          out.flush();
          return CardInput.exitCode(studies);
        });
  }
}
