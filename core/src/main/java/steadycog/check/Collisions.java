package steadycog.check;

import java.util.ArrayList;
import java.util.List;
import steadycog.assembly.Assembly;
import steadycog.assembly.Collision;
import steadycog.number.Measured;
import steadycog.number.Pace;
import steadycog.shape.Drives;
import steadycog.shape.FaceLayout;
import steadycog.train.MemberId;
import steadycog.train.Train;

/**
 * What only the made pieces show: two of them in one place at some angle of the crank. It costs as
 * much as all rules together and more, so that it is no rule that every change is tried under; it
 * is asked of what is shown, checked, exported or proposed.
 */
public final class Collisions {
  public static final String CODE = "collision";

  /** Positions of the crank that are tried. */
  public static final int POSITIONS = 24;

  /** Without any clearance teeth touch everywhere: less than this, in modules, is no more. */
  private static final double TOUCHING = 0.05;

  private Collisions() {}

  /** All that run into each other, worst first. */
  public static List<Finding> of(Train train, FaceLayout layout, Pace pace) {
    Assembly assembly = Assembly.of(train, layout, pace);
    List<Finding> found = new ArrayList<>();
    assembly
        .unmade()
        .forEach(
            (piece, why) ->
                found.add(
                    Finding.of("unmade", Severity.ERROR, List.of(piece.member()))
                        .with("piece", piece.title())
                        .with("why", why)));
    for (Collision collision : assembly.collisions(POSITIONS, pace)) {
      found.add(finding(train, collision));
    }
    return List.copyOf(found);
  }

  private static Finding finding(Train train, Collision collision) {
    MemberId a = collision.a().member();
    MemberId b = collision.b().member();
    boolean bevel = collision.a().bevel().isPresent();
    boolean meshing =
        bevel || train.meshes().stream().anyMatch(mesh -> isOf(train, mesh.a(), mesh.b(), a, b));
    boolean touching =
        meshing
            && train.sizes().clearance().unstated()
            && collision.depth() < TOUCHING * Drives.moduleMm(train);
    Finding finding =
        Finding.of(
                CODE,
                touching ? Severity.NOTE : Severity.ERROR,
                a.equals(b) ? List.of(a) : List.of(a, b))
            .with("one", collision.a().name())
            .with("two", collision.b().name())
            .with("depth", Measured.mm(collision.depth(), 3))
            .with("radius", Measured.mm(collision.radius(), 2))
            .with("from", PairRule.rounded(collision.from(), 2))
            .with("to", Measured.mm(collision.to(), 2))
            .with("margin", PairRule.rounded(-collision.depth(), 3));
    return touching ? finding.worded("touching") : bevel ? finding.worded("bevel") : finding;
  }

  private static boolean isOf(Train train, MemberId one, MemberId other, MemberId a, MemberId b) {
    MemberId first = train.partOf(one).body(one);
    MemberId second = train.partOf(other).body(other);
    return (first.equals(a) && second.equals(b)) || (first.equals(b) && second.equals(a));
  }
}
