package steadycog.notation;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import steadycog.notation.Statement.BadStatement;
import steadycog.number.Known;
import steadycog.train.PlanetRow;
import steadycog.train.Planetary;
import steadycog.train.Planetary.Spacing;
import steadycog.train.Teeth;

/**
 * Reads and prints {@code planetary sun 24 planet 15 x3 ring 54}: sun and ring in any order, one of
 * them may be left out, {@code 16~18} for paired planets, {@code uneven} or {@code clocked} behind
 * the number of planets. With two rows there is a value for each: {@code 12/14} two bodies, {@code
 * 18=16} one body, {@code -} for none.
 */
final class PlanetaryText {
  private static final Pattern COUNT = Pattern.compile("\\d{1,9}");
  private static final Pattern RING = Pattern.compile("(\\d{1,9})[iI]?");
  private static final Pattern TIMES = Pattern.compile("[xX\u00d7](\\d{1,9})");
  private static final String TIMES_SIGN = "[xX\u00d7]";
  private static final String EXPECTED = "sun, planet or ring with a tooth count";
  private static final String TOOTH_COUNT = "a tooth count such as 18";
  private static final String EACH = "the number of planets such as x3";
  private static final String NONE = "-";

  private final Map<String, Wheels> wheels = new HashMap<>();
  private int count = 1;
  private Spacing spacing = Spacing.EQUAL;

  private PlanetaryText() {}

  /**
   * What stands behind {@code sun}, {@code planet} or {@code ring}.
   *
   * @param word the keyword, for errors about the whole
   * @param rows a count for one row or two; empty for none
   * @param tied whether the rows are one body
   * @param paired inner and outer planet instead of rows
   */
  private record Wheels(Token word, List<Optional<Integer>> rows, boolean tied, boolean paired) {
    boolean stepped() {
      return !paired && rows.size() == 2;
    }

    Optional<Teeth> in(int row, Function<Integer, Teeth> make) {
      return row < rows.size() ? rows.get(row).map(make) : Optional.empty();
    }
  }

  static String print(Planetary part) {
    StringBuilder text = new StringBuilder("planetary");
    text.append(central("sun", part, PlanetRow::sun, part.sunsTied()));
    text.append(" planet ").append(part.row().inner().count());
    if (part.paired()) {
      text.append('~').append(part.row().outer().count());
    }
    if (part.stepped()) {
      text.append('=').append(part.rows().getLast().inner().count());
    }
    text.append(" x").append(part.count());
    text.append(
        part.spacing() == Spacing.EQUAL
            ? ""
            : " " + part.spacing().name().toLowerCase(Locale.ROOT));
    return text.append(central("ring", part, PlanetRow::ring, part.ringsTied())).toString();
  }

  private static String central(
      String word, Planetary part, Function<PlanetRow, Optional<Teeth>> wheel, boolean tied) {
    if (part.rows().stream().map(wheel).allMatch(Optional::isEmpty)) {
      return "";
    }
    List<String> counts =
        part.rows().stream()
            .map(row -> wheel.apply(row).map(z -> Integer.toString(z.count())).orElse(NONE))
            .toList();
    return " " + word + " " + String.join(tied ? "=" : "/", counts);
  }

  static Planetary read(String name, Statement statement) throws BadStatement {
    return new PlanetaryText().readAll(name, statement);
  }

  private Planetary readAll(String name, Statement statement) throws BadStatement {
    while (!statement.atEnd()) {
      Token word = statement.expectWord(EXPECTED);
      String member = word.text().toLowerCase(Locale.ROOT);
      if (!List.of("sun", "planet", "ring").contains(member)) {
        throw Statement.unexpected(word, EXPECTED);
      }
      if (wheels.containsKey(member)) {
        throw new BadStatement(word.problem("a second " + member + " in one set: leave one"));
      }
      wheels.put(member, readWheels(member, word, statement));
      if (member.equals("planet")) {
        readNumber(statement);
      }
    }
    Wheels planets = wheels.get("planet");
    if (planets == null) {
      throw Statement.unexpected(statement.peek(), "planet with a tooth count, as in planet 15 x3");
    }
    if (wheels.size() == 1) {
      throw Statement.unexpected(statement.peek(), "a sun or a ring for the planets to run on");
    }
    requireOneShape(planets);
    return planets.stepped() ? twoRows(name, statement) : oneRow(name);
  }

  /** Either every wheel has a value a row or none has. */
  private void requireOneShape(Wheels planets) throws BadStatement {
    for (String member : List.of("sun", "ring")) {
      Wheels central = wheels.get(member);
      if (central != null && central.stepped() != planets.stepped()) {
        int count = central.rows.stream().flatMap(Optional::stream).findFirst().orElseThrow();
        throw new BadStatement(
            central.stepped()
                ? planets.word.problem(
                    "the "
                        + member
                        + " has two rows, the planets one: write a count for each row,"
                        + " such as 18=18")
                : central.word.problem(
                    "the planets have two rows: write "
                        + String.format("%1$d/- or -/%1$d, or %1$d=%1$d for one ", count)
                        + member
                        + " in both rows"));
      }
    }
    if (spacing == Spacing.CLOCKED && !planets.stepped()) {
      throw new BadStatement(
          planets.word.problem(
              "clocked planets have two rows, such as 18=16: with one leave clocked out"));
    }
  }

  private Planetary oneRow(String name) {
    List<Teeth> planets =
        Known.in(wheels, "planet").rows.stream()
            .flatMap(Optional::stream)
            .map(Teeth::external)
            .toList();
    return Planetary.oneRow(
        name, new PlanetRow(central("sun", 0), planets, central("ring", 0)), count, spacing);
  }

  private Planetary twoRows(String name, Statement statement) throws BadStatement {
    List<PlanetRow> rows = new ArrayList<>();
    for (int row = 0; row < 2; row++) {
      Optional<Teeth> planet = Known.in(wheels, "planet").in(row, Teeth::external);
      Optional<Teeth> sun = central("sun", row);
      Optional<Teeth> ring = central("ring", row);
      if (sun.isEmpty() && ring.isEmpty()) {
        throw new BadStatement(
            statement.peek().problem("row " + (row + 1) + " has no sun and no ring: add one"));
      }
      rows.add(new PlanetRow(sun, List.of(planet.orElseThrow()), ring));
    }
    return new Planetary(name, rows, isTied("sun"), isTied("ring"), count, spacing);
  }

  private boolean isTied(String member) {
    return wheels.containsKey(member) && wheels.get(member).tied;
  }

  private Optional<Teeth> central(String member, int row) {
    return Optional.ofNullable(wheels.get(member))
        .flatMap(w -> w.in(row, member.equals("ring") ? Teeth::internal : Teeth::external));
  }

  private static Wheels readWheels(String member, Token word, Statement statement)
      throws BadStatement {
    boolean planet = member.equals("planet");
    if (planet) {
      statement.split(TIMES_SIGN);
    }
    statement.split("/");
    List<Optional<Integer>> rows = new ArrayList<>();
    rows.add(readCount(member, statement));
    statement.splitAfter("/");
    Token sign = statement.peek();
    boolean tied = sign.is("=");
    boolean paired = planet && sign.is("~");
    if (!tied && !paired && !sign.is("/")) {
      if (rows.getFirst().isEmpty()) {
        throw Statement.unexpected(sign, "a value for the second row too, such as -/51");
      }
      return new Wheels(word, rows, false, false);
    }
    if (planet && sign.is("/")) {
      throw new BadStatement(
          sign.problem(
              "the planets of both rows are one body: write = instead of /; planets that turn apart"
                  + " are two sets joined at their carriers"));
    }
    statement.next();
    if (planet) {
      statement.split(TIMES_SIGN);
    }
    rows.add(readCount(member, statement));
    boolean none = rows.stream().anyMatch(Optional::isEmpty);
    if (tied && none) {
      throw new BadStatement(
          sign.problem("one " + member + " in both rows needs a count in each: write / beside -"));
    }
    if (rows.stream().allMatch(Optional::isEmpty)) {
      throw new BadStatement(sign.problem("no " + member + " in either row: leave it out"));
    }
    return new Wheels(word, rows, tied, paired);
  }

  private void readNumber(Statement statement) throws BadStatement {
    if (TIMES.matcher(statement.peek().text()).matches()) {
      Token times = statement.next();
      count = planetsAt(times, times.text().substring(1));
    } else if (statement.accept("x") || statement.accept("\u00d7")) {
      Token times = statement.expectWord(EACH);
      if (!COUNT.matcher(times.text()).matches()) {
        throw Statement.unexpected(times, EACH);
      }
      count = planetsAt(times, times.text());
    }
    if (statement.accept("uneven")) {
      spacing = Spacing.UNEVEN;
    } else if (statement.accept("clocked")) {
      spacing = Spacing.CLOCKED;
    }
  }

  private static int planetsAt(Token place, String digits) throws BadStatement {
    int planets = Integer.parseInt(digits);
    if (planets < 1 || planets > Planetary.MOST_PLANETS) {
      throw Statement.unexpected(place, "x1 to x" + Planetary.MOST_PLANETS);
    }
    return planets;
  }

  /** A count, or {@code -} for none; the {@code i} of internal teeth may stand behind a ring's. */
  private static Optional<Integer> readCount(String member, Statement statement)
      throws BadStatement {
    Token token = statement.expectWord(TOOTH_COUNT);
    boolean ring = member.equals("ring");
    if (token.is(NONE) && !member.equals("planet")) {
      return Optional.empty();
    }
    Matcher digits = (ring ? RING : COUNT).matcher(token.text());
    if (!digits.matches()) {
      throw Statement.unexpected(token, TOOTH_COUNT);
    }
    int teeth = Integer.parseInt(ring ? digits.group(1) : digits.group());
    Statement.at(token, teeth, ring ? Teeth::internal : Teeth::external);
    return Optional.of(teeth);
  }
}
