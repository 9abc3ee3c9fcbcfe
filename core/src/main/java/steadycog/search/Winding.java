package steadycog.search;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import steadycog.number.Exact;
import steadycog.number.Figures;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.sizing.MeshFigures;
import steadycog.train.Built;
import steadycog.train.Helices;
import steadycog.train.Helix;
import steadycog.train.Helix.Hand;
import steadycog.train.Join;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Part;
import steadycog.train.Pitch;
import steadycog.train.Planetary;
import steadycog.train.Sizes;
import steadycog.train.Train;

/**
 * How the teeth of all that is found wind: at an angle that is said, or at the one with which every
 * pair stands at a distance that is said. Wheels of one shaft have one hand, so that they press it
 * against each other; rings of herringbone sets come in halves.
 *
 * @param least helix angle, degrees
 * @param most helix angle, degrees; without a distance that is the least as well
 * @param doubled whether herringbones are looked for
 * @param distance at which all axes of meshing wheels stand
 */
public record Winding(double least, double most, boolean doubled, Optional<Distance> distance) {
  public static final Winding STRAIGHT = new Winding(0, 0, false, Optional.empty());

  /** Where a distance is said and nothing of the angle. */
  private static final double USUAL_LEAST = 5;

  private static final double USUAL_MOST = 35;

  private static final Pattern SAID =
      Pattern.compile(
          "(\\d+(?:\\.\\d+)?)(?:\\s*\\.\\.\\s*(\\d+(?:\\.\\d+)?))?\\s*(?:deg|\u00b0)?\\s*(double)?");

  /** A length, and the module behind it. */
  static final Pattern SIZED =
      Pattern.compile("(\\d+(?:\\.\\d+)?)\\s*mm\\s+at\\s+(\\d*\\.?\\d*[1-9]\\d*)\\s*mm");

  /** Halvings of the interval in which an angle lies: 45 degrees to less than a millionth. */
  private static final int HALVINGS = 40;

  private static final int DECIMALS = 7;

  /** So near, in modules, a distance is closed. */
  private static final double CLOSED = 1e-5;

  /** By how much shifts may move a distance from that of the counts, as a share. */
  private static final double SHIFTED = 0.06;

  /**
   * Of axes.
   *
   * @param modules how far they stand apart
   * @param length the same, where it was said as one
   * @param pitch size of teeth, where it was said
   */
  public record Distance(double modules, Optional<Quantity> length, Optional<Pitch> pitch) {

    /** {@code 64 mm at 1.5 mm}, the module standing behind, or a number of modules. */
    static Distance parse(String text) {
      Matcher sized = SIZED.matcher(text.strip());
      if (sized.matches()) {
        Quantity length = Quantity.of(sized.group(1), Unit.MM);
        Quantity module = Quantity.of(sized.group(2), Unit.MM);
        return new Distance(
            length.inBase() / module.inBase(),
            Optional.of(length),
            Optional.of(new Pitch.Module(module)));
      }
      if (!Exact.isNumber(text.strip()) || Exact.parse(text.strip()).signum() <= 0) {
        throw new IllegalArgumentException(
            "'" + text.strip() + "' is no distance: write 64 mm at 1.5 mm, or 42.7 in modules");
      }
      return new Distance(
          Exact.parse(text.strip()).doubleValue(), Optional.empty(), Optional.empty());
    }
  }

  public Winding {
    if (least < 0 || most > Helix.MOST_DEGREES || least > most) {
      throw new IllegalArgumentException(
          "a helix is 0 to " + Helix.MOST_DEGREES + " degrees, the smaller number first");
    }
  }

  /**
   * {@code 20}, {@code 20 double}; with a distance {@code 8..30 double}, between which it is found.
   */
  static Winding parse(Optional<String> helix, Optional<Distance> distance) {
    if (helix.isEmpty()) {
      return distance.isEmpty() ? STRAIGHT : new Winding(USUAL_LEAST, USUAL_MOST, false, distance);
    }
    Matcher said = SAID.matcher(helix.get().strip().toLowerCase(Locale.ROOT));
    if (!said.matches() || (said.group(2) != null && distance.isEmpty())) {
      throw new IllegalArgumentException(
          "'"
              + helix.get().strip()
              + "' is no helix: write 20 or 20 double, or 8..30 where a distance finds it");
    }
    double from = Double.parseDouble(said.group(1));
    double to = said.group(2) == null ? from : Double.parseDouble(said.group(2));
    return new Winding(from, to, said.group(3) != null, distance);
  }

  /** Whether nothing is asked for. */
  boolean isStraight() {
    return equals(STRAIGHT);
  }

  /** The train with teeth that wind so; empty where no angle closes its distances. */
  Optional<Train> of(Train train) {
    if (isStraight()) {
      return Optional.of(train);
    }
    Optional<Train> wound = distance.isEmpty() ? Optional.of(atAngle(train)) : closed(train);
    return wound.map(this::halved);
  }

  private Train atAngle(Train train) {
    if (train.parts().stream().noneMatch(Part::takesHelix)) {
      return train;
    }
    Helix all = helix(least, Optional.empty());
    Train wound =
        train.withSizes(
            train.sizes().withCommon(train.sizes().common().withHelix(Optional.of(all))));
    for (Part part : train.parts()) {
      for (Join shaft : part.keyed()) {
        Optional<Hand> hand = Helices.of(wound, shaft.a()).hand();
        if (!doubled && !hand.equals(Helices.of(wound, shaft.b()).hand())) {
          wound = Helices.with(wound, shaft.b(), Optional.of(helix(least, hand)));
        }
      }
    }
    return wound;
  }

  private Helix helix(double degrees, Optional<Hand> hand) {
    return new Helix(Exact.parse(Figures.fixed(degrees, DECIMALS)), hand, doubled);
  }

  private Optional<Train> closed(Train train) {
    Distance far = distance.orElseThrow();
    Train wound = far.pitch().map(train::sized).orElse(train);
    List<MemberId> done = new ArrayList<>();
    for (Part part : train.parts()) {
      if (!part.takesHelix()) {
        return Optional.empty();
      }
      for (Mesh mesh : part.meshes()) {
        Optional<Train> next = done.contains(mesh.a()) ? Optional.of(wound) : closing(wound, mesh);
        if (next.isEmpty() || !stands(next.get(), mesh)) {
          return Optional.empty();
        }
        wound = next.get();
        done.addAll(train.meshing(mesh.a()));
        if (far.length().isPresent() && mesh.carrier().isEmpty()) {
          Sizes placed = wound.sizes().withDistance(mesh.a(), mesh.b(), far.length());
          wound = wound.withSizes(placed);
        }
      }
    }
    return Optional.of(wound);
  }

  private boolean stands(Train train, Mesh mesh) {
    double off = apart(train, mesh) / train.moduleMm() - distance.orElseThrow().modules();
    return Math.abs(off) < CLOSED;
  }

  private static double apart(Train train, Mesh mesh) {
    return MeshFigures.of(train, mesh).map(MeshFigures::distance).orElse(Double.NaN);
  }

  /** With the angle at which a mesh stands at the distance: the steeper, the further apart. */
  private Optional<Train> closing(Train train, Mesh mesh) {
    double wanted = distance.orElseThrow().modules();
    double straight = mesh.span() / 2.0;
    double reach = wanted * (1 + SHIFTED);
    if (straight > reach || straight / Math.cos(Math.toRadians(most)) < wanted / (1 + SHIFTED)) {
      return Optional.empty();
    }
    Optional<Hand> hand =
        train.partOf(mesh.a()).keyed().stream()
            .filter(shaft -> shaft.b().equals(mesh.a()) && !doubled)
            .findFirst()
            .flatMap(shaft -> Helices.of(train, shaft.a()).hand());
    double low = least;
    double high = most;
    for (int k = 0; k < HALVINGS; k++) {
      double middle = (low + high) / 2;
      Train tried = Helices.with(train, mesh.a(), Optional.of(helix(middle, hand)));
      if (apart(tried, mesh) / train.moduleMm() < wanted) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return Optional.of(Helices.with(train, mesh.a(), Optional.of(helix((low + high) / 2, hand))));
  }

  /** Herringbone rings round planets that mesh with a sun as well. */
  private Train halved(Train train) {
    Sizes sizes = train.sizes();
    for (Planetary set : doubled ? train.parts(Planetary.class) : List.<Planetary>of()) {
      for (MemberId ring : set.ringIds()) {
        sizes = sizes.with(ring, sizes.own(ring).withBuilt(Optional.of(Built.HALVES)));
      }
    }
    return train.withSizes(sizes);
  }
}
