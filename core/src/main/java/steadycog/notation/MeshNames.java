package steadycog.notation;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.BiFunction;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import steadycog.notation.Statement.BadStatement;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Part;

/** A mesh named by its two bodies: {@code sun-planet}, in a named part {@code front.sun-planet}. */
final class MeshNames {
  private static final int MOST_LISTED = 8;

  private MeshNames() {}

  /**
   * The meshes that are named: several only where a pair of bodies meshes in two rows.
   *
   * @param word the first word, already read: {@code sun-planet}, or {@code sun} of {@code sun ~
   *     planet} as tables print it
   */
  static List<Mesh> read(Token word, Statement statement, List<Part> parts, String expected)
      throws BadStatement {
    String said = word.text();
    if (statement.accept("~")) {
      said += "-" + statement.expectWord(expected).text();
    }
    String wanted = said.toLowerCase(Locale.ROOT);
    List<Mesh> whole = new ArrayList<>();
    List<Mesh> bare = new ArrayList<>();
    for (Part part : parts) {
      for (Mesh mesh : part.meshes()) {
        if (names(mesh, part, MeshNames::fully).anyMatch(wanted::equals)) {
          whole.add(mesh);
        } else if (names(mesh, part, MeshNames::barely).anyMatch(wanted::equals)) {
          bare.add(mesh);
        }
      }
    }
    if (whole.isEmpty() && bare.stream().map(mesh -> mesh.a().part()).distinct().count() > 1) {
      throw Statement.unexpected(
          word, "the part as well: " + bare.getFirst().a().part() + "." + said);
    }
    List<Mesh> found = whole.isEmpty() ? bare : whole;
    if (found.isEmpty()) {
      throw Statement.unexpected(word, expected);
    }
    return found;
  }

  /** A mesh by its bodies and by its wheels, {@code planet2}, either of them first. */
  private static Stream<String> names(
      Mesh mesh, Part part, BiFunction<MemberId, MemberId, Stream<String>> write) {
    return Stream.of(mesh.a(), part.body(mesh.a()))
        .flatMap(
            a ->
                Stream.of(mesh.b(), part.body(mesh.b()))
                    .flatMap(b -> Stream.concat(write.apply(a, b), write.apply(b, a))))
        .map(name -> name.toLowerCase(Locale.ROOT));
  }

  private static Stream<String> fully(MemberId a, MemberId b) {
    return Stream.of(text(a, b), a + "-" + b);
  }

  private static Stream<String> barely(MemberId a, MemberId b) {
    return Stream.of(a.name() + "-" + b.name());
  }

  static String text(MemberId a, MemberId b) {
    return a + "-" + b.name();
  }

  static MemberId body(MemberId wheel, List<Part> parts) {
    return parts.stream()
        .filter(part -> part.name().equals(wheel.part()))
        .findFirst()
        .orElseThrow()
        .body(wheel);
  }

  /** The meshes of {@code parts}, the first few of them, for messages. */
  static String listed(List<Part> parts) {
    List<String> names = all(parts);
    return names.stream().limit(MOST_LISTED).collect(Collectors.joining(", "))
        + (names.size() > MOST_LISTED ? " \u2026" : "");
  }

  /** Every mesh of {@code parts} by its bodies. */
  static List<String> all(List<Part> parts) {
    return parts.stream()
        .flatMap(
            part ->
                part.meshes().stream().map(mesh -> text(part.body(mesh.a()), part.body(mesh.b()))))
        .distinct()
        .toList();
  }
}
