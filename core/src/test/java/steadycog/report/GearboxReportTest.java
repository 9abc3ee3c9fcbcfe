package steadycog.report;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import steadycog.job.Job;
import steadycog.job.Sheet;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.number.Units;

/** The pages by which a gearbox is made and put together. */
class GearboxReportTest {
  private static final Pattern NUMBER = Pattern.compile("\\((\\d+)\\)");

  private static List<Block> pages(String card) throws CardException {
    Job job = new Job("", List.of(Sheet.of("Box", Card.read(card))));
    Report report = Report.of(job, Set.of(Section.GEARBOX), Units.USUAL, "");
    return report.chapters().getFirst().parts().getFirst().blocks();
  }

  private static String words(List<Block> blocks) {
    return blocks.stream()
        .map(block -> block instanceof Block.Text text ? text.text() : "")
        .collect(Collectors.joining("\n"));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          parallel 20 ~ 50; module 1 mm; clearance laser; drive A; take B             | Turn A by hand: 5/2 of its turns bring B round once, the other way.
          planetary sun 24 planet 18 x3 ring 60; module 1 mm; clearance printed; drive sun; hold ring; take carrier | Turn sun by hand: 7/2 of its turns bring carrier round once, the same way.
          cycloidal lobes 15 discs 2; clearance machined; drive eccentric; hold ring; take disc  | Turn eccentric by hand: 15 of its turns bring disc round once, the other way.
          """)
  void everyLineOfTheBillGoesInAtSomeStepAndIsDrawnThere(String card, String turn)
      throws CardException {
    List<Block> blocks = pages(card);
    Block.Table bill =
        (Block.Table)
            blocks.stream().filter(Block.Table.class::isInstance).findFirst().orElseThrow();
    List<Block.Assembly> drawings =
        blocks.stream()
            .filter(Block.Assembly.class::isInstance)
            .map(Block.Assembly.class::cast)
            .toList();
    TreeSet<Integer> said =
        NUMBER
            .matcher(words(blocks))
            .results()
            .map(MatchResult::group)
            .map(text -> Integer.parseInt(text.replaceAll("\\D", "")))
            .collect(Collectors.toCollection(TreeSet::new));
    assertEquals(IntStream.rangeClosed(1, bill.rows().size()).boxed().toList(), List.copyOf(said));
    assertTrue(drawings.getFirst().fresh().isEmpty());
    assertEquals(
        drawings.getFirst().drawing().places().size(),
        drawings.stream().flatMap(one -> one.fresh().stream()).distinct().count());
    assertTrue(words(blocks).contains(turn), words(blocks));
    assertEquals(
        drawings.size() - 1,
        blocks.stream()
            .filter(b -> b instanceof Block.Heading(String text) && text.startsWith("Step"))
            .count());
    assertTrue(blocks.contains(new Block.Caution(Cautions.ASSEMBLING)));
  }

  @Test
  void planetsWithDotsAreLookedDownOnAsTheyGoInAndOnlyThose() throws CardException {
    String plain = "planetary sun 24 planet 18 x3 ring 60; module 1 mm; clearance printed; ";
    String roles = "drive sun; hold ring; take carrier";
    assertEquals(List.of(), lookedDownOn(pages(plain + roles)));
    String stepped = plain.replace("planet 18 x3 ring 60", "/- planet 30=18 x3 ring -/72");
    List<Block.Assembly> seen = lookedDownOn(pages(stepped.replace("24 /-", "24/-") + roles));
    assertEquals(1, seen.size());
    assertEquals(
        List.of("planet", "sun"),
        seen.getFirst().drawing().places().stream()
            .map(p -> p.component().name())
            .sorted()
            .toList());
    assertTrue(seen.getFirst().fresh().stream().anyMatch(one -> one.name().equals("planet")));
  }

  private static List<Block.Assembly> lookedDownOn(List<Block> blocks) {
    return blocks.stream()
        .filter(Block.Assembly.class::isInstance)
        .map(Block.Assembly.class::cast)
        .filter(one -> one.words().startsWith("Dot to dot"))
        .toList();
  }

  @Test
  void whatBearingsBearIsATableAndWhatIsTooWeakACaution() throws CardException {
    List<Block> blocks =
        pages("parallel 18 ~ 54; module 2 mm; bore 8 mm; drive A 1500 rpm 20 Nm; take B");
    assertTrue(
        blocks.stream().anyMatch(b -> b instanceof Block.Table table && table.rows().size() == 2));
    assertTrue(
        blocks.stream()
            .anyMatch(b -> b instanceof Block.Caution(String text) && text.contains(" is 8 mm")));
  }

  @Test
  void whereNoneIsMadeOrItDoesNotGoTogetherThePagesSayWhy() throws CardException {
    assertTrue(
        pages("bevel 20 ~ 43").getFirst() instanceof Block.Remark(String text)
            && text.startsWith("No gearbox is made of this train: "));
  }
}
