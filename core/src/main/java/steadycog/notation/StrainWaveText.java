package steadycog.notation;

import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import steadycog.notation.Statement.BadStatement;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.train.StrainWave;
import steadycog.train.StrainWave.Mount;
import steadycog.train.StrainWave.Sizes;

/**
 * Reads and prints {@code strainwave flex 160 circular 162 lobes 2 hat wall 0.8 mm allow 300 MPa};
 * {@code strainwave nominal 80} is a way to write the counts.
 */
final class StrainWaveText {
  private static final String CLAUSES =
      "nominal, or flex and circular with tooth counts; lobes, cup, hat, wall or allow";
  private static final String COUNT = "a count such as 160";
  private static final int USUAL_LOBES = 2;

  private Optional<Integer> flex = Optional.empty();
  private Optional<Integer> circular = Optional.empty();
  private Optional<Integer> nominal = Optional.empty();
  private int lobes = USUAL_LOBES;
  private Sizes sizes = Sizes.USUAL;

  private StrainWaveText() {}

  static String print(StrainWave part) {
    Sizes sizes = part.sizes();
    return "strainwave flex "
        + part.flex()
        + " circular "
        + part.circular()
        + " lobes "
        + part.lobes()
        + (sizes.mount() == Mount.HAT ? " hat" : "")
        + sizes.wall().map(wall -> " wall " + wall).orElse("")
        + sizes.allowable().map(stress -> " allow " + stress + " MPa").orElse("");
  }

  static StrainWave read(String name, Statement statement) throws BadStatement {
    return new StrainWaveText().readAll(name, statement);
  }

  private StrainWave readAll(String name, Statement statement) throws BadStatement {
    Token first = statement.peek();
    Set<String> seen = new HashSet<>();
    while (!statement.atEnd()) {
      Token word = statement.expectWord(CLAUSES);
      String clause = word.text().toLowerCase(Locale.ROOT);
      if (!List.of("nominal", "flex", "circular", "lobes", "cup", "hat", "wall", "allow")
          .contains(clause)) {
        throw Statement.unexpected(word, CLAUSES);
      }
      if (!seen.add(clause)) {
        throw new BadStatement(word.problem("a second " + clause + " in one drive: leave one"));
      }
      readClause(clause, statement);
    }
    if (nominal.isPresent() && (flex.isPresent() || circular.isPresent())) {
      throw new BadStatement(
          first.problem("nominal and tooth counts together: leave one of the two"));
    }
    if (nominal.isPresent()) {
      return Statement.at(
          first, nominal.get(), ratio -> StrainWave.nominal(name, ratio, lobes, sizes));
    }
    if (flex.isEmpty()) {
      throw Statement.unexpected(statement.peek(), "flex with a tooth count, or nominal");
    }
    return Statement.at(
        first,
        flex.get(),
        teeth -> new StrainWave(name, teeth, circular.orElse(teeth + lobes), lobes, sizes));
  }

  private void readClause(String clause, Statement statement) throws BadStatement {
    Token at = statement.peek();
    switch (clause) {
      case "nominal" -> nominal = Optional.of(statement.expectCount("a ratio such as 80"));
      case "flex" -> flex = Optional.of(statement.expectCount(COUNT));
      case "circular" -> circular = Optional.of(statement.expectCount(COUNT));
      case "lobes" -> lobes = statement.expectCount("2 or 3");
      case "cup" -> sizes = new Sizes(Mount.CUP, sizes.wall(), sizes.allowable());
      case "hat" -> sizes = new Sizes(Mount.HAT, sizes.wall(), sizes.allowable());
      case "wall" -> {
        Quantity wall = statement.expectQuantity(Unit.Dimension.LENGTH);
        sizes = Statement.at(at, wall, sizes::withWall);
      }
      default -> {
        int stress = statement.expectCount("a stress such as 300 MPa");
        if (!statement.accept("mpa")) {
          throw Statement.unexpected(statement.peek(), "MPa");
        }
        sizes =
            Statement.at(
                at, stress, mpa -> new Sizes(sizes.mount(), sizes.wall(), Optional.of(mpa)));
      }
    }
  }
}
