package steadycog.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;
import steadycog.format.csv.StudyCsv;
import steadycog.format.file.JobFiles;
import steadycog.job.Job;
import steadycog.job.Sheet;

/** {@code export}: a job or card written in another format, by the ending. */
@Command(
    name = "export",
    mixinStandardHelpOptions = true,
    description =
        "Writes the job in another format, by the ending: .json a job, .txt a card, .csv the"
            + " members, .png the drawing.")
final class ExportCommand implements Callable<Integer> {
  @Spec CommandSpec spec;
  @Mixin CardInput input;

  @Option(
      names = "--to",
      required = true,
      paramLabel = "OUT",
      description = "the file to write: .cog.json, .json, .txt, .csv or .png")
  Path target;

  @Override
  public Integer call() {
    return input.with(this::write);
  }

  private int write(Job job) {
    String name = target.toString().toLowerCase(Locale.ROOT);
    boolean one = JobFiles.isCard(target) || name.endsWith(".png");
    if (one && job.sheets().size() > 1) {
      return refuse("it holds one train, the job has several: name one by --train");
    }
    try {
      if (name.endsWith(".csv")) {
        JobFiles.write(target, StudyCsv.write(CardInput.studies(job)));
      } else if (name.endsWith(".png")) {
        return picture(job.sheets().getFirst());
      } else if (JobFiles.isJob(target) || JobFiles.isCard(target)) {
        JobFiles.save(job, 0, target);
      } else {
        return refuse("unknown ending, expected .cog.json, .json, .txt, .csv or .png");
      }
      return Exit.DONE;
    } catch (IOException failed) {
      return refuse("cannot be written: " + failed.getMessage());
    }
  }

  private int picture(Sheet sheet) throws IOException {
    Optional<Window> window = Window.find();
    if (window.isEmpty()) {
      return refuse("pictures need the window's files: start it by ./steady-cog");
    }
    window.get().picture(sheet, target);
    return Exit.DONE;
  }

  private int refuse(String reason) {
    spec.commandLine().getErr().println(target + ":1:1: " + reason);
    return Exit.NOT_READ;
  }
}
