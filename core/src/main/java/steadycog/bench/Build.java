package steadycog.bench;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import steadycog.notation.Card;
import steadycog.train.Train;

/**
 * One build of a train, with its card as it was then.
 *
 * @param name what people call it, never blank
 * @param date on which it was made; empty where nobody wrote it down
 * @param changed what was changed since the build before; may be empty
 * @param files photos and notes that belong to it, by their paths
 * @param card frozen: later changes of the train leave it alone
 */
public record Build(
    String name,
    Optional<LocalDate> date,
    String changed,
    List<String> files,
    Card card,
    List<BenchTest> tests) {

  public Build {
    files = List.copyOf(files);
    tests = List.copyOf(tests);
    if (name.isBlank()) {
      throw new IllegalArgumentException("a build needs a name");
    }
  }

  public Build named(String other) {
    return new Build(other, date, changed, files, card, tests);
  }

  /** A build of a day that is known. */
  public Build(
      String name,
      LocalDate date,
      String changed,
      List<String> files,
      Card card,
      List<BenchTest> tests) {
    this(name, Optional.of(date), changed, files, card, tests);
  }

  public Build on(Optional<LocalDate> day) {
    return new Build(name, day, changed, files, card, tests);
  }

  public Build changing(String words) {
    return new Build(name, date, words, files, card, tests);
  }

  public Build attaching(List<String> paths) {
    return new Build(name, date, changed, paths, card, tests);
  }

  public Build with(List<BenchTest> other) {
    return new Build(name, date, changed, files, card, other);
  }

  /** The same with {@code test} at {@code index}, or added behind the last. */
  public Build with(int index, BenchTest test) {
    List<BenchTest> all = new ArrayList<>(tests);
    if (index < all.size()) {
      all.set(index, test);
    } else {
      all.add(test);
    }
    return with(all);
  }

  public Build without(int test) {
    List<BenchTest> fewer = new ArrayList<>(tests);
    fewer.remove(test);
    return with(fewer);
  }

  /** The train of its card as it ran in {@code test}: in the state that is said there. */
  public Train train(BenchTest test) {
    Train train = card.train();
    return train.shifts().state(test.head().state()).map(train::in).orElse(train);
  }

  /** The last load test in which anything was tried; empty where there is none. */
  public Optional<LoadTest> lastLoad() {
    return tests.stream()
        .filter(LoadTest.class::isInstance)
        .map(LoadTest.class::cast)
        .filter(test -> test.steps().stream().anyMatch(s -> s.outcome() != Outcome.NOT_TRIED))
        .reduce((first, second) -> second);
  }

  /** {@code base} with the first number that no test of this build has yet. */
  public String freeTitle(String base) {
    int k = 1;
    while (isTaken(base + " " + k)) {
      k++;
    }
    return base + " " + k;
  }

  private boolean isTaken(String title) {
    return tests.stream().anyMatch(test -> test.head().title().equalsIgnoreCase(title));
  }

  /** Statements of this card that {@code older} had not. */
  public List<String> newSince(Build older) {
    List<String> own = statements(card);
    own.removeAll(statements(older.card));
    return own;
  }

  private static List<String> statements(Card card) {
    return new ArrayList<>(
        Arrays.stream(card.text().split("[\\n;]"))
            .map(line -> line.replaceAll("#.*", "").strip())
            .filter(line -> !line.isEmpty())
            .toList());
  }
}
