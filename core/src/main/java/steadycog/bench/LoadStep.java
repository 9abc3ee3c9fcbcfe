package steadycog.bench;

import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import steadycog.number.Quantity;

/**
 * One load and what was read under it.
 *
 * @param load a mass, a force or a torque
 * @param read whatever was read, in the units in which it was
 * @param where it gave way, and what else was seen; may be empty
 */
public record LoadStep(Quantity load, Map<Measure, Quantity> read, Outcome outcome, String where) {

  public LoadStep {
    EnumMap<Measure, Quantity> kept = new EnumMap<>(Measure.class);
    kept.putAll(read);
    kept.forEach(
        (measure, value) -> {
          if (value.unit().dimension() != measure.usual().dimension()) {
            throw new IllegalArgumentException(value + " is no " + measure.title());
          }
        });
    read = Collections.unmodifiableMap(kept);
  }

  /** A load that is still to be tried. */
  public static LoadStep planned(Quantity load) {
    return new LoadStep(load, Map.of(), Outcome.NOT_TRIED, "");
  }

  public Optional<Quantity> of(Measure measure) {
    return Optional.ofNullable(read.get(measure));
  }

  /** The same with another reading, or without it. */
  public LoadStep with(Measure measure, Optional<Quantity> value) {
    Map<Measure, Quantity> changed = new EnumMap<>(Measure.class);
    changed.putAll(read);
    changed.remove(measure);
    value.ifPresent(given -> changed.put(measure, given));
    return new LoadStep(load, changed, outcome, where);
  }

  public LoadStep under(Quantity changed) {
    return new LoadStep(changed, read, outcome, where);
  }

  public LoadStep ended(Outcome how) {
    return new LoadStep(load, read, how, where);
  }

  public LoadStep at(String place) {
    return new LoadStep(load, read, outcome, place);
  }
}
