package steadycog.search;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.LongAdder;

/** How many combinations were looked at, and by which rule how many were turned down. */
final class Tally {
  private final LongAdder examined = new LongAdder();
  private final Map<String, LongAdder> rejected = new ConcurrentHashMap<>();

  void examine(long combinations) {
    examined.add(combinations);
  }

  void reject(String rule) {
    count(rule).increment();
  }

  void add(Tally other) {
    examined.add(other.examined());
    other.rejected().forEach((rule, times) -> count(rule).add(times));
  }

  private LongAdder count(String rule) {
    return rejected.computeIfAbsent(rule, none -> new LongAdder());
  }

  long examined() {
    return examined.sum();
  }

  /** By rule, the most frequent first. */
  Map<String, Long> rejected() {
    Map<String, Long> counts = new LinkedHashMap<>();
    rejected.entrySet().stream()
        .sorted(
            (a, b) ->
                a.getValue().sum() != b.getValue().sum()
                    ? Long.compare(b.getValue().sum(), a.getValue().sum())
                    : a.getKey().compareTo(b.getKey()))
        .forEach(entry -> counts.put(entry.getKey(), entry.getValue().sum()));
    return counts;
  }
}
