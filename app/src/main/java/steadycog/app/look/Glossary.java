package steadycog.app.look;

import java.util.Optional;
import java.util.ResourceBundle;
import steadycog.train.MemberId;

/** What the trade's words mean, and which other words people use for the same thing. */
public final class Glossary {
  private static final ResourceBundle BUNDLE =
      ResourceBundle.getBundle("steadycog.app.look.glossary");

  private Glossary() {}

  /** A member by the name its part gives it, in whichever row; a lettered wheel is a wheel. */
  public static String of(MemberId member) {
    return find(member.name().replaceFirst("\\d$", "")).orElseGet(() -> BUNDLE.getString("wheel"));
  }

  /** A rule by the code of its findings, where there is more to say than the finding does. */
  public static Optional<String> ofRule(String code) {
    return find("rule." + code);
  }

  private static Optional<String> find(String key) {
    return BUNDLE.containsKey(key) ? Optional.of(BUNDLE.getString(key)) : Optional.empty();
  }
}
