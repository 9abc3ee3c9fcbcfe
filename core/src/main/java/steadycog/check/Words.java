package steadycog.check;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.ResourceBundle;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The words for findings: templates from the bundle with {@code {name}} filled from values. */
final class Words {
  private static final ResourceBundle BUNDLE = ResourceBundle.getBundle("steadycog.check.findings");
  private static final Pattern SLOT = Pattern.compile("\\{([a-zA-Z]+)}");

  private static final String THE = "the ";

  private Words() {}

  static String message(Finding finding) {
    String filled = fill(BUNDLE.getString(finding.wording()), finding);
    boolean named = filled.split("[ ,]", 2)[0].contains(".");
    return named ? filled : Character.toUpperCase(filled.charAt(0)) + filled.substring(1);
  }

  static Optional<String> remedy(Finding finding) {
    return said(finding, ".remedy");
  }

  static Optional<String> also(Finding finding) {
    return said(finding, ".also");
  }

  private static Optional<String> said(Finding finding, String suffix) {
    String key = finding.wording() + suffix;
    return BUNDLE.containsKey(key)
        ? Optional.of(fill(BUNDLE.getString(key), finding))
        : Optional.empty();
  }

  private static String fill(String template, Finding finding) {
    Map<String, String> values = new HashMap<>(finding.values());
    finding.measured().forEach((name, size) -> values.put(name, size.in(finding.units())));
    values.put("members", finding.memberList());
    return SLOT.matcher(template)
        .replaceAll(slot -> Matcher.quoteReplacement(valueOf(slot.group(1), values, finding)));
  }

  private static String valueOf(String name, Map<String, String> values, Finding finding) {
    String value = values.get(name);
    if (value == null) {
      throw new IllegalStateException("finding " + finding.code() + " lacks value " + name);
    }
    boolean member = finding.members().stream().anyMatch(id -> id.toString().equals(value));
    return member && isWord(value) ? THE + value.replaceFirst("(planet)_(.*)", "$2 $1") : value;
  }

  /** A member called by a word, {@code ring}, not by a letter, a number or with its part. */
  private static boolean isWord(String name) {
    return name.matches("[a-z_]+");
  }
}
