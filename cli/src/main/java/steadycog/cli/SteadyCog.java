package steadycog.cli;

import java.io.FileOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.io.PrintWriter;
import java.nio.charset.Charset;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.function.Function;
import picocli.AutoComplete;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.ParseResult;
import picocli.CommandLine.Spec;
import steadycog.number.Known;

/** The program's one entry: {@code steady-cog COMMAND …}, or the window without a command. */
@Command(
    name = "steady-cog",
    mixinStandardHelpOptions = true,
    versionProvider = Version.class,
    description = {
      "Lays out gear trains, checks them, and works out speeds and torques.",
      "Without a command the window opens."
    },
    footer = {
      "",
      "CARD is a card (.txt), a job (.cog.json), a table of tooth counts (.csv, .xlsx), or - for",
      "standard input.",
      "Exit codes: 0 done, 1 done and a finding is an error, 2 the input could not be read."
    },
    subcommands = {
      SolveCommand.class,
      BoardCommand.class,
      PlanCommand.class,
      CheckCommand.class,
      CureCommand.class,
      SizeCommand.class,
      FindCommand.class,
      ExportCommand.class,
      SheetCommand.class,
      GearboxCommand.class,
      IdentifyCommand.class,
      BenchCommand.class
    })
public final class SteadyCog implements Callable<Integer> {
  /**
   * Names the file on which the launching script reads what the program has to say; exit codes are
   * then marked, so that they cannot be taken for those of a Java that did not start.
   */
  private static final String LAUNCHER = "steadycog.launcher";

  private static final int MARKED = 64;

  @Spec CommandSpec spec;

  private SteadyCog() {}

  public static void main(String[] args) {
    String launcher = System.getProperty(LAUNCHER, "");
    if (!launcher.isEmpty()) {
      System.setErr(error(launcher));
    }
    int code = commandLine().execute(args);
    System.exit(launcher.isEmpty() ? code : MARKED + code);
  }

  /** Added to, since it may be a file that holds what others have said. */
  private static PrintStream error(String file) {
    try {
      return new PrintStream(new FileOutputStream(file, true), true, Charset.defaultCharset());
    } catch (IOException none) {
      return System.err;
    }
  }

  static CommandLine commandLine() {
    CommandLine command = new CommandLine(new SteadyCog());
    FindCommand.addFields(Known.in(command.getSubcommands(), "find").getCommandSpec());
    command.addSubcommand(new CommandLine.HelpCommand());
    command.addSubcommand(new Completion());
    command.getSubcommands().values().forEach(SteadyCog::helpful);
    return command
        .setOut(new PrintWriter(new SafeWriter(command.getOut())))
        .setErr(new PrintWriter(new SafeWriter(command.getErr()), true))
        .setColorScheme(CommandLine.Help.defaultColorScheme(CommandLine.Help.Ansi.OFF))
        .setCaseInsensitiveEnumValuesAllowed(true)
        .setParameterExceptionHandler(SteadyCog::refuse)
        .setExecutionExceptionHandler(SteadyCog::excuse)
        .setExitCodeExceptionMapper(crash -> Exit.NOT_READ);
  }

  /** Every command tells of which version it is, and none is kept from the list. */
  private static void helpful(CommandLine command) {
    command.getCommandSpec().versionProvider(new Version());
    command.getCommandSpec().usageMessage().hidden(false);
  }

  /** What is wrong with the command line, and where to read what would be right, in one line. */
  private static int refuse(ParameterException wrong, String[] args) {
    CommandLine command = wrong.getCommandLine();
    String message =
        String.valueOf(wrong.getMessage())
            .lines()
            .findFirst()
            .orElse("")
            .replaceAll("is not an? (int|long|Integer|Long)$", "is not a whole number")
            .replaceAll("is not an? (double|Double)$", "is not a number")
            .replaceAll("\\((?:java\\.)?[\\w.]+Exception: (.*)\\)$", "($1)")
            .replaceAll("^Error: ", "")
            .replaceAll(
                "^Invalid value for option '(--[\\w-]+)' \\([A-Z]+\\): '([^']*)': ", "$1 $2: ")
            .replaceAll("[.:]$", "");
    String name = command.getCommandSpec().qualifiedName();
    command.getErr().println(name + ": " + message + "; see " + name + " --help");
    return Exit.NOT_READ;
  }

  /** A fault of the program in one line: a trace would help nobody who reads it. */
  private static int excuse(Exception fault, CommandLine command, ParseResult result) {
    String message = fault.getMessage();
    command
        .getErr()
        .println(
            "steady-cog: a fault in the program, not in the card: "
                + fault.getClass().getSimpleName()
                + (message == null ? "" : ": " + message.lines().findFirst().orElse("")));
    return Exit.NOT_READ;
  }

  /** Prints what a shell needs to complete commands and options. */
  @Command(
      name = "completion",
      mixinStandardHelpOptions = true,
      description = "Prints a script for bash or zsh: source <(steady-cog completion)")
  static final class Completion extends AutoComplete.GenerateCompletion {}

  @Override
  public Integer call() {
    return inWindow(window -> window.open(Optional.empty(), spec.commandLine().getOut()));
  }

  @Command(
      name = "open",
      mixinStandardHelpOptions = true,
      description = "Opens the window with a job or card.")
  int open(@Parameters(paramLabel = "FILE", description = "a job or card") Path file) {
    return inWindow(window -> window.open(Optional.of(file), spec.commandLine().getOut()));
  }

  @Command(
      name = "demo",
      mixinStandardHelpOptions = true,
      description = "Opens the window with the demo jobs of Tern Rock.")
  int demo() {
    return inWindow(window -> window.demo(spec.commandLine().getOut()));
  }

  @Command(
      name = "shots",
      mixinStandardHelpOptions = true,
      description = "Writes a 1280x800 PNG of each main view.")
  int shots(@Parameters(paramLabel = "DIR", description = "where to put them") Path folder) {
    return inWindow(window -> window.shots(folder, spec.commandLine().getOut()));
  }

  private int inWindow(Function<Window, Integer> action) {
    Optional<Window> window = Window.find();
    if (window.isEmpty()) {
      spec.commandLine()
          .getErr()
          .println("The window's files are not on the class path: start it by ./steady-cog");
      return Exit.NOT_READ;
    }
    return action.apply(window.get());
  }
}
