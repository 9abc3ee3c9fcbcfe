package steadycog.search;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.number.Exact;
import steadycog.search.Wanted.Field;
import steadycog.study.Ratings;
import steadycog.study.SizeChoices;
import steadycog.study.SizeChoices.Choice;
import steadycog.train.Train;

/** A search for what must bear a load. */
class LoadTest {
  private static Found find(String target, String kind, String load, String rank) {
    return Hunt.run(
        Wanted.NOTHING
            .with(Field.TARGET, target)
            .with(Field.KIND, kind)
            .with(Field.LOAD, load)
            .with(Field.RANK, rank)
            .with(Field.TOP, "8")
            .with(Field.TEETH, "14..60")
            .query(),
        Watch.NONE);
  }

  /** Every card holds as rated anew, with the smallest teeth that do, whatever the kind. */
  @ParameterizedTest
  @ValueSource(strings = {"parallel", "planetary", "two-row"})
  void whatIsFoundHolds(String kind) throws CardException {
    Found found = find("21/4", kind, "1200 rpm 3 Nm 500 h", "error");
    assertEquals(
        find("21/4", kind, "", "error").candidates().stream().map(Candidate::size).toList(),
        found.candidates().stream().map(Candidate::size).toList(),
        "a load changes nothing of what is found");
    for (Candidate candidate : found.candidates()) {
      Train train = Card.read(candidate.card()).train();
      Choice sized = candidate.sized().orElseThrow();
      assertEquals("1200 rpm", train.roles().drives().getFirst().speed().orElseThrow().toString());
      assertTrue(Ratings.of(train).weakest().orElseThrow().margin() >= 1, candidate.card());
      assertEquals(
          SizeChoices.smallest(train).orElseThrow().pitch(), sized.pitch(), candidate.card());
    }
  }

  @Test
  void theLightestComeFirstAndOthersLast() {
    List<Candidate> all = find("30", "planetary,cycloidal", "900 rpm 2 Nm", "load").candidates();
    double[] masses =
        all.stream().mapToDouble(c -> c.sized().map(Choice::mass).orElse(1e9)).toArray();
    double[] sorted = masses.clone();
    Arrays.sort(sorted);
    assertEquals(Arrays.toString(sorted), Arrays.toString(masses));
    assertTrue(all.getFirst().sized().isPresent());
    for (Candidate drive : all) {
      assertEquals(drive.kind() != Kind.CYCLOIDAL, drive.sized().isPresent(), drive.card());
    }
    double fewest =
        find("30", "planetary", "900 rpm 2 Nm", "size").candidates().stream()
            .mapToDouble(c -> c.sized().orElseThrow().mass())
            .min()
            .orElseThrow();
    assertTrue(masses[0] <= fewest, "the fewest teeth are among those looked at");
  }

  @Test
  void loadsAreReadAsPeopleWriteThem() {
    assertEquals(Exact.parse("2000"), Load.parse("1500 rpm 0.5 Nm for 2000 h").hours());
    assertEquals(Exact.parse("10000"), Load.parse(" 1500 rpm 80 W ").hours());
    assertEquals("20 lbf-in", Load.parse("90 rpm 20 lbf in 5h").drive().effort().get().toString());
    for (String wrong : List.of("2 Nm", "1500 rpm", "heavy", "1500 rpm 2 Nm 0 h", "1 rpm 2 mm")) {
      String says =
          assertThrows(IllegalArgumentException.class, () -> Load.parse(wrong)).getMessage();
      assertTrue(says.contains("1500 rpm") || says.contains("life"), says);
    }
    Wanted unladen = Wanted.NOTHING.with(Field.TARGET, "5").with(Field.RANK, "load");
    assertTrue(
        assertThrows(IllegalArgumentException.class, unladen::query)
            .getMessage()
            .contains("needs a load"));
  }
}
