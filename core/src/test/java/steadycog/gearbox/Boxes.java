package steadycog.gearbox;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import steadycog.assembly.Assembly;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.number.Pace;
import steadycog.piece.Piece;
import steadycog.shape.FaceLayout;
import steadycog.train.Train;

/** Gearboxes for tests: of every kind, and at random. */
final class Boxes {
  static final String WINCH =
      "parallel 16 ~ 25 ~ 56; module 2.5 mm; width 25 mm; clearance machined; bore A 15 mm key;"
          + " bore B 15 mm; bore C 25 mm key; shift A 0.1; drive A; take C";
  static final String FILTER =
      "planetary sun 24 planet 15 x3 ring 54; module 0.8 mm; width 5 mm; shift planet 0.2;"
          + " clearance laser; bore sun 6 mm flat 5.5 mm; bore planet 4 mm; bore carrier 8 mm hex;"
          + " drive sun; hold ring; take carrier";
  static final String FOCUSER =
      "planetary sun 20/- planet 25=23 x3 ring 70/68; module 0.5 mm; width 8 mm; clearance printed"
          + " flank 0.05 mm; bore sun 3 mm flat 2.5 mm; bore planet 4 mm; drive sun; hold ring1;"
          + " take ring2";
  static final String AZIMUTH =
      "cycloidal lobes 29 pins 30 circle 120 mm pin 6 mm eccentric 1.3 mm discs 2; width 10 mm;"
          + " clearance machined; drive eccentric; hold ring; take disc";

  /** A shaft that would run into a wheel of another plane: it needs a plate between them. */
  static final String TIGHT =
      "parallel 14 ~ 60 = 14 ~ 26 = 22 ~ 46; module 2 mm; clearance laser; bore 6 mm key";

  static final String ALTITUDE =
      "strainwave flex 100 circular 102 wall 0.5 mm; module 0.4 mm; width 8 mm; clearance machined;"
          + " bore wave 6 mm flat 5.5 mm; drive wave; hold circular; take flex";

  static final String HAT =
      "strainwave nominal 30 hat; module 0.5 mm; clearance printed; drive wave; hold circular;"
          + " take flex";

  /** Its carrier stands still, the ring goes out the other way. */
  static final String STAR = FILTER.replace("hold ring; take carrier", "hold carrier; take ring");

  /** Nothing is held: the carrier goes out round the sun's shaft. */
  static final String GUIDING =
      "planetary sun 30 planet 24 x3 ring 78; module 0.8 mm; width 8 mm; clearance machined;"
          + " bore sun 6 mm; bore planet 5 mm; drive ring 1 rpm 0.3 Nm; drive sun -0.25 rpm; take"
          + " carrier";

  /** Its planets leave no room for ties. */
  static final String CROWDED =
      "planetary sun 36 planet 18 x6 ring 72; module 1 mm; width 4 mm; clearance machined; housing"
          + " bolts 6 x M2; drive sun; hold ring; take carrier";

  /** The output is in line with the input: both end in the middle plate. */
  static final String REVERTED =
      "parallel 20 ~ 40 = 24 ~ 36; coaxial A = D; module 2 mm; clearance machined; drive A; take D";

  /**
   * Two sets in a row, the first carrier the second sun's shaft; that sun wider than its planets.
   */
  static final String STAGES =
      """
      near: planetary sun 18 planet 27 x3 ring 72
      far: planetary sun 20 planet 20 x4 ring 60
      join near.carrier = far.sun
      module 1 mm; clearance machined; bore far.sun 6 mm key; width far.sun 12 mm
      drive near.sun 900 rpm; hold near.ring; hold far.ring; take far.carrier\
      """;

  /** Its planets reach further than the ring that they run in with their second row. */
  static final String STEPPED =
      "planetary sun 20/- planet 30=18 x3 ring -/68; module 1 mm; clearance machined; shift planet2"
          + " 0.2; drive sun; hold ring; take carrier";

  static final List<String> ALL =
      List.of(
          WINCH, FILTER, FOCUSER, AZIMUTH, TIGHT, ALTITUDE, HAT, STAR, GUIDING, CROWDED, REVERTED,
          STAGES, STEPPED);

  static final List<String> CENTRAL = List.of(FILTER, FOCUSER, AZIMUTH, ALTITUDE, STAR, GUIDING);

  private Boxes() {}

  static Gearbox of(String card) throws CardException {
    Gearbox.Result result = result(card);
    return result.box().orElseThrow(() -> new AssertionError(card + ": " + result.why()));
  }

  static Gearbox.Result result(String card) throws CardException {
    Train train = Card.read(card).train();
    return Gearbox.of(train, FaceLayout.of(train), Assembly.chord(train));
  }

  static Proof proof(Gearbox box) {
    return Proof.of(box, Pace.FREE);
  }

  /** The same with one component as another piece. */
  static Gearbox with(Gearbox box, String name, Piece piece) {
    List<Component> all = new ArrayList<>();
    for (Component one : box.components()) {
      all.add(one.name().equals(name) ? new Component(piece, one.size(), one.fastening()) : one);
    }
    return new Gearbox(box.train(), all, box.supports(), box.housing(), box.dotted(), box.shafts());
  }

  /** A train whose teeth mesh and whose planets go in. */
  static String random(Random random) {
    double module = new double[] {0.5, 0.8, 1, 1.5, 2}[random.nextInt(5)];
    String process = List.of("printed", "laser", "machined").get(random.nextInt(3));
    String sizes = "; module " + module + " mm; clearance " + process;
    if (random.nextInt(3) == 0) {
      sizes += "; motor face " + List.of(35, 42, 57).get(random.nextInt(3)) + " mm";
    }
    return switch (random.nextInt(5)) {
      case 0 -> {
        StringBuilder chain = new StringBuilder("parallel ");
        int stages = 1 + random.nextInt(3);
        for (int k = 0; k < stages; k++) {
          chain.append(k == 0 ? "" : " = ").append(17 + random.nextInt(15)).append(" ~ ");
          chain.append(25 + random.nextInt(50));
        }
        yield chain + sizes;
      }
      case 1 -> {
        int planet = 17 + random.nextInt(10);
        int count = 2 + random.nextInt(3);
        int sun = count * (7 + random.nextInt(5)) - planet % count;
        yield String.format(
                Locale.ROOT,
                "planetary sun %d planet %d x%d ring %d",
                sun,
                planet,
                count,
                sun + 2 * planet)
            + switch (random.nextInt(3)) {
              case 0 -> sizes + "; drive sun; hold ring; take carrier";
              case 1 -> sizes + "; drive sun; hold carrier; take ring";
              default ->
                  sizes.replaceFirst("; motor.*", "") + "; drive ring; drive sun; take carrier";
            };
      }
      case 2 -> {
        int planet = 20 + random.nextInt(10);
        int sun = 3 * (6 + random.nextInt(5));
        int ring = sun + 2 * planet;
        int less = 1 + random.nextInt(2);
        yield "planetary sun "
            + sun
            + "/- planet "
            + planet
            + "="
            + (planet - less)
            + " x1 ring "
            + ring
            + "/"
            + (ring - less)
            + sizes
            + "; drive sun; hold ring1; take ring2";
      }
      case 3 ->
          "strainwave nominal "
              + (25 + random.nextInt(60))
              + (random.nextBoolean() ? " cup" : " hat")
              + sizes
              + "; drive wave; hold circular; take flex";
      default ->
          "cycloidal lobes "
              + (8 + random.nextInt(25))
              + " discs "
              + (1 + random.nextInt(3))
              + sizes
              + "; drive eccentric; hold ring; take disc";
    };
  }
}
