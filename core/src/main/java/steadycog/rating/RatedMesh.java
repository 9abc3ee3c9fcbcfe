package steadycog.rating;

import java.util.List;
import java.util.stream.Stream;
import steadycog.train.Mesh;

/**
 * Both teeth of a mesh.
 *
 * @param face that bears, mm
 * @param module in the plane of rotation, mm
 * @param pinion its working pitch diameter, mm
 * @param elastic Cp, root of MPa
 */
public record RatedMesh(
    Mesh mesh,
    double face,
    double module,
    double pinion,
    double elastic,
    RatedTooth a,
    RatedTooth b) {

  /** Whether factors follow: not from teeth that cannot be cut or do not run. */
  boolean follows() {
    return teeth().stream()
        .flatMap(tooth -> Stream.of(tooth.bendingFactor(), tooth.contactFactor()))
        .allMatch(factor -> Double.isFinite(factor) && factor > 0);
  }

  public List<RatedTooth> teeth() {
    return List.of(a, b);
  }

  /** The lower factor against bending. */
  public double bending() {
    return Math.min(a.bendingFactor(), b.bendingFactor());
  }

  /** The lower factor against pitting. */
  public double contact() {
    return Math.min(a.contactFactor(), b.contactFactor());
  }
}
