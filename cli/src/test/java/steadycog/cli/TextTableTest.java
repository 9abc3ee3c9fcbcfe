package steadycog.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class TextTableTest {
  private static int longest(String text) {
    return text.lines().mapToInt(l -> l.getBytes(StandardCharsets.UTF_8).length).max().orElse(0);
  }

  /** However many columns, no line is too long, and every cell is there once a row. */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4})
  void everyCellStandsSomewhereWithinTheWidth(long seed) {
    Random random = new Random(seed);
    for (int round = 0; round < 100; round++) {
      int columns = random.nextInt(2, 24);
      String[] heads = new String[columns];
      for (int c = 0; c < columns; c++) {
        heads[c] = "head" + c;
      }
      TextTable table = new TextTable(random.nextInt(3), heads);
      TreeMap<String, Integer> expected = new TreeMap<>();
      int rows = random.nextInt(1, 9);
      for (int r = 0; r < rows; r++) {
        String[] cells = new String[columns];
        for (int c = 0; c < columns; c++) {
          cells[c] = "r" + r + "c" + c + "\u2032".repeat(random.nextInt(6));
          expected.merge(cells[c], 1, Integer::sum);
        }
        table.add(cells);
      }
      String text = table.toString();
      assertTrue(longest(text) <= Lines.MOST, text);
      TreeMap<String, Integer> found = new TreeMap<>();
      Arrays.stream(text.split("\\s+"))
          .filter(word -> word.startsWith("r"))
          .forEach(word -> found.merge(word, 1, Integer::sum));
      assertEquals(expected.keySet(), found.keySet());
      found.forEach(
          (cell, times) -> assertTrue(times == 1 || cell.matches("r\\d+c0\u2032*"), cell));
    }
  }

  @Test
  void columnsInWhichNothingStandsAreLeftOut() {
    TextTable table = new TextTable(1, "member", "held", "speed");
    table.add("A", "-", "3");
    table.add("B", "", "4");
    assertEquals("member  speed\nA           3\nB           4\n", table.toString());
  }

  @Test
  void wordsInTheLastColumnGoOnBelow() {
    TextTable table = new TextTable(2, "member", "torques");
    String words = "first word ".repeat(20).strip();
    table.add("A", words);
    table.add(List.of("parallel 20 ~ 40"), "B", "none");
    String text = table.toString();
    assertTrue(longest(text) <= Lines.MOST, text);
    assertEquals(40, text.split("first|word", -1).length - 1);
    assertTrue(text.endsWith("B       none\n    parallel 20 ~ 40\n"), text);
  }

  /** Parting a text changes nothing but where lines end. */
  @Test
  void partedLinesSayTheSame() {
    Random random = new Random(12);
    for (int round = 0; round < 300; round++) {
      StringBuilder text = new StringBuilder();
      for (int words = random.nextInt(1, 80); words > 0; words--) {
        text.append("\u00d8w".repeat(random.nextInt(1, 8))).append(' ');
      }
      String line = text.toString().strip();
      String parted = Lines.wrapped(line);
      assertTrue(longest(parted) <= Lines.MOST);
      assertEquals(line, parted.strip().replaceAll("\n\\s+", " "));
    }
  }

  @Test
  void aCardIsPartedBetweenStatements() {
    Random random = new Random(13);
    for (int round = 0; round < 200; round++) {
      List<String> statements = new ArrayList<>();
      for (int k = random.nextInt(1, 14); k > 0; k--) {
        statements.add("hold " + "m".repeat(random.nextInt(1, 40)));
      }
      List<String> lines = Lines.card(String.join("; ", statements));
      assertEquals(statements, lines.stream().flatMap(l -> Arrays.stream(l.split("; "))).toList());
      lines.forEach(line -> assertTrue(line.length() <= Lines.MOST - Lines.INDENT.length()));
    }
  }
}
