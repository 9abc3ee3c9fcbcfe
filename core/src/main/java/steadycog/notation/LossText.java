package steadycog.notation;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.notation.Statement.BadStatement;
import steadycog.number.Exact;
import steadycog.train.Losses;
import steadycog.train.Mesh;
import steadycog.train.MeshKind;
import steadycog.train.Part;

/**
 * Losses as they are written: {@code efficiency printed}, {@code efficiency external 0.985 internal
 * 99%}, {@code efficiency sun-planet 0.97}, {@code friction 0.06}. A mesh is named by its two
 * bodies; in a named part {@code front.sun-planet}.
 */
public final class LossText {
  /** What can be said without naming a mesh. */
  public static final String HELP =
      "ideal, oiled, greased or printed; a kind of mesh and a number, as external 0.985; or"
          + " friction 0.06";

  static final String EFFICIENCY = "efficiency";
  static final String FRICTION = "friction";
  private static final String NUMBER = "a number above 0 and at most 1, as 0.985 or 98.5%";
  private static final String COEFFICIENT = "a coefficient of friction below 1, as 0.06";

  private LossText() {}

  /** What {@code text} says of kinds of mesh, the word efficiency left out; empty if nothing. */
  public static Optional<Losses> read(String text) {
    try {
      for (List<Token> tokens : Tokens.statements(text)) {
        List<Token> whole =
            isLosses(tokens.getFirst())
                ? tokens
                : Tokens.statements(EFFICIENCY + " " + text).getFirst();
        return Optional.of(read(new Statement(whole), List.of()));
      }
      return Optional.empty();
    } catch (BadStatement unreadable) {
      return Optional.empty();
    }
  }

  /**
   * A share of the power typed where per cent are shown: {@code 98.5 %}, {@code 98.5} or {@code
   * 0.985}; empty if it is none above 0 and at most 1.
   */
  public static Optional<BigFraction> share(String text) {
    String bare = text.replaceAll("[%\\s\u2009]", "");
    if (!Exact.isNumber(bare)) {
      return Optional.empty();
    }
    BigFraction number = Exact.parse(bare);
    boolean percent = text.contains("%") || number.compareTo(BigFraction.ONE) > 0;
    BigFraction share = percent ? number.divide(100) : number;
    return share.signum() > 0 && share.compareTo(BigFraction.ONE) <= 0
        ? Optional.of(share)
        : Optional.empty();
  }

  static boolean isLosses(Token word) {
    return word.is(EFFICIENCY) || word.is(FRICTION);
  }

  /** Reads one statement about a train of {@code parts}. */
  static Losses read(Statement statement, List<Part> parts) throws BadStatement {
    if (statement.accept(FRICTION)) {
      Token at = statement.peek();
      BigFraction friction = statement.expectNumber(COEFFICIENT);
      statement.expectEnd("the end of the statement; one friction a train");
      return Statement.at(at, friction, mu -> Losses.UNSTATED.withFriction(Optional.of(mu)));
    }
    statement.next();
    Losses all = Losses.UNSTATED;
    do {
      Token at = statement.peek();
      Losses term = readTerm(statement, parts);
      all = Statement.at(at, all, sofar -> sofar.and(term));
    } while (!statement.atEnd());
    return all;
  }

  private static Losses readTerm(Statement statement, List<Part> parts) throws BadStatement {
    Token word = statement.expectWord(expected(parts));
    Optional<Losses.Practice> practice = Losses.Practice.of(word.text());
    if (practice.isPresent()) {
      return Losses.of(practice.get());
    }
    Optional<MeshKind> kind = MeshKind.of(word.text());
    List<Mesh> named =
        kind.isPresent() ? List.of() : MeshNames.read(word, statement, parts, expected(parts));
    Token at = statement.peek();
    BigFraction number = readShare(statement);
    if (kind.isPresent()) {
      return Statement.at(
          at,
          number,
          share ->
              new Losses(Optional.empty(), Map.of(kind.get(), share), List.of(), Optional.empty()));
    }
    Mesh mesh = named.getFirst();
    return Statement.at(
        at,
        number,
        share ->
            Losses.UNSTATED.with(
                MeshNames.body(mesh.a(), parts),
                MeshNames.body(mesh.b(), parts),
                Optional.of(share)));
  }

  /** {@code 0.985}, {@code 98.5%} or {@code 98.5 %}. */
  private static BigFraction readShare(Statement statement) throws BadStatement {
    statement.splitBefore("%");
    BigFraction number = statement.expectNumber(NUMBER);
    return statement.accept("%") ? number.divide(100) : number;
  }

  private static String expected(List<Part> parts) {
    return "ideal, oiled, greased or printed; a kind of mesh (external, internal, bevel,"
        + " cycloidal, strainwave); or a mesh such as "
        + MeshNames.listed(parts);
  }

  /** The statement in canonical form. */
  static String print(Losses losses) {
    if (losses.friction().isPresent()) {
      return FRICTION + " " + Exact.plain(losses.friction().get());
    }
    StringBuilder text = new StringBuilder(EFFICIENCY);
    losses.practice().ifPresent(practice -> text.append(' ').append(practice.word()));
    losses
        .kinds()
        .forEach(
            (kind, share) ->
                text.append(' ').append(kind.word()).append(' ').append(Exact.plain(share)));
    losses
        .meshes()
        .forEach(
            mesh ->
                text.append(' ')
                    .append(MeshNames.text(mesh.a(), mesh.b()))
                    .append(' ')
                    .append(Exact.plain(mesh.efficiency())));
    return text.toString();
  }
}
