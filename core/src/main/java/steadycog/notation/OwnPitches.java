package steadycog.notation;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.notation.Statement.BadStatement;
import steadycog.number.Exact;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.train.Bevel;
import steadycog.train.Cycloidal;
import steadycog.train.Differential;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Parallel;
import steadycog.train.Part;
import steadycog.train.Pitch;
import steadycog.train.Planetary;
import steadycog.train.Shaft;
import steadycog.train.Sizes;
import steadycog.train.StrainWave;
import steadycog.train.WheelSize;

/**
 * Sizes of teeth that hold for less than the whole train: {@code module fore 1.5 mm} of a part,
 * {@code module C 2 mm} of a wheel and all that mesh with it, {@code module set 1/0.95 mm} of the
 * two rows of a set, whose name may be left out where there is no other part. They are kept with
 * one wheel of those that mesh.
 */
final class OwnPitches {
  private static final String EXPECTED =
      "a module as 1.5 mm, of two rows as 1/0.95 mm, or a part or wheel and its module";

  private final List<Part> parts;
  private final MemberNames names;

  OwnPitches(List<Part> parts, MemberNames names) {
    this.parts = parts;
    this.names = names;
  }

  /**
   * Whether the statement says something of less than all: it names a part or wheel, or gives two
   * numbers. Whole numbers with a stroke are a fraction unless a part is named.
   */
  static boolean isOwn(Statement statement) {
    String next = statement.peekSecond().text();
    boolean named = !next.isEmpty() && Character.isLetter(next.charAt(0));
    boolean apart = statement.holds("/");
    return named || apart || (rows(next).size() > 1 && !Exact.isNumber(number(next)));
  }

  private static String number(String word) {
    return word.replaceFirst("[a-zA-Z].*$", "");
  }

  private static List<String> rows(String word) {
    return List.of(number(word).split("/"));
  }

  /** Reads such a statement, its first word included. */
  Sizes read(Statement statement) throws BadStatement {
    boolean diametral = statement.next().is("dp");
    Token at = statement.peek();
    Optional<Part> part = parts.size() == 1 ? Optional.of(parts.getFirst()) : Optional.empty();
    Optional<MemberId> wheel = Optional.empty();
    boolean named = !at.text().isEmpty() && Character.isLetter(at.text().charAt(0));
    if (named) {
      part =
          parts.stream()
              .filter(one -> !one.name().isEmpty() && one.name().equalsIgnoreCase(at.text()))
              .findFirst();
      if (part.isPresent()) {
        statement.next();
      } else {
        wheel = Optional.of(names.read(statement));
      }
    }
    boolean rows = part.filter(OwnPitches::hasRows).isPresent() && wheel.isEmpty();
    List<Pitch> pitches = pitches(statement, diametral, rows);
    if (wheel.isPresent()) {
      if (pitches.size() > 1) {
        throw new BadStatement(at.problem("two modules of one wheel: leave one"));
      }
      return of(wheel.get(), pitches.getFirst(), at);
    }
    if (part.isEmpty()) {
      throw Statement.unexpected(at, "the part first, as module set 1/0.95 mm");
    }
    return of(part.get(), pitches, at);
  }

  /** Two numbers after a set are its two rows, after anything else a fraction. */
  private static boolean hasRows(Part part) {
    return switch (part) {
      case Planetary _ -> true;
      case Parallel _, Cycloidal _, StrainWave _, Bevel _, Differential _, Shaft _ -> false;
    };
  }

  private static List<Pitch> pitches(Statement statement, boolean diametral, boolean rows)
      throws BadStatement {
    Token at = statement.expectWord(EXPECTED);
    List<String> numbers = new ArrayList<>(rows ? rows(at.text()) : List.of(number(at.text())));
    String unit = at.text().substring(number(at.text()).length());
    if (statement.peek().is("/")) {
      statement.next();
      Token second = statement.expectWord(EXPECTED);
      numbers.add(number(second.text()));
      unit = second.text().substring(number(second.text()).length());
    }
    List<Pitch> all = new ArrayList<>();
    if (!diametral) {
      Token word = unit.isEmpty() ? statement.expectWord("mm or in") : at;
      Optional<Unit> length =
          Unit.of(unit.isEmpty() ? word.text() : unit)
              .filter(one -> one.dimension() == Unit.Dimension.LENGTH);
      if (length.isEmpty()) {
        throw Statement.unexpected(word, "mm or in");
      }
      for (String number : numbers) {
        all.add(
            Statement.at(
                at, value(at, number), v -> new Pitch.Module(new Quantity(v, length.get()))));
      }
    } else {
      for (String number : numbers) {
        all.add(Statement.at(at, value(at, number), Pitch.Diametral::new));
      }
    }
    statement.expectEnd("the end of the statement");
    return all;
  }

  private static BigFraction value(Token at, String number) throws BadStatement {
    if (!Exact.isNumber(number)) {
      throw Statement.unexpected(at, EXPECTED);
    }
    return Exact.parse(number);
  }

  private Sizes of(MemberId wheel, Pitch pitch, Token at) throws BadStatement {
    Part part =
        parts.stream().filter(one -> one.name().equals(wheel.part())).findFirst().orElseThrow();
    boolean toothed =
        part.meshes().stream().anyMatch(mesh -> mesh.touches(wheel))
            || part.members().stream().anyMatch(m -> m.id().equals(wheel) && m.teeth().isPresent());
    if (!toothed || !part.takesModule()) {
      throw new BadStatement(
          at.problem("a module of " + wheel + ": it has no teeth of a module; leave it out"));
    }
    return Sizes.UNSTATED.with(wheel, WheelSize.NONE.withPitch(Optional.of(pitch)));
  }

  private static Sizes of(Part part, List<Pitch> pitches, Token at) throws BadStatement {
    if (!part.takesModule()) {
      throw new BadStatement(
          at.problem("a module of a part without teeth of a module; leave it out"));
    }
    if (pitches.size() > part.rowCount()) {
      throw new BadStatement(at.problem("two modules: only a set of two rows has them"));
    }
    return switch (part) {
      case Planetary set -> ofRows(set, pitches);
      case Parallel _, Cycloidal _, StrainWave _, Bevel _, Differential _, Shaft _ ->
          ofMeshes(part, WheelSize.NONE.withPitch(Optional.of(pitches.getFirst())));
    };
  }

  private static Sizes ofRows(Planetary set, List<Pitch> pitches) {
    Sizes all = Sizes.UNSTATED;
    for (int row = 0; row < set.rows().size(); row++) {
      Pitch pitch = pitches.get(Math.min(row, pitches.size() - 1));
      all = all.with(set.planetIds(row).getFirst(), WheelSize.NONE.withPitch(Optional.of(pitch)));
    }
    return all;
  }

  /** A size that all share that mesh, stated of one of them. */
  static Sizes ofMeshes(Part part, WheelSize size) {
    Sizes all = Sizes.UNSTATED;
    Set<MemberId> told = new HashSet<>();
    for (Mesh mesh : part.meshes()) {
      if (!told.contains(mesh.a()) && !told.contains(mesh.b())) {
        all = all.with(mesh.a(), size);
      }
      told.add(mesh.a());
      told.add(mesh.b());
    }
    return all;
  }
}
