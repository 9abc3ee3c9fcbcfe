package steadycog.sizing;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Known;
import steadycog.piece.Blank;
import steadycog.shape.Axes;
import steadycog.shape.Drives;
import steadycog.shape.FaceLayout;
import steadycog.shape.PlacedWheel;
import steadycog.torque.Torques;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Train;

/**
 * What the teeth press a planet on its pin with, or a shaft in its bearings.
 *
 * @param member the planet, or the first wheel on the shaft
 * @param planet whether it is a planet on a pin
 * @param force resultant of all tooth forces at right angles to the axis, N
 * @param tilting moment of them and of what helical teeth press along the axis with, about the
 *     middle of the wheels, N mm: what bends tall planets inwards
 */
public record Bearing(MemberId member, boolean planet, double force, double tilting) {

  /**
   * A force on a wheel at right angles to its axis.
   *
   * @param z how far from the drive end
   * @param tiltX moment of its force along the axis, towards the drive end positive, as it would be
   *     of forces across
   */
  private record Push(double x, double y, double z, double tiltX, double tiltY) {}

  /**
   * For every planet and every shaft on a fixed axis that carries wheels of parallel trains. The
   * middle of a set is left out: its planets balance each other there.
   */
  static List<Bearing> of(Train train, FaceLayout layout, Torques torques) {
    Axes shafts = Axes.ofShafts(train);
    Map<Integer, List<Push>> pushes = new HashMap<>();
    Map<Integer, MemberId> first = new HashMap<>();
    List<Integer> order = new ArrayList<>();
    List<Mesh> meshes = train.meshes();
    for (int k = 0; k < meshes.size(); k++) {
      Mesh mesh = meshes.get(k);
      Optional<MeshFigures> figures = MeshFigures.of(train, mesh);
      for (MemberId wheel : List.of(mesh.a(), mesh.b())) {
        int index = torques.mechanism().indexOf(wheel);
        Optional<BigFraction> torque = torques.relationTorque(k, index);
        if (figures.isEmpty() || torque.isEmpty() || isCentral(layout, mesh, wheel)) {
          continue;
        }
        int shaft = shafts.of(wheel);
        if (first.putIfAbsent(shaft, wheel) == null) {
          order.add(shaft);
        }
        pushes
            .computeIfAbsent(shaft, none -> new ArrayList<>())
            .add(push(train, layout, figures.get(), wheel, torque.get().doubleValue()));
      }
    }
    return order.stream().map(s -> of(layout, Known.in(first, s), Known.in(pushes, s))).toList();
  }

  private static boolean isCentral(FaceLayout layout, Mesh mesh, MemberId wheel) {
    return mesh.carrier().isPresent() && layout.wheel(wheel).orbit().isEmpty();
  }

  private static Bearing of(FaceLayout layout, MemberId member, List<Push> pushes) {
    double x = 0;
    double y = 0;
    double least = Double.MAX_VALUE;
    double most = -Double.MAX_VALUE;
    for (Push push : pushes) {
      x += push.x;
      y += push.y;
      least = Math.min(least, push.z);
      most = Math.max(most, push.z);
    }
    double mx = 0;
    double my = 0;
    for (Push push : pushes) {
      mx += push.x * (push.z - (least + most) / 2) + push.tiltX;
      my += push.y * (push.z - (least + most) / 2) + push.tiltY;
    }
    boolean planet = layout.wheel(member).orbit().isPresent();
    return new Bearing(member, planet, Math.hypot(x, y), Math.hypot(mx, my));
  }

  /** Along the pitch line as the torque asks, and apart as the flanks lean. */
  private static Push push(
      Train train, FaceLayout layout, MeshFigures figures, MemberId wheel, double torque) {
    Mesh mesh = figures.mesh();
    PlacedWheel own = layout.wheel(wheel);
    PlacedWheel other = layout.wheel(mesh.other(wheel));
    boolean inRing = mesh.teeth(mesh.other(wheel)).internal();
    double towards = Math.atan2(other.y() - own.y(), other.x() - own.x());
    double contact = inRing ? towards + Math.PI : towards;
    double along = Sharing.of(train, mesh).most(torque * 1000 / figures.workingRadius(wheel));
    double out = mesh.teeth(wheel).internal() ? 1 : -1;
    double apart = out * Math.abs(along) * Math.tan(figures.pair().working());
    double lever = figures.workingRadius(wheel);
    double axial = Thrust.share(train, wheel) * along * lever;
    return new Push(
        -along * Math.sin(contact) + apart * Math.cos(contact),
        along * Math.cos(contact) + apart * Math.sin(contact),
        height(train, own),
        axial * lever * Math.cos(contact),
        axial * lever * Math.sin(contact));
  }

  /** Of the middle of a wheel along its axis: planes lie a face width and a gap apart. */
  private static double height(Train train, PlacedWheel wheel) {
    double width = Blank.widthMm(train, wheel.id());
    return wheel.plane() * (width + Blank.ROW_GAP * Drives.moduleMm(train));
  }
}
