package steadycog.cure;

import java.util.ArrayList;
import java.util.List;
import steadycog.train.Member;
import steadycog.train.Planetary;

/** What differs between two planetary sets of one shape. */
final class PlanetaryWords {
  private static final double PLANETS = 2;
  private static final double SPACING = 4;
  private static final int CENTRING = 3;
  private static final double FEWER = 6;

  private PlanetaryWords() {}

  /** Whatever differs: {@code sun 24 -> 25, ring 54 -> 55}. */
  static String change(Planetary old, Planetary changed) {
    List<String> all = new ArrayList<>();
    List<Member> before = old.wheels();
    List<Member> after = changed.wheels();
    for (int k = 0; k < before.size(); k++) {
      if (teeth(before.get(k)) != teeth(after.get(k))) {
        all.add(before.get(k).id() + " " + teeth(before.get(k)) + " -> " + teeth(after.get(k)));
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

  /** How many counts differ. */
  static int counts(Planetary old, Planetary changed) {
    int many = 0;
    for (int k = 0; k < old.wheels().size(); k++) {
      many += teeth(old.wheels().get(k)) == teeth(changed.wheels().get(k)) ? 0 : 1;
    }
    return many;
  }

  /** Teeth that differ in all; a planet more or less and another spacing count as some. */
  static double effort(Planetary old, Planetary changed) {
    double sum = old.spacing() == changed.spacing() ? 0 : SPACING + changed.spacing().ordinal();
    sum += planets(old.count(), changed.count());
    for (int k = 0; k < old.wheels().size(); k++) {
      sum += Math.abs(teeth(old.wheels().get(k)) - teeth(changed.wheels().get(k)));
    }
    return sum;
  }

  /** Three planets or more share the load and centre the sun: fewer are no small change. */
  private static double planets(int old, int changed) {
    int fewer = Math.max(0, CENTRING - changed) - Math.max(0, CENTRING - old);
    return old == changed ? 0 : PLANETS + Math.abs(old - changed) + FEWER * Math.max(0, fewer);
  }

  private static int teeth(Member wheel) {
    return wheel.teeth().orElseThrow().count();
  }

  private static String prefix(Planetary set) {
    return set.name().isEmpty() ? "" : set.name() + ": ";
  }
}
