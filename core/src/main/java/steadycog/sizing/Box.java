package steadycog.sizing;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.locationtech.jts.algorithm.MinimumBoundingCircle;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import steadycog.piece.Blank;
import steadycog.shape.Axes;
import steadycog.shape.Drives;
import steadycog.shape.Envelope;
import steadycog.shape.FaceLayout;
import steadycog.shape.Placed;
import steadycog.shape.PlacedCarrier;
import steadycog.train.Member;
import steadycog.train.Part;
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
    Envelope around = Envelope.of(train, layout);
    return new Box(
        around.width() * module,
        around.height() * module,
        length(train, layout, module),
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

  /** Sets in line stand behind each other; wheels on parallel shafts share their planes. */
  private static double length(Train train, FaceLayout layout, double module) {
    if (!train.hasSeveralSets()) {
      return depth(train, train.members(), layout, module);
    }
    Axes inLine = Axes.of(train);
    Map<Integer, Double> lines = new TreeMap<>();
    for (Part part : train.parts()) {
      int line = inLine.of(part.shafts().getFirst());
      lines.merge(line, depth(train, part.members(), layout, module), Double::sum);
    }
    return lines.values().stream().mapToDouble(depth -> depth).max().orElse(0);
  }

  private static double depth(Train train, List<Member> members, FaceLayout layout, double module) {
    Map<Integer, Double> planes = new TreeMap<>();
    double plates = 0;
    for (Placed body : layout.bodies()) {
      for (Member member : members) {
        boolean here = member.id().equals(body.id());
        if (here && member.teeth().isPresent()) {
          planes.merge(body.plane(), Blank.of(train, member.id()).widthMm(), Math::max);
        }
        plates += here && body instanceof PlacedCarrier ? PLATE * module : 0;
      }
    }
    double sum = planes.values().stream().mapToDouble(width -> width).sum();
    return sum + Math.max(0, planes.size() - 1) * Blank.ROW_GAP * module + plates;
  }
}
