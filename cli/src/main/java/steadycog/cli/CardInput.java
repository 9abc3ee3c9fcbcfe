package steadycog.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.AccessDeniedException;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.ToIntFunction;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import steadycog.format.file.JobFiles;
import steadycog.format.file.Trouble;
import steadycog.format.json.UnreadableException;
import steadycog.job.Job;
import steadycog.job.Sheet;
import steadycog.number.Unit;
import steadycog.number.Units;
import steadycog.study.NamedStudy;
import steadycog.train.Train;

/** The CARD that most commands take. */
final class CardInput {
  @Spec(Spec.Target.MIXEE)
  CommandSpec spec;

  @Parameters(
      paramLabel = "CARD",
      description = "a card (.txt), a job (.cog.json), or - for standard input")
  String source;

  @Option(
      names = "--train",
      paramLabel = "NAME",
      description = "only the train of that name in the job")
  Optional<String> train = Optional.empty();

  @Option(
      names = "--units",
      paramLabel = "UNITS",
      split = ",",
      converter = ShownUnit.class,
      description = "show in these units, as rad/s,lbf-in,hp,in; else in those of the card")
  List<Unit> units = List.of();

  /** The units asked for; empty where each train is shown in those of its card. */
  Optional<Units> asked() {
    return units.isEmpty() ? Optional.empty() : Optional.of(ShownUnit.of(units));
  }

  /** The units in which {@code train} is shown: those asked for, else those of its card. */
  Units units(Train train) {
    return asked().orElseGet(train::units);
  }

  /** Says that an option that was given means nothing here, rather than pass over it. */
  void requires(String option, boolean applies, String reason) {
    if (!applies && spec.commandLine().getParseResult().hasMatchedOption(option)) {
      throw new ParameterException(spec.commandLine(), option + ": " + reason);
    }
  }

  /** What JSON holds does not depend on units that are asked for. */
  void requireText(boolean text) {
    requires("--units", text, "the units of JSON and of data files are fixed: leave it out");
  }

  /** Runs {@code use} on the job, or says in one line why it cannot be read. */
  int with(ToIntFunction<Job> use) {
    String file = source.equals("-") ? "<stdin>" : source;
    try {
      return use.applyAsInt(chosen(read()));
    } catch (UnreadableException unreadable) {
      return refuse(unreadable.at(file));
    } catch (NoSuchFileException missing) {
      return refuse(file + ":1:1: no such file");
    } catch (AccessDeniedException denied) {
      return refuse(file + ":1:1: may not be read");
    } catch (IOException broken) {
      return refuse(file + ":1:1: cannot be read: " + Trouble.words(broken));
    } catch (InvalidPathException noPath) {
      return refuse(file + ":1:1: is no name of a file: " + noPath.getReason());
    }
  }

  /** The train asked for, or all; each has a card. */
  Job chosen(Job job) throws UnreadableException {
    Job chosen = train.isPresent() ? only(job, train.get()) : job;
    requireCards(chosen);
    return chosen;
  }

  /** As {@link #with}, for commands that take one train: of several, one must be named. */
  int withOne(ToIntFunction<Sheet> use) {
    return with(
        job ->
            job.sheets().size() == 1
                ? use.applyAsInt(job.sheets().getFirst())
                : refuse(source + ":1:1: the job has several trains: name one by --train"));
  }

  private Job read() throws IOException, UnreadableException {
    if (source.equals("-")) {
      return JobFiles.read(System.in, "train");
    }
    Path file = Path.of(source);
    if (Files.isDirectory(file)) {
      throw new UnreadableException(1, 1, "a folder, expected a card or job file");
    }
    return JobFiles.open(file);
  }

  private static Job only(Job job, String name) throws UnreadableException {
    List<Sheet> found =
        job.sheets().stream().filter(sheet -> sheet.name().equalsIgnoreCase(name)).toList();
    if (found.isEmpty()) {
      List<String> names = job.sheets().stream().map(Sheet::name).toList();
      throw new UnreadableException(
          1, 1, "no train '" + name + "', expected one of: " + String.join(", ", names));
    }
    return new Job(job.title(), found);
  }

  private static void requireCards(Job job) throws UnreadableException {
    for (Sheet sheet : job.sheets()) {
      if (sheet.card().isEmpty()) {
        throw new UnreadableException(1, 1, "train '" + sheet.name() + "' has no card yet");
      }
    }
  }

  /** Says something about what was done all the same, in one line. */
  void remark(String words) {
    PrintWriter err = spec.commandLine().getErr();
    err.println(words);
    err.flush();
  }

  /** Prints what people read, long lines parted. */
  void tell(String text) {
    print(Lines.wrapped(text));
  }

  /** Prints a result as it is. */
  void print(String text) {
    PrintWriter out = spec.commandLine().getOut();
    out.print(text);
    out.flush();
  }

  /** Says in one line, with its place, why the input cannot be used. */
  int refuse(String reason) {
    remark(reason.lines().findFirst().orElse(reason));
    return Exit.NOT_READ;
  }

  /** The trains of the job worked out, one after the other. */
  static List<NamedStudy> studies(Job job) {
    return job.sheets().stream()
        .map(sheet -> NamedStudy.of(sheet.name(), sheet.card().orElseThrow().train()))
        .toList();
  }

  static int exitCode(List<NamedStudy> studies) {
    return studies.stream().anyMatch(NamedStudy::hasErrors) ? Exit.DONE_WITH_ERRORS : Exit.DONE;
  }
}
