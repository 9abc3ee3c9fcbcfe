package steadycog.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import steadycog.check.Finding;

/**
 * The bench book of a train.
 *
 * @param builds the oldest first
 * @param settled how findings were settled
 * @param guesses ratios that were stated before they were looked at
 */
public record BenchBook(List<Build> builds, List<Settled> settled, List<Guess> guesses) {
  public static final BenchBook EMPTY = new BenchBook(List.of(), List.of(), List.of());

  /**
   * How a finding was settled.
   *
   * @param finding which one, see {@link #keyOf}
   * @param how in a person's words, never blank
   */
  public record Settled(String finding, String how) {
    public Settled {
      if (how.isBlank()) {
        throw new IllegalArgumentException("nothing settled");
      }
    }
  }

  public BenchBook {
    builds = List.copyOf(builds);
    settled = List.copyOf(settled);
    guesses = List.copyOf(guesses);
  }

  public boolean isEmpty() {
    return equals(EMPTY);
  }

  /** What tells a finding from others: its code and members, {@code undercut A}. */
  public static String keyOf(Finding finding) {
    StringBuilder key = new StringBuilder(finding.code());
    finding.members().forEach(member -> key.append(' ').append(member));
    return key.toString();
  }

  public BenchBook with(List<Build> changed) {
    return new BenchBook(changed, settled, guesses);
  }

  /** The same with {@code build} at {@code index}, or added behind the last. */
  public BenchBook with(int index, Build build) {
    List<Build> all = new ArrayList<>(builds);
    if (index < all.size()) {
      all.set(index, build);
    } else {
      all.add(build);
    }
    return with(all);
  }

  public BenchBook without(int build) {
    List<Build> fewer = new ArrayList<>(builds);
    fewer.remove(Objects.checkIndex(build, builds.size()));
    return with(fewer);
  }

  /** How {@code finding} was settled; empty where nobody said so. */
  public Optional<String> howSettled(Finding finding) {
    String key = keyOf(finding);
    return settled.stream().filter(one -> one.finding.equals(key)).findFirst().map(Settled::how);
  }

  /** The same with a word on how {@code finding} was settled; a blank one takes it back. */
  public BenchBook settling(Finding finding, String how) {
    String key = keyOf(finding);
    List<Settled> others = new ArrayList<>(settled);
    others.removeIf(one -> one.finding.equals(key));
    if (!how.isBlank()) {
      others.add(new Settled(key, how.strip()));
    }
    return new BenchBook(builds, others, guesses);
  }

  public BenchBook guessing(Guess guess) {
    List<Guess> more = new ArrayList<>(guesses);
    more.add(guess);
    return new BenchBook(builds, settled, more);
  }

  public BenchBook withoutGuesses() {
    return new BenchBook(builds, settled, List.of());
  }

  /** {@code Build} with the first letter, then number, that no build has yet. */
  public String freeName() {
    for (int k = 0; ; k++) {
      String name = "Build " + (k < 26 ? String.valueOf((char) ('A' + k)) : String.valueOf(k + 1));
      if (builds.stream().noneMatch(build -> build.name().equalsIgnoreCase(name))) {
        return name;
      }
    }
  }
}
