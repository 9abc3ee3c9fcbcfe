package steadycog.shape;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.locationtech.jts.geom.Geometry;
import steadycog.assembly.Assembly;
import steadycog.check.Finding;
import steadycog.check.Inspection;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.notation.CardPrinter;
import steadycog.number.Pace;
import steadycog.piece.Piece;
import steadycog.sizing.MeshFigures;
import steadycog.sizing.WheelFigures;
import steadycog.study.Study;
import steadycog.train.Member;
import steadycog.train.Mesh;
import steadycog.train.Train;

/** Modules of parts, of rows, and of wheels that mesh. */
class OwnModulesTest {

  private static Train train(String card) throws CardException {
    return Card.read(card).train();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          parallel 20 ~ 60 = 16 ~ 48; module 1 mm; module C 1.25 mm       | 1 1 1.25 1.25
          parallel 20 ~ 60 = 16 ~ 48; module D 1.25 mm                    | 1 1 1.25 1.25
          parallel 20 ~ 30 ~ 40; module 2 mm; dp C 16                     | 1.5875 1.5875 1.5875
          parallel 20 ~ 30; module A 1/2 mm                               | 0.5 0.5
          planetary sun 24/- planet 20=18 x4 ring 64/58; module 1/1.1 mm  | 1 1 1.1 1 1.1
          planetary sun 24/- planet 20=18 x4 ring 64/58; module 1 / 1.1mm | 1 1 1.1 1 1.1
          planetary sun 24/- planet 20=18 x4 ring 64/58; module ring2 1.1 mm | 1 1 1.1 1 1.1
          a: parallel 20 ~ 30; b: planetary sun 24 planet 18 x3 ring 60; module b 1.5 mm | 1 1 1.5 1.5 1.5
          a: parallel 20 ~ 30; b: planetary sun 9/- planet 9=9 ring 27/27; module b 1/2 mm | 1 1 1 1 2 1 2
          strainwave nominal 80; module flex 0.5 mm                       | 0.5 0.5
          """)
  void aModuleHoldsForAllThatMesh(String card, String modules) throws CardException {
    Train train = train(card);
    List<Double> found =
        train.members().stream()
            .filter(member -> member.teeth().isPresent())
            .map(Member::id)
            .map(train::moduleMm)
            .toList();
    assertEquals(List.of(modules.split(" ")).stream().map(Double::valueOf).toList(), found, card);
    assertEquals(train, train(CardPrinter.print(train)), "read again it is the same train");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          parallel 20 ~ 30; module A 1 kg                        | expected mm or in
          parallel 20 ~ 30; module 1 / 2 mm                      | only a set of two rows
          parallel 20 ~ 30; module A 0 mm                        | expected more than 0
          parallel 20 ~ 30; module A 1 mm; module A 2 mm         | a second module of A
          parallel 20 ~ 30; module E 1 mm                        | a member: A, B
          cycloidal lobes 9 pins 10; module disc 1 mm            | no teeth of a module
          """)
  void whatIsNoModuleIsSaidWithItsPlace(String card, String said) {
    CardException refused = assertThrows(CardException.class, () -> train(card));
    assertTrue(refused.getMessage().contains(said), refused.getMessage());
  }

  @Test
  void wheelsThatMeshCannotHaveTwo() throws CardException {
    Train train = train("planetary sun 24 planet 18 x3 ring 60; module sun 1 mm; module ring 2 mm");
    List<Finding> found = Inspection.of(train).findings();
    assertEquals("one-module", found.getFirst().code());
    assertEquals("[sun, ring]", found.getFirst().members().toString());
  }

  /** Reverted trains and rows close in mm, stand so, and go together. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "parallel 20 ~ 60 = 17 ~ 47; module 1 mm; module C 1.25 mm; coaxial A = D; clearance"
            + " printed",
        "planetary sun 24/- planet 20=18 x4 ring 64/58; module 1/1.1 mm; clearance printed",
        "planetary sun 20/- planet 20=16 x4 ring 60/48; module 1/1.25 mm; clearance printed",
        "a: planetary sun 24 planet 18 x3 ring 60; b: planetary sun 24 planet 18 x3 ring 60;"
            + " join a.carrier = b.sun; module b 1.5 mm; clearance printed",
        "set: planetary sun 24 planet 18 x3 ring 60; rim: parallel 110 ~ 20; join rim.A = set.ring;"
            + " module rim 0.8 mm; clearance printed"
      })
  void trainsOfSeveralModulesCloseAndGoTogether(String card) throws CardException {
    Study study = Study.of(train(card));
    assertTrue(
        study.findings().stream()
            .noneMatch(
                f -> (f.code().endsWith("closure") && f.isBad()) || f.code().equals("clash")),
        study.findings().toString());
    assertEquals(
        List.of(), Assembly.of(study.train(), study.layout()).collisions(16, Pace.FREE), card);
    double unit = study.train().moduleMm();
    for (MeshFigures mesh : study.cutSheet().meshes()) {
      PlacedWheel a = study.layout().wheel(mesh.mesh().a());
      PlacedWheel b = study.layout().wheel(mesh.mesh().b());
      assertEquals(mesh.distance(), unit * a.distanceTo(b), 1e-9, "drawn where it is made");
      assertEquals(0, mesh.distance() - mesh.standard(), 1e-9, "no shift is asked for");
    }
    for (WheelFigures wheel : study.cutSheet().wheels()) {
      double reach = reach(study, wheel);
      double sheet = wheel.teeth().internal() ? Double.MAX_VALUE : wheel.tip() / 2;
      assertTrue(reach <= sheet + 1e-6, wheel.id() + " reaches " + reach);
    }
  }

  private static double reach(Study study, WheelFigures wheel) {
    Piece piece =
        study.pieces(0.01).all().stream()
            .filter(one -> one.member().equals(wheel.id()))
            .findFirst()
            .orElse(study.pieces(0.01).all().getFirst());
    if (!piece.member().equals(wheel.id()) || wheel.teeth().internal()) {
      return 0;
    }
    Geometry area = piece.slabs().getFirst().region().area(0.01);
    return area.getEnvelopeInternal().getWidth() / 2;
  }

  /** All lengths of a train grow with all its modules, whatever each of them is. */
  @Test
  void lengthsGrowWithTheModules() throws CardException {
    Random random = new Random(12);
    for (int k = 0; k < 20; k++) {
      int a = random.nextInt(18, 40);
      int b = random.nextInt(18, 60);
      int c = random.nextInt(18, 40);
      String chain = "parallel " + a + " ~ " + b + " = " + c + " ~ 50; clearance flank 0.02 mm";
      Study once = Study.of(train(chain + "; module 1 mm; module C 1.6 mm"));
      Study twice =
          Study.of(train(chain.replace("0.02", "0.04") + "; module 2 mm; module C 3.2 mm"));
      List<Mesh> meshes = once.train().meshes();
      for (int m = 0; m < meshes.size(); m++) {
        MeshFigures small = once.cutSheet().meshes().get(m);
        MeshFigures large = twice.cutSheet().meshes().get(m);
        assertEquals(2 * small.distance(), large.distance(), 1e-9);
        assertEquals(2 * small.play(), large.play(), 1e-9);
        assertEquals(small.contactRatio(), large.contactRatio(), 1e-12);
      }
      for (int w = 0; w < once.cutSheet().wheels().size(); w++) {
        WheelFigures small = once.cutSheet().wheels().get(w);
        WheelFigures large = twice.cutSheet().wheels().get(w);
        assertEquals(2 * small.tip(), large.tip(), 1e-9);
        assertEquals(2 * small.thickness(), large.thickness(), 1e-9);
      }
    }
  }
}
