package steadycog.gearbox;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.util.AffineTransformation;
import steadycog.piece.Piece.Stand;
import steadycog.piece.Region;
import steadycog.piece.Slab;

/**
 * One body of a gearbox where it stands, as areas with heights.
 *
 * @param component what it is one of
 * @param copy which of several, from 0
 * @param layers from the lowest up
 */
record Item(Component component, int copy, Stand stand, List<Layer> layers) {

  private static final double CONVEX = 0.999;

  /** What it fills between two heights. */
  record Layer(double from, double to, Region region, Geometry area, Envelope box) {
    @Override
    public boolean equals(@Nullable Object other) {
      return this == other;
    }

    @Override
    public int hashCode() {
      return System.identityHashCode(this);
    }
  }

  @Override
  public boolean equals(@Nullable Object other) {
    return this == other;
  }

  @Override
  public int hashCode() {
    return System.identityHashCode(this);
  }

  static List<Item> all(Gearbox box, double chord) {
    List<Item> all = new ArrayList<>();
    for (Component component : box.components()) {
      List<Slab> slabs = component.piece().slabsInTrain();
      List<Geometry> areas = slabs.stream().map(slab -> slab.region().area(chord)).toList();
      for (int copy = 0; copy < component.count(); copy++) {
        Stand stand = component.piece().stands().get(copy);
        List<Layer> layers = new ArrayList<>();
        for (int k = 0; k < areas.size(); k++) {
          Slab slab = slabs.get(k);
          Geometry area =
              AffineTransformation.rotationInstance(stand.angle())
                  .translate(stand.x(), stand.y())
                  .transform(areas.get(k));
          layers.add(
              new Layer(
                  stand.z() + slab.from(),
                  stand.z() + slab.to(),
                  slab.region().placed(stand.angle(), stand.x(), stand.y()),
                  area,
                  area.getEnvelopeInternal()));
        }
        all.add(new Item(component, copy, stand, List.copyOf(layers)));
      }
    }
    return all;
  }

  /** Whether it is a bar along the axes without dents or holes, which can be pushed in sideways. */
  boolean isBar() {
    return layers.size() == 1
        && layers.getFirst().region.circles().isEmpty()
        && layers.getFirst().region.lines().size() == 1
        && layers.getFirst().area.getArea()
            > CONVEX * layers.getFirst().area.convexHull().getArea();
  }

  double from() {
    return layers.getFirst().from;
  }

  double to() {
    return layers.getLast().to;
  }

  /** {@code planet pin 2}, or its name alone where there is one. */
  String says() {
    return component.count() == 1 ? component.name() : component.name() + " " + (copy + 1);
  }

  boolean isOf(String name) {
    return component.name().equals(name);
  }
}
