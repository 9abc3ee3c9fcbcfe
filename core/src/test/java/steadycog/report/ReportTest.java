package steadycog.report;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import steadycog.RandomCards;
import steadycog.bench.BenchBook;
import steadycog.bench.BenchBook.Settled;
import steadycog.bench.Build;
import steadycog.bench.Guess;
import steadycog.check.Finding;
import steadycog.job.Job;
import steadycog.job.Sheet;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.number.Exact;
import steadycog.number.Unit;
import steadycog.number.Units;
import steadycog.study.Study;

class ReportTest {
  private static final LocalDate DAY = LocalDate.of(2031, 5, 6);
  private static final String SET =
      "planetary sun 24 planet 15 x3 ring 54; module 1 mm; width 8 mm; material steel;"
          + " clearance machined; bore sun 6 mm; drive sun 60 rpm 2 Nm; hold ring; take carrier\n";

  private static Report of(Sheet sheet, Set<Section> sections, Units units) {
    return Report.of(new Job("", List.of(sheet)), sections, units, "");
  }

  private static List<Block> blocks(Report report) {
    return report.chapters().stream()
        .flatMap(chapter -> chapter.parts().stream())
        .flatMap(part -> part.blocks().stream())
        .toList();
  }

  /** Every word of a report, a cell or a paragraph each. */
  private static List<String> words(Report report) {
    return blocks(report).stream()
        .flatMap(
            block ->
                switch (block) {
                  case Block.Heading heading -> Stream.of(heading.text());
                  case Block.Text text -> Stream.of(text.text());
                  case Block.Remark remark -> Stream.of(remark.text());
                  case Block.Caution caution -> Stream.of(caution.text());
                  case Block.Finding finding -> Stream.of(finding.text(), finding.settled());
                  case Block.Table table ->
                      Stream.concat(
                          Stream.concat(Stream.of(table.caption()), table.heads().stream()),
                          table.rows().stream().flatMap(List::stream));
                  case Block.Drawing drawing -> Stream.of(drawing.words());
                  case Block.Assembly whole -> Stream.of(whole.words());
                  case Block.Lines lines -> Stream.<String>empty();
                  case Block.Charts charts -> Stream.<String>empty();
                })
        .toList();
  }

  private static Sheet sheet(String card) throws CardException {
    return Sheet.of("t", Card.read(card));
  }

  /** Whatever units are in view, no size is left in those of another. */
  @Test
  void everySizeIsInTheUnitsInView() throws CardException {
    Units units = Units.USUAL.with(Unit.IN).with(Unit.LBF_IN).with(Unit.HP).with(Unit.RAD_PER_S);
    Set<Section> sections =
        EnumSet.of(Section.RATIOS, Section.WORKING, Section.FINDINGS, Section.CUT_SHEET);
    List<String> words = words(of(sheet(SET), sections, units));
    for (String word : words) {
      String own = word.replaceAll("module(, mm|s|[^,.;]*)", "");
      assertFalse(own.matches(".*(\\d| |, )(mm|Nm|W|rpm)\\b.*"), word);
    }
    assertTrue(words.contains("rad/s") && words.contains("lbf-in") && words.contains("hp"));
    assertTrue(words.contains("0.2362 in"), "a bore of 6 mm");
    assertTrue(words.stream().anyMatch(w -> w.equals("pitch diameter, in")));
  }

  @ParameterizedTest
  @EnumSource(Section.class)
  void noSectionOfAnyTrainIsWithoutItsHeadsAndWords(Section section) {
    Random random = new Random(section.ordinal());
    for (int round = 0; round < 12; round++) {
      Sheet sheet = Sheet.of("t", RandomCards.next(random));
      for (Block block : blocks(of(sheet, EnumSet.of(section), Units.USUAL))) {
        if (block instanceof Block.Table table) {
          assertFalse(table.caption().isBlank());
          assertTrue(table.most() >= 1);
          table.rows().forEach(row -> assertEquals(table.heads().size(), row.size()));
        } else if (block instanceof Block.Drawing drawing) {
          assertFalse(drawing.names().isEmpty(), "wheels are named");
          for (Block.Name name : drawing.names()) {
            assertTrue(drawing.words().contains(name.text().split(", ")[0]), drawing::words);
            assertTrue(name.x() >= drawing.bounds()[0] && name.x() <= drawing.bounds()[2]);
            assertTrue(name.y() >= drawing.bounds()[1] && name.y() <= drawing.bounds()[3]);
          }
          long places = drawing.names().stream().map(n -> n.x() + " " + n.y()).distinct().count();
          assertEquals(drawing.names().size(), places, "no name on another");
        }
      }
    }
  }

  /** What was settled is shown, also of a finding that is gone; what was guessed as well. */
  @Test
  void whatWasSettledAndGuessedIsShown() throws CardException {
    Card card = Card.read(SET);
    Finding open =
        Study.of(card.train()).findings().stream()
            .filter(f -> f.severity() != steadycog.check.Severity.OK)
            .findFirst()
            .orElseThrow();
    BenchBook book =
        new BenchBook(
            List.of(new Build("Build A", Optional.of(DAY), "", List.of(), card, List.of())),
            List.of(
                new Settled(BenchBook.keyOf(open), "looked at twice"),
                new Settled("undercut sun", "shifted by hand")),
            List.of(
                new Guess(
                    DAY, "sun drives, ring held, carrier out", Exact.of(9, 4), Exact.of(13, 4)),
                new Guess(DAY, "all of it", Exact.of(13, 4), Exact.of(13, 4))));
    Sheet sheet = sheet(SET).booking(book);
    List<String> findings = words(of(sheet, EnumSet.of(Section.FINDINGS), Units.USUAL));
    assertTrue(findings.contains("looked at twice"), findings::toString);
    assertTrue(findings.contains("undercut sun, no longer found"), findings::toString);
    assertTrue(findings.contains("shifted by hand"), findings::toString);
    List<String> bench = words(of(sheet, EnumSet.of(Section.BENCH), Units.USUAL));
    List<String> expected =
        List.of("Practice", "9/4", "13/4", "not right", "right", DAY.toString(), "all of it");
    assertTrue(bench.containsAll(expected), bench::toString);
  }

  @ParameterizedTest
  @ValueSource(strings = {"module 1 mm; ", "width 8 mm; ", "material steel; ", ""})
  void strengthNeedsEverySizeStated(String leftOut) throws CardException {
    String card = SET.replace(leftOut.isEmpty() ? "\u0000" : leftOut, "");
    List<String> words = words(of(sheet(card), EnumSet.of(Section.CUT_SHEET), Units.USUAL));
    boolean stated = leftOut.isEmpty();
    assertEquals(stated, words.stream().anyMatch(w -> w.startsWith("Weakest tooth")));
    assertEquals(stated, words.stream().anyMatch(w -> w.startsWith("Strength by Lewis")));
    assertEquals(!stated, words.stream().anyMatch(w -> w.startsWith("No strength is given")));
    Study study = Study.of(Card.read(card).train());
    assertEquals(
        stated, study.findings().stream().anyMatch(f -> f.code().equals("tooth-strength")));
  }

  @Test
  void titlesNameTheJobTheTrainAndTheKind() throws CardException {
    Sheet one = sheet(SET);
    Sheet two = one.named("other");
    assertEquals("t", of(one, Section.ALL, Units.USUAL).title());
    assertEquals("Cut sheet, t", of(one, Section.SHOP, Units.USUAL).title());
    Report both = Report.of(new Job("Tern", List.of(one, two)), Section.ALL, Units.USUAL, "May");
    assertEquals("Tern", both.title());
    assertEquals("Tern, May", both.footer());
    List<String> titles = new ArrayList<>();
    both.chapters().forEach(chapter -> titles.add(chapter.title()));
    assertEquals(List.of("t", "other"), titles);
    Report empty = Report.of(new Job("", List.of(one, two)), Section.ALL, Units.USUAL, "");
    assertEquals("Gear trains", empty.title());
  }
}
