package steadycog.check;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import steadycog.number.Measured;
import steadycog.number.Units;
import steadycog.train.MemberId;

/**
 * One thing found about a design.
 *
 * @param code stable name for scripts, as {@code few-teeth}
 * @param wording which words of the bundle say it: the code, or the code with a dot and a variant
 * @param members whom it concerns, in the order of the card
 * @param values the numbers behind it, by name, for machines and for the message
 * @param measured those of them that can be said in other units
 * @param units in which the message says them
 * @param rule which of the rules found it, for {@link Inspection}
 */
public record Finding(
    String code,
    String wording,
    Severity severity,
    List<MemberId> members,
    Map<String, String> values,
    Map<String, Measured> measured,
    Units units,
    int rule) {

  /** What makes two findings one: a code and whom it concerns. */
  public record Key(String code, List<MemberId> members) {
    /** {@code contact-ratio sun, planet}. */
    @Override
    public String toString() {
      return (code + " " + named(members)).strip();
    }
  }

  public Finding {
    members = List.copyOf(members);
    values = Collections.unmodifiableMap(new LinkedHashMap<>(values));
    measured = Map.copyOf(measured);
  }

  public static Finding of(String code, Severity severity, List<MemberId> members) {
    return new Finding(code, code, severity, members, Map.of(), Map.of(), Units.USUAL, -1);
  }

  /** The same finding said in the words of a variant: of {@code hunting}, {@code shared}. */
  Finding worded(String variant) {
    return new Finding(
        code, code + "." + variant, severity, members, values, measured, units, rule);
  }

  /** The same finding under another code. */
  Finding recoded(String changed) {
    return new Finding(changed, changed, severity, members, values, measured, units, rule);
  }

  /** The same finding, more or less severe. */
  Finding judged(Severity changed) {
    return new Finding(code, wording, changed, members, values, measured, units, rule);
  }

  /** The same finding with one more value. */
  Finding with(String name, Object value) {
    Map<String, String> more = new LinkedHashMap<>(values);
    more.put(name, value.toString());
    Map<String, Measured> sizes = new LinkedHashMap<>(measured);
    if (value instanceof Measured size) {
      sizes.put(name, size);
    }
    return new Finding(code, wording, severity, members, more, sizes, units, rule);
  }

  Finding by(int found) {
    return new Finding(code, wording, severity, members, values, measured, units, found);
  }

  /** The same finding said in other units. */
  public Finding in(Units shown) {
    return new Finding(code, wording, severity, members, values, measured, shown, rule);
  }

  public Key key() {
    return new Key(code, members);
  }

  /** Whether it is worse than a note. */
  public boolean isBad() {
    return severity.compareTo(Severity.NOTE) > 0;
  }

  /** Whether it says the same as {@code other}, and not more severely. */
  boolean isNoWorseThan(Finding other) {
    return key().equals(other.key()) && severity.compareTo(other.severity) <= 0;
  }

  /** What is the matter, in words. */
  public String message() {
    return Words.message(this);
  }

  /** What would put it right, in words, where no change of the card is known that does. */
  public Optional<String> remedy() {
    return Words.remedy(this);
  }

  /** What would do as well as a change of the card that puts it right. */
  public Optional<String> also() {
    return Words.also(this);
  }

  String memberList() {
    return named(members);
  }

  private static String named(List<MemberId> members) {
    return members.stream().map(MemberId::toString).collect(Collectors.joining(", "));
  }
}
