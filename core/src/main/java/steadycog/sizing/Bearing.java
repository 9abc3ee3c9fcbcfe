package steadycog.sizing;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import steadycog.number.Known;
import steadycog.piece.Blank;
import steadycog.shape.Axes;
import steadycog.shape.Drives;
import steadycog.shape.FaceLayout;
import steadycog.shape.PlacedWheel;
import steadycog.torque.Torques;
import steadycog.train.MemberId;
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

  /** For every planet and every shaft on a fixed axis that carries wheels of parallel trains. */
  static List<Bearing> of(Train train, FaceLayout layout, Torques torques) {
    Axes shafts = Axes.ofShafts(train);
    Map<Integer, List<ToothPush>> pushes = new LinkedHashMap<>();
    for (ToothPush push : ToothPush.of(train, layout, torques)) {
      pushes.computeIfAbsent(shafts.of(push.wheel()), none -> new ArrayList<>()).add(push);
    }
    return pushes.keySet().stream()
        .map(shaft -> of(train, layout, Known.in(pushes, shaft)))
        .toList();
  }

  private static Bearing of(Train train, FaceLayout layout, List<ToothPush> pushes) {
    double x = 0;
    double y = 0;
    double least = Double.MAX_VALUE;
    double most = -Double.MAX_VALUE;
    for (ToothPush push : pushes) {
      double z = height(train, layout.wheel(push.wheel()));
      x += push.x();
      y += push.y();
      least = Math.min(least, z);
      most = Math.max(most, z);
    }
    double mx = 0;
    double my = 0;
    for (ToothPush push : pushes) {
      double z = height(train, layout.wheel(push.wheel())) - (least + most) / 2;
      mx += push.x() * z + push.tiltX();
      my += push.y() * z + push.tiltY();
    }
    MemberId member = pushes.getFirst().wheel();
    boolean planet = layout.wheel(member).orbit().isPresent();
    return new Bearing(member, planet, Math.hypot(x, y), Math.hypot(mx, my));
  }

  /** Of the middle of a wheel along its axis: planes lie a face width and a gap apart. */
  private static double height(Train train, PlacedWheel wheel) {
    double width = Blank.widthMm(train, wheel.id());
    return wheel.plane() * (width + Blank.ROW_GAP * Drives.moduleMm(train));
  }
}
