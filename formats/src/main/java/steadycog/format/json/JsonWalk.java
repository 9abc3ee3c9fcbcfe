package steadycog.format.json;

import com.fasterxml.jackson.core.JsonLocation;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonToken;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.notation.CardProblem;

/** What all readers of parts of a job do alike, token by token. */
abstract class JsonWalk {
  final JsonParser parser;

  JsonWalk(JsonParser parser) {
    this.parser = parser;
  }

  static Card card(Lines lines) throws UnreadableException {
    try {
      return Card.read(lines.text());
    } catch (CardException unreadable) {
      CardProblem first = unreadable.problems().getFirst();
      JsonLocation start = lines.places.get(Math.min(first.line(), lines.places.size()) - 1);
      throw new UnreadableException(
          start.getLineNr(), start.getColumnNr() + first.column(), first.message());
    }
  }

  /** A text kept as one string a line, with the place of each. */
  record Lines(List<String> lines, List<JsonLocation> places) {
    String text() {
      return String.join("\n", lines) + "\n";
    }
  }

  final Lines lines(String field) throws IOException, UnreadableException {
    expect(JsonToken.START_ARRAY, field + ": a list of lines");
    Lines lines = new Lines(new ArrayList<>(), new ArrayList<>());
    lines.places.add(parser.currentTokenLocation());
    while (parser.nextToken() != JsonToken.END_ARRAY) {
      require(JsonToken.VALUE_STRING, field + ": a line of text");
      if (parser.getText().indexOf('\n') >= 0 || parser.getText().indexOf('\r') >= 0) {
        throw here(field + ": a line break inside a line");
      }
      if (lines.lines.isEmpty()) {
        lines.places.clear();
      }
      lines.lines.add(parser.getText());
      lines.places.add(parser.currentTokenLocation());
    }
    return lines;
  }

  final String string(String field) throws IOException, UnreadableException {
    expect(JsonToken.VALUE_STRING, field + ": a text in quotes");
    return parser.getText();
  }

  final void expect(JsonToken wanted, String expected) throws IOException, UnreadableException {
    parser.nextToken();
    require(wanted, expected);
  }

  final void require(JsonToken wanted, String expected) throws UnreadableException {
    if (parser.currentToken() != wanted) {
      throw here("expected " + expected);
    }
  }

  final UnreadableException unknownField(String known) throws IOException {
    return here("unknown field '" + parser.currentName() + "', expected " + known);
  }

  final UnreadableException here(String message) {
    JsonLocation at = parser.currentTokenLocation();
    return new UnreadableException(at.getLineNr(), at.getColumnNr(), message);
  }
}
