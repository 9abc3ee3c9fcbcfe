package steadycog.gearbox;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import steadycog.gearbox.Item.Layer;

/** Whether bodies meet when one of them is moved, each pair worked out once. */
final class Meeting {
  /** Areas that overlap by less all round only touch, mm: outlines follow arcs by chords. */
  private static final double TOUCH = 0.02;

  /** Faces nearer than this along the axes are in one plane, mm. */
  static final double LEVEL = 1e-6;

  /** An overlap that is nowhere narrower is one without looking closer, mm. */
  private static final double PLAIN = 0.3;

  private final Map<List<Layer>, Boolean> overlaps = new HashMap<>();
  private final Map<Way, OptionalDouble> travels = new HashMap<>();

  /**
   * How far a body can be moved up before it meets another; empty where it never does.
   *
   * @param up whether it is moved away from the drive end, else towards it
   */
  OptionalDouble travel(Item moved, Item other, boolean up) {
    return travels.computeIfAbsent(new Way(moved, other, up), way -> way.travel(this));
  }

  /** One body moved towards another; items are told apart by their identity. */
  private record Way(Item moved, Item other, boolean up) {
    OptionalDouble travel(Meeting meeting) {
      return meeting.worked(moved, other, up);
    }
  }

  private OptionalDouble worked(Item moved, Item other, boolean up) {
    double least = Double.POSITIVE_INFINITY;
    for (Layer own : moved.layers()) {
      for (Layer its : other.layers()) {
        double way = up ? its.from() - own.to() : own.from() - its.to();
        boolean ahead = up ? its.to() > own.from() + LEVEL : its.from() < own.to() - LEVEL;
        if (ahead && way < least && overlap(own, its)) {
          least = Math.max(0, way);
        }
      }
    }
    return Double.isInfinite(least) ? OptionalDouble.empty() : OptionalDouble.of(least);
  }

  private boolean overlap(Layer one, Layer other) {
    if (!one.box().intersects(other.box())) {
      return false;
    }
    // Layers are told apart by their identity: they are never made twice.
    return overlaps.computeIfAbsent(List.of(one, other), pair -> meet(one.area(), other.area()));
  }

  static boolean meet(Geometry one, Geometry other) {
    if (!one.getEnvelopeInternal().intersects(other.getEnvelopeInternal())) {
      return false;
    }
    Geometry shared = OverlayNGRobust.overlay(one, other, OverlayNG.INTERSECTION);
    double area = shared.getArea();
    if (area == 0) {
      return false;
    }
    for (int k = 0; k < shared.getNumGeometries(); k++) {
      Geometry part = shared.getGeometryN(k);
      // A strip is about as wide as twice its area over the length of its edge.
      if (2 * part.getArea() > PLAIN * part.getLength()) {
        return true;
      }
    }
    return !shared.buffer(-TOUCH).isEmpty();
  }
}
