package steadycog.notation;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import steadycog.number.Unit;
import steadycog.train.Member;
import steadycog.train.Part;

/**
 * What may be typed at a place of a card: statements, members, meshes, units, materials and the
 * words of a statement, each with a line of explanation.
 *
 * @param from where the word begins that an offer takes the place of, counted from 0
 * @param to where it ends: the place that was asked for
 */
public record CardOffers(int from, int to, List<Offer> offers) {
  /** A word, and what it says; the meaning of a member is its teeth. */
  public record Offer(String word, String meaning) {}

  private static final Pattern LAST_WORD = Pattern.compile("[A-Za-z°][A-Za-z0-9_./-]*$|$");
  private static final Pattern NUMBER = Pattern.compile("[+-]?[0-9./]+");

  /** What may stand at {@code place} in place of the beginning of a word that stands there. */
  public static CardOffers at(String card, int place) {
    String before = card.substring(0, place);
    String line = before.substring(before.lastIndexOf('\n') + 1);
    Matcher word = LAST_WORD.matcher(line);
    if (line.contains("#") || !word.find()) {
      return new CardOffers(place, place, List.of());
    }
    String begun = word.group().toLowerCase(Locale.ROOT);
    List<List<Token>> statements = Tokens.statements(line.substring(0, word.start()));
    boolean fresh = statements.isEmpty() || line.substring(0, word.start()).strip().endsWith(";");
    boolean inState = !statements.isEmpty() && statements.getLast().getFirst().is(Tokens.STATE);
    List<Part> parts = CardReader.partsOf(card);
    List<Offer> all =
        fresh && !inState
            ? explained("", CardWords.openings(parts.isEmpty()).stream())
            : after(statements.getLast(), parts);
    return new CardOffers(
        place - begun.length(),
        place,
        all.stream().filter(o -> o.word().toLowerCase(Locale.ROOT).startsWith(begun)).toList());
  }

  /** Whether the word that stands there is one of them already. */
  public boolean isWhole(String card) {
    String word = card.substring(from, to);
    return offers.stream().anyMatch(offer -> offer.word().equalsIgnoreCase(word));
  }

  private static List<Offer> after(List<Token> statement, List<Part> parts) {
    List<Token> tokens = statement.subList(0, statement.size() - 1);
    int head = CardWords.head(statement);
    if (tokens.size() == 2 && tokens.getLast().is(":")) {
      return explained("", Arrays.stream(PartText.Kind.values()).map(PartText.Kind::keyword));
    }
    Token first = tokens.get(Math.min(head, tokens.size() - 1));
    Optional<Follows> ofPart = PartText.Kind.of(first).map(PartText.Kind::follows);
    if (ofPart.isPresent()) {
      return within(first, tokens, ofPart.get(), List.of());
    }
    return isState(tokens) ? inState(tokens, parts) : ofVerb(tokens, parts);
  }

  private static boolean isState(List<Token> tokens) {
    return tokens.getFirst().is(Tokens.STATE);
  }

  private static List<Offer> inState(List<Token> tokens, List<Part> parts) {
    int start = 0;
    for (int k = 0; k < tokens.size(); k++) {
      boolean begins = tokens.get(k).is(":") || tokens.get(k).is(Tokens.END_OF_CLAUSE);
      start = begins ? k + 1 : start;
    }
    if (start == 0) {
      return List.of();
    }
    List<Token> clause = tokens.subList(start, tokens.size());
    return clause.isEmpty()
        ? explained("", Arrays.stream(Verb.values()).filter(Verb::isRole).map(Verb::word))
        : ofVerb(clause, parts);
  }

  private static List<Offer> ofVerb(List<Token> tokens, List<Part> parts) {
    Optional<Verb> verb = Verb.of(tokens.getFirst());
    if (verb.isEmpty()) {
      return List.of();
    }
    Follows follows = verb.get().follows();
    boolean first = tokens.size() == 1 || tokens.getLast().kind() == Token.Kind.SIGN;
    List<Offer> whom =
        switch (follows.whom()) {
          case NOBODY -> List.of();
          case MEMBER -> first ? members(parts) : List.of();
          case MESH -> explained("", MeshNames.all(parts).stream());
        };
    return within(tokens.getFirst(), tokens, follows, whom);
  }

  /** Behind a number its units, elsewhere {@code whom} it is said of and the words. */
  private static List<Offer> within(
      Token opening, List<Token> tokens, Follows follows, List<Offer> whom) {
    boolean numbered = NUMBER.matcher(tokens.getLast().text()).matches();
    Stream<String> units =
        follows.units().stream()
            .filter(dimension -> numbered)
            .flatMap(dimension -> dimension.units().stream())
            .map(Unit::symbol);
    List<Offer> all = new ArrayList<>(explained("", units));
    all.addAll(whom);
    all.addAll(explained(opening.text().toLowerCase(Locale.ROOT), follows.words().stream()));
    return all;
  }

  private static List<Offer> members(List<Part> parts) {
    return parts.stream()
        .flatMap(part -> part.members().stream())
        .map(member -> new Offer(member.id().toString(), teeth(member)))
        .toList();
  }

  private static String teeth(Member member) {
    return member.teeth().map(teeth -> teeth.count() + " teeth").orElse("");
  }

  private static List<Offer> explained(String opening, Stream<String> words) {
    return words.map(word -> new Offer(word, CardWords.meaning(opening, word))).toList();
  }
}
