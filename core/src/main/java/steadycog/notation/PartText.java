package steadycog.notation;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import steadycog.notation.Statement.BadStatement;
import steadycog.number.Unit.Dimension;
import steadycog.train.Bevel;
import steadycog.train.Cycloidal;
import steadycog.train.Differential;
import steadycog.train.Parallel;
import steadycog.train.Part;
import steadycog.train.Planetary;
import steadycog.train.Shaft;
import steadycog.train.StrainWave;
import steadycog.train.Teeth;

/** Reads and prints the statement of each kind of part. */
final class PartText {
  /** More wheels than anybody lays out, few enough that a hostile card costs nothing. */
  static final int MOST_WHEELS = 500;

  private static final Pattern TEETH = Pattern.compile("(\\d{1,9})([iI]?)");

  private PartText() {}

  /** How the rest of a part's statement is read. */
  private interface Reading {
    Part read(String name, Statement statement) throws BadStatement;
  }

  /** The kinds of part that a card can name. */
  enum Kind {
    PARALLEL(PartText::readParallel, Follows.clauses("")),
    PLANETARY(PlanetaryText::read, Follows.clauses("sun planet ring uneven clocked")),
    CYCLOIDAL(
        CycloidalText::read,
        Follows.clauses("lobes pins circle pin eccentric bore outputs on discs", Dimension.LENGTH)),
    STRAINWAVE(
        StrainWaveText::read,
        Follows.clauses(
            "flex circular nominal lobes cup hat wall allow", Dimension.LENGTH, Dimension.STRESS)),
    BEVEL(BevelText::readBevel, Follows.clauses("crown left right offset", Dimension.LENGTH)),
    DIFFERENTIAL(BevelText::readDifferential, Follows.clauses("side spider")),
    SHAFT(PartText::readShaft, Follows.clauses(""));

    private final Reading reading;
    private final Follows follows;

    Kind(Reading reading, Follows follows) {
      this.reading = reading;
      this.follows = follows;
    }

    Follows follows() {
      return follows;
    }

    Part read(String name, Statement statement) throws BadStatement {
      return reading.read(name, statement);
    }

    String keyword() {
      return name().toLowerCase(Locale.ROOT);
    }

    static Optional<Kind> of(Token token) {
      for (Kind kind : values()) {
        if (token.is(kind.keyword())) {
          return Optional.of(kind);
        }
      }
      return Optional.empty();
    }
  }

  static String print(Part part) {
    String name = part.name().isEmpty() ? "" : part.name() + ": ";
    return name
        + switch (part) {
          case Parallel parallel -> printParallel(parallel);
          case Planetary planetary -> PlanetaryText.print(planetary);
          case Cycloidal cycloidal -> CycloidalText.print(cycloidal);
          case StrainWave strainWave -> StrainWaveText.print(strainWave);
          case Bevel bevel -> BevelText.print(bevel);
          case Differential differential -> BevelText.print(differential);
          case Shaft shaft -> "shaft";
        };
  }

  private static String printParallel(Parallel part) {
    StringBuilder text = new StringBuilder("parallel ").append(part.wheels().getFirst());
    for (int k = 0; k < part.links().size(); k++) {
      text.append(part.links().get(k) == Parallel.Link.MESH ? " ~ " : " = ");
      text.append(part.wheels().get(k + 1));
    }
    return text.toString();
  }

  private static Shaft readShaft(String name, Statement statement) throws BadStatement {
    statement.expectEnd("the end of the statement: a shaft has no teeth");
    return new Shaft(name);
  }

  private static Parallel readParallel(String name, Statement statement) throws BadStatement {
    List<Teeth> wheels = new ArrayList<>();
    List<Parallel.Link> links = new ArrayList<>();
    wheels.add(readTeeth(statement));
    while (!statement.atEnd()) {
      Token sign = statement.next();
      links.add(readLink(sign));
      Teeth teeth = readTeeth(statement);
      if (links.getLast() == Parallel.Link.MESH
          && teeth.internal()
          && wheels.getLast().internal()) {
        throw new BadStatement(
            sign.problem("two internal wheels cannot mesh: one of them must be external"));
      }
      wheels.add(teeth);
      if (wheels.size() > MOST_WHEELS) {
        throw new BadStatement(sign.problem("more than " + MOST_WHEELS + " wheels in one part"));
      }
    }
    return new Parallel(name, wheels, links);
  }

  private static Parallel.Link readLink(Token sign) throws BadStatement {
    if (sign.is("~")) {
      return Parallel.Link.MESH;
    }
    if (sign.is("=")) {
      return Parallel.Link.SHAFT;
    }
    throw Statement.unexpected(sign, "~ (meshes with) or = (same shaft as)");
  }

  private static Teeth readTeeth(Statement statement) throws BadStatement {
    String expected = "a tooth count such as 18, or 60i for internal teeth";
    Token token = statement.expectWord(expected);
    var match = TEETH.matcher(token.text());
    if (!match.matches()) {
      throw Statement.unexpected(token, expected);
    }
    int count = Integer.parseInt(match.group(1));
    return Statement.at(token, count, z -> new Teeth(z, !match.group(2).isEmpty()));
  }
}
