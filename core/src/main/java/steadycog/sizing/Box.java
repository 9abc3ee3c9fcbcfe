package steadycog.sizing;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.locationtech.jts.algorithm.MinimumBoundingCircle;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import steadycog.piece.Blank;
import steadycog.shape.Drives;
import steadycog.shape.FaceLayout;
import steadycog.shape.Placed;
import steadycog.train.Member;
import steadycog.train.Train;

/**
 * The room that a train takes, mm.
 *
 * @param width of the smallest upright block round all bodies, wherever carriers take them
 * @param height of that block
 * @param length along the axes: a face width a plane, gaps between them, and a plate a carrier
 * @param diameter of the smallest cylinder along the axes
 */
public record Box(double width, double height, double length, double diameter) {
  private static final int SAMPLES = 180;

  /** Thickness of a carrier's plate in modules. */
  private static final double PLATE = 4;

  public static Box of(Train train, FaceLayout layout) {
    double module = Drives.moduleMm(train);
    double[] box = layout.bounds();
    List<Coordinate> rims = new ArrayList<>();
    for (Placed body : layout.bodies()) {
      double x = body.orbit().map(Placed.Orbit::x).orElse(body.x());
      double y = body.orbit().map(Placed.Orbit::y).orElse(body.y());
      double radius = Math.hypot(body.x() - x, body.y() - y) + body.bodyRadius();
      for (int k = 0; k < SAMPLES; k++) {
        double angle = 2 * Math.PI * k / SAMPLES;
        rims.add(new Coordinate(x + radius * Math.cos(angle), y + radius * Math.sin(angle)));
      }
    }
    double radius =
        new MinimumBoundingCircle(
                new GeometryFactory().createMultiPointFromCoords(rims.toArray(Coordinate[]::new)))
            .getRadius();
    return new Box(
        (box[2] - box[0]) * module,
        (box[3] - box[1]) * module,
        length(train, layout, module),
        2 * radius * module);
  }

  private static double length(Train train, FaceLayout layout, double module) {
    Map<Integer, Double> planes = new TreeMap<>();
    for (Placed body : layout.bodies()) {
      for (Member member : train.members()) {
        if (member.id().equals(body.id()) && member.teeth().isPresent()) {
          planes.merge(body.plane(), Blank.of(train, member).widthMm(), Math::max);
        }
      }
    }
    double sum = planes.values().stream().mapToDouble(width -> width).sum();
    double gaps = Math.max(0, planes.size() - 1) * Blank.ROW_GAP * module;
    return sum + gaps + layout.carriers().size() * PLATE * module;
  }

  /** The larger side of the block. */
  public double side() {
    return Math.max(width, height);
  }
}
