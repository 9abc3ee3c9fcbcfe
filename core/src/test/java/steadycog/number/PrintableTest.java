package steadycog.number;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Random;
import org.junit.jupiter.api.Test;

class PrintableTest {
  @Test
  void ordersBecomeBlanksAndLettersStay() {
    assertEquals("a [31mred\tb\n", Printable.of("a\u001b[31mred\tb\n"));
    assertEquals("bell  end", Printable.of("bell\u0007\u009bend"));
    assertEquals("Größe 歯車 \ud83d\ude00", Printable.of("Größe 歯車 \ud83d\ude00"));
    assertEquals("half \ufffd.", Printable.of("half \ud83d."));
  }

  @Test
  void whatIsLeftIsFreeOfOrdersAndStaysAsItIs() {
    Random random = new Random(7);
    for (int k = 0; k < 2000; k++) {
      StringBuilder any = new StringBuilder();
      random.ints(20, 0, 0x10000).forEach(c -> any.append((char) c));
      String safe = Printable.of(any.toString());
      assertEquals(safe, Printable.of(safe));
      assertTrue(safe.chars().noneMatch(c -> Character.isISOControl(c) && c != '\n' && c != '\t'));
    }
  }
}
