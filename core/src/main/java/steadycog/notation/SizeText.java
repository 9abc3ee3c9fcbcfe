package steadycog.notation;

import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.notation.Statement.BadStatement;
import steadycog.number.Exact;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.train.Bore;
import steadycog.train.Clearance;
import steadycog.train.Clearance.Gap;
import steadycog.train.Helix;
import steadycog.train.Housing.Bolts;
import steadycog.train.Join;
import steadycog.train.Made;
import steadycog.train.Material;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Part;
import steadycog.train.Rack;
import steadycog.train.Sizes;
import steadycog.train.Tolerance;
import steadycog.train.WheelSize;

/**
 * Sizes as they are written: {@code angle 20}, {@code width sun 8 mm}, {@code shift A 0.3}, {@code
 * bore A 5 mm flat 4.5 mm}, {@code clearance printed flank 0.1 mm}, {@code offset planet 0.08 mm},
 * {@code material sun steel}, {@code distance A-B 40 mm}, {@code sharing 1.2}, {@code tolerance
 * centre +0.02 -0 mm thickness +0 -0.03 mm}, {@code tool planet 12}, {@code build ring in halves}.
 * Without a member width, bore and material are those of every wheel.
 */
public final class SizeText {
  static final String END = "the end of the statement";
  private static final String BENDING = "bending";
  private static final String CONTACT = "contact";
  private static final String KEY = "key";
  private static final String HEX = "hex";
  private static final String FLAT = "flat";

  private SizeText() {}

  /** A bore typed by itself, as {@code 8 mm key}; empty if it is none. */
  public static Optional<Bore> bore(String text) {
    return alone(text, SizeText::readBore);
  }

  /** A material typed by itself, as {@code steel bending 200 MPa}; empty if it is none. */
  public static Optional<Made> made(String text) {
    return alone(text, SizeText::readMade);
  }

  /** A helix typed by itself, as {@code 20 deg double left}; empty if it is none. */
  public static Optional<Helix> helix(String text) {
    return alone(text, HelixText::helix);
  }

  /** Bolts typed by themselves, as {@code 4 x M3}; empty if they are none. */
  public static Optional<Bolts> bolts(String text) {
    return alone(text, HousingText::bolts);
  }

  private interface Reading<T> {
    T of(Statement statement) throws BadStatement;
  }

  private static <T> Optional<T> alone(String text, Reading<T> reading) {
    List<List<Token>> statements = Tokens.statements(text);
    if (statements.size() != 1) {
      return Optional.empty();
    }
    try {
      Statement statement = new Statement(statements.getFirst());
      T read = reading.of(statement);
      statement.expectEnd(END);
      return Optional.of(read);
    } catch (BadStatement unreadable) {
      return Optional.empty();
    }
  }

  /** Reads one statement about a train of {@code parts}. */
  static Sizes read(Statement statement, List<Part> parts, MemberNames names) throws BadStatement {
    String verb = statement.next().text().toLowerCase(Locale.ROOT);
    Sizes read =
        switch (verb) {
          case "angle" -> Sizes.UNSTATED.withRack(Optional.of(readRack(statement)));
          case "clearance" -> Sizes.UNSTATED.withClearance(readClearance(statement));
          case "distance" -> readDistance(statement, parts);
          case "sharing" -> readSharing(statement);
          case "tolerance" -> readTolerance(statement, parts);
          case "helix" -> HelixText.read(statement, parts, names);
          case "rating" -> Sizes.UNSTATED.withDuty(DutyText.rating(statement));
          case "duty" -> Sizes.UNSTATED.withDuty(DutyText.share(statement));
          case "housing" -> Sizes.UNSTATED.withHousing(HousingText.housing(statement));
          case "leave" -> Sizes.UNSTATED.withHousing(HousingText.leftOut(statement));
          case "motor" -> Sizes.UNSTATED.withHousing(HousingText.motor(statement));
          case "build" -> HelixText.readBuilt(statement, parts, names);
          case "shafting", "bearing" -> ShaftText.read(verb, statement, names);
          case "shift", "offset", "tool", "geometry" -> readOwn(verb, statement, parts, names);
          default ->
              startsMember(verb, statement)
                  ? readOwn(verb, statement, parts, names)
                  : Sizes.UNSTATED.withCommon(readSize(verb, statement));
        };
    statement.expectEnd(END);
    return read;
  }

  /** Whether a member comes next, and not already what is said of all. */
  private static boolean startsMember(String verb, Statement statement) {
    String next = statement.peek().text();
    Token second = statement.peekSecond();
    return verb.equals("material")
        ? Material.of(next).isEmpty()
            && second.kind() == Token.Kind.WORD
            && !second.is(BENDING)
            && !second.is(CONTACT)
        : !next.isEmpty() && Character.isLetter(next.charAt(0));
  }

  private static Sizes readOwn(
      String verb, Statement statement, List<Part> parts, MemberNames names) throws BadStatement {
    Token at = statement.peek();
    MemberId wheel = names.read(statement);
    Part part = part(wheel, parts);
    if (verb.equals("offset") && !toothed(part, wheel)) {
      throw new BadStatement(
          at.problem("an offset of " + wheel + ": it has no teeth to make thinner; leave it out"));
    }
    if (verb.equals("geometry") && !(part.takesHelix() && toothed(part, wheel))) {
      throw new BadStatement(
          at.problem("geometry factors of " + wheel + ": its teeth are not rated; leave them out"));
    }
    if (verb.equals("shift") && !part.takesShift(wheel)) {
      throw new BadStatement(
          at.problem("a shift of " + wheel + ": " + part.noShift() + "; leave it out"));
    }
    return Sizes.UNSTATED.with(wheel, readSize(verb, statement));
  }

  static Part part(MemberId member, List<Part> parts) {
    return parts.stream().filter(p -> p.name().equals(member.part())).findFirst().orElseThrow();
  }

  static boolean toothed(Part part, MemberId wheel) {
    return part.members().stream().anyMatch(m -> m.id().equals(wheel) && m.teeth().isPresent());
  }

  private static WheelSize readSize(String verb, Statement statement) throws BadStatement {
    Token at = statement.peek();
    return switch (verb) {
      case "width" -> Statement.at(at, length(statement), WheelSize.NONE::withWidth);
      case "shift" -> {
        BigFraction x = statement.expectNumber("a profile shift in modules, as 0.25");
        yield Statement.at(at, Optional.of(x), WheelSize.NONE::withShift);
      }
      case "bore" -> WheelSize.NONE.withBore(Optional.of(readBore(statement)));
      case "offset" -> Statement.at(at, length(statement), WheelSize.NONE::withOffset);
      case "tool" -> readTool(statement);
      case "hardness" -> DutyText.hardness(statement);
      case "geometry" -> DutyText.geometry(statement);
      default -> WheelSize.NONE.withMade(Optional.of(readMade(statement)));
    };
  }

  private static WheelSize readTool(Statement statement) throws BadStatement {
    Token at = statement.peek();
    String expected = "how many edges the tool has, as tool planet 12";
    BigFraction edges = statement.expectNumber(expected);
    if (!Exact.isWhole(edges) || Math.abs(edges.doubleValue()) > WheelSize.MOST_EDGES) {
      throw Statement.unexpected(at, expected);
    }
    return Statement.at(at, Optional.of(edges.intValue()), WheelSize.NONE::withTool);
  }

  private static Optional<Quantity> length(Statement statement) throws BadStatement {
    return Optional.of(statement.expectQuantity(Unit.Dimension.LENGTH));
  }

  /** A number, and behind it or not {@code deg} or its sign. */
  static BigFraction degrees(Statement statement, String expected) throws BadStatement {
    statement.split("deg|\u00b0");
    BigFraction degrees = statement.expectNumber(expected);
    if (!statement.accept("deg")) {
      statement.accept("\u00b0");
    }
    return degrees;
  }

  private static Rack readRack(Statement statement) throws BadStatement {
    Token at = statement.peek();
    BigFraction degrees = degrees(statement, "a pressure angle in degrees, as 20");
    boolean stub = statement.accept("stub");
    return Statement.at(at, degrees, angle -> new Rack(angle, stub));
  }

  private static Bore readBore(Statement statement) throws BadStatement {
    Token at = statement.peek();
    Quantity size = statement.expectQuantity(Unit.Dimension.LENGTH);
    if (statement.accept(HEX)) {
      return Statement.at(at, size, Bore.Hexagon::new);
    }
    if (statement.accept(FLAT)) {
      Quantity across = statement.expectQuantity(Unit.Dimension.LENGTH);
      return Statement.at(at, size, given -> new Bore.Flatted(given, across));
    }
    if (!statement.accept(KEY)) {
      if (!statement.atEnd()) {
        throw Statement.unexpected(statement.peek(), "key, hex, flat or " + END);
      }
      return Statement.at(at, size, Bore.Round::new);
    }
    Optional<Quantity> width = statement.atEnd() ? Optional.empty() : length(statement);
    Optional<Quantity> depth =
        statement.accept("x") || statement.accept("\u00d7") ? length(statement) : Optional.empty();
    return Statement.at(at, size, given -> new Bore.Keyed(given, width, depth));
  }

  private static Made readMade(Statement statement) throws BadStatement {
    Token word = statement.expectWord("a material: " + Material.words());
    Optional<Material> material = Material.of(word.text());
    if (material.isEmpty()) {
      throw Statement.unexpected(word, "a material: " + Material.words());
    }
    Made made = Made.of(material.get());
    while (!statement.atEnd()) {
      Token at = statement.peek();
      boolean bending = statement.accept(BENDING);
      if (!bending && !statement.accept(CONTACT)) {
        throw Statement.unexpected(at, "bending or contact and a stress, or " + END);
      }
      if ((bending ? made.bending() : made.contact()).isPresent()) {
        throw new BadStatement(at.problem("a second " + at.text() + ": leave one"));
      }
      Made sofar = made;
      Optional<Quantity> stress = Optional.of(statement.expectQuantity(Unit.Dimension.STRESS));
      made =
          Statement.at(
              at,
              stress,
              given ->
                  bending
                      ? new Made(sofar.material(), given, sofar.contact())
                      : new Made(sofar.material(), sofar.bending(), given));
    }
    return made;
  }

  private static Clearance readClearance(Statement statement) throws BadStatement {
    String expected =
        "a process (" + Clearance.Process.words() + ") or a gap (" + Gap.words() + ") and a length";
    Clearance clearance = Clearance.NONE;
    do {
      Token word = statement.expectWord(expected);
      Optional<Clearance.Process> process = Clearance.Process.of(word.text());
      Optional<Gap> gap = Gap.of(word.text());
      if (process.isEmpty() && gap.isEmpty()) {
        throw Statement.unexpected(word, expected);
      }
      boolean again =
          process.isPresent()
              ? clearance.process().isPresent()
              : clearance.stated().containsKey(gap.orElseThrow());
      if (again) {
        throw new BadStatement(word.problem("a second " + word.text() + ": leave one"));
      }
      if (process.isPresent()) {
        clearance = new Clearance(process, clearance.stated());
      } else {
        Clearance sofar = clearance;
        clearance =
            Statement.at(word, length(statement), given -> sofar.with(gap.orElseThrow(), given));
      }
    } while (!statement.atEnd());
    return clearance;
  }

  private static Sizes readDistance(Statement statement, List<Part> parts) throws BadStatement {
    String expected = "two meshing wheels such as " + MeshNames.listed(parts);
    Token at = statement.expectWord(expected);
    Mesh mesh = MeshNames.read(at, statement, parts, expected).getFirst();
    if (!part(mesh.a(), parts).takesDistance()) {
      throw new BadStatement(
          at.problem("a distance of " + at.text() + ": it follows from the part; leave it out"));
    }
    Optional<Quantity> length = length(statement);
    return Statement.at(
        at,
        length,
        given ->
            Sizes.UNSTATED.withDistance(
                MeshNames.body(mesh.a(), parts), MeshNames.body(mesh.b(), parts), given));
  }

  private static Sizes readTolerance(Statement statement, List<Part> parts) throws BadStatement {
    String expected = "a length (" + Tolerance.Of.words() + ") or two meshing wheels";
    Optional<Join> pair = Optional.empty();
    Token first = statement.peek();
    if (Tolerance.Of.of(first.text()).isEmpty()) {
      Mesh mesh =
          MeshNames.read(statement.expectWord(expected), statement, parts, expected).getFirst();
      pair =
          Optional.of(new Join(MeshNames.body(mesh.a(), parts), MeshNames.body(mesh.b(), parts)));
    }
    Map<Tolerance.Of, Tolerance.Limits> limits = new EnumMap<>(Tolerance.Of.class);
    do {
      Token word = statement.expectWord(expected);
      Optional<Tolerance.Of> length = Tolerance.Of.of(word.text());
      if (length.isEmpty()) {
        throw Statement.unexpected(word, expected);
      }
      if (limits.put(length.get(), readLimits(statement)) != null) {
        throw new BadStatement(word.problem("a second " + word.text() + ": leave one"));
      }
    } while (!statement.atEnd());
    return Sizes.UNSTATED.withTolerances(List.of(new Tolerance(pair, limits)));
  }

  /** {@code +0.02 -0 mm}. */
  private static Tolerance.Limits readLimits(Statement statement) throws BadStatement {
    String expected = "by how much it may be larger, as +0.02, then smaller, as -0.01 mm";
    Token above = statement.expectWord(expected);
    String number = above.text().replaceFirst("^\\+", "");
    if (!above.text().startsWith("+") || !Exact.isNumber(number)) {
      throw Statement.unexpected(above, expected);
    }
    Token below = statement.peek();
    if (!below.text().startsWith("-")) {
      throw Statement.unexpected(below, expected);
    }
    Quantity least = statement.expectQuantity(Unit.Dimension.LENGTH);
    BigFraction most = Exact.parse(number);
    return Statement.at(
        above, least, given -> new Tolerance.Limits(most, given.value().negate(), given.unit()));
  }

  private static Sizes readSharing(Statement statement) throws BadStatement {
    Token at = statement.peek();
    BigFraction factor = statement.expectNumber("the most loaded planet over the mean, as 1.2");
    return Statement.at(at, Optional.of(factor), Sizes.UNSTATED::withSharing);
  }

  /** One of {@link Sizes#statements} in canonical form. */
  static String print(Sizes statement) {
    if (statement.rack().isPresent()) {
      return statement.rack().get().toString();
    }
    if (!statement.clearance().unstated()) {
      return statement.clearance().toString();
    }
    if (statement.sharing().isPresent()) {
      return "sharing " + Exact.plain(statement.sharing().get());
    }
    for (Tolerance one : statement.tolerances()) {
      return "tolerance"
          + one.pair().map(pair -> " " + MeshNames.text(pair.a(), pair.b())).orElse("")
          + one.limits().entrySet().stream()
              .map(limit -> " " + limit.getKey().word() + " " + limit.getValue())
              .collect(Collectors.joining());
    }
    for (Sizes.Distance pair : statement.distances()) {
      return "distance " + MeshNames.text(pair.a(), pair.b()) + " " + pair.length();
    }
    if (!statement.duty().unstated()) {
      return statement.duty().toString();
    }
    if (!statement.housing().unstated()) {
      return statement.housing().toString();
    }
    for (MemberId wheel : Set.copyOf(statement.wheels().keySet())) {
      return print(statement.own(wheel), " " + wheel);
    }
    return print(statement.common(), "");
  }

  private static String print(WheelSize size, String of) {
    return size.width()
        .map(length -> "width" + of + " " + length)
        .or(() -> size.shift().map(x -> "shift" + of + " " + Exact.plain(x)))
        .or(() -> size.bore().map(bore -> "bore" + of + " " + bore))
        .or(() -> size.offset().map(length -> "offset" + of + " " + length))
        .or(() -> size.made().map(made -> "material" + of + " " + made))
        .or(() -> size.tool().map(edges -> "tool" + of + " " + edges))
        .or(() -> size.helix().map(helix -> "helix" + of + " " + helix))
        .or(() -> size.built().map(built -> "build" + of + " " + built))
        .or(() -> size.hardness().map(hb -> "hardness" + of + " " + Exact.plain(hb) + " HB"))
        .or(() -> size.geometry().map(factors -> "geometry" + of + " " + factors))
        .or(() -> size.shaft().map(shaft -> "shafting" + of + " " + shaft))
        .or(() -> size.bearing().map(bearing -> "bearing" + of + " " + bearing))
        .or(() -> size.pitch().map(pitch -> pitch.statement().replaceFirst(" ", of + " ")))
        .orElseThrow();
  }
}
