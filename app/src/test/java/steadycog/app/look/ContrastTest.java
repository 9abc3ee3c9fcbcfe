package steadycog.app.look;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Contrast of the colour tokens, light and dark, by the formula of WCAG 2. */
class ContrastTest {
  private static final Pattern TOKEN = Pattern.compile("(-[a-z-]+): (#[0-9a-f]{6});");
  private static final double TEXT_AA = 4.5;
  private static final double SYMBOL_AA = 3;

  private final String sheet = read();

  private static String read() {
    try (InputStream in = ContrastTest.class.getResourceAsStream("steady-cog.css")) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException broken) {
      throw new IllegalStateException(broken);
    }
  }

  private Map<String, String> tokens(String selector) {
    int from = sheet.indexOf(selector + " {");
    Matcher match = TOKEN.matcher(sheet.substring(from, sheet.indexOf('}', from)));
    Map<String, String> found = new HashMap<>();
    while (match.find()) {
      found.put(match.group(1), match.group(2));
    }
    return found;
  }

  @ParameterizedTest
  @CsvSource({
    "-ink,-paper",
    "-ink,-sheet",
    "-ink-soft,-paper",
    "-ink-soft,-sheet",
    "-green,-paper",
    "-green,-sheet",
    "-brass,-sheet",
    "-brass,-paper",
    "-brick,-sheet",
    "-brick,-paper",
    "-brick,-brick-wash",
    "-ink,-brass-wash",
    "-green,-brass-wash",
    "-ink,-green-wash",
    "-on-green,-green",
    "-ink-soft,-brass-wash"
  })
  void textIsReadable(String ink, String ground) {
    for (String light : new String[] {".steady-cog", ".steady-cog:dark"}) {
      Map<String, String> tokens = tokens(light);
      double contrast = contrast(tokens.get(ink), tokens.get(ground));
      assertTrue(contrast >= TEXT_AA, light + " " + ink + " on " + ground + ": " + contrast);
    }
  }

  @ParameterizedTest
  @CsvSource({"-wheel-line,-wheel-near", "-wheel-line,-wheel-far", "-green,-wheel-near"})
  void drawnLinesStandOut(String line, String ground) {
    for (String light : new String[] {".steady-cog", ".steady-cog:dark"}) {
      Map<String, String> tokens = tokens(light);
      assertTrue(contrast(tokens.get(line), tokens.get(ground)) >= SYMBOL_AA, light + " " + line);
    }
  }

  @Test
  void bothLightsDefineTheSameTokens() {
    assertEquals(tokens(".steady-cog").keySet(), tokens(".steady-cog:dark").keySet());
    assertEquals(21, contrast("#000000", "#ffffff"), 1e-9);
  }

  private static double contrast(String a, String b) {
    double one = luminance(a) + 0.05;
    double two = luminance(b) + 0.05;
    return Math.max(one, two) / Math.min(one, two);
  }

  private static double luminance(String hex) {
    return 0.2126 * channel(hex, 1) + 0.7152 * channel(hex, 3) + 0.0722 * channel(hex, 5);
  }

  private static double channel(String hex, int at) {
    double value = Integer.parseInt(hex.substring(at, at + 2), 16) / 255.0;
    return value <= 0.03928 ? value / 12.92 : Math.pow((value + 0.055) / 1.055, 2.4);
  }
}
