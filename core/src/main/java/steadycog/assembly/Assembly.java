package steadycog.assembly;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import steadycog.assembly.Shape.Depth;
import steadycog.assembly.Shape.Place;
import steadycog.motion.FreeMotion;
import steadycog.motion.Mechanism;
import steadycog.number.Known;
import steadycog.number.Pace;
import steadycog.piece.Flexing;
import steadycog.piece.Piece;
import steadycog.piece.Pieces;
import steadycog.piece.Region;
import steadycog.piece.Slab;
import steadycog.shape.BevelPair;
import steadycog.shape.Drives;
import steadycog.shape.FaceLayout;
import steadycog.shape.Placed;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Part;
import steadycog.train.Train;

/** All pieces of a train in their places, turning as its meshes and shafts let them. */
public final class Assembly {
  /** Straight pieces of outlines leave the true line by no more than this, mm. */
  private static final double CHORD = 0.005;

  /** The same in modules, for small teeth. */
  private static final double FINE = 1.0 / 250;

  private static final double LEAST_CHORD = 0.0005;

  /** Outlines that follow arcs by chords seem to overlap by so many of them where they touch. */
  private static final double CHORDS = 2;

  /** A film of oil at least, mm and in modules: less is told from touching by nobody. */
  private static final double FILM = 0.002;

  /** The longest stretch of an outline without a point that is tried, in modules. */
  private static final double STEP = 0.25;

  private static final double LEAST_STEP = 0.1;

  /** The least of a tooth that the slowest mesh moves on while all positions are tried. */
  private static final double PASSED = 2;

  private static final double MOST_TURNS = 1e6;
  private static final double GOLDEN = (Math.sqrt(5) - 1) / 2;

  /** Beyond such a depth, in modules, it is no matter how deep. */
  private static final double ENOUGH = 0.2;

  /** Slabs that share less than this along the axis only touch, mm. */
  private static final double TOUCH = 1e-6;

  private final Train train;
  private final FreeMotion motion;
  private final double chord;
  private final double step;
  private final double enough;
  private final double[] span;
  private final List<Body> bodies = new ArrayList<>();
  private final Map<Piece, String> unmade = new LinkedHashMap<>();
  private final List<Piece> bevels = new ArrayList<>();
  private final IdentityHashMap<Region, Shape> shapes = new IdentityHashMap<>();

  private Assembly(Train train, FreeMotion motion) {
    this.train = train;
    this.motion = motion;
    double module = Drives.moduleMm(train);
    chord = chord(train);
    enough = ENOUGH * module;
    step = Math.max(STEP * module, LEAST_STEP);
    span = span();
  }

  /** How far outlines that are tried may leave the true line, mm. */
  public static double chord(Train train) {
    return Math.clamp(FINE * Drives.moduleMm(train), LEAST_CHORD, CHORD);
  }

  private void put(FaceLayout layout, Pace pace) {
    double module = Drives.moduleMm(train);
    TrueAxes axes = TrueAxes.of(train, layout);
    Map<MemberId, Integer> axisOf = new HashMap<>();
    for (Placed placed : layout.bodies()) {
      axisOf.putIfAbsent(placed.id(), placed.axis());
    }
    for (Piece piece : Pieces.of(train, layout, chord).all()) {
      pace.at(0);
      if (isMade(piece)) {
        int axis = Known.in(axisOf, piece.member());
        double[] moved = axes.moved(axis);
        put(piece, axes.group(axis), moved[0] * module, moved[1] * module);
      }
    }
  }

  /** Whether it is made of slabs; what cannot be made, and bevel gears, are kept by themselves. */
  private boolean isMade(Piece piece) {
    Optional<String> flaw = piece.flaw(chord);
    if (flaw.isPresent()) {
      unmade.put(piece, flaw.get());
    } else if (piece.bevel().isPresent()) {
      bevels.add(piece);
    }
    return flaw.isEmpty() && piece.bevel().isEmpty();
  }

  private void put(Piece piece, int group, double dx, double dy) {
    piece.stands().forEach(stand -> bodies.add(new Body(piece, stand, group, dx, dy)));
  }

  /**
   * Pieces of one box in their places, what is held held.
   *
   * @param pieces made within {@link #chord}
   */
  public static Assembly of(Train train, List<Piece> pieces, Pace pace) {
    Assembly assembly = new Assembly(train, FreeMotion.held(Mechanism.of(train)));
    for (Piece piece : pieces) {
      pace.at(0);
      if (assembly.isMade(piece)) {
        assembly.put(piece, 0, 0, 0);
      }
    }
    return assembly;
  }

  /** The pieces of {@code train}, laid out as {@code layout} says. */
  public static Assembly of(Train train, FaceLayout layout) {
    return of(train, layout, Pace.FREE);
  }

  /** The same, perhaps stopped by {@code pace}. */
  public static Assembly of(Train train, FaceLayout layout, Pace pace) {
    pace.at(0);
    Assembly assembly = new Assembly(train, FreeMotion.of(Mechanism.of(train)));
    assembly.put(layout, pace);
    return assembly;
  }

  /** The pieces that cannot be made, each with why: nothing else can be said of them. */
  public Map<Piece, String> unmade() {
    return Collections.unmodifiableMap(unmade);
  }

  /** Overlaps up to this cannot be told from touching, mm. */
  public double tolerance() {
    return CHORDS * chord + FILM * Math.max(1, Drives.moduleMm(train));
  }

  /**
   * One piece where it stands.
   *
   * @param group of bodies whose places against each other are known
   * @param dx by how much it stands elsewhere than it is drawn, mm
   */
  private record Body(Piece piece, Piece.Stand stand, int group, double dx, double dy) {

    double from() {
      return stand.z() + piece.slabs().getFirst().from();
    }

    double to() {
      return stand.z() + piece.slabs().getLast().to();
    }

    Place at(FreeMotion motion, double[] choice) {
      double own = isStill(piece) ? 0 : 2 * Math.PI * motion.turns(piece.member(), choice);
      Piece.Stand at = stand.turned(own, member -> 2 * Math.PI * motion.turns(member, choice));
      return new Place(at.x() + dx, at.y() + dy, at.angle());
    }
  }

  private static boolean isStill(Piece piece) {
    return piece.member().equals(Piece.FRAME);
  }

  /** Whether two bodies never move against each other. */
  private boolean isOne(Body a, Body b) {
    if (isFixed(a) || isFixed(b)) {
      return isFixed(a) && isFixed(b);
    }
    return isPlain(a) && isPlain(b) && motion.turnAsOne(a.piece.member(), b.piece.member());
  }

  private boolean isFixed(Body body) {
    return isStill(body.piece) || (isPlain(body) && motion.isStill(body.piece.member()));
  }

  /** Whether it turns about one axis alone, which need not go through it. */
  private boolean isPlain(Body body) {
    return body.stand
        .orbit()
        .filter(orbit -> !motion.turnAsOne(orbit.carrier(), body.piece.member()))
        .isEmpty();
  }

  /** Turns of each choice over which all meshes pass their teeth. */
  private double[] span() {
    double[] all = new double[motion.choices()];
    for (int k = 0; k < all.length; k++) {
      double least = Double.MAX_VALUE;
      for (Mesh mesh : train.meshes()) {
        int choice = k;
        double frame = mesh.carrier().map(carrier -> motion.share(carrier, choice)).orElse(0.0);
        double passed = Math.abs(motion.share(mesh.a(), k) - frame) * mesh.teethA().count();
        least = passed > 0 ? Math.min(least, passed) : least;
      }
      all[k] = Math.clamp(PASSED / least, 1, MOST_TURNS);
    }
    return all;
  }

  /** Position {@code k} of all choices; the first is as laid out, the others spread evenly. */
  private double[] choice(int k) {
    double[] turns = new double[span.length];
    for (int c = 0; c < turns.length; c++) {
      double share = k * GOLDEN * (c + 1);
      turns[c] = span[c] * (share - Math.floor(share));
    }
    return turns;
  }

  /**
   * The pieces that run into each other, the deepest first, each pair once. Cost: pieces that are
   * near each other times positions times the points of their outlines.
   *
   * @param positions how many are tried
   */
  public List<Collision> collisions(int positions, Pace pace) {
    Map<String, Collision> worst = new LinkedHashMap<>();
    int at = 0;
    for (int a = 0; a < bodies.size(); a++) {
      for (int b = a + 1; b < bodies.size(); b++) {
        Body one = bodies.get(a);
        Body other = bodies.get(b);
        if (one.group == other.group
            && Math.min(one.to(), other.to()) > TOUCH + Math.max(one.from(), other.from())) {
          tryPair(one, other, positions, worst, pace);
        }
      }
      at++;
      pace.at((double) at / bodies.size());
    }
    bevels(worst, positions, pace);
    return worst.values().stream()
        .sorted(Comparator.comparingDouble(Collision::depth).reversed())
        .toList();
  }

  /** Bevel gears turn about axes of their own, so that each pair is tried by itself. */
  private void bevels(Map<String, Collision> worst, int positions, Pace pace) {
    for (Part part : train.parts()) {
      List<Piece> made =
          bevels.stream().filter(p -> p.member().part().equals(part.name())).toList();
      // Sides are alike: what is so of one of them and the spiders is so of the other.
      if (BevelPair.of(train, part).isPresent() && made.size() > 1) {
        pace.at(0);
        BevelMesh mesh = new BevelMesh(made.getFirst(), made.getLast(), chord, step);
        mesh.collision(positions)
            .filter(one -> one.depth() > tolerance())
            .ifPresent(one -> worst.put(one.a().name() + "|" + one.b().name(), one));
      }
    }
  }

  private void tryPair(Body a, Body b, int positions, Map<String, Collision> worst, Pace pace) {
    boolean still = isOne(a, b);
    String pair = a.piece.name() + "|" + b.piece.name();
    for (int k = 0; k < (still ? 1 : positions) && !isEnough(worst.get(pair)); k++) {
      pace.at(0);
      double[] choice = choice(k);
      Place atA = a.at(motion, choice);
      Place atB = b.at(motion, choice);
      for (int i = 0; i < a.piece.slabs().size(); i++) {
        for (int j = 0; j < b.piece.slabs().size(); j++) {
          Slab one = a.piece.slabs().get(i);
          Slab two = b.piece.slabs().get(j);
          double from = Math.max(a.stand.z() + one.from(), b.stand.z() + two.from());
          double to = Math.min(a.stand.z() + one.to(), b.stand.z() + two.to());
          if (to - from > TOUCH) {
            Depth depth =
                Shape.of(shape(a, i, choice), atA, shape(b, j, choice), atB, tolerance(), enough);
            if (depth.mm() > tolerance()) {
              double radius = Math.hypot(depth.x() - atA.x(), depth.y() - atA.y());
              worst.merge(
                  pair,
                  new Collision(a.piece, b.piece, depth.mm(), radius, from, to),
                  (old, next) -> next.depth() > old.depth() ? next : old);
            }
          }
        }
      }
    }
  }

  private boolean isEnough(@Nullable Collision known) {
    return known != null && known.depth() > enough;
  }

  private Shape shape(Body body, int slab, double[] choice) {
    Slab one = body.piece.slabs().get(slab);
    return body.piece.isBent(one)
        ? new Shape(bent(body.piece.member(), choice), chord, step)
        : shapes.computeIfAbsent(one.region(), region -> new Shape(region, chord, step));
  }

  private Region bent(MemberId flex, double[] choice) {
    return Flexing.of(train, flex)
        .bent(member -> 2 * Math.PI * motion.turns(member, choice), chord);
  }
}
