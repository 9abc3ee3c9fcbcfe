package steadycog.torque;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;
import steadycog.train.Losses;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.MeshKind;
import steadycog.train.Part;
import steadycog.train.Train;

/**
 * What share of its power a mesh passes on, as if its carrier stood still, and where that number
 * comes from.
 *
 * @param value above 0, at most 1
 * @param source how it came about
 * @param says the source in words, as {@code usual when cut and oiled}
 */
public record MeshEfficiency(BigFraction value, Source source, String says) {
  /**
   * A friction estimate is no better than this many decimals; with them it stays a short number.
   */
  private static final int DECIMALS = 6;

  private static final double LEAST = 0.001;

  /** Where the number comes from. */
  public enum Source {
    /** Stated for this mesh. */
    MESH,
    /** Estimated from a coefficient of friction and the shape of the teeth. */
    FRICTION,
    /** Stated for meshes of its kind. */
    KIND,
    /** Usual for the stated practice. */
    PRACTICE,
    /** Usual when cut and oiled, which is assumed where nothing is said. */
    ASSUMED;

    /** The word in machine output: {@code friction}. */
    public String word() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  /** One for each of {@code train}'s meshes, in their order. */
  public static List<MeshEfficiency> of(Train train) {
    Losses losses = train.losses();
    List<MeshEfficiency> all = new ArrayList<>();
    for (Part part : train.parts()) {
      for (Mesh mesh : part.meshes()) {
        all.add(
            ofMesh(losses, part.body(mesh.a()), part.body(mesh.b()))
                .or(() -> losses.friction().flatMap(mu -> estimated(mu, train, part, mesh)))
                .or(() -> ofKind(losses, train, part, mesh))
                .orElseGet(() -> usual(losses, part, mesh)));
      }
    }
    return List.copyOf(all);
  }

  /** The same meshes with all losses {@code times} as large, at most all of the power. */
  public static List<MeshEfficiency> scaled(List<MeshEfficiency> meshes, double times) {
    return meshes.stream()
        .map(
            mesh -> {
              double share = 1 - times * (1 - mesh.value.doubleValue());
              return new MeshEfficiency(rounded(share), mesh.source, mesh.says);
            })
        .toList();
  }

  private static BigFraction rounded(double share) {
    return Exact.parse(String.format(Locale.ROOT, "%." + DECIMALS + "f", Math.max(LEAST, share)));
  }

  private static Optional<MeshEfficiency> ofMesh(Losses losses, MemberId a, MemberId b) {
    return losses.meshes().stream()
        .filter(stated -> stated.isOf(a, b))
        .findFirst()
        .map(
            stated -> new MeshEfficiency(stated.efficiency(), Source.MESH, "stated for this mesh"));
  }

  private static Optional<MeshEfficiency> estimated(
      BigFraction friction, Train train, Part part, Mesh mesh) {
    double share = 1;
    for (Mesh contact : part.contacts(mesh)) {
      Optional<FrictionLoss> loss = FrictionLoss.of(train, part.kind(mesh), contact);
      if (loss.isEmpty()) {
        return Optional.empty();
      }
      share *= 1 - loss.get().loss(friction.doubleValue());
    }
    return Optional.of(
        new MeshEfficiency(
            rounded(share),
            Source.FRICTION,
            "from friction " + Exact.plain(friction) + " and the teeth"));
  }

  private static Optional<MeshEfficiency> ofKind(Losses losses, Train train, Part part, Mesh mesh) {
    MeshKind kind = part.kind(mesh);
    MeshKind spoken =
        losses.kinds().containsKey(kind)
            ? kind
            : kind.wider().filter(wider -> !has(train, wider)).orElse(kind);
    return Optional.ofNullable(losses.kinds().get(spoken))
        .map(
            share ->
                new MeshEfficiency(
                    inRow(share, part, mesh),
                    Source.KIND,
                    "stated for " + spoken.word() + " meshes"));
  }

  private static boolean has(Train train, MeshKind kind) {
    return train.meshes().stream().anyMatch(mesh -> train.kind(mesh) == kind);
  }

  private static MeshEfficiency usual(Losses losses, Part part, Mesh mesh) {
    Losses.Practice practice = losses.practiceInForce();
    BigFraction share = inRow(practice.usual(part.kind(mesh)), part, mesh);
    return losses.practice().isPresent()
        ? new MeshEfficiency(share, Source.PRACTICE, "usual: " + practice.says())
        : new MeshEfficiency(share, Source.ASSUMED, "assumed: " + practice.says());
  }

  private static BigFraction inRow(BigFraction share, Part part, Mesh mesh) {
    return share.pow(part.contacts(mesh).size());
  }
}
