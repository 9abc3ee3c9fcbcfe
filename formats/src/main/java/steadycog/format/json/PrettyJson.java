package steadycog.format.json;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.util.DefaultIndenter;
import com.fasterxml.jackson.core.util.DefaultPrettyPrinter;
import com.fasterxml.jackson.core.util.Separators;
import com.fasterxml.jackson.databind.JsonNode;

/** Lays JSON out for people and for line-by-line comparison. */
final class PrettyJson {
  private PrettyJson() {}

  static String write(JsonNode root) {
    DefaultIndenter indent = new DefaultIndenter("  ", "\n");
    DefaultPrettyPrinter printer =
        new DefaultPrettyPrinter()
            .withSeparators(
                Separators.createDefaultInstance()
                    .withObjectFieldValueSpacing(Separators.Spacing.AFTER));
    printer.indentObjectsWith(indent);
    printer.indentArraysWith(indent);
    try {
      return JobJson.MAPPER.writer(printer).writeValueAsString(root) + "\n";
    } catch (JsonProcessingException impossible) {
      throw new IllegalStateException("a tree of nodes can always be written", impossible);
    }
  }
}
