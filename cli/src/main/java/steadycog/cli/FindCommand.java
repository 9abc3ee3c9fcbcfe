package steadycog.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.ArgGroup;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Model.OptionSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParseResult;
import picocli.CommandLine.Spec;
import steadycog.format.csv.FoundCsv;
import steadycog.format.file.JobFiles;
import steadycog.format.file.Trouble;
import steadycog.format.json.FoundJson;
import steadycog.format.json.Layout;
import steadycog.format.json.UnreadableException;
import steadycog.format.table.CountTable;
import steadycog.format.xlsx.Books;
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
import steadycog.study.SizeChoices.Choice;

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
  private static final List<String> HEADS =
      List.of(
          "i = in/out",
          "exactly",
          "error ppm",
          "teeth",
          "planets",
          "off",
          "comes out",
          "pushed back",
          "findings");

  private static final List<String> UNSIZED = List.of("-", "-", "-", "-");

  /** Where columns of teeth that wind stand. */
  private static final int WOUND = 6;

  @Spec CommandSpec spec;

  @Option(names = "--same", description = "the output turns as the input does")
  boolean same;

  @Option(names = "--opposite", description = "the output turns the other way")
  boolean opposite;

  /** Asked for it until candidates always were. */
  @Option(names = "--sound", hidden = true)
  boolean sound;

  @Option(
      names = "--near",
      paramLabel = "CARD",
      description =
          "change as little of this train as possible, to the target or to no errors; with --lines"
              + " given as often as you like")
  List<String> near = List.of();

  @Option(
      names = "--to",
      paramLabel = "OUT",
      description = "write the candidates to a workbook, OUT.xlsx, in place of printing them")
  @Nullable Path target;

  @Mixin ManyCards many;

  @ArgGroup(exclusive = true)
  Output output = new Output();

  /** Adds an option for all that can be said of what is looked for. */
  static void addFields(CommandSpec spec) {
    for (Field field : Field.values()) {
      if (field != Field.DIRECTION) {
        String usual = field.isChoice() ? "" : " (usual: " + field.usual() + ")";
        spec.addOption(
            OptionSpec.builder("--" + field.key())
                .type(field.isChoice() ? boolean.class : String.class)
                .paramLabel(field.key().toUpperCase(Locale.ROOT))
                .description((field.help() + usual).replace("%", "%%"))
                .build());
      }
    }
  }

  @Override
  public Integer call() {
    try {
      if (target != null) {
        requireWorkbook(target);
      }
      return many.lines ? lines() : near.isEmpty() ? find() : near(near);
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
    if (target != null) {
      return write(target, found);
    }
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

  /** Said before the search: it may take long. */
  private void requireWorkbook(Path file) {
    if (!file.toString().toLowerCase(Locale.ROOT).endsWith(".xlsx")) {
      throw new IllegalArgumentException("--to " + file + ": expected a name that ends in .xlsx");
    } else if (many.lines || !near.isEmpty() || output.json || output.csv) {
      throw new IllegalArgumentException(
          "--to: a workbook is written in place of all else: leave out --near, --lines, --json"
              + " and --csv");
    }
  }

  private int write(Path file, Found found) {
    try {
      JobFiles.write(file, Books.found(found.candidates(), Version.number()));
      return Exit.DONE;
    } catch (IOException failed) {
      throw new IllegalArgumentException(
          "--to " + file + ": cannot be written: " + Trouble.words(failed), failed);
    }
  }

  /** What an option says; a stock list may stand in a table. */
  private static String text(Field field, String value) {
    if (field != Field.STOCK || !value.contains(".") || !CountTable.isTable(Path.of(value))) {
      return value;
    }
    try {
      return CountTable.stock(Path.of(value));
    } catch (UnreadableException bad) {
      throw new IllegalArgumentException(bad.at(value), bad);
    } catch (IOException broken) {
      throw new IllegalArgumentException(
          "--stock: " + value + " cannot be read: " + Trouble.words(broken), broken);
    }
  }

  private Wanted wanted() {
    if (same && opposite) {
      throw new IllegalArgumentException("--same and --opposite exclude each other: leave one out");
    }
    ParseResult said = spec.commandLine().getParseResult();
    Map<Field, String> texts = new EnumMap<>(Field.class);
    texts.put(Field.DIRECTION, same ? "same" : opposite ? "opposite" : "");
    for (Field field : Field.values()) {
      if (said.hasMatchedOption("--" + field.key())) {
        Object value = said.matchedOption("--" + field.key()).getValue();
        texts.put(field, field.isChoice() ? Wanted.YES : text(field, value.toString()));
      }
    }
    return new Wanted(texts);
  }

  private int lines() {
    if (near.isEmpty() || output.json || output.csv) {
      throw new IllegalArgumentException(
          "--lines: for cards that --near names, without --json and --csv");
    }
    return ManyCards.run(
        near,
        spec.commandLine().getOut(),
        job -> new ManyCards.Answer(Exit.DONE, FoundJson.write(changes(job), Layout.LINE)));
  }

  private Nearby.Changes changes(Job job) throws UnreadableException {
    Optional<Card> card = job.sheets().getFirst().card();
    if (job.sheets().size() != 1 || card.isEmpty()) {
      throw new UnreadableException(1, 1, "expected one train with a card");
    }
    return Nearby.of(card.get().train(), wanted(), Watch.NONE);
  }

  private int near(List<String> sources) {
    if (output.csv || sources.size() > 1) {
      throw new IllegalArgumentException(
          output.csv
              ? "--csv: with --near there is a table or JSON: leave it out"
              : "--near: several cards: add --lines, for a line of JSON each");
    }
    String source = sources.getFirst();
    try {
      Job job =
          source.equals("-") ? JobFiles.read(System.in, "train") : JobFiles.open(Path.of(source));
      Nearby.Changes changes = changes(job);
      PrintWriter out = spec.commandLine().getOut();
      out.print(
          output.json ? FoundJson.write(changes, Layout.PAGE) : Lines.wrapped(table(changes)));
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
    boolean wound = candidates.stream().anyMatch(candidate -> candidate.helix() > 0);
    List<String> heads = new ArrayList<>(HEADS);
    boolean sized = candidates.stream().anyMatch(candidate -> candidate.sized().isPresent());
    if (wound) {
      heads.addAll(WOUND, List.of("helix deg", "N for 1 Nm"));
    }
    if (sized) {
      heads.addAll(WOUND, List.of("module", "face mm", "\u00d8 mm", "kg"));
    }
    TextTable table = new TextTable(0, heads.toArray(String[]::new));
    for (Candidate candidate : candidates) {
      List<String> cells =
          new ArrayList<>(
              List.of(
                  Figures.plain(candidate.ratio().reduction()),
                  Exact.text(candidate.ratio().reduction()),
                  ppm(candidate),
                  Integer.toString(candidate.size()),
                  candidate.planets() == 0 ? "-" : Integer.toString(candidate.planets()),
                  Integer.toString(candidate.distortion()),
                  Shares.forwards(candidate.eachWay()),
                  Shares.backwards(candidate.eachWay().backwards()),
                  candidate
                      .trouble()
                      .map(rule -> "error: " + rule)
                      .orElse(candidate.worst().word())));
      if (wound) {
        cells.addAll(
            WOUND,
            List.of(
                Figures.fixed(candidate.helix(), 2),
                candidate.thrust().map(Figures::plain).orElse("-")));
      }
      if (sized) {
        cells.addAll(WOUND, candidate.sized().map(FindCommand::size).orElse(UNSIZED));
      }
      table.add(Lines.card(candidate.card()), cells.toArray(String[]::new));
    }
    return table.toString();
  }

  private static List<String> size(Choice choice) {
    return List.of(
        choice.pitch().statement().replace("module ", ""),
        Figures.significant(choice.face(), 4),
        Figures.significant(choice.diameter(), 4),
        Figures.significant(choice.mass(), 3));
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
            : (found.provenBest() ? "Proven: " : found.cutShort() ? "Cut short, not proven: " : "")
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
