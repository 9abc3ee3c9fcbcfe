package steadycog.notation;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.ResourceBundle;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import steadycog.notation.CardWord.Kind;
import steadycog.number.Unit;
import steadycog.train.Bevel;
import steadycog.train.Material;
import steadycog.train.MemberId;
import steadycog.train.Parallel;
import steadycog.train.Part;

/** Tells what each word of a card is, also of one that cannot be read yet. */
public final class CardWords {
  private static final ResourceBundle BUNDLE =
      ResourceBundle.getBundle("steadycog.notation.statements");
  private static final Pattern NUMBER = Pattern.compile("[+-]?[0-9.].*|-");
  private static final Pattern LINE_END = Pattern.compile("\\R");
  private static final Pattern COMMENT = Pattern.compile("#.*");

  private final List<Part> parts;
  private final MemberNames names;
  private final Set<String> meshes;
  private final List<Integer> lines = new ArrayList<>(List.of(0));
  private final List<CardWord> words = new ArrayList<>();

  /** How many numbers of the statement have gone by. */
  private int numbers;

  private CardWords(String card) {
    parts = CardReader.partsOf(card);
    names = new MemberNames(parts);
    meshes = Set.copyOf(MeshNames.all(parts));
    Matcher ends = LINE_END.matcher(card);
    while (ends.find()) {
      lines.add(ends.end());
    }
  }

  /** The words, signs and comments of {@code card} in their order. */
  public static List<CardWord> of(String card) {
    CardWords reading = new CardWords(card);
    Tokens.statements(card).forEach(reading::add);
    reading.addComments(card);
    reading.words.sort(Comparator.comparingInt(CardWord::from));
    return reading.words;
  }

  /** The word at or just before {@code place}, a comment or sign aside. */
  public static Optional<CardWord> at(String card, int place) {
    return of(card).stream()
        .filter(word -> word.holds(place) && word.kind() != Kind.COMMENT)
        .filter(word -> !word.meaning().isEmpty() || word.member().isPresent())
        .findFirst();
  }

  /** What {@code word} says where it begins a statement, or inside one of {@code verb}. */
  static String meaning(String verb, String word) {
    String own = verb + "." + word;
    return BUNDLE.containsKey(own)
        ? BUNDLE.getString(own)
        : BUNDLE.containsKey(word) && verb.isEmpty() ? BUNDLE.getString(word) : general(word);
  }

  /** What a word means wherever it stands: a unit, a material. */
  private static String general(String word) {
    return Unit.of(word)
        .map(unit -> BUNDLE.getString("unit." + unit.dimension().name().toLowerCase(Locale.ROOT)))
        .or(() -> Material.of(word).map(Material::says))
        .orElse("");
  }

  private void addComments(String card) {
    Matcher comments = COMMENT.matcher(card);
    while (comments.find()) {
      words.add(
          new CardWord(
              Kind.COMMENT,
              comments.group(),
              comments.start(),
              comments.end(),
              Optional.empty(),
              ""));
    }
  }

  private void add(List<Token> statement) {
    int head = head(statement);
    String opening = "";
    numbers = 0;
    for (int k = 0; k < statement.size() - 1; k++) {
      Token token = statement.get(k);
      boolean opens = k == head || opensClause(statement, k);
      if (opens) {
        opening = token.text().toLowerCase(Locale.ROOT);
        add(token, openingOf(token), Optional.empty(), meaning("", opening));
      } else if (k > head && !(k == 1 && opening.equals(Tokens.STATE))) {
        addInner(statement, k, opening);
      } else {
        add(token, Kind.OTHER, Optional.empty(), "");
      }
    }
  }

  /** Where the statement's own word stands, behind the name of a part. */
  static int head(List<Token> statement) {
    return CardReader.namesPart(statement) && statement.size() > 2 && statement.get(1).is(":")
        ? 2
        : 0;
  }

  /** Whether a role of a state begins at {@code k}. */
  private static boolean opensClause(List<Token> statement, int k) {
    Token before = statement.get(Math.max(0, k - 1));
    return k > 0
        && statement.getFirst().is(Tokens.STATE)
        && (before.is(":") || before.is(Tokens.END_OF_CLAUSE));
  }

  private static Kind openingOf(Token token) {
    return PartText.Kind.of(token).isPresent()
        ? Kind.PART
        : Verb.isVerb(token) ? Kind.STATEMENT : Kind.OTHER;
  }

  private void addInner(List<Token> statement, int k, String opening) {
    Token token = statement.get(k);
    String text = token.text();
    boolean numbered = NUMBER.matcher(statement.get(k - 1).text()).matches();
    boolean ofPart = CardReader.namesPart(statement);
    if (token.kind() == Token.Kind.SIGN) {
      add(token, Kind.OTHER, Optional.empty(), "");
    } else if (NUMBER.matcher(text).matches()) {
      add(token, Kind.NUMBER, ofPart ? counted(statement) : Optional.empty(), "");
      numbers++;
    } else if (numbered && Unit.of(text).isPresent()) {
      add(token, Kind.UNIT, Optional.empty(), general(text));
    } else {
      Optional<MemberId> member = ofPart ? inPart(statement, text) : names.find(text);
      Kind kind = member.isPresent() || meshes.contains(text) ? Kind.MEMBER : Kind.OTHER;
      add(token, kind, member, meaning(opening, text.toLowerCase(Locale.ROOT)));
    }
  }

  private void add(Token token, Kind kind, Optional<MemberId> member, String meaning) {
    int from = lines.get(token.line() - 1) + token.column() - 1;
    words.add(
        new CardWord(kind, token.text(), from, from + token.text().length(), member, meaning));
  }

  /** The part that the statement lays out, where it can be read. */
  private Optional<Part> partOf(List<Token> statement) {
    String name = head(statement) == 0 ? "" : statement.getFirst().text();
    return parts.stream().filter(part -> part.name().equals(name)).findFirst();
  }

  private Optional<MemberId> inPart(List<Token> statement, String word) {
    return partOf(statement)
        .flatMap(
            part ->
                part.members().stream()
                    .map(member -> member.id())
                    .filter(id -> id.name().equalsIgnoreCase(word))
                    .findFirst());
  }

  /** Whose teeth a count of a chain or a pair is: wheels stand in the order of their letters. */
  private Optional<MemberId> counted(List<Token> statement) {
    return partOf(statement)
        .filter(one -> one instanceof Parallel || one instanceof Bevel)
        .map(Part::members)
        .filter(members -> numbers < members.size())
        .map(members -> members.get(numbers).id());
  }

  /** The statements of parts, and the others: what a card may begin a line with. */
  static List<String> openings(boolean partsFirst) {
    List<String> kinds = Arrays.stream(PartText.Kind.values()).map(PartText.Kind::keyword).toList();
    List<String> verbs = Arrays.stream(Verb.values()).map(Verb::word).toList();
    List<String> all = new ArrayList<>(partsFirst ? kinds : verbs);
    all.addAll(partsFirst ? verbs : kinds);
    return all;
  }
}
