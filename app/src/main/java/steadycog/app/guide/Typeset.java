package steadycog.app.guide;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.text.Text;
import javafx.scene.text.TextFlow;
import org.commonmark.ext.gfm.tables.TableBlock;
import org.commonmark.ext.gfm.tables.TableCell;
import org.commonmark.ext.gfm.tables.TableRow;
import org.commonmark.node.AbstractVisitor;
import org.commonmark.node.Code;
import org.commonmark.node.FencedCodeBlock;
import org.commonmark.node.HardLineBreak;
import org.commonmark.node.IndentedCodeBlock;
import org.commonmark.node.ListItem;
import org.commonmark.node.OrderedList;
import org.commonmark.node.SoftLineBreak;
import org.commonmark.node.StrongEmphasis;
import steadycog.app.look.Look;
import steadycog.notation.Card;

/** Sets blocks of the guide in type. A block that is a card has a button that tries it. */
final class Typeset {
  private final Consumer<String> tryIt;

  Typeset(Consumer<String> tryIt) {
    this.tryIt = tryIt;
  }

  /** One block, as it stands in the text. */
  Node of(org.commonmark.node.Node block) {
    return switch (block) {
      case FencedCodeBlock code -> example(code.getLiteral().strip());
      case IndentedCodeBlock code -> example(code.getLiteral().strip());
      case org.commonmark.node.ListBlock list -> list(list);
      case TableBlock table -> table(table);
      default -> words(block);
    };
  }

  private Node example(String text) {
    Label shown = Look.label(text, "guide-card");
    shown.setWrapText(true);
    shown.setMaxWidth(Double.MAX_VALUE);
    if (!Card.problemsOf(text).isEmpty()) {
      return shown;
    }
    Button take = Look.styled(new Button("Try it"), "cure");
    take.setTooltip(new Tooltip("Put this card on the bench as a train of its own"));
    take.setOnAction(e -> tryIt.accept(text));
    StackPane both = new StackPane(shown, take);
    StackPane.setAlignment(take, Pos.TOP_RIGHT);
    return both;
  }

  private VBox list(org.commonmark.node.ListBlock list) {
    VBox all = new VBox(3);
    int number = 1;
    for (var item = list.getFirstChild(); item != null; item = item.getNext()) {
      if (item instanceof ListItem) {
        String sign = list instanceof OrderedList ? number++ + "." : "\u2013";
        VBox inside = new VBox(3);
        for (var block = item.getFirstChild(); block != null; block = block.getNext()) {
          inside.getChildren().add(of(block));
        }
        HBox.setHgrow(inside, Priority.ALWAYS);
        Label mark = Look.label(sign, "soft");
        mark.setMinWidth(Label.USE_PREF_SIZE);
        all.getChildren().add(new HBox(8, mark, inside));
      }
    }
    return all;
  }

  private static GridPane table(TableBlock table) {
    GridPane grid = Look.styled(new GridPane(), "guide-table");
    table.accept(
        new AbstractVisitor() {
          private int row = -1;

          @Override
          public void visit(org.commonmark.node.CustomNode node) {
            if (node instanceof TableRow) {
              row++;
            }
            if (node instanceof TableCell cell) {
              int column = 0;
              for (var before = cell.getPrevious(); before != null; before = before.getPrevious()) {
                column++;
              }
              TextFlow words = words(cell);
              // The first column names, and is as wide as its names.
              words.setMinWidth(column == 0 ? Region.USE_PREF_SIZE : 0);
              words.getStyleClass().add(cell.isHeader() ? "guide-head" : "guide-cell");
              grid.add(words, column, row);
            } else {
              visitChildren(node);
            }
          }
        });
    return grid;
  }

  /** Words in line, with what is stressed and what is typed marked. */
  private static TextFlow words(org.commonmark.node.Node block) {
    List<Text> texts = new ArrayList<>();
    block.accept(
        new AbstractVisitor() {
          private String style = "guide-text";

          private void add(String words, String as) {
            texts.add(Look.styled(new Text(words), "guide-text", as));
          }

          @Override
          public void visit(org.commonmark.node.Text text) {
            add(text.getLiteral(), style);
          }

          @Override
          public void visit(Code code) {
            add(code.getLiteral(), "guide-typed");
          }

          @Override
          public void visit(StrongEmphasis strong) {
            style = "guide-strong";
            visitChildren(strong);
            style = "guide-text";
          }

          @Override
          public void visit(SoftLineBreak space) {
            add(" ", style);
          }

          @Override
          public void visit(HardLineBreak line) {
            add("\n", style);
          }
        });
    return new TextFlow(texts.toArray(Text[]::new));
  }
}
