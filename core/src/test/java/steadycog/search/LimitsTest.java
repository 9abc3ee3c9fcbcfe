package steadycog.search;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.EnumMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import steadycog.search.Wanted.BadField;
import steadycog.search.Wanted.Field;

/** What cannot be looked for is said of the field that asks for it. */
class LimitsTest {
  private static Wanted wanted(Field field, String text) {
    Map<Field, String> texts = new EnumMap<>(Field.class);
    texts.put(Field.TARGET, "13/4");
    texts.put(field, text);
    return new Wanted(texts);
  }

  @ParameterizedTest
  @CsvSource({
    "TARGET, none",
    "TARGET, 0",
    "TOLERANCE, wide",
    "STAGES, -1",
    "STAGES, 6",
    "STAGES, two",
    "TEETH, 3..20",
    "TEETH, 12..601",
    "TEETH, 40..20",
    "RING, many",
    "PLANETS, 0",
    "PLANETS, 13",
    "PER_STAGE, 0.5",
    "PER_STAGE, steep",
    "DISTORTION, 4",
    "DISTORTION, -1",
    "DIAMETER, 5",
    "LOSSES, half",
    "EFFICIENCY, much",
    "BACKWARDS, perhaps",
    "KIND, wooden",
    "TOP, few",
    "RANK, beauty",
    "DIRECTION, up",
  })
  void whatCannotBeReadOrLooksBeyondAllBoundsNamesItsField(Field field, String text) {
    BadField bad = assertThrows(BadField.class, () -> wanted(field, text).query());
    assertEquals(field, bad.field());
    assertTrue(bad.getMessage().length() > 10, bad::getMessage);
  }

  @ParameterizedTest
  @CsvSource({
    "STAGES, 1..5",
    "TEETH, 4..600",
    "PLANETS, 12",
    "PER_STAGE, 1",
    "DISTORTION, 0",
    "DISTORTION, 3",
    "DIAMETER, 14",
  })
  void whatIsAtABoundIsWithinIt(Field field, String text) {
    assertTrue(wanted(field, text).query().limits().stages().from() >= 1);
  }

  @ParameterizedTest
  @EnumSource
  void everyFieldHasItsWords(Field field) {
    assertTrue(field.key().matches("[a-z-]+"), field.key());
    assertTrue(!field.label().isBlank() && !field.help().isBlank(), field.key());
    assertEquals("", new Wanted(Map.of()).text(field));
    assertEquals(
        field.isChoice() ? "yes" : "x", wanted(field, field.isChoice() ? "yes" : "x").text(field));
  }

  @Test
  void withoutATargetThatFieldIsNamed() {
    BadField bad = assertThrows(BadField.class, () -> new Wanted(Map.of()).query());
    assertEquals(Field.TARGET, bad.field());
  }
}
