package steadycog.shape;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import steadycog.train.Train;

/**
 * The circles that a train's bodies sweep, seen along the axes, in modules: sets that are drawn
 * beside each other although their axes are in line stand in line here.
 *
 * @param circles one a body, wherever its carrier takes it
 */
public record Envelope(List<Swept> circles) {

  /** A circle. */
  public record Swept(double x, double y, double radius) {}

  public Envelope {
    circles = List.copyOf(circles);
  }

  public static Envelope of(Train train, FaceLayout layout) {
    Axes inLine = Axes.of(train);
    Map<Integer, double[]> middles = new HashMap<>();
    List<Swept> all = new ArrayList<>();
    for (Placed body : layout.bodies()) {
      int axis = inLine.of(body.orbit().map(Placed.Orbit::carrier).orElse(body.id()));
      double[] middle =
          middles.computeIfAbsent(axis, none -> new double[] {body.middleX(), body.middleY()});
      all.add(new Swept(middle[0], middle[1], body.sweptRadius()));
    }
    return new Envelope(all);
  }

  /** Width of the upright box round all. */
  public double width() {
    return extent(true);
  }

  /** Height of the upright box round all. */
  public double height() {
    return extent(false);
  }

  private double extent(boolean across) {
    double least = Double.MAX_VALUE;
    double most = -Double.MAX_VALUE;
    for (Swept circle : circles) {
      double at = across ? circle.x : circle.y;
      least = Math.min(least, at - circle.radius);
      most = Math.max(most, at + circle.radius);
    }
    return most - least;
  }
}
