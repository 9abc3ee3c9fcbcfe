package steadycog.assembly;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.locationtech.jts.algorithm.locate.IndexedPointInAreaLocator;
import org.locationtech.jts.densify.Densifier;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Location;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.distance.IndexedFacetDistance;
import steadycog.piece.BevelBody;
import steadycog.piece.Piece;
import steadycog.shape.Polar;

/**
 * Two bevel gears that turn about axes at right angles, with one apex. All lines of their teeth go
 * through it, so that it is enough to lay them over each other as they are seen from there: a point
 * of one is looked up in the teeth of the other on its developed back cone, where distances at the
 * heel are true.
 */
final class BevelMesh {
  private static final GeometryFactory FACTORY = new GeometryFactory();

  /** Teeth of the other to each side that may be in touch. */
  private static final int NEIGHBOURS = 2;

  private final Piece a;
  private final Piece b;
  private final Teeth one;
  private final Teeth other;

  BevelMesh(Piece a, Piece b, double chord, double step) {
    this.a = a;
    this.b = b;
    one = new Teeth(a.bevel().orElseThrow(), chord, step);
    other = new Teeth(b.bevel().orElseThrow(), chord, step);
  }

  /** One pitch of a gear's teeth on its developed back cone, in mm, the tooth to the right. */
  private static final class Teeth {
    private final BevelBody body;
    private final Coordinate[] corners;
    private final IndexedPointInAreaLocator inside;
    private final IndexedFacetDistance boundary;

    Teeth(BevelBody body, double chord, double step) {
      this.body = body;
      double module = body.moduleMm();
      List<Coordinate> line = new ArrayList<>();
      for (Polar point : body.gear().line(chord / module, body.thinning())) {
        line.add(at(module * point.radius(), point.angle()));
      }
      Coordinate[] open = line.toArray(Coordinate[]::new);
      corners = Densifier.densify(FACTORY.createLineString(open), step).getCoordinates();
      line.add(new Coordinate(0, 0));
      line.add(line.getFirst());
      Polygon wedge = FACTORY.createPolygon(line.toArray(Coordinate[]::new));
      inside = new IndexedPointInAreaLocator(wedge);
      // The wedge's straight sides are no surface: what counts is the line of the teeth.
      boundary = new IndexedFacetDistance(FACTORY.createLineString(open));
    }

    private static Coordinate at(double radius, double angle) {
      return new Coordinate(radius * Math.cos(angle), radius * Math.sin(angle));
    }

    /** How deep a point in the direction of x, y, z from the apex lies in it, the axis being z. */
    double depth(double x, double y, double z) {
      double angle = body.gear().angle();
      double from = Math.atan2(Math.hypot(x, y), z) - angle;
      double cone = body.moduleMm() * body.gear().coneDistance();
      double radius = body.moduleMm() * body.gear().virtualTeeth() / 2 + cone * Math.tan(from);
      double pitch = 2 * Math.PI / body.gear().teeth();
      double turned = Math.IEEEremainder(Math.atan2(y, x), pitch) * Math.cos(angle);
      Coordinate at = at(radius, turned);
      return radius > 0 && inside.locate(at) == Location.INTERIOR
          ? boundary.distance(FACTORY.createPoint(at))
          : 0;
    }
  }

  /** The deepest that one reaches into the other while they turn on by a tooth. */
  Optional<Collision> collision(int positions) {
    double deepest = 0;
    for (int k = 0; k < positions; k++) {
      double share = (double) k / positions;
      deepest = Math.max(deepest, reach(one, other, share, 0.5 + share));
      deepest = Math.max(deepest, reach(other, one, 0.5 + share, share));
    }
    return deepest == 0
        ? Optional.empty()
        : Optional.of(
            new Collision(
                a,
                b,
                deepest,
                one.body.radius(),
                one.body.toe() * one.body.mounting(),
                one.body.mounting()));
  }

  /**
   * How deep corners of one gear reach into the other, both turned by shares of a pitch, towards y
   * where they meet. The axis of the gear is x, that of the other z, and each counts its angle from
   * the axis of the other.
   */
  private static double reach(Teeth gear, Teeth into, double turned, double turnedInto) {
    double deepest = 0;
    double pitch = 2 * Math.PI / gear.body.gear().teeth();
    double shift = 2 * Math.PI / into.body.gear().teeth() * turnedInto;
    double module = gear.body.moduleMm();
    double cos = Math.cos(gear.body.gear().angle());
    for (int tooth = -NEIGHBOURS; tooth <= NEIGHBOURS; tooth++) {
      for (Coordinate corner : gear.corners) {
        double radius = Math.hypot(corner.x, corner.y);
        double angle = Math.atan2(corner.y, corner.x) / cos + pitch * (tooth + turned);
        double out = radius * cos;
        double along = module * gear.body.gear().depth(radius / module);
        double x = along;
        double y = out * Math.sin(angle);
        double z = out * Math.cos(angle);
        double back = -shift;
        deepest =
            Math.max(
                deepest,
                into.depth(
                    x * Math.cos(back) - y * Math.sin(back),
                    x * Math.sin(back) + y * Math.cos(back),
                    z));
      }
    }
    return deepest;
  }
}
