package steadycog.format.demo;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import steadycog.check.Finding;
import steadycog.job.Sheet;
import steadycog.study.NamedStudy;
import steadycog.train.Cycloidal;
import steadycog.train.Train;

/** Every train of the demo could be signed, or has its fault on purpose and says so first. */
class TernRockTest {
  private static final String ON_PURPOSE = "on purpose";

  static Stream<Sheet> sheets() {
    return TernRock.job().sheets().stream();
  }

  @ParameterizedTest
  @MethodSource("sheets")
  void everyTrainIsSoundOrSaysThatItIsNot(Sheet sheet) {
    Train train = sheet.card().orElseThrow().train();
    String first = sheet.card().orElseThrow().text().lines().findFirst().orElse("");
    List<String> bad =
        NamedStudy.of(sheet.name(), train).each().stream()
            .map(NamedStudy::proven)
            .flatMap(one -> one.study().findings().stream())
            .filter(Finding::isBad)
            .map(Finding::message)
            .distinct()
            .toList();
    assertEquals(first.contains(ON_PURPOSE), !bad.isEmpty(), bad::toString);
  }

  @ParameterizedTest
  @MethodSource("sheets")
  void everyTrainSaysHowLargeOfWhatAndWithWhatPlay(Sheet sheet) {
    Train train = sheet.card().orElseThrow().train();
    boolean ownSizes = train.parts().stream().allMatch(Cycloidal.class::isInstance);
    assertTrue(train.isSized() || ownSizes);
    assertTrue(train.sizes().common().made().isPresent(), "material");
    assertTrue(!train.sizes().clearance().unstated(), "clearance");
  }
}
