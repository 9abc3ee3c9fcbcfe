package steadycog.notation;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiPredicate;
import java.util.function.Function;
import steadycog.notation.CardReader.PlacedItem;
import steadycog.number.Known;
import steadycog.train.Edited;
import steadycog.train.Losses;
import steadycog.train.MemberId;

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

  static String revise(String text, Edited changed) {
    try {
      List<PlacedItem> old = new CardReader().readItems(text);
      return new CardReviser(text).revise(old, Item.of(changed.train()), changed.follows());
    } catch (CardException unreadable) {
      throw new IllegalArgumentException("only a readable card can be revised", unreadable);
    }
  }

  private String revise(
      List<PlacedItem> old, List<Item> wanted, Function<MemberId, Optional<MemberId>> follows) {
    List<Edit> edits = new ArrayList<>();
    for (Class<?> kind : Item.class.getPermittedSubclasses()) {
      List<PlacedItem> before =
          old.stream().filter(placed -> kind.isInstance(placed.item())).toList();
      List<Item> after = wanted.stream().filter(kind::isInstance).toList();
      if (kind == Item.OfLosses.class) {
        spread(before, Item.losses(after), follows, edits);
      } else {
        match(old, before, after, follows, edits);
      }
    }
    edits.sort((a, b) -> Integer.compare(b.place.from(), a.place.from()));
    edits.forEach(this::apply);
    return text();
  }

  /**
   * What becomes of one statement.
   *
   * @param text what is written instead; empty where it is taken away
   * @param tail what stands behind it to the end of its line, where that changes
   */
  private record Edit(PlacedItem place, Optional<String> text, Optional<String> tail) {
    static Edit of(PlacedItem place, Optional<Item> replacement) {
      return new Edit(place, replacement.map(Item::print), Optional.empty());
    }
  }

  /**
   * Finds for every statement the one that takes its place: first the same of the same members,
   * whatever they are called now; then another about the same; then, where a statement may be moved
   * to other members, whichever is left. What no statement is left for is new.
   */
  private void match(
      List<PlacedItem> all,
      List<PlacedItem> old,
      List<Item> wanted,
      Function<MemberId, Optional<MemberId>> follows,
      List<Edit> edits) {
    Map<PlacedItem, Item> next = new LinkedHashMap<>();
    List<Item> open = new ArrayList<>(wanted);
    List<BiPredicate<Item, Item>> likeness =
        List.of(
            Item::equals,
            (now, item) -> now.subject().equals(item.subject()),
            (now, item) -> item.moves());
    for (int pass = 0; pass < likeness.size(); pass++) {
      for (PlacedItem placed : old) {
        if (next.containsKey(placed)) {
          continue;
        }
        // What speaks of a member that is gone can only be moved to another one.
        Optional<Item> now = placed.item().following(follows);
        if (now.isEmpty() && pass < likeness.size() - 1) {
          continue;
        }
        BiPredicate<Item, Item> alike = likeness.get(pass);
        Item same = now.orElse(placed.item());
        open.stream()
            .filter(item -> alike.test(same, item))
            .findFirst()
            .ifPresent(
                item -> {
                  next.put(placed, item);
                  open.remove(item);
                });
      }
    }
    List<PlacedItem> kept = old.stream().filter(next::containsKey).toList();
    List<PlacedItem> sources =
        kept.stream()
            .sorted(Comparator.comparingInt(placed -> indexOf(wanted, Known.in(next, placed))))
            .toList();
    boolean moved = !kept.isEmpty() && kept.getFirst().item().ordered() && !sources.equals(kept);
    for (int k = 0; k < kept.size(); k++) {
      PlacedItem placed = kept.get(k);
      if (moved && !placed.equals(sources.get(k))) {
        edits.add(moved(placed, sources.get(k), Known.in(next, sources.get(k)), all));
      } else if (!Known.in(next, placed).equals(placed.item())) {
        edits.add(Edit.of(placed, Optional.of(Known.in(next, placed))));
      }
    }
    old.stream()
        .filter(placed -> !next.containsKey(placed))
        .forEach(gone -> edits.add(Edit.of(gone, Optional.empty())));
    added.addAll(open);
  }

  /** By identity: two equal statements are two. */
  private static int indexOf(List<Item> items, Item item) {
    int at = 0;
    while (items.get(at) != item) {
      at++;
    }
    return at;
  }

  /** What stands at {@code from} comes to stand at {@code to}, its comment with it. */
  private Edit moved(PlacedItem to, PlacedItem from, Item item, List<PlacedItem> all) {
    String line = lines.get(from.line() - 1).toString();
    String text =
        item.equals(from.item()) ? line.substring(from.from() - 1, from.to() - 1) : item.print();
    boolean whole = isLast(to, all) && isLast(from, all);
    return new Edit(
        to,
        Optional.of(text),
        whole ? Optional.of(line.substring(from.to() - 1)) : Optional.empty());
  }

  private static boolean isLast(PlacedItem placed, List<PlacedItem> all) {
    return all.stream()
        .noneMatch(other -> other.line() == placed.line() && other.from() > placed.from());
  }

  /**
   * Statements about losses keep what they speak of: each says what is wanted of it now, and the
   * first one about efficiencies what nothing was said of before.
   */
  private void spread(
      List<PlacedItem> old,
      Losses wanted,
      Function<MemberId, Optional<MemberId>> follows,
      List<Edit> edits) {
    Map<PlacedItem, Losses> said = new LinkedHashMap<>();
    old.forEach(
        placed ->
            said.put(placed, Item.losses(placed.item().following(follows).stream().toList())));
    Losses rest = wanted;
    for (Losses one : said.values()) {
      rest = rest.notAbout(one);
    }
    Losses open = rest.withFriction(Optional.empty());
    for (PlacedItem placed : old) {
      Losses now = wanted.about(Known.in(said, placed));
      if (Known.in(said, placed).friction().isEmpty()) {
        now = now.and(open);
        open = Losses.UNSTATED;
      }
      Item changed = new Item.OfLosses(now);
      if (!changed.equals(placed.item())) {
        edits.add(Edit.of(placed, now.unstated() ? Optional.empty() : Optional.of(changed)));
      }
    }
    added.addAll(Item.of(open.withFriction(rest.friction())));
  }

  private void apply(Edit edit) {
    StringBuilder line = lines.get(edit.place.line() - 1);
    int from = edit.place.from() - 1;
    int to = edit.tail.isPresent() ? line.length() : edit.place.to() - 1;
    line.replace(from, to, edit.text.orElse("") + edit.tail.orElse(""));
    if (edit.text.isEmpty()) {
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
