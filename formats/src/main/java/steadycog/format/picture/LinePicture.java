package steadycog.format.picture;

import java.util.List;
import java.util.Optional;

/**
 * A drawing as lines and areas; x runs to the right, y down, in pixels of 1/96 inch.
 *
 * @param title says what it is
 */
public record LinePicture(double width, double height, String title, List<Piece> pieces) {

  /** What is drawn, one after the other. */
  public sealed interface Piece {}

  /**
   * A line or area.
   *
   * @param words what letters say that are drawn as areas; empty for anything else
   */
  public record Outline(
      String words, List<Step> steps, Optional<Ink> fill, Optional<Ink> stroke, Pen pen)
      implements Piece {
    public Outline {
      steps = List.copyOf(steps);
    }
  }

  /** Pieces of which only what lies in a rectangle is seen. */
  public record Clip(double x, double y, double width, double height, List<Piece> within)
      implements Piece {
    public Clip {
      within = List.copyOf(within);
    }
  }

  /**
   * Pieces that are drawn as one and then let through what lies beneath.
   *
   * @param opacity from 0 for what is not seen to 1
   */
  public record Faded(double opacity, List<Piece> within) implements Piece {
    public Faded {
      within = List.copyOf(within);
    }
  }

  /** A part of an outline, from where the one before it ends. */
  public sealed interface Step {}

  /** Goes on elsewhere. */
  public record Move(double x, double y) implements Step {}

  /** A straight line. */
  public record Line(double x, double y) implements Step {}

  /** A cubic Bézier curve. */
  public record Curve(double x1, double y1, double x2, double y2, double x, double y)
      implements Step {}

  /** A straight line back to where the outline began. */
  public record Close() implements Step {}

  /**
   * A colour.
   *
   * @param rgb red, green and blue, 0 to 255 each, in one number
   * @param opacity from 0 for what is not seen to 1
   */
  public record Ink(int rgb, double opacity) {}

  /**
   * How lines are drawn.
   *
   * @param dash lengths of strokes and gaps by turns; none for a whole line
   */
  public record Pen(double width, Join join, Cap cap, List<Double> dash) {
    public Pen {
      dash = List.copyOf(dash);
    }
  }

  /** How lines meet; the numbers of PDF. */
  public enum Join {
    MITER,
    ROUND,
    BEVEL
  }

  /** How lines end; the numbers of PDF. */
  public enum Cap {
    BUTT,
    ROUND,
    SQUARE
  }

  public LinePicture {
    pieces = List.copyOf(pieces);
  }
}
