package steadycog.notation;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import steadycog.notation.Statement.BadStatement;
import steadycog.train.Planetary;
import steadycog.train.Planetary.Spacing;
import steadycog.train.Teeth;

/**
 * Reads and prints {@code planetary sun 24 planet 15 x3 ring 54}: sun and ring in any order, one of
 * them may be left out, {@code 16~18} for paired planets, {@code uneven} behind the number of
 * planets.
 */
final class PlanetaryText {
  private static final Pattern COUNT = Pattern.compile("\\d{1,9}");
  private static final Pattern TIMES = Pattern.compile("[xX\u00d7](\\d{1,9})");
  private static final String EXPECTED = "sun, planet or ring with a tooth count";
  private static final String TOOTH_COUNT = "a tooth count such as 18";
  private static final String EACH = "the number of planets such as x3";

  private Optional<Teeth> sun = Optional.empty();
  private final List<Teeth> planets = new ArrayList<>();
  private int count = 1;
  private Spacing spacing = Spacing.EQUAL;
  private Optional<Teeth> ring = Optional.empty();

  private PlanetaryText() {}

  static String print(Planetary part) {
    StringBuilder text = new StringBuilder("planetary");
    part.sun().ifPresent(teeth -> text.append(" sun ").append(teeth.count()));
    text.append(" planet ").append(part.planets().getFirst().count());
    if (part.paired()) {
      text.append('~').append(part.planets().getLast().count());
    }
    text.append(" x").append(part.count());
    text.append(part.spacing() == Spacing.UNEVEN ? " uneven" : "");
    part.ring().ifPresent(teeth -> text.append(" ring ").append(teeth.count()));
    return text.toString();
  }

  static Planetary read(String name, Statement statement) throws BadStatement {
    return new PlanetaryText().readAll(name, statement);
  }

  private Planetary readAll(String name, Statement statement) throws BadStatement {
    Set<String> seen = new HashSet<>();
    while (!statement.atEnd()) {
      Token word = statement.expectWord(EXPECTED);
      String member = word.text().toLowerCase(Locale.ROOT);
      if (!List.of("sun", "planet", "ring").contains(member)) {
        throw Statement.unexpected(word, EXPECTED);
      }
      if (!seen.add(member)) {
        throw new BadStatement(word.problem("a second " + member + " in one set: leave one"));
      }
      switch (member) {
        case "sun" -> sun = Optional.of(readCount(statement));
        case "ring" -> ring = Optional.of(readRing(statement));
        default -> readPlanets(statement);
      }
    }
    if (planets.isEmpty()) {
      throw Statement.unexpected(statement.peek(), "planet with a tooth count, as in planet 15 x3");
    }
    if (sun.isEmpty() && ring.isEmpty()) {
      throw Statement.unexpected(statement.peek(), "a sun or a ring for the planets to run on");
    }
    return new Planetary(name, sun, planets, count, spacing, ring);
  }

  private void readPlanets(Statement statement) throws BadStatement {
    statement.split("[xX\u00d7]");
    planets.add(readCount(statement));
    if (statement.accept("~")) {
      statement.split("[xX\u00d7]");
      planets.add(readCount(statement));
    }
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
    }
  }

  private static int planetsAt(Token place, String digits) throws BadStatement {
    int planets = Integer.parseInt(digits);
    if (planets < 1 || planets > Planetary.MOST_PLANETS) {
      throw Statement.unexpected(place, "x1 to x" + Planetary.MOST_PLANETS);
    }
    return planets;
  }

  private static Teeth readCount(Statement statement) throws BadStatement {
    Token token = statement.expectWord(TOOTH_COUNT);
    if (!COUNT.matcher(token.text()).matches()) {
      throw Statement.unexpected(token, TOOTH_COUNT);
    }
    return Statement.at(token, Integer.parseInt(token.text()), Teeth::external);
  }

  /** A ring's count; the {@code i} of internal teeth may stand behind it. */
  private static Teeth readRing(Statement statement) throws BadStatement {
    Token token = statement.expectWord(TOOTH_COUNT);
    Matcher digits = COUNT.matcher(token.text().replaceFirst("[iI]$", ""));
    if (!digits.matches()) {
      throw Statement.unexpected(token, TOOTH_COUNT);
    }
    return Statement.at(token, Integer.parseInt(digits.group()), Teeth::internal);
  }
}
