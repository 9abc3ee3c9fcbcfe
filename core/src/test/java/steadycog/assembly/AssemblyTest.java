package steadycog.assembly;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.util.AffineTransformation;
import steadycog.RandomCards;
import steadycog.motion.Mechanism;
import steadycog.motion.Motion;
import steadycog.motion.MotionSolver;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.notation.CardPrinter;
import steadycog.number.Pace;
import steadycog.piece.Piece;
import steadycog.piece.Pieces;
import steadycog.piece.Slab;
import steadycog.shape.FaceLayout;
import steadycog.train.Drive;
import steadycog.train.MemberId;
import steadycog.train.Roles;
import steadycog.train.StrainWave;
import steadycog.train.Train;

class AssemblyTest {
  /** So many random trains; {@code -Ddesigns=1000} for a long run. */
  private static final int DESIGNS = Integer.getInteger("designs", 40);

  private static final double CHORD = 0.004;

  private static Set<String> colliding(Train train, int positions) {
    Set<String> pairs = new TreeSet<>();
    Assembly.of(train, FaceLayout.of(train))
        .collisions(positions, Pace.FREE)
        .forEach(one -> pairs.add(one.a().name() + " / " + one.b().name()));
    return pairs;
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "planetary sun 24 planet 18 x3 ring 60; clearance printed",
        "planetary sun 12/- planet 18=18 x3 ring 48/51; clearance printed; width planet 20 mm",
        "planetary sun 12/- planet 18=18 x3 clocked ring 48/50; clearance flank 0.03 mm",
        "planetary sun 20=20 planet 22=22 x4 ring 64=64; module 2 mm; clearance laser",
        "planetary sun 30 planet 16~22 x3 ring 90; clearance printed",
        "cycloidal lobes 14 pins 15 circle 100 mm pin 8 mm eccentric 2.2 mm",
        "cycloidal lobes 9 pins 10 circle 60 mm pin 4 mm eccentric 2.6 mm; clearance printed",
        "cycloidal lobes 19 pins 20 discs 3; clearance printed",
        "strainwave flex 60 circular 63 lobes 3; module 1 mm",
        "strainwave nominal 50 hat; module 0.5 mm; clearance flank 0.02 mm",
        "parallel 48 ~ 24 ~ 36 = 18 ~ 54; width A 4 mm; clearance printed",
        "set: planetary sun 24 planet 18 x3 ring 60; rim: parallel 90 ~ 20; join rim.A = set.ring;"
            + " width rim.A 15 mm; clearance printed",
        "d: cycloidal lobes 14 pins 15 circle 60 mm; rim: parallel 90 ~ 20; join rim.A = d.ring;"
            + " clearance printed",
        "a: planetary sun 24 planet 18 x3 ring 60; b: planetary sun 24 planet 18 x3 ring 60;"
            + " join a.carrier = b.sun; clearance printed"
      })
  void whatIsSoundGoesTogether(String card) throws CardException {
    assertEquals(Set.of(), colliding(Card.read(card).train(), 32));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          planetary sun 25 planet 15 x3 ring 57; clearance printed | planet / ring
          planetary sun 12 planet 40 x4 ring 92; clearance printed | planet / planet
          cycloidal lobes 9 pins 12 circle 60 mm                   | disc / ring
          parallel 20 ~ 41 ~ 20; offset B -0.2 mm                  | A / B
          """)
  void whatCannotGoTogetherIsNamed(String card, String pair) throws CardException {
    assertTrue(colliding(Card.read(card).train(), 16).contains(pair));
  }

  /** Laid over each other by another library's polygons, at angles of one drive's exact motion. */
  @Test
  void anOverlayOfAllPiecesFindsTheSame() {
    Random random = new Random(2101);
    int silent = 0;
    int heard = 0;
    for (int k = 0; k < DESIGNS; k++) {
      Train train = RandomCards.next(random).train();
      boolean usual = train.pitch().map(p -> p.moduleMm().doubleValue()).orElse(1.0) >= 0.4;
      Optional<Overlay> overlay = usual ? Overlay.of(train) : Optional.empty();
      if (overlay.isEmpty() || train.members().size() > 20) {
        continue;
      }
      Assembly assembly = Assembly.of(train, FaceLayout.of(train));
      if (!assembly.unmade().isEmpty()) {
        continue; // At its finer chord a piece has a flaw, which is said instead.
      }
      Set<String> found = colliding(train, 32);
      double tolerance = assembly.tolerance();
      Set<String> laid = overlay.get().overlapping(2.5 * tolerance);
      laid.removeAll(found);
      assertEquals(Set.of(), laid, () -> CardPrinter.print(train));
      silent += found.isEmpty() ? 1 : 0;
      heard += found.isEmpty() ? 0 : 1;
    }
    assertTrue(silent > DESIGNS / 8 && heard > DESIGNS / 40, silent + " silent, " + heard);
  }

  /** Pieces of one part as areas, turned by the exact motion of one drive, the rest held. */
  private record Overlay(Motion motion, List<Piece> pieces) {

    static Optional<Overlay> of(Train train) {
      if (train.parts().size() > 1 || train.parts().getFirst() instanceof StrainWave) {
        return Optional.empty();
      }
      List<Piece> pieces = Pieces.of(train, FaceLayout.of(train), CHORD).all();
      // Bevel gears cross: they are no areas, and are tried on a sphere elsewhere.
      if (pieces.isEmpty() || pieces.getFirst().bevel().isPresent()) {
        return Optional.empty();
      }
      if (pieces.stream().anyMatch(piece -> piece.flaw(CHORD).isPresent())) {
        return Optional.empty();
      }
      List<MemberId> shafts = train.parts().getFirst().shafts();
      List<MemberId> held = new ArrayList<>();
      for (MemberId shaft : shafts.subList(1, shafts.size())) {
        Roles roles =
            new Roles(List.of(Drive.of(shafts.getFirst())), held, Optional.empty(), List.of());
        Motion motion = MotionSolver.solve(Mechanism.of(Train.of(train.parts()).withRoles(roles)));
        if (motion.status() == Motion.Status.DETERMINED) {
          return Optional.of(new Overlay(motion, pieces));
        }
        held.add(shaft);
      }
      return Optional.empty();
    }

    private double turned(MemberId member, int k) {
      return 2 * Math.PI * k * 3.37 * motion.turnsPerInputTurn(member).orElseThrow().doubleValue();
    }

    private Geometry at(Geometry area, Piece piece, Piece.Stand stand, int k) {
      AffineTransformation place =
          AffineTransformation.rotationInstance(stand.angle() + turned(piece.member(), k));
      place.translate(stand.x(), stand.y());
      stand.orbit().ifPresent(o -> place.rotate(turned(o.carrier(), k), o.x(), o.y()));
      // Its own turn is in space already: what the orbit turned it too far is taken back.
      return stand.orbit().isEmpty()
          ? place.transform(area)
          : AffineTransformation.rotationInstance(
                  -turned(stand.orbit().get().carrier(), k), middle(place)[0], middle(place)[1])
              .transform(place.transform(area));
    }

    private static double[] middle(AffineTransformation place) {
      double[] m = place.getMatrixEntries();
      return new double[] {m[2], m[5]};
    }

    /** Pairs of pieces of which one, made smaller all round by {@code depth}, meets the other. */
    Set<String> overlapping(double depth) {
      Set<String> pairs = new HashSet<>();
      for (int a = 0; a < pieces.size(); a++) {
        for (int b = a; b < pieces.size(); b++) {
          String pair = pieces.get(a).name() + " / " + pieces.get(b).name();
          for (Slab one : pieces.get(a).slabs()) {
            Geometry less = one.region().area(CHORD).buffer(-depth, 2);
            for (Slab two : pieces.get(b).slabs()) {
              if (meet(pieces.get(a), one, less, pieces.get(b), two)) {
                pairs.add(pair);
              }
            }
          }
        }
      }
      return pairs;
    }

    @SuppressWarnings("ReferenceEquality") // A piece is not laid over itself.
    private boolean meet(Piece a, Slab one, Geometry less, Piece b, Slab two) {
      Geometry full = two.region().area(CHORD);
      for (Piece.Stand here : a.stands()) {
        for (Piece.Stand there : b.stands()) {
          boolean level =
              Math.min(here.z() + one.to(), there.z() + two.to())
                  > Math.max(here.z() + one.from(), there.z() + two.from()) + 1e-6;
          for (int k = 0; level && k < 16 && here != there; k++) {
            if (at(less, a, here, k).intersects(at(full, b, there, k))) {
              return true;
            }
          }
        }
      }
      return false;
    }
  }

  /** Every pin of a carrier stands in the bore of a planet and is smaller than it. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "planetary sun 24 planet 18 x3 ring 60; clearance printed",
        "planetary sun 30 planet 12~26 x3 ring 94; clearance printed",
        "planetary sun 30 planet 12~26 x3 ring 94; bore planet_outer 6 mm; clearance laser"
      })
  void pinsStandInTheirHoles(String card) throws CardException {
    Train train = Card.read(card).train();
    List<Piece> pieces = Pieces.of(train, FaceLayout.of(train), CHORD).all();
    Piece carrier = pieces.getLast();
    int standing = 0;
    for (Piece planet : pieces.stream().filter(p -> p.name().startsWith("planet")).toList()) {
      double bore = planet.slabs().getFirst().region().circles().getFirst().radius();
      for (Piece.Stand stand : planet.stands()) {
        for (var pin : carrier.slabs().getLast().region().circles()) {
          double off =
              Math.hypot(
                  pin.x() + carrier.stands().getFirst().x() - stand.x(),
                  pin.y() + carrier.stands().getFirst().y() - stand.y());
          if (off < 1e-9) {
            standing++;
            double room = train.sizes().clearance().mm(steadycog.train.Clearance.Gap.BORE);
            assertEquals(room / 2, bore - pin.radius(), 1e-9);
          }
        }
      }
    }
    assertEquals(carrier.slabs().getLast().region().circles().size(), standing);
    assertFalse(standing == 0);
  }
}
