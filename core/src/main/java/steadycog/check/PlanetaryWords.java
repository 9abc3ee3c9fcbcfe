package steadycog.check;

import java.util.ArrayList;
import java.util.List;
import steadycog.train.Member;
import steadycog.train.Planetary;

/** Counts of planetary sets in words. */
final class PlanetaryWords {
  private PlanetaryWords() {}

  /** Whatever differs between two sets of one shape: {@code sun 24 -> 25, ring 54 -> 55}. */
  static String change(Planetary old, Planetary changed) {
    List<String> all = new ArrayList<>();
    List<Member> before = old.wheels();
    List<Member> after = changed.wheels();
    for (int k = 0; k < before.size(); k++) {
      int was = before.get(k).teeth().orElseThrow().count();
      int is = after.get(k).teeth().orElseThrow().count();
      if (was != is) {
        all.add(before.get(k).id() + " " + was + " -> " + is);
      }
    }
    if (old.count() != changed.count()) {
      all.add(prefix(old) + "planets x" + old.count() + " -> x" + changed.count());
    }
    if (old.spacing() != changed.spacing()) {
      all.add(
          prefix(old)
              + switch (changed.spacing()) {
                case EQUAL -> "space evenly";
                case UNEVEN -> "space unevenly";
                case CLOCKED -> "clock each planet";
              });
    }
    return String.join(", ", all);
  }

  private static String prefix(Planetary set) {
    return set.name().isEmpty() ? "" : set.name() + ": ";
  }

  /** {@code 24 / 15 / 54}: the counts from the sun outwards. */
  static String counts(Planetary set) {
    return String.join(
        " / ",
        set.wheels().stream()
            .map(wheel -> Integer.toString(wheel.teeth().orElseThrow().count()))
            .toList());
  }
}
