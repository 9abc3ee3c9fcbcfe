package steadycog.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.IntStream;
import picocli.CommandLine.Option;
import steadycog.format.file.CardSource;
import steadycog.format.file.Trouble;
import steadycog.format.json.LinesJson;
import steadycog.format.json.UnreadableException;
import steadycog.job.Job;

/** Many cards at once, answered by a line of JSON each, in their order. */
final class ManyCards {
  @Option(
      names = "--lines",
      description =
          "a line of JSON a card, of any number of them: files, folders, and in one file or on"
              + " standard input cards parted by a line of dashes")
  boolean lines;

  /** What is said of one. */
  record Answer(int exit, String json) {}

  /** Works one out. */
  interface Command {
    Answer of(Job job) throws UnreadableException;
  }

  /**
   * Runs {@code command} on all that {@code sources} name, on all processors.
   *
   * @return the worst of their codes
   */
  static int run(List<String> sources, PrintWriter out, Command command) {
    int worst = Exit.DONE;
    for (String source : sources) {
      try {
        List<CardSource> cards =
            source.equals("-")
                ? CardSource.in(System.in, "<stdin>", "train")
                : CardSource.in(Path.of(source));
        int[] codes = new int[cards.size()];
        IntStream.range(0, cards.size())
            .parallel()
            .mapToObj(k -> answer(cards.get(k), command, codes, k))
            .forEachOrdered(
                line -> {
                  out.print(line);
                  out.flush();
                });
        for (int code : codes) {
          worst = Math.max(worst, code);
        }
      } catch (UnreadableException bad) {
        out.print(LinesJson.line(source, 1, Exit.NOT_READ, bad));
        worst = Exit.NOT_READ;
      } catch (IOException broken) {
        out.print(unread(source, "cannot be read: " + Trouble.words(broken)));
        worst = Exit.NOT_READ;
      } catch (InvalidPathException noPath) {
        out.print(unread(source, "is no name of a file: " + noPath.getReason()));
        worst = Exit.NOT_READ;
      }
    }
    out.flush();
    return worst;
  }

  private static String unread(String source, String why) {
    return LinesJson.line(source, 1, Exit.NOT_READ, new UnreadableException(1, 1, why));
  }

  private static String answer(CardSource card, Command command, int[] codes, int k) {
    try {
      Answer answer = command.of(card.read());
      codes[k] = answer.exit();
      return LinesJson.line(card.file(), card.number(), answer.exit(), answer.json());
    } catch (UnreadableException bad) {
      codes[k] = Exit.NOT_READ;
      return LinesJson.line(card.file(), card.number(), Exit.NOT_READ, bad);
    }
  }
}
