package steadycog.app.guide;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import steadycog.app.desk.Station;
import steadycog.app.guide.Guide.Section;
import steadycog.cli.Version;

class GuideTest {
  private static final Guide GUIDE = Guide.load();

  @Test
  void aSectionIsAHeadingAndWhatStandsUnderIt() {
    Guide guide =
        Guide.of(
            "# Gears\n\nfirst\n\n- one\n- two\n\n## Rings\n\n| a | b |\n|---|---|\n| 1 | 2 |\n");
    assertEquals(List.of("Gears", "Rings"), guide.sections().stream().map(Section::title).toList());
    assertEquals(List.of(2, 1), guide.sections().stream().map(s -> s.blocks().size()).toList());
    assertEquals(2, guide.sections().getLast().level());
  }

  @ParameterizedTest
  @EnumSource
  void everyStationHasItsChapter(Station station) {
    Section chapter =
        GUIDE.sections().stream()
            .filter(section -> section.title().equals(GuidePane.chapter(station)))
            .findFirst()
            .orElseThrow();
    assertFalse(chapter.blocks().isEmpty());
  }

  @Test
  void itTellsWhichVersionThisIs() {
    Section about =
        GUIDE.sections().stream()
            .filter(s -> s.title().equals(Guide.ABOUT))
            .findFirst()
            .orElseThrow();
    assertEquals(2, about.level());
    assertTrue(about.answers(Version.text()));
    assertTrue(Version.text().matches("Steady Cog \\d+\\.\\d+\\.\\d+( \\([0-9a-f]{7,}\\))?"));
  }

  @Test
  void itIsFoundByWordsOfItsTextInAnyCase() {
    List<String> found =
        GUIDE.sections().stream()
            .filter(section -> section.answers("Clutches REACH housing"))
            .map(Section::title)
            .toList();
    assertTrue(found.contains("8. Sets put together"), found::toString);
    assertTrue(found.size() < GUIDE.sections().size() / 2, found::toString);
    assertTrue(GUIDE.sections().stream().noneMatch(s -> s.answers("no such word zzz")));
  }
}
