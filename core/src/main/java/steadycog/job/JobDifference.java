package steadycog.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** In what two jobs that were one differ, in words, so that a person can choose between them. */
public final class JobDifference {
  /** Of one train no more lines than this are told. */
  private static final int MOST_LINES = 12;

  private final List<String> words = new ArrayList<>();

  private JobDifference() {}

  /** A line a difference: {@code +} stands only in {@code mine}, {@code -} only in the other. */
  public static List<String> of(Job mine, Job theirs) {
    JobDifference difference = new JobDifference();
    difference.compare(mine, theirs);
    return difference.words;
  }

  private void compare(Job mine, Job theirs) {
    if (!mine.title().equals(theirs.title())) {
      words.add("title: + " + mine.title() + "   \u2212 " + theirs.title());
    }
    for (Sheet sheet : mine.sheets()) {
      Optional<Sheet> other = named(theirs, sheet.name());
      if (other.isEmpty()) {
        words.add("+ " + sheet.name() + ": only here");
      }
      other.ifPresent(theirSheet -> compare(sheet, theirSheet));
    }
    for (Sheet sheet : theirs.sheets()) {
      if (named(mine, sheet.name()).isEmpty()) {
        words.add("\u2212 " + sheet.name() + ": only in the file");
      }
    }
  }

  private static Optional<Sheet> named(Job job, String name) {
    return job.sheets().stream().filter(sheet -> sheet.name().equals(name)).findFirst();
  }

  private void compare(Sheet mine, Sheet theirs) {
    lines(mine.name(), mine.text(), theirs.text());
    lines(mine.name() + ", notes", mine.notes(), theirs.notes());
    if (!mine.wanted().equals(theirs.wanted())) {
      words.add(mine.name() + ": what is looked for under Find teeth");
    }
    if (!mine.book().equals(theirs.book())) {
      words.add(
          mine.name()
              + ", bench book: "
              + mine.book().builds().size()
              + " builds here, "
              + theirs.book().builds().size()
              + " in the file");
    }
  }

  /** The lines of the one that are not in the other, in their order. */
  private void lines(String what, String mine, String theirs) {
    if (mine.equals(theirs)) {
      return;
    }
    List<String> ours = mine.lines().toList();
    List<String> others = theirs.lines().toList();
    List<String> found = new ArrayList<>();
    ours.stream().filter(line -> !others.contains(line)).forEach(line -> found.add("  + " + line));
    others.stream()
        .filter(line -> !ours.contains(line))
        .forEach(line -> found.add("  \u2212 " + line));
    words.add(what + (found.isEmpty() ? ": the same lines in another order" : ":"));
    words.addAll(found.subList(0, Math.min(MOST_LINES, found.size())));
    if (found.size() > MOST_LINES) {
      words.add("  and " + (found.size() - MOST_LINES) + " lines more");
    }
  }
}
