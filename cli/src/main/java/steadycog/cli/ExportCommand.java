package steadycog.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;
import steadycog.format.file.JobFiles;
import steadycog.job.Job;

/** {@code export}: a job or card written in another format, by the ending. */
@Command(
    name = "export",
    mixinStandardHelpOptions = true,
    description = "Writes the job in another format, by the ending: .json a job, .txt a card.")
final class ExportCommand implements Callable<Integer> {
  @Spec CommandSpec spec;
  @Mixin CardInput input;

  @Option(
      names = "--to",
      required = true,
      paramLabel = "OUT",
      description = "the file to write: .cog.json, .json or .txt")
  Path target;

  @Override
  public Integer call() {
    return input.with(this::write);
  }

  private int write(Job job) {
    if (!JobFiles.isJob(target) && !JobFiles.isCard(target)) {
      return refuse("unknown ending, expected .cog.json, .json or .txt");
    }
    if (JobFiles.isCard(target) && job.sheets().size() > 1) {
      return refuse("a card holds one train, the job has several: name one by --train");
    }
    try {
      JobFiles.save(job, 0, target);
      return Exit.DONE;
    } catch (IOException failed) {
      return refuse("cannot be written: " + failed.getMessage());
    }
  }

  private int refuse(String reason) {
    spec.commandLine().getErr().println(target + ":1:1: " + reason);
    return Exit.NOT_READ;
  }
}
