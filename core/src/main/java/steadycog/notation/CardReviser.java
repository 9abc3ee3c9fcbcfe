package steadycog.notation;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import steadycog.notation.CardReader.PlacedItem;
import steadycog.train.Train;

/**
 * Changes a card so that it describes another train, touching only the statements that differ.
 * Comments, spelling and line order of everything else stay as their writer left them.
 */
final class CardReviser {
  private final List<StringBuilder> lines = new ArrayList<>();
  private final List<StringBuilder> emptied = new ArrayList<>();
  private final List<Item> added = new ArrayList<>();

  private CardReviser(String text) {
    Arrays.stream(text.split("\\R", -1)).forEach(line -> lines.add(new StringBuilder(line)));
  }

  static String revise(String text, Train changed) {
    try {
      List<PlacedItem> old = new CardReader().readItems(text);
      return new CardReviser(text).revise(old, Item.of(changed));
    } catch (CardException unreadable) {
      throw new IllegalArgumentException("only a readable card can be revised", unreadable);
    }
  }

  private String revise(List<PlacedItem> old, List<Item> wanted) {
    List<Edit> edits = new ArrayList<>();
    boolean sameLosses =
        Item.losses(old.stream().map(PlacedItem::item).toList()).equals(Item.losses(wanted));
    for (Class<?> kind : Item.class.getPermittedSubclasses()) {
      if (kind == Item.OfLosses.class && sameLosses) {
        // Said in other words or more statements than the canonical ones, but the same.
        continue;
      }
      List<PlacedItem> before =
          old.stream().filter(placed -> kind.isInstance(placed.item())).toList();
      List<Item> after = wanted.stream().filter(kind::isInstance).toList();
      if (kind == Item.OfSizes.class) {
        // Their order says nothing: what stays is left where it is.
        List<Item> kept = before.stream().map(PlacedItem::item).toList();
        List<Item> all = after;
        before = before.stream().filter(placed -> !all.contains(placed.item())).toList();
        after = after.stream().filter(item -> !kept.contains(item)).toList();
      }
      match(before, after, edits);
    }
    edits.sort((a, b) -> Integer.compare(b.place.from(), a.place.from()));
    edits.forEach(this::apply);
    return text();
  }

  /** What becomes of one statement; removed where {@code replacement} is empty. */
  private record Edit(PlacedItem place, Optional<Item> replacement) {}

  private void match(List<PlacedItem> old, List<Item> wanted, List<Edit> edits) {
    List<PlacedItem> kept = new ArrayList<>(old);
    while (kept.size() > wanted.size()) {
      PlacedItem gone =
          kept.stream()
              .filter(placed -> !wanted.contains(placed.item()))
              .findFirst()
              .orElseGet(kept::getLast);
      kept.remove(gone);
      edits.add(new Edit(gone, Optional.empty()));
    }
    for (int k = 0; k < kept.size(); k++) {
      if (!kept.get(k).item().equals(wanted.get(k))) {
        edits.add(new Edit(kept.get(k), Optional.of(wanted.get(k))));
      }
    }
    added.addAll(wanted.subList(kept.size(), wanted.size()));
  }

  private void apply(Edit edit) {
    StringBuilder line = lines.get(edit.place.line() - 1);
    int from = edit.place.from() - 1;
    int to = edit.place.to() - 1;
    line.replace(from, to, edit.replacement.map(Item::print).orElse(""));
    if (edit.replacement.isEmpty()) {
      tidyAround(line, from);
    }
  }

  /** Drops the separator that a removed statement leaves behind, and a line left empty by it. */
  private void tidyAround(StringBuilder line, int at) {
    String before = line.substring(0, at).stripTrailing();
    String after = line.substring(at).stripLeading();
    if (after.startsWith(";")) {
      after = after.substring(1).stripLeading();
    } else if (before.endsWith(";")) {
      before = before.substring(0, before.length() - 1).stripTrailing();
    }
    String gap = before.isEmpty() || after.isEmpty() ? "" : " ";
    line.replace(0, line.length(), before + gap + after);
    if (line.isEmpty()) {
      emptied.add(line);
    }
  }

  private boolean isEmptied(StringBuilder line) {
    return emptied.stream().anyMatch(other -> other == line);
  }

  private String text() {
    List<String> out = new ArrayList<>();
    lines.stream().filter(line -> !isEmptied(line)).forEach(line -> out.add(line.toString()));
    while (!out.isEmpty() && out.getLast().isBlank()) {
      out.removeLast();
    }
    added.forEach(item -> out.add(item.print()));
    return String.join("\n", out) + "\n";
  }
}
