package steadycog.train;

import java.util.LinkedHashSet;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import java.util.regex.Pattern;

/**
 * A way in which a train runs: what is engaged, and whatever else differs from other states.
 *
 * @param name a letter or digit, then letters, digits, {@code -}, {@code _}: {@code low}, {@code 2}
 * @param roles on top of those that hold in every state
 */
public record State(String name, Roles roles) {

  private static final Pattern NAME = Pattern.compile("[A-Za-z0-9][A-Za-z0-9_-]*");

  /** Whether a state can be called {@code text}. */
  public static boolean isName(String text) {
    return NAME.matcher(text).matches();
  }

  /** The brakes and clutches that are on, brakes first. */
  public Set<Element> engaged() {
    Set<Element> on = new LinkedHashSet<>();
    roles.holds().forEach(held -> on.add(new Element.Brake(held)));
    roles.locks().forEach(lock -> on.add(new Element.Clutch(lock)));
    return on;
  }

  /** The same for members under other names; without the roles of those that do not stay. */
  public State renamed(UnaryOperator<MemberId> rename, Predicate<MemberId> stays) {
    return new State(name, roles.renamed(rename, stays));
  }

  /** The same state with {@code element} engaged, or released where it was. */
  public State toggling(Element element) {
    return new State(name, engaged().contains(element) ? off(element) : on(element));
  }

  private Roles on(Element element) {
    return switch (element) {
      case Element.Brake(MemberId member) -> roles.holding(member);
      case Element.Clutch(Join join) -> roles.locking(join.a(), join.b());
    };
  }

  private Roles off(Element element) {
    return switch (element) {
      case Element.Brake(MemberId member) -> roles.releasing(member);
      case Element.Clutch clutch ->
          new Roles(
              roles.drives(),
              roles.holds(),
              roles.take(),
              roles.locks().stream()
                  .filter(lock -> !new Element.Clutch(lock).equals(clutch))
                  .toList());
    };
  }

  /** A state in which {@code elements} are engaged and nothing else is said. */
  public static State engaging(String name, Iterable<Element> elements) {
    State state = new State(name, Roles.NONE);
    for (Element element : elements) {
      state = new State(name, state.on(element));
    }
    return state;
  }
}
