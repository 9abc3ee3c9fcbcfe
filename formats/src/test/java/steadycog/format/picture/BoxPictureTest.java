package steadycog.format.picture;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import steadycog.format.csv.BillCsv;
import steadycog.format.picture.LinePicture.Line;
import steadycog.format.picture.LinePicture.Move;
import steadycog.format.picture.LinePicture.Outline;
import steadycog.format.picture.LinePicture.Step;
import steadycog.gearbox.Build;
import steadycog.gearbox.Build.Whole;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.number.Pace;
import steadycog.study.Study;

/** Gearboxes pulled apart on paper, and their bills. */
class BoxPictureTest {

  @ParameterizedTest
  @ValueSource(
      strings = {
        "parallel 20 ~ 50; module 1 mm; clearance laser",
        "planetary sun 24 planet 18 x3 ring 60; module 1 mm; clearance printed; drive sun;"
            + " hold ring; take carrier",
        "cycloidal lobes 15 discs 2; clearance machined; drive eccentric; hold ring; take disc"
      })
  void everyLineOfTheBillHasItsNumberOnThePage(String card) throws CardException {
    Build build = Study.of(Card.read(card).train()).gearbox(Pace.FREE);
    Whole whole = build.box().orElseThrow();
    LinePicture picture = BoxPicture.of(whole, "Box");
    assertEquals("Box, pulled apart", picture.title());
    List<String> numbers = new ArrayList<>();
    List<double[]> middles = new ArrayList<>();
    for (LinePicture.Piece piece : picture.pieces()) {
      Outline outline = (Outline) piece;
      assertFalse(outline.steps().isEmpty());
      assertTrue(outline.fill().isPresent() || outline.stroke().isPresent());
      double[] box = bounds(outline);
      assertTrue(box[0] >= 0 && box[2] <= picture.width(), card);
      assertTrue(box[1] >= 0 && box[3] <= picture.height(), card);
      if (!outline.words().isEmpty()) {
        numbers.add(outline.words());
        middles.add(new double[] {(box[0] + box[2]) / 2, (box[1] + box[3]) / 2});
      }
    }
    int lines = whole.bill().lines().size();
    assertEquals(
        IntStream.rangeClosed(1, lines).mapToObj(Integer::toString).sorted().toList(),
        numbers.stream().sorted().toList());
    for (int a = 0; a < middles.size(); a++) {
      for (int b = a + 1; b < middles.size(); b++) {
        double[] one = middles.get(a);
        double[] other = middles.get(b);
        assertTrue(
            Math.hypot(one[0] - other[0], one[1] - other[1]) > 12,
            numbers.get(a) + " lies on " + numbers.get(b));
      }
    }
    String csv = BillCsv.write(List.of("Box"), List.of(build));
    assertEquals(1 + lines, csv.split("\r\n").length);
    assertEquals(1, BillCsv.write(List.of("Box"), List.of(none())).split("\r\n").length);
  }

  private static Build none() throws CardException {
    return Study.of(Card.read("bevel 20 ~ 43").train()).gearbox(Pace.FREE);
  }

  private static double[] bounds(Outline outline) {
    double[] box = {Double.MAX_VALUE, Double.MAX_VALUE, -Double.MAX_VALUE, -Double.MAX_VALUE};
    for (Step step : outline.steps()) {
      switch (step) {
        case Move(double x, double y) -> widen(box, x, y);
        case Line(double x, double y) -> widen(box, x, y);
        default -> {}
      }
    }
    return box;
  }

  private static void widen(double[] box, double x, double y) {
    box[0] = Math.min(box[0], x);
    box[1] = Math.min(box[1], y);
    box[2] = Math.max(box[2], x);
    box[3] = Math.max(box[3], y);
  }
}
