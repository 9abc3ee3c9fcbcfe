package steadycog.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.ArgGroup;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;
import steadycog.format.csv.FoundCsv;
import steadycog.format.file.JobFiles;
import steadycog.format.file.Trouble;
import steadycog.format.json.FoundJson;
import steadycog.format.json.UnreadableException;
import steadycog.job.Job;
import steadycog.notation.Card;
import steadycog.number.Exact;
import steadycog.number.Figures;
import steadycog.search.Candidate;
import steadycog.search.Found;
import steadycog.search.Hunt;
import steadycog.search.Loosen;
import steadycog.search.Loosen.Hint;
import steadycog.search.Nearby;
import steadycog.search.Wanted;
import steadycog.search.Wanted.Field;
import steadycog.search.Watch;

/** {@code find}: from a ratio to tooth counts. */
@Command(
    name = "find",
    mixinStandardHelpOptions = true,
    description = "Tooth counts that make a ratio and go together, the nearest first.",
    footer = {
      "",
      "A target is a ratio (85, 85:1, 1:4), two speeds (1500 rpm to 12 rpm) or a period",
      "(23 h 56 min 4.0905 s from 1 rpm). Every candidate's card is ready for solve -."
    })
final class FindCommand implements Callable<Integer> {
  @Spec CommandSpec spec;

  @Option(names = "--target", paramLabel = "RATIO", description = "the reduction ratio wanted")
  Optional<String> target = Optional.empty();

  @Option(
      names = "--kind",
      paramLabel = "KIND",
      description = "parallel, planetary, two-row, cycloidal, strainwave or all (default)")
  String kind = "all";

  @Option(names = "--stages", description = "pairs of wheels, or sets in series: 3 or 1..3")
  Optional<String> stages = Optional.empty();

  @Option(names = "--teeth", description = "wheels, suns and planets (default 12..120)")
  Optional<String> teeth = Optional.empty();

  @Option(names = "--ring", description = "rings (default: whatever follows)")
  Optional<String> ring = Optional.empty();

  @Option(names = "--planets", description = "planets on a carrier (default 3..5)")
  Optional<String> planets = Optional.empty();

  @Option(names = "--tolerance", description = "0.1%%, 50ppm or 0.5 teeth of the last wheel")
  Optional<String> tolerance = Optional.empty();

  @Option(names = "--per-stage", description = "the largest step of a stage, such as 8")
  Optional<String> perStage = Optional.empty();

  @Option(names = "--distortion", description = "teeth by which rings may be off (default 2)")
  Optional<String> distortion = Optional.empty();

  @Option(names = "--two-modules", description = "rows closed by two standard modules as well")
  boolean twoModules;

  @Option(names = "--diameter", description = "the largest wheel: 40 modules, or 60 mm at 1.5 mm")
  Optional<String> diameter = Optional.empty();

  @Option(names = "--driver", description = "counts that must drive, such as 24,18")
  Optional<String> driver = Optional.empty();

  @Option(names = "--driven", description = "counts that must be driven")
  Optional<String> driven = Optional.empty();

  @Option(names = "--stock", description = "the wheels one owns, such as 24,36x2,72i")
  Optional<String> stock = Optional.empty();

  @Option(names = "--top", description = "how many are listed (default 20)")
  Optional<String> top = Optional.empty();

  @Option(names = "--same", description = "the output turns as the input does")
  boolean same;

  @Option(names = "--opposite", description = "the output turns the other way")
  boolean opposite;

  @Option(names = "--coaxial", description = "input and output in line")
  boolean coaxial;

  /** Asked for it until candidates always were. */
  @Option(names = "--sound", hidden = true)
  boolean sound;

  @Option(names = "--any", description = "trains with errors too, marked as such")
  boolean any;

  @Option(
      names = "--rank",
      description = "what comes first: error (default), size, stages, efficiency or diameter")
  Optional<String> rank = Optional.empty();

  @Option(
      names = "--near",
      paramLabel = "CARD",
      description = "change as little of this train as possible, to the target or to no errors")
  Optional<String> near = Optional.empty();

  @Option(
      names = "--losses",
      description = "how it is made: oiled (assumed), greased, printed, ideal, friction 0.06 …")
  Optional<String> losses = Optional.empty();

  @Option(names = "--efficiency", description = "the least that must come out, such as 60%%")
  Optional<String> efficiency = Optional.empty();

  @Option(names = "--backwards", description = "pushed at the take-off it turns, or holds")
  Optional<String> backwards = Optional.empty();

  @ArgGroup(exclusive = true)
  Output output = new Output();

  @Override
  public Integer call() {
    try {
      return near.isPresent() ? near(near.get()) : find();
    } catch (IllegalArgumentException refused) {
      return refuse("find: " + where(refused) + refused.getMessage());
    }
  }

  private static String where(IllegalArgumentException refused) {
    return refused instanceof Wanted.BadField bad ? "--" + bad.field().key() + ": " : "";
  }

  private int find() {
    Wanted wanted = wanted();
    Found found = Hunt.run(wanted.query(), Watch.NONE);
    List<Hint> hints = found.candidates().isEmpty() ? Loosen.of(wanted, Watch.NONE) : List.of();
    PrintWriter out = spec.commandLine().getOut();
    out.print(
        output.json
            ? FoundJson.write(found, hints)
            : output.csv
                ? FoundCsv.write(found.candidates())
                : Lines.wrapped(table(found.candidates())) + said(found, hints));
    out.flush();
    return Exit.DONE;
  }

  private Wanted wanted() {
    if (same && opposite) {
      throw new IllegalArgumentException("--same and --opposite exclude each other: leave one out");
    }
    Map<Field, String> texts = new EnumMap<>(Field.class);
    texts.put(Field.KIND, kind);
    target.ifPresent(text -> texts.put(Field.TARGET, text));
    stages.ifPresent(text -> texts.put(Field.STAGES, text));
    teeth.ifPresent(text -> texts.put(Field.TEETH, text));
    ring.ifPresent(text -> texts.put(Field.RING, text));
    planets.ifPresent(text -> texts.put(Field.PLANETS, text));
    tolerance.ifPresent(text -> texts.put(Field.TOLERANCE, text));
    perStage.ifPresent(text -> texts.put(Field.PER_STAGE, text));
    distortion.ifPresent(text -> texts.put(Field.DISTORTION, text));
    diameter.ifPresent(text -> texts.put(Field.DIAMETER, text));
    driver.ifPresent(text -> texts.put(Field.DRIVER, text));
    driven.ifPresent(text -> texts.put(Field.DRIVEN, text));
    stock.ifPresent(text -> texts.put(Field.STOCK, text));
    rank.ifPresent(text -> texts.put(Field.RANK, text));
    top.ifPresent(text -> texts.put(Field.TOP, text));
    losses.ifPresent(text -> texts.put(Field.LOSSES, text));
    efficiency.ifPresent(text -> texts.put(Field.EFFICIENCY, text));
    backwards.ifPresent(text -> texts.put(Field.BACKWARDS, text));
    texts.put(Field.DIRECTION, same ? "same" : opposite ? "opposite" : "");
    return new Wanted(texts)
        .with(Field.TWO_MODULES, twoModules)
        .with(Field.COAXIAL, coaxial)
        .with(Field.ANY, any);
  }

  private int near(String source) {
    if (output.csv) {
      throw new IllegalArgumentException(
          "--csv: with --near there is a table or JSON: leave it out");
    }
    try {
      Job job =
          source.equals("-") ? JobFiles.read(System.in, "train") : JobFiles.open(Path.of(source));
      Optional<Card> card = job.sheets().getFirst().card();
      if (job.sheets().size() != 1 || card.isEmpty()) {
        return refuse(source + ":1:1: expected one train with a card");
      }
      Wanted wanted = wanted();
      Nearby.Changes changes = Nearby.of(card.get().train(), wanted, Watch.NONE);
      PrintWriter out = spec.commandLine().getOut();
      out.print(output.json ? FoundJson.write(changes) : Lines.wrapped(table(changes)));
      out.flush();
      return Exit.DONE;
    } catch (UnreadableException unreadable) {
      return refuse(unreadable.at(source.equals("-") ? "<stdin>" : source));
    } catch (IOException broken) {
      return refuse(source + ":1:1: cannot be read: " + Trouble.words(broken));
    }
  }

  private static String table(Nearby.Changes changes) {
    if (changes.list().isEmpty()) {
      return "Nothing within three changed counts and the limits; "
          + changes.examined()
          + " trains examined. Widen the tolerance or a limit, or look without --near.\n";
    }
    TextTable table =
        new TextTable(1, "change", "i = in/out", "exactly", "error ppm", "teeth changed");
    for (Nearby.Change change : changes.list()) {
      table.add(
          change.words().isEmpty() ? "none needed" : change.words(),
          Figures.plain(change.candidate().ratio().reduction()),
          Exact.text(change.candidate().ratio().reduction()),
          ppm(change.candidate()),
          Integer.toString(change.teeth()));
    }
    return table + "\n" + changes.examined() + " trains examined\n";
  }

  private static String table(List<Candidate> candidates) {
    TextTable table =
        new TextTable(
            0,
            "i = in/out",
            "exactly",
            "error ppm",
            "teeth",
            "planets",
            "off",
            "comes out",
            "pushed back",
            "findings");
    for (Candidate candidate : candidates) {
      table.add(
          Lines.card(candidate.card()),
          Figures.plain(candidate.ratio().reduction()),
          Exact.text(candidate.ratio().reduction()),
          ppm(candidate),
          Integer.toString(candidate.size()),
          candidate.planets() == 0 ? "-" : Integer.toString(candidate.planets()),
          Integer.toString(candidate.distortion()),
          Shares.forwards(candidate.eachWay()),
          Shares.backwards(candidate.eachWay().backwards()),
          candidate.trouble().map(rule -> "error: " + rule).orElse(candidate.worst().word()));
    }
    return table.toString();
  }

  private static String ppm(Candidate candidate) {
    return Figures.plain(candidate.errorPpm());
  }

  /** What was covered, and where nothing was found why and what would help. */
  private static String said(Found found, List<Hint> hints) {
    List<String> words = new ArrayList<>();
    words.add(
        found.candidates().isEmpty()
            ? "Nothing found."
            : (found.provenBest() ? "Proven: " : "Cut short, not proven: ")
                + found.query().order()
                + ".");
    words.add(found.examined() + " combinations covered.");
    found
        .rejected()
        .forEach((rule, times) -> words.add(times + " near enough but refused: " + rule + "."));
    if (found.candidates().isEmpty()) {
      words.add(
          hints.isEmpty()
              ? "No single limit stands in the way: loosen several."
              : "Loosen one of these limits, and there is something:");
      for (Hint hint : hints) {
        words.add("  " + option(hint) + "  for");
        Lines.card(hint.first().card()).forEach(line -> words.add(Lines.INDENT + line));
      }
    }
    return "\n" + Lines.wrapped(String.join("\n", words));
  }

  private static String option(Hint hint) {
    boolean direction = hint.field() == Field.DIRECTION;
    return hint.text().isEmpty()
        ? "without " + (direction ? "--same or --opposite" : "--" + hint.field().key())
        : "--" + hint.field().key() + (hint.text().equals("yes") ? "" : " " + hint.text());
  }

  private int refuse(String reason) {
    PrintWriter err = spec.commandLine().getErr();
    err.println(reason.lines().findFirst().orElse(reason));
    err.flush();
    return Exit.NOT_READ;
  }
}
