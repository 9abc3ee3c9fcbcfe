package steadycog.gearbox;

import java.util.ArrayList;
import java.util.List;
import steadycog.piece.Region;
import steadycog.piece.Region.Round;
import steadycog.piece.Slab;
import steadycog.shape.PlacedCarrier;
import steadycog.shape.PlacedWheel;
import steadycog.shape.Polar;
import steadycog.train.Screw;

/**
 * Posts between the planets that tie a carrier's two plates, and the screw into each; none where
 * planets leave no room, and the plates are pressed onto their pins.
 *
 * @param at about the carrier's axis, mm
 * @param radius of each post, mm
 */
record Ties(List<double[]> at, double radius, Screw screw) {
  /** A post thinner than this bears no screw, mm. */
  private static final double LEAST_POST = 1.6;

  /** Between posts and what turns past them, mm. */
  private static final double AIR = 0.6;

  /** Threads go on beyond their screws, mm. */
  static final double THREAD_ROOM = 0.5;

  private static final int TRIES = 200;
  private static final double FAR = 1e9;
  private static final Ties NONE = new Ties(List.of(), 0, Screw.usual().getFirst());

  /**
   * Where posts have most room, midway between neighbouring pins; none where that is too little.
   *
   * @param wheels of the set
   * @param module of the layout, mm
   * @param height of the posts, mm
   */
  static Ties of(PlacedCarrier carrier, List<PlacedWheel> wheels, double module, double height) {
    List<double[]> at = new ArrayList<>();
    double least = Double.MAX_VALUE;
    for (double angle : between(carrier)) {
      double best = 0;
      double[] place = {0, 0};
      for (int t = 1; t < TRIES; t++) {
        double r = carrier.bodyRadius() * module * t / TRIES;
        double[] next = {r * Math.cos(angle), r * Math.sin(angle)};
        double clear = clear(next, carrier, wheels, module);
        if (clear > best) {
          best = clear;
          place = next;
        }
      }
      if (best >= LEAST_POST) {
        at.add(place);
        least = Math.min(least, best);
      }
    }
    double radius = least;
    return at.size() < 2
        ? NONE
        : CentralBox.screwIn(radius, height)
            .map(screw -> new Ties(at, Math.min(radius, 2 * screw.diameter()), screw))
            .orElse(NONE);
  }

  /** The middles between pins; of one pin alone three directions away from it. */
  private static List<Double> between(PlacedCarrier carrier) {
    double[] pins = carrier.pins().stream().mapToDouble(Polar::angle).sorted().toArray();
    if (pins.length == 1) {
      return List.of(pins[0] + Math.PI / 3, pins[0] + Math.PI, pins[0] - Math.PI / 3);
    }
    List<Double> all = new ArrayList<>();
    for (int k = 0; k < pins.length; k++) {
      double next = k + 1 < pins.length ? pins[k + 1] : pins[0] + 2 * Math.PI;
      all.add((pins[k] + next) / 2);
    }
    return all;
  }

  /** How thick a post at a place about the axis may be, mm. */
  private static double clear(
      double[] at, PlacedCarrier carrier, List<PlacedWheel> wheels, double module) {
    double r = Math.hypot(at[0], at[1]);
    double clear = carrier.bodyRadius() * module - r;
    for (PlacedWheel wheel : wheels) {
      double tip = wheel.tipRadius() * module;
      double dx = (wheel.x() - carrier.x()) * module - at[0];
      double dy = (wheel.y() - carrier.y()) * module - at[1];
      double free = wheel.teeth().internal() ? tip - r : Math.hypot(dx, dy) - tip;
      clear = Math.min(clear, free - AIR);
    }
    return clear;
  }

  boolean isNone() {
    return at.isEmpty();
  }

  /** What is said of the plate that they are in one with. */
  String remark() {
    return isNone() ? "pressed onto the pins" : "its posts tie the plates";
  }

  /** How far the heads of the screws stand out, mm. */
  double head() {
    return isNone() ? 0 : screw.height();
  }

  /** Of the screws, through a plate so thick. */
  int length(double plate) {
    return Screw.lengthFrom(plate + Box.thread(screw));
  }

  /** Where threads end that begin at {@code from}. */
  double end(double from, double plate) {
    return from + length(plate) - plate + THREAD_ROOM;
  }

  /** Posts between two heights, with threads for the screws through a plate before them. */
  List<Slab> posts(double from, double to, double plate) {
    if (isNone()) {
      return List.of();
    }
    List<Round> circles = at.stream().map(one -> new Round(one[0], one[1], radius)).toList();
    return new Block(from, to, new Region(List.of(), circles))
        .hole(at, screw.core() / 2, from, end(from, plate))
        .slabs();
  }

  /** How far from the axis the heads of the screws leave free, mm. */
  double free() {
    return nearest() + radius - screw.head() / 2;
  }

  /** The nearest and the farthest that posts come to the axis, mm. */
  double nearest() {
    return at.stream().mapToDouble(one -> Math.hypot(one[0], one[1])).min().orElse(FAR) - radius;
  }

  double farthest() {
    return at.stream().mapToDouble(one -> Math.hypot(one[0], one[1])).max().orElse(0) + radius;
  }
}
