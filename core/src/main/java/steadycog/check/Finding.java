package steadycog.check;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import steadycog.train.MemberId;

/**
 * One thing found about a design.
 *
 * @param code stable name for scripts, as {@code few-teeth}
 * @param wording which words of the bundle say it: the code, or the code with a dot and a variant
 * @param members whom it concerns, in the order of the card
 * @param values the numbers behind it, by name, for machines and for the message
 * @param cures changes that put it right, the nearest first; none where there is no such change
 */
public record Finding(
    String code,
    String wording,
    Severity severity,
    List<MemberId> members,
    Map<String, String> values,
    List<Cure> cures) {

  public Finding {
    members = List.copyOf(members);
    cures = List.copyOf(cures);
    values = Collections.unmodifiableMap(new LinkedHashMap<>(values));
  }

  public static Finding of(String code, Severity severity, List<MemberId> members) {
    return new Finding(code, code, severity, members, Map.of(), List.of());
  }

  /** The same finding said in the words of a variant: of {@code hunting}, {@code shared}. */
  Finding worded(String variant) {
    return new Finding(code, code + "." + variant, severity, members, values, cures);
  }

  /** The same finding, more or less severe. */
  Finding judged(Severity changed) {
    return new Finding(code, wording, changed, members, values, cures);
  }

  /** The same finding with one more value. */
  Finding with(String name, Object value) {
    Map<String, String> more = new LinkedHashMap<>(values);
    more.put(name, value.toString());
    return new Finding(code, wording, severity, members, more, cures);
  }

  /** The same finding with its cure, if there is one. */
  Finding curedBy(Optional<Cure> nearest) {
    return curedBy(nearest.stream().toList());
  }

  /** The same finding with its cures, the nearest first. */
  Finding curedBy(List<Cure> all) {
    return new Finding(code, wording, severity, members, values, all);
  }

  /** The nearest change that puts it right, where there is one. */
  public Optional<Cure> cure() {
    return cures.stream().findFirst();
  }

  /** What is the matter, in words. */
  public String message() {
    return Words.message(this);
  }

  /** What would put it right, in words. */
  public Optional<String> remedy() {
    return Words.remedy(this);
  }

  String memberList() {
    return members.stream().map(MemberId::toString).collect(Collectors.joining(", "));
  }
}
