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
 * @param members whom it concerns, in the order of the card
 * @param values the numbers behind it, by name, for machines and for the message
 */
public record Finding(
    String code, Severity severity, List<MemberId> members, Map<String, String> values) {

  public Finding {
    members = List.copyOf(members);
    values = Collections.unmodifiableMap(new LinkedHashMap<>(values));
  }

  public static Finding of(String code, Severity severity, List<MemberId> members) {
    return new Finding(code, severity, members, Map.of());
  }

  /** The same finding with one more value. */
  public Finding with(String name, Object value) {
    Map<String, String> more = new LinkedHashMap<>(values);
    more.put(name, value.toString());
    return new Finding(code, severity, members, more);
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
