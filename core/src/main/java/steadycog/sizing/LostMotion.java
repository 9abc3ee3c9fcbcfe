package steadycog.sizing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.torque.Torques;
import steadycog.train.MemberId;
import steadycog.train.Mesh;

/**
 * How far the output can be turned with the input held fast, all play of meshes taken up one way
 * and then the other. What a mesh gives at the output is what its teeth would carry for a torque of
 * one there (virtual work), so it follows from the torques without losses; the planets of a set lie
 * in it side by side and count once.
 *
 * @param output the member that is turned
 * @param shares one a mesh of those that have play worked out
 */
public record LostMotion(MemberId output, List<Share> shares) {
  /** What one mesh adds, arc minutes. */
  public record Share(Mesh mesh, double minutes) {}

  public LostMotion {
    shares = List.copyOf(shares);
  }

  /** All of it, arc minutes. */
  public double minutes() {
    return shares.stream().mapToDouble(Share::minutes).sum();
  }

  /** Empty where torques do not follow, or a mesh of another kind takes part in the way. */
  static Optional<LostMotion> of(List<Mesh> meshes, List<MeshFigures> figures, Torques ideal) {
    if (ideal.mechanism().roles().take().isEmpty()
        || ideal.mechanism().roles().drives().size() != 1) {
      return Optional.empty();
    }
    MemberId output = ideal.mechanism().roles().take().get().member();
    Optional<BigFraction> torque = ideal.external(output).filter(given -> given.signum() != 0);
    if (torque.isEmpty()) {
      return Optional.empty();
    }
    List<Share> shares = new ArrayList<>();
    for (int k = 0; k < meshes.size(); k++) {
      Optional<BigFraction> multiplier = ideal.multipliers().get(k);
      if (multiplier.isEmpty()) {
        return Optional.empty();
      }
      double carried = Math.abs(multiplier.get().divide(torque.get()).doubleValue());
      Mesh mesh = meshes.get(k);
      Optional<MeshFigures> own = figures.stream().filter(f -> f.mesh().equals(mesh)).findFirst();
      if (carried == 0) {
        continue;
      }
      if (own.filter(f -> Double.isFinite(f.play())).isEmpty()) {
        return Optional.empty();
      }
      double slip = Math.max(0, own.get().playAt(mesh.a())) * mesh.teethA().count();
      shares.add(new Share(mesh, slip * carried));
    }
    return Optional.of(new LostMotion(output, shares));
  }
}
