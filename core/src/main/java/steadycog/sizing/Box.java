package steadycog.sizing;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.algorithm.MinimumBoundingCircle;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import steadycog.piece.Levels;
import steadycog.shape.Drives;
import steadycog.shape.Envelope;
import steadycog.shape.FaceLayout;
import steadycog.train.Train;

/**
 * The room that a train takes, mm.
 *
 * @param width of the smallest upright block round all bodies, wherever carriers take them
 * @param height of that block
 * @param length along the axes, of all pieces as they are made
 * @param diameter of the smallest cylinder along the axes
 */
public record Box(double width, double height, double length, double diameter) {
  private static final int SAMPLES = 180;

  public static Box of(Train train, FaceLayout layout) {
    double module = Drives.moduleMm(train);
    Envelope around = Envelope.of(train, layout);
    return new Box(
        around.width() * module,
        around.height() * module,
        Levels.of(train, layout).height(),
        2 * radius(around) * module);
  }

  private static double radius(Envelope around) {
    List<Coordinate> rims = new ArrayList<>();
    for (Envelope.Swept circle : around.circles()) {
      for (int k = 0; k < SAMPLES; k++) {
        double angle = 2 * Math.PI * k / SAMPLES;
        rims.add(
            new Coordinate(
                circle.x() + circle.radius() * Math.cos(angle),
                circle.y() + circle.radius() * Math.sin(angle)));
      }
    }
    return new MinimumBoundingCircle(
            new GeometryFactory().createMultiPointFromCoords(rims.toArray(Coordinate[]::new)))
        .getRadius();
  }
}
