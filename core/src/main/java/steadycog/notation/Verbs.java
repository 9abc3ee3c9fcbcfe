package steadycog.notation;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import steadycog.notation.Statement.BadStatement;

/** The words that statements begin with, beside those of parts. */
final class Verbs {
  private Verbs() {}

  private static final String VERBS =
      "drive, hold, take, lock, join, coaxial, brake, clutch, state, place, efficiency, friction,"
          + " module, dp, "
          + String.join(", ", SizeText.VERBS.subList(0, SizeText.VERBS.size() - 1))
          + " or "
          + SizeText.VERBS.getLast();
  private static final Set<String> VERBS_KNOWN = Set.of(VERBS.split(", | or "));

  static boolean isVerb(Token token) {
    return VERBS_KNOWN.contains(token.text().toLowerCase(Locale.ROOT));
  }

  static BadStatement unknown(Token token) {
    return Statement.unexpected(token, "a part (" + kinds() + ") or " + VERBS);
  }

  static String kinds() {
    List<String> all = new ArrayList<>();
    for (PartText.Kind kind : PartText.Kind.values()) {
      all.add(kind.keyword());
    }
    return String.join(", ", all);
  }
}
