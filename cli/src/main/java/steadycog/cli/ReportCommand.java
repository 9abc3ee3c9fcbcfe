package steadycog.cli;

import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import steadycog.job.Job;
import steadycog.study.NamedStudy;

/** A command that works every train of its CARD out and prints something about it. */
abstract class ReportCommand implements Callable<Integer> {
  @Mixin CardInput input;

  @Option(names = "--json", description = "print JSON")
  boolean json;

  abstract String table(List<NamedStudy> studies);

  abstract String json(List<NamedStudy> studies);

  /** Refuses options that mean nothing here. */
  void check() {
    input.requireText(!json);
  }

  /** The results that it tells. */
  List<NamedStudy> studies(Job job) {
    return CardInput.studies(job);
  }

  @Override
  public final Integer call() {
    return input.with(
        job -> {
          check();
          List<NamedStudy> studies = studies(job);
          if (json) {
            input.print(json(studies));
          } else {
            input.tell(table(studies));
          }
          return CardInput.exitCode(studies);
        });
  }
}
