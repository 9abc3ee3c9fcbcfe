package steadycog.study;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import steadycog.check.Severity;
import steadycog.notation.Card;
import steadycog.notation.CardException;

class KindChoiceTest {

  private static List<KindChoice> kinds(String card) throws CardException {
    return Study.of(Card.read(card).train()).kinds();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "parallel 20 ~ 100 | PLANETARY, TWO_PLANETARY, CYCLOIDAL",
        "parallel 20 ~ 60 = 20 ~ 60 = 20 ~ 100 | TWO_PLANETARY, CYCLOIDAL, STRAIN_WAVE",
        "parallel 18 ~ 72 = 20 ~ 80 = 20 ~ 400 | STRAIN_WAVE",
        "parallel 20 ~ 22 | "
      })
  void eachKindIsOfferedWhereItMakesTheRatio(String card, String expected) throws CardException {
    String names =
        kinds(card).stream().map(choice -> choice.kind().name()).collect(Collectors.joining(", "));
    assertEquals(expected == null ? "" : expected, names, card);
  }

  @Test
  void candidatesMakeWhatTheySayAndGoTogether() throws CardException {
    for (String card :
        List.of(
            "parallel 20 ~ 100",
            "parallel 18 ~ 72 = 20 ~ 80",
            "parallel 20 ~ 80 = 20 ~ 40 = 20 ~ 100",
            "strainwave nominal 80; hold circular; drive wave; take flex",
            "cycloidal lobes 29 pins 30; hold disc; drive eccentric; take ring")) {
      Study wanted = Study.of(Card.read(card).train());
      for (KindChoice choice : wanted.kinds()) {
        Study made = Study.of(choice.train());
        assertEquals(choice.ratio(), made.ratio().orElseThrow());
        double error =
            made.ratio().orElseThrow().reduction().doubleValue()
                    / wanted.ratio().orElseThrow().reduction().doubleValue()
                - 1;
        assertEquals(error, choice.error(), 1e-12);
        assertEquals(wanted.ratio().orElseThrow().sameDirection(), choice.ratio().sameDirection());
        assertTrue(
            made.findings().stream()
                .filter(
                    f ->
                        List.of(
                                "assembly",
                                "pitch-fit",
                                "neighbour",
                                "lobe-undercut",
                                "lobe-multiple")
                            .contains(f.code()))
                .noneMatch(f -> f.severity() == Severity.ERROR),
            choice.toString());
      }
    }
  }

  @Test
  void aDriveIsOfferedItsOwnKindWithItsExactRatio() throws CardException {
    KindChoice same =
        kinds("strainwave nominal 80; hold circular; drive wave; take flex").stream()
            .filter(choice -> choice.kind() == KindChoice.Kind.STRAIN_WAVE)
            .findFirst()
            .orElseThrow();
    assertEquals(0, same.error());
    assertEquals(162 + 2 * (0.85 + 6), same.diameter(), 1e-9, "Nc + twice dedendum and rim");
    assertEquals(3, same.parts());
  }
}
