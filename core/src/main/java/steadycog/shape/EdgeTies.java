package steadycog.shape;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import steadycog.shape.EdgeLayout.EdgeCone;
import steadycog.shape.EdgeLayout.EdgeElement;
import steadycog.shape.EdgeLayout.EdgeLink;
import steadycog.shape.EdgeLayout.EdgePoint;
import steadycog.shape.EdgeLayout.EdgeWheel;
import steadycog.train.Differential;
import steadycog.train.Element;
import steadycog.train.Join;
import steadycog.train.MemberId;
import steadycog.train.Train;

/**
 * What ties members in the side view: drums outside of the sets where shafts cannot do it, brakes
 * to a housing above, clutches below. Each has a level of its own, so that none lies on another.
 */
final class EdgeTies {
  /** Between what is tied and its tie, and between ties, as a share of the height of all bodies. */
  private static final double LEVEL = 0.07;

  /** Whoever is held nearer to its axis than this is held by its shaft. */
  private static final double SHAFT = 2;

  private final Train train;
  private final Function<MemberId, EdgePoint> access;
  private final Axes lines;
  private final double low;
  private final double high;
  private final double step;
  private final List<EdgeLink> links = new ArrayList<>();

  EdgeTies(
      Train train,
      Function<MemberId, EdgePoint> access,
      Axes lines,
      List<EdgeWheel> wheels,
      List<EdgeCone> cones) {
    this.train = train;
    this.access = access;
    this.lines = lines;
    double[] range = EdgeLayout.bodies(wheels, cones);
    low = range[0];
    high = range[1];
    step = LEVEL * (high - low);
    for (Join join : train.joins()) {
      addLink(join, wheels);
    }
  }

  List<EdgeLink> links() {
    return links;
  }

  /** Members of different parts on one line, of which one is reached from outside only. */
  private void addLink(Join join, List<EdgeWheel> wheels) {
    EdgePoint from = access.apply(join.a());
    EdgePoint to = access.apply(join.b());
    boolean apart = !join.a().part().equals(join.b().part()) && from.at() != to.at();
    boolean ring = isRing(join.a(), wheels) || isRing(join.b(), wheels);
    if (apart && ring && lines.of(join.a()) == lines.of(join.b())) {
      double least = Math.min(from.at(), to.at());
      double most = Math.max(from.at(), to.at());
      double outer = Math.max(from.radius(), to.radius());
      for (EdgeWheel wheel : wheels) {
        boolean between = wheel.plane() >= least - 0.5 && wheel.plane() <= most + 0.5;
        if (between && lines.of(wheel.id()) == lines.of(join.a())) {
          outer = Math.max(outer, wheel.outer());
        }
      }
      links.add(new EdgeLink(join.a(), from, join.b(), to, outer + step * (1 + links.size())));
    }
  }

  /** The case of a differential has a sleeve to be reached by. */
  private boolean isRing(MemberId member, List<EdgeWheel> wheels) {
    return train.partOf(member, Differential.class).isEmpty()
        && wheels.stream().anyMatch(wheel -> wheel.id().equals(member) && wheel.isRing());
  }

  /** Brakes reach up to one housing; each clutch has a level of its own below. */
  List<EdgeElement> elements(List<Element> elements) {
    double top = high;
    double bottom = low;
    for (EdgeLink link : links) {
      top = Math.max(top, link.from().height() + link.radius());
      bottom = Math.min(bottom, link.from().height() - link.radius());
    }
    List<EdgeElement> all = new ArrayList<>();
    for (Element element : elements) {
      List<EdgePoint> ends = element.members().stream().map(this::outermost).toList();
      switch (element) {
        case Element.Brake brake -> all.add(new EdgeElement(element, ends, top + 1.6 * step));
        case Element.Clutch clutch -> {
          bottom -= 1.8 * step;
          all.add(new EdgeElement(element, ends, bottom));
        }
      }
    }
    return all;
  }

  /** Where a member is taken hold of from outside: on its drum where it has one. */
  private EdgePoint outermost(MemberId member) {
    EdgePoint own = access.apply(member);
    for (EdgeLink link : links) {
      boolean ends = link.a().equals(member) || link.b().equals(member);
      if (ends && own.radius() > SHAFT) {
        return new EdgePoint(own.at(), own.height(), link.radius());
      }
    }
    return own;
  }
}
