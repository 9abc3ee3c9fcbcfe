package steadycog.site;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A site of a few small documents; the build makes that of the real ones and fails with it. */
class SiteTest {
  @TempDir Path root;
  private Path out;

  @BeforeEach
  void documents() throws IOException {
    out = root.resolve("out");
    write("README.md", "# Cog\n\n[Guide](docs/guide.md#2-turn-it) ![Shown](docs/shot.png)\n");
    write("docs/shot.png", "not looked into");
    write(
        "docs/guide.md",
        "# Guide\n\nText.\n\n## 2. Turn it\n\n`A ~ B` | <turns>\n\n## 2. Turn it\n");
    write("docs/format.md", "# Files\n\n[elsewhere](https://example.org/x) [here](#files)\n");
    write("docs/methods.md", "# Methods\n\n[back](../README.md)\n");
    write("docs/decisions/0001-one.md", "# 1. One\n");
    write("CHANGELOG.md", "# Changes\n");
    write(
        "docs/findings.md",
        """
        # Findings

        Before.

        | code | meaning | rule and source |
        |---|---|---|
        | `few-teeth` | Too few teeth. | z < 8 (a book) |
        | `no-drive` | Nothing is driven. | |
        | `gearbox` | Not from a card alone. | |
        """);
    write(
        "cli/src/test/resources/frozen/rules.txt",
        """
        card | code | severity | margin | first cure | after it
        parallel 7 ~ 40; drive A; take B | few-teeth | error | - | - |
        parallel 7 ~ 11; drive A; take B | few-teeth | error | -1 | A 7 -> 8 | warning
        p: parallel 20 ~ 40; q: parallel 20 ~ 30 | no-drive | note | - | - |
        """);
  }

  private void write(String path, String text) throws IOException {
    Path file = root.resolve(path);
    Files.createDirectories(file.getParent());
    Files.writeString(file, text);
  }

  private String made(String name) throws IOException {
    return Files.readString(out.resolve(name));
  }

  private List<String> dead() throws IOException {
    return new Site(root, out).make();
  }

  @Test
  void whatIsLedToIsAPageOrGoesAlong() throws IOException {
    assertEquals(List.of(), dead());
    assertTrue(made("index.html").contains("href=\"guide.html#2-turn-it\""));
    assertTrue(made("index.html").contains("src=\"docs/shot.png\""));
    assertEquals("not looked into", made("docs/shot.png"));
    assertTrue(
        made("guide.html").contains("id=\"2-turn-it\"") && made("guide.html").contains("-2\""));
    assertTrue(made("methods.html").contains("href=\"index.html\""));
    assertTrue(made("format.html").contains("https://example.org/x"));
    assertTrue(made("decisions.html").contains("href=\"0001-one.html\""));
    assertTrue(made("0001-one.html").contains("<title>1. One</title>"));
    for (String page : List.of("index.html", "guide.html", "findings.html")) {
      assertFalse(made(page).contains("{"), page + " has a place that was not filled");
      assertTrue(made(page).contains("aria-current"), page);
    }
  }

  @Test
  void linksThatLeadNowhereAreNamedAndNothingIsWritten() throws IOException {
    write("docs/methods.md", "# Methods\n\n[a](gone.md) [b](guide.md#gone) ![c](../../out.png)\n");
    assertEquals(
        List.of(
            "docs/methods.md: gone.md",
            "docs/methods.md: guide.md#gone",
            "docs/methods.md: ../../out.png"),
        dead());
    assertFalse(Files.exists(out));
  }

  @Test
  void passagesHoldAllText() throws IOException {
    assertEquals(List.of(), dead());
    String script = made("passages.js");
    JsonNode all =
        new ObjectMapper()
            .readTree(script.replaceFirst("^const PASSAGES = ", "").replace(";\n", ""));
    assertTrue(all.size() > 10, all.size() + " passages");
    boolean found = false;
    for (JsonNode passage : all) {
      String[] to = passage.get(0).asText().split("#");
      assertTrue(made(to[0]).contains("id=\"" + to[1] + "\""), passage.toString());
      found |=
          passage.get(2).asText().equals("2. Turn it") && passage.get(3).asText().contains("A ~ B");
    }
    assertTrue(found, script);
  }

  /** The card that has a cure is taken; what is said is what the program says of it now. */
  @Test
  void findingsHaveMeaningRuleCardWordsCureAndPicture() throws IOException {
    assertEquals(List.of(), dead());
    String page = made("findings.html");
    assertTrue(page.indexOf("Before.") < page.indexOf("href=\"findings.html#few-teeth\""));
    String few = page.substring(page.indexOf("id=\"few-teeth\""), page.indexOf("id=\"no-drive\""));
    Stream.of(
            "Too few teeth.",
            "z &lt; 8 (a book)",
            "<pre><code>parallel 7 ~ 11\ndrive A\ntake B",
            "error: A has 7 teeth",
            "<code>A 7 -&gt; 8</code>; then <code>warning</code>",
            "pictures/few-teeth.svg")
        .forEach(part -> assertTrue(few.contains(part), part + " in " + few));
    assertTrue(made("pictures/few-teeth.svg").contains("<path"));
    assertFalse(page.substring(page.indexOf("id=\"gearbox\"")).contains("<pre>"));
  }
}
