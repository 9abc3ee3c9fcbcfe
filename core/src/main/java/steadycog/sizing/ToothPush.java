package steadycog.sizing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.shape.FaceLayout;
import steadycog.shape.PlacedWheel;
import steadycog.torque.Torques;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Train;

/**
 * What the teeth of one mesh press a wheel with: along the pitch line as the torque asks, apart as
 * the flanks lean, along the axis as they wind. Of the planets of a set it is the most loaded one.
 *
 * @param x across the axis, as the layout lies, N
 * @param y across the axis, N
 * @param along the axis, towards the drive end positive, N
 * @param tiltX moment of the force along the axis, N mm, as x times its distance from the drive end
 *     would be of a force across
 * @param tiltY the same with y
 */
public record ToothPush(
    Mesh mesh, MemberId wheel, double x, double y, double along, double tiltX, double tiltY) {

  /**
   * On every wheel of which it follows. The middle of a set is left out: its planets balance each
   * other there.
   */
  public static List<ToothPush> of(Train train, FaceLayout layout, Torques torques) {
    List<ToothPush> all = new ArrayList<>();
    List<Mesh> meshes = train.meshes();
    for (int k = 0; k < meshes.size(); k++) {
      Mesh mesh = meshes.get(k);
      Optional<MeshFigures> figures = MeshFigures.of(train, mesh);
      for (MemberId wheel : List.of(mesh.a(), mesh.b())) {
        int index = torques.mechanism().indexOf(wheel);
        Optional<BigFraction> torque = torques.relationTorque(k, index);
        if (figures.isPresent() && torque.isPresent() && !isCentral(layout, mesh, wheel)) {
          all.add(of(train, layout, figures.get(), wheel, torque.get().doubleValue()));
        }
      }
    }
    return all;
  }

  private static boolean isCentral(FaceLayout layout, Mesh mesh, MemberId wheel) {
    return mesh.carrier().isPresent() && layout.wheel(wheel).orbit().isEmpty();
  }

  private static ToothPush of(
      Train train, FaceLayout layout, MeshFigures figures, MemberId wheel, double torque) {
    Mesh mesh = figures.mesh();
    PlacedWheel own = layout.wheel(wheel);
    PlacedWheel other = layout.wheel(mesh.other(wheel));
    boolean inRing = mesh.teeth(mesh.other(wheel)).internal();
    double towards = Math.atan2(other.y() - own.y(), other.x() - own.x());
    double contact = inRing ? towards + Math.PI : towards;
    double lever = figures.workingRadius(wheel);
    double along = Sharing.of(train, mesh).most(torque * 1000 / lever);
    double out = mesh.teeth(wheel).internal() ? 1 : -1;
    double apart = out * Math.abs(along) * Math.tan(figures.pair().working());
    double axial = Thrust.share(train, wheel) * along * lever;
    return new ToothPush(
        mesh,
        wheel,
        -along * Math.sin(contact) + apart * Math.cos(contact),
        along * Math.cos(contact) + apart * Math.sin(contact),
        axial,
        axial * lever * Math.cos(contact),
        axial * lever * Math.sin(contact));
  }
}
