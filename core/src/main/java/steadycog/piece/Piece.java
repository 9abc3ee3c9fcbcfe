package steadycog.piece;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import steadycog.train.MemberId;

/**
 * One body to be made.
 *
 * @param member whose body it is
 * @param name of the piece, its own in the train: {@code planet}, {@code planet 2}
 * @param remark what else to know, as {@code 3 alike} or {@code 2 of 3, clocked by 1/5 tooth}
 * @param slabs from the bottom up; they do not overlap
 * @param stands where it stands in the train, one for each that is made
 * @param obstacle why it cannot be made, whatever its outline looks like; empty where it can
 * @param running how it looks in the train where that is not how it is made, about its axis there;
 *     empty for what is rigid
 * @param bevel what is made where that is no stack of slabs: the slabs are then flat templates to
 *     be bent round its ends
 */
public record Piece(
    MemberId member,
    String name,
    String remark,
    List<Slab> slabs,
    List<Stand> stands,
    Optional<String> obstacle,
    List<Region> running,
    Optional<BevelBody> bevel) {

  /**
   * A place in the train: turned by {@code angle} radians, then moved, mm.
   *
   * @param z where its bottom stands along the axes
   * @param orbit the member that takes its axis round, and where about; empty for an axis at rest
   */
  public record Stand(double x, double y, double z, double angle, Optional<Orbit> orbit) {

    /** The same so much higher. */
    public Stand raised(double by) {
      return new Stand(x, y, z + by, angle, orbit);
    }

    /** The same elsewhere, and what takes it round with it. */
    public Stand moved(double dx, double dy, double dz) {
      return new Stand(
          x + dx,
          y + dy,
          z + dz,
          angle,
          orbit.map(round -> new Orbit(round.carrier, round.x + dx, round.y + dy)));
    }

    /**
     * Where it is when the crank has been turned.
     *
     * @param own by how much its member has turned, radians
     * @param turned by how much any member has turned, radians: asked of what takes it round
     */
    public Stand turned(double own, ToDoubleFunction<MemberId> turned) {
      if (orbit.isEmpty()) {
        return new Stand(x, y, z, angle + own, orbit);
      }
      Orbit round = orbit.get();
      double by = turned.applyAsDouble(round.carrier);
      double dx = x - round.x;
      double dy = y - round.y;
      return new Stand(
          round.x + dx * Math.cos(by) - dy * Math.sin(by),
          round.y + dx * Math.sin(by) + dy * Math.cos(by),
          z,
          angle + own,
          orbit);
    }

    /** One on an axis at rest. */
    public static Stand at(double x, double y, double z, double angle) {
      return new Stand(x, y, z, angle, Optional.empty());
    }
  }

  /** What stands still whatever turns: no member of any train. */
  public static final MemberId FRAME = new MemberId("", "frame");

  /** The slab of a flexspline that its generator bends. */
  static final String TEETH = "teeth";

  /** A member whose axis is at x, y, mm. */
  public record Orbit(MemberId carrier, double x, double y) {}

  public Piece {
    slabs = List.copyOf(slabs);
    stands = List.copyOf(stands);
    running = List.copyOf(running);
    if (slabs.isEmpty() || stands.isEmpty()) {
      throw new IllegalArgumentException(name + " has no slab or stands nowhere");
    }
  }

  /**
   * Why it cannot be made, in words; empty where it can. Cost: points of its outlines times their
   * logarithm.
   *
   * @param chord how far polygons may leave circles, mm
   */
  public Optional<String> flaw(double chord) {
    return obstacle
        .or(
            () ->
                slabs.stream()
                    .map(Slab::region)
                    .distinct()
                    .flatMap(region -> region.flaw(chord).stream())
                    .findFirst())
        .or(() -> bevel.isPresent() ? Optional.empty() : apart(chord));
  }

  /** That it comes in several bodies or none, if so. */
  private Optional<String> apart(double chord) {
    int bodies = Bodies.count(slabs, chord);
    return bodies == 1
        ? Optional.empty()
        : Optional.of(
            bodies == 0 ? "nothing is left of it" : "it falls apart into " + bodies + " pieces");
  }

  /** Its two halves, parted across its axis at a height inside it. */
  List<Piece> halves(double height) {
    double top = slabs.getLast().to();
    return List.of(half(1, 0, height), half(2, height, top));
  }

  /** The same member's piece by another name, made in another way, or elsewhere. */
  public Piece remade(String called, List<Slab> made, List<Stand> at) {
    return new Piece(member, called, remark, made, at, obstacle, running, bevel);
  }

  /** The same with more to know about it. */
  public Piece with(String more) {
    String all = remark.isEmpty() ? more : remark + ", " + more;
    return new Piece(member, name, all, slabs, stands, obstacle, running, bevel);
  }

  /**
   * The same lying on its larger end, for a printer. What winds or is a cone stays as it is.
   *
   * @param chord how far polygons may leave circles, mm
   */
  public Piece bedded(double chord) {
    Region foot = slabs.getFirst().region();
    Region top = slabs.getLast().region();
    boolean stays = isWound() || bevel.isPresent() || slabs.size() == 1;
    if (stays || foot.area(chord).getArea() >= top.area(chord).getArea()) {
      return this;
    }
    double height = slabs.getLast().to();
    List<Slab> over = new ArrayList<>();
    for (Slab slab : slabs.reversed()) {
      over.add(
          new Slab(
              slab.name(), height - slab.to(), height - slab.from(), slab.region().turnedOver()));
    }
    return remade(name, over, stands);
  }

  private Piece half(int which, double low, double high) {
    return remade(
        name + " half " + which,
        slabs.stream().flatMap(slab -> slab.between(low, high).stream()).toList(),
        stands.stream().map(stand -> stand.raised(low)).toList());
  }

  /** Whether teeth of it wind round its axis. */
  public boolean isWound() {
    return slabs.stream().anyMatch(slab -> !slab.windings().isEmpty());
  }

  /** What its flat outlines are, in one line: of teeth that wind the section in their middle. */
  public String flatTitle() {
    return isWound() ? title() + ", transverse section" : title();
  }

  /** Name and remark in one line: {@code planet 2 of 3, clocked by 1/5 tooth}. */
  public String title() {
    return remark.isEmpty() ? name : name + ", " + remark;
  }

  /** Least x, least y, greatest x, greatest y about its axis. */
  public double[] bounds() {
    return Region.around(slabs.stream().map(Slab::region).toList());
  }

  /** The same of what is made of it as a solid. */
  double[] solidBounds() {
    return bevel.map(body -> Region.disc(body.radius()).bounds()).orElseGet(this::bounds);
  }

  /** Whether it runs in another shape than that in which it is made. */
  public boolean isFlexible() {
    return !running.isEmpty();
  }

  /** Whether a slab of it does. */
  public boolean isBent(Slab slab) {
    return isFlexible() && slab.name().equals(TEETH);
  }

  /** Its slabs as they stand in the train, bent where they are. */
  public List<Slab> slabsInTrain() {
    return isFlexible()
        ? slabs.stream().map(slab -> isBent(slab) ? slab.over(running.getFirst()) : slab).toList()
        : slabs;
  }

  /** The same bent in another way. */
  public Piece bent(Region now) {
    return new Piece(member, name, remark, slabs, stands, obstacle, List.of(now), bevel);
  }

  /** Its regions as it runs in the train, about its axis. */
  List<Region> inTrain() {
    return running.isEmpty() ? slabs.stream().map(Slab::region).toList() : running;
  }

  /** A name for files and layers, lower case without blanks: {@code planet-2}. */
  public String slug() {
    return name.toLowerCase(Locale.ROOT)
        .chars()
        .mapToObj(c -> Character.isLetterOrDigit(c) ? String.valueOf((char) c) : "-")
        .collect(Collectors.joining());
  }
}
