package steadycog.check;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import steadycog.number.Exact;
import steadycog.number.Measured;
import steadycog.piece.Blank;
import steadycog.sizing.MeshFigures;
import steadycog.train.Helices;
import steadycog.train.Helices.Contradiction;
import steadycog.train.Helix;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Planetary;
import steadycog.train.Train;

/**
 * Teeth that wind: hands and angles that contradict each other, faces too narrow for a helical pair
 * to be quieter than a straight one (overlap ratio below 1, ISO 21771), angles that press hard on
 * the shoulders, and sets of herringbones that cannot be put together.
 */
final class HelixRule implements Rule {
  private static final int STEEP = 35;
  private static final double ENOUGH = 1;

  @Override
  public List<Finding> check(Subject subject) {
    Train train = subject.train();
    List<Finding> found = new ArrayList<>();
    if (!Helices.any(train)) {
      return found;
    }
    for (Contradiction wrong : Helices.contradictions(train)) {
      found.add(
          Finding.of("helix-hands", Severity.ERROR, List.of(wrong.one(), wrong.other()))
              .with("first", says(train, wrong.one()))
              .with("second", stated(train, wrong.other()))
              .with("follows", says(train, wrong.other()))
              .worded(wrong.angles() ? "angles" : "hands"));
    }
    steep(train, found);
    train.parts(Planetary.class).forEach(set -> herringbones(train, set, found));
    if (train.isSized()) {
      train.meshes().forEach(mesh -> overlap(train, mesh, found));
    }
    return found;
  }

  private static String says(Train train, MemberId wheel) {
    return Helices.of(train, wheel).toString();
  }

  private static String stated(Train train, MemberId wheel) {
    return train.sizes().own(wheel).helix().map(Helix::toString).orElse("");
  }

  private static void steep(Train train, List<Finding> found) {
    List<MemberId> steep =
        train.meshes().stream()
            .flatMap(mesh -> Stream.of(mesh.a(), mesh.b()))
            .distinct()
            .filter(wheel -> Helices.of(train, wheel).degrees().doubleValue() > STEEP)
            .toList();
    if (!steep.isEmpty()) {
      found.add(
          Finding.of("helix-steep", Severity.WARNING, steep)
              .with("most", STEEP)
              .with(
                  "angle", Exact.plain(Helices.of(train, steep.getFirst()).degrees()) + "\u00b0"));
    }
  }

  /** Planets can be pushed into one of sun and ring along the axis, not into both. */
  private static void herringbones(Train train, Planetary set, List<Finding> found) {
    for (int row = 0; row < set.rows().size(); row++) {
      boolean closed =
          set.rows().get(row).sun().isPresent() && set.rows().get(row).ring().isPresent();
      if (closed && Helices.of(train, set.ringId(row)).isDouble()) {
        found.add(
            Finding.of(
                "herringbone-set",
                Severity.ERROR,
                List.of(set.sunId(row), set.planetIds(row).getFirst(), set.ringId(row))));
      }
    }
  }

  private static void overlap(Train train, Mesh mesh, List<Finding> found) {
    MeshFigures.of(train, mesh)
        .filter(figures -> !figures.winding().helix().isStraight())
        .filter(figures -> figures.winding().overlap() < ENOUGH)
        .ifPresent(
            figures -> {
              double halves = figures.winding().helix().isDouble() ? 2 : 1;
              double needed = halves * figures.winding().face() / figures.winding().overlap();
              String faces =
                  Stream.of(mesh.a(), mesh.b())
                      .filter(wheel -> Blank.widthMm(train, wheel) < needed)
                      .map(MemberId::toString)
                      .collect(Collectors.joining(" and "));
              found.add(
                  Finding.of("helix-overlap", Severity.NOTE, List.of(mesh.a(), mesh.b()))
                      .with("ratio", PairRule.rounded(figures.winding().overlap(), 2))
                      .with("face", Measured.mm(needed, 1))
                      .with("wheels", faces));
            });
  }
}
