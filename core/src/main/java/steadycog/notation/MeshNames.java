package steadycog.notation;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import steadycog.notation.Statement.BadStatement;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Part;

/** A mesh named by its two bodies: {@code sun-planet}, in a named part {@code front.sun-planet}. */
final class MeshNames {
  private static final int MOST_LISTED = 8;

  private MeshNames() {}

  /** The meshes that {@code word} means: several only where a pair of bodies meshes in two rows. */
  static List<Mesh> read(Token word, List<Part> parts, String expected) throws BadStatement {
    String said = word.text().toLowerCase(Locale.ROOT);
    List<Mesh> whole = new ArrayList<>();
    List<Mesh> bare = new ArrayList<>();
    for (Part part : parts) {
      for (Mesh mesh : part.meshes()) {
        MemberId a = part.body(mesh.a());
        MemberId b = part.body(mesh.b());
        if (said.equals(name(a, b)) || said.equals(name(b, a))) {
          whole.add(mesh);
        } else if (said.equals(pair(a, b)) || said.equals(pair(b, a))) {
          bare.add(mesh);
        }
      }
    }
    if (whole.isEmpty() && bare.stream().map(mesh -> mesh.a().part()).distinct().count() > 1) {
      throw Statement.unexpected(
          word, "the part as well: " + bare.getFirst().a().part() + "." + word.text());
    }
    List<Mesh> found = whole.isEmpty() ? bare : whole;
    if (found.isEmpty()) {
      throw Statement.unexpected(word, expected);
    }
    return found;
  }

  private static String pair(MemberId a, MemberId b) {
    return (a.name() + "-" + b.name()).toLowerCase(Locale.ROOT);
  }

  private static String name(MemberId a, MemberId b) {
    return text(a, b).toLowerCase(Locale.ROOT);
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
    List<String> names =
        parts.stream()
            .flatMap(
                part ->
                    part.meshes().stream()
                        .map(mesh -> text(part.body(mesh.a()), part.body(mesh.b()))))
            .distinct()
            .toList();
    return names.stream().limit(MOST_LISTED).collect(Collectors.joining(", "))
        + (names.size() > MOST_LISTED ? " \u2026" : "");
  }
}
