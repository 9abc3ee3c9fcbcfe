package steadycog.notation;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.notation.Statement.BadStatement;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.train.Drive;
import steadycog.train.Element;
import steadycog.train.Join;
import steadycog.train.Losses;
import steadycog.train.MemberId;
import steadycog.train.Motor;
import steadycog.train.Part;
import steadycog.train.Place;
import steadycog.train.Role;
import steadycog.train.Roles;
import steadycog.train.Sizes;
import steadycog.train.State;
import steadycog.train.Take;
import steadycog.train.Train;

/** Reads a card: first its parts, since they name the members, then what is said about them. */
final class CardReader {
  private static final Pattern NAME = Pattern.compile("[A-Za-z][A-Za-z0-9_-]*");

  private static final String STATE_NAME = "a name for the state: letters, digits, - or _";

  private final List<CardProblem> problems = new ArrayList<>();
  private final List<PlacedItem> items = new ArrayList<>();
  private Map<MemberId, Token> claimed = new HashMap<>();

  /** An item and where its statement stands: line and columns from 1, {@code to} exclusive. */
  record PlacedItem(Item item, int line, int from, int to) {}

  Train read(String card) throws CardException {
    List<PlacedItem> placed = readItems(card);
    return Item.train(placed.stream().map(PlacedItem::item).toList());
  }

  /** Every statement of the card in its order. */
  List<PlacedItem> readItems(String card) throws CardException {
    List<List<Token>> statements = Tokens.statements(card);
    List<List<Token>> others = new ArrayList<>();
    for (List<Token> tokens : statements) {
      if (namesPart(tokens)) {
        attempt(tokens, this::readPart);
      } else {
        others.add(tokens);
      }
    }
    if (items.isEmpty() && problems.isEmpty()) {
      addMissingPart(others);
    }
    MemberNames names = new MemberNames(parts());
    if (problems.isEmpty()) {
      List<List<Token>> states = others.stream().filter(CardReader::isState).toList();
      others.removeAll(states);
      others.forEach(tokens -> attempt(tokens, statement -> readVerb(statement, names)));
      // Last, since what holds in every state may stand behind them.
      states.forEach(tokens -> attempt(tokens, statement -> readState(statement, names)));
      problems.addAll(DutyText.ofNoState(others, states));
    } else {
      others.stream().filter(tokens -> !Verb.isVerb(tokens.getFirst())).forEach(this::addUnknown);
    }
    if (!problems.isEmpty()) {
      problems.sort(
          Comparator.comparingInt(CardProblem::line).thenComparingInt(CardProblem::column));
      throw new CardException(problems);
    }
    items.sort(Comparator.comparingInt(PlacedItem::line).thenComparingInt(PlacedItem::from));
    return items;
  }

  private interface Reading {
    Item of(Statement statement) throws BadStatement;
  }

  private void attempt(List<Token> tokens, Reading reading) {
    try {
      Item item = reading.of(new Statement(tokens));
      Token first = tokens.getFirst();
      items.add(new PlacedItem(item, first.line(), first.column(), tokens.getLast().column()));
    } catch (BadStatement bad) {
      problems.add(bad.problem);
    }
  }

  static boolean namesPart(List<Token> tokens) {
    return PartText.Kind.of(tokens.getFirst()).isPresent()
        || (tokens.size() > 2
            && tokens.get(1).is(":")
            && (!Verb.isVerb(tokens.getFirst()) || PartText.Kind.of(tokens.get(2)).isPresent()));
  }

  private static boolean isState(List<Token> tokens) {
    return tokens.getFirst().is(Tokens.STATE);
  }

  private void addMissingPart(List<List<Token>> others) {
    if (others.stream().allMatch(tokens -> Verb.isVerb(tokens.getFirst()))) {
      problems.add(
          new CardProblem(1, 1, 0, "no part on the card, expected one such as: parallel 18 ~ 72"));
    } else {
      others.stream().filter(tokens -> !Verb.isVerb(tokens.getFirst())).forEach(this::addUnknown);
    }
  }

  private void addUnknown(List<Token> tokens) {
    problems.add(Verb.unknown(tokens.getFirst()).problem);
  }

  /** The parts that can be read, whatever else stands on the card. */
  static List<Part> partsOf(String card) {
    CardReader reader = new CardReader();
    Tokens.statements(card).stream()
        .filter(CardReader::namesPart)
        .forEach(tokens -> reader.attempt(tokens, reader::readPart));
    return reader.parts();
  }

  private List<Part> parts() {
    List<Item> plain = items.stream().map(PlacedItem::item).toList();
    return Item.only(Item.OfPart.class, plain).stream().map(Item.OfPart::part).toList();
  }

  private Item readPart(Statement statement) throws BadStatement {
    Token first = statement.peek();
    String name = "";
    if (statement.peekSecond().is(":")) {
      name = readName(statement.next());
      statement.next();
    }
    requireOwnName(first, name);
    Token word = statement.next();
    Optional<PartText.Kind> kind = PartText.Kind.of(word);
    if (kind.isEmpty()) {
      throw Statement.unexpected(word, "a kind of part: " + Verb.kinds());
    }
    return new Item.OfPart(kind.get().read(name, statement));
  }

  private static String readName(Token token) throws BadStatement {
    if (!NAME.matcher(token.text()).matches()) {
      throw Statement.unexpected(token, "a part name: a letter, then letters, digits, - or _");
    }
    return token.text();
  }

  private void requireOwnName(Token place, String name) throws BadStatement {
    List<Part> before = parts();
    if (before.stream().anyMatch(part -> part.name().equals(name) && !name.isEmpty())) {
      throw new BadStatement(place.problem("a second part named '" + name + "': rename one"));
    }
    if (!before.isEmpty() && (name.isEmpty() || before.getFirst().name().isEmpty())) {
      throw new BadStatement(
          place.problem("a second part: with several parts each needs a name, as in winch: …"));
    }
  }

  /** What differs in one state: roles, parted by {@code ;}. */
  private Item readState(Statement statement, MemberNames names) throws BadStatement {
    statement.next();
    Token at = statement.peek();
    String name = statement.expectWord(STATE_NAME).text();
    if (!State.isName(name)) {
      throw Statement.unexpected(at, STATE_NAME);
    }
    if (stated().anyMatch(item -> item instanceof Item.OfState(State s) && s.name().equals(name))) {
      throw new BadStatement(at.problem("a second state named '" + name + "': rename one"));
    }
    statement.expectSign(":", "':' and what is driven, held, taken off or locked in this state");
    Map<MemberId, Token> everywhere = claimed;
    claimed = new HashMap<>(everywhere);
    try {
      List<Item> roles = new ArrayList<>();
      while (!statement.atEnd()) {
        roles.add(readRole(statement.clause(), names, roles));
      }
      return new Item.OfState(new State(name, Item.roles(roles)));
    } finally {
      claimed = everywhere;
    }
  }

  /** A role beside those that hold everywhere and {@code others} of its state. */
  private Item readRole(Statement clause, MemberNames names, List<Item> others)
      throws BadStatement {
    if (clause.accept("drive")) {
      return readDrive(clause, names, others);
    }
    if (clause.accept("hold")) {
      return readHold(clause, names);
    }
    if (clause.accept("take")) {
      return readTake(clause, names, others);
    }
    if (clause.accept("lock")) {
      return new Item.OfLock(readPair(clause, names));
    }
    throw Statement.unexpected(clause.peek(), "drive, hold, take or lock");
  }

  private Item readHold(Statement statement, MemberNames names) throws BadStatement {
    Token place = statement.peek();
    MemberId member = names.read(statement);
    claim(place, member, Role.HOLD);
    statement.expectEnd("the end of the statement; one hold a member");
    return new Item.OfHold(member);
  }

  private Item readVerb(Statement statement, MemberNames names) throws BadStatement {
    if (Verb.of(statement.peek()).filter(Verb::isRole).isPresent()) {
      return readRole(statement, names, List.of());
    }
    if (statement.accept("brake")) {
      MemberId member = names.read(statement);
      statement.expectEnd("the end of the statement; one brake a member");
      return new Item.OfElement(new Element.Brake(member));
    }
    if (statement.accept("clutch")) {
      return new Item.OfElement(new Element.Clutch(readPair(statement, names)));
    }
    if (statement.accept("join")) {
      return new Item.OfJoin(readPair(statement, names));
    }
    if (statement.accept("coaxial")) {
      return new Item.OfCoaxial(readPair(statement, names));
    }
    if (statement.accept("place")) {
      return readPlace(statement, names);
    }
    if (PitchText.isPitch(statement.peek())) {
      return OwnPitches.isOwn(statement)
          ? stated(statement, new OwnPitches(parts(), names).read(statement))
          : readPitch(statement);
    }
    if (LossText.isLosses(statement.peek())) {
      return readLosses(statement);
    }
    if (Verb.of(statement.peek()).filter(Verb::isSize).isPresent()) {
      return readSizes(statement, names);
    }
    throw Verb.unknown(statement.peek());
  }

  private Item readSizes(Statement statement, MemberNames names) throws BadStatement {
    return stated(statement, SizeText.read(statement, parts(), names));
  }

  /** What is read, unless it contradicts what was said before. */
  private Item stated(Statement statement, Sizes read) throws BadStatement {
    Statement.at(statement.first(), Item.sizes(stated().toList()), sofar -> sofar.and(read));
    return new Item.OfSizes(read);
  }

  private Item readPitch(Statement statement) throws BadStatement {
    if (count(Item.OfPitch.class, List.of()) > 0) {
      throw new BadStatement(statement.peek().problem("a second module or dp: a train has one"));
    }
    return new Item.OfPitch(PitchText.read(statement));
  }

  private Item readLosses(Statement statement) throws BadStatement {
    Token at = statement.peek();
    Losses read = LossText.read(statement, parts());
    Statement.at(at, Item.losses(stated().toList()), sofar -> sofar.and(read));
    return new Item.OfLosses(read);
  }

  private Item readDrive(Statement statement, MemberNames names, List<Item> others)
      throws BadStatement {
    Token place = statement.peek();
    MemberId member = names.read(statement);
    claim(place, member, Role.DRIVE);
    if (count(Item.OfDrive.class, others) >= Roles.MOST_DRIVES) {
      throw new BadStatement(
          place.problem("a third drive: a train takes at most " + Roles.MOST_DRIVES));
    }
    Optional<Quantity> speed = Optional.empty();
    Optional<Quantity> effort = Optional.empty();
    Optional<Motor> motor = Optional.empty();
    Token effortAt = place;
    while (!statement.atEnd()) {
      if (statement.peek().is("motor") && motor.isEmpty()) {
        motor = Optional.of(MotorText.read(statement));
        continue;
      }
      Token at = statement.peek();
      Quantity given =
          statement.expectQuantity(
              Unit.Dimension.SPEED, Unit.Dimension.TORQUE, Unit.Dimension.POWER);
      boolean isSpeed = given.unit().dimension() == Unit.Dimension.SPEED;
      if ((isSpeed ? speed : effort).isPresent()) {
        throw new BadStatement(at.problem(isSpeed ? "a second speed" : "a second torque or power"));
      }
      if (isSpeed) {
        speed = Optional.of(given);
      } else {
        effort = Optional.of(given);
        effortAt = at;
      }
    }
    if (speed.isEmpty() && isPower(effort)) {
      throw new BadStatement(
          effortAt.problem(
              effort.get()
                  + " without a speed: its torque needs one, as drive "
                  + member
                  + " 1500 rpm "
                  + effort.get()));
    }
    return new Item.OfDrive(new Drive(member, speed, effort, motor));
  }

  private static boolean isPower(Optional<Quantity> effort) {
    return effort.filter(e -> e.unit().dimension() == Unit.Dimension.POWER).isPresent();
  }

  private Item readTake(Statement statement, MemberNames names, List<Item> others)
      throws BadStatement {
    Token place = statement.peek();
    MemberId member = names.read(statement);
    claim(place, member, Role.TAKE);
    if (count(Item.OfTake.class, others) > 0) {
      throw new BadStatement(place.problem("a second take-off: a ratio needs exactly one"));
    }
    Optional<Quantity> load =
        statement.atEnd()
            ? Optional.empty()
            : Optional.of(statement.expectQuantity(Unit.Dimension.TORQUE, Unit.Dimension.POWER));
    statement.expectEnd("the end of the statement");
    return new Item.OfTake(new Take(member, load));
  }

  private Item readPlace(Statement statement, MemberNames names) throws BadStatement {
    Token at = statement.peek();
    MemberId member = names.read(statement);
    boolean again =
        stated()
            .anyMatch(item -> item instanceof Item.OfPlace(Place p) && p.member().equals(member));
    if (again) {
      throw new BadStatement(at.problem("a second place for " + member + ": leave one"));
    }
    BigFraction degrees = statement.expectNumber("a direction in degrees such as 45 deg");
    if (!statement.accept("deg")) {
      throw Statement.unexpected(statement.peek(), "deg");
    }
    statement.expectEnd("the end of the statement");
    return new Item.OfPlace(new Place(member, degrees));
  }

  private static Join readPair(Statement statement, MemberNames names) throws BadStatement {
    MemberId a = names.read(statement);
    statement.expectSign("=", "= and a second member");
    Token place = statement.peek();
    MemberId b = names.read(statement);
    if (a.equals(b)) {
      throw new BadStatement(place.problem(a + " tied to itself: name another member"));
    }
    statement.expectEnd("the end of the statement");
    return new Join(a, b);
  }

  private Stream<Item> stated() {
    return items.stream().map(PlacedItem::item);
  }

  private long count(Class<? extends Item> kind, List<Item> others) {
    return Stream.concat(stated(), others.stream()).filter(kind::isInstance).count();
  }

  private void claim(Token place, MemberId member, Role role) throws BadStatement {
    Token earlier = claimed.putIfAbsent(member, place);
    if (earlier != null) {
      throw new BadStatement(
          place.problem(
              member
                  + " has a role already (line "
                  + earlier.line()
                  + "): it cannot "
                  + role.word()
                  + " too"));
    }
  }
}
