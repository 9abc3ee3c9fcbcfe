package steadycog.gearbox;

import java.util.List;
import java.util.Locale;
import steadycog.piece.Piece.Stand;

/**
 * One step of putting a gearbox together: bodies of one component pushed to their places.
 *
 * @param component what is put in
 * @param copies which of them, from 0
 * @param way in which they are pushed
 */
public record Move(Component component, List<Integer> copies, Way way) {

  /** A straight way, along the axes or across them. */
  public enum Way {
    /** Towards the drive end, from the far end. */
    FROM_THE_FAR_END,
    /** Towards the axis, from the side. */
    FROM_THE_SIDE,
    /** Away from the drive end. */
    FROM_THE_DRIVE_END;

    /** {@code from the far end}. */
    public String says() {
      return name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }
  }

  public Move {
    copies = List.copyOf(copies);
  }

  /** Where they stand in the end. */
  List<Stand> stands() {
    return copies.stream().map(component.piece().stands()::get).toList();
  }

  /** {@code 3 × planet (5) from the far end}: with the number on the bill. */
  public String says(Bill bill) {
    return what(bill) + " " + way.says();
  }

  /** {@code 3 × planet (5)}. */
  public String what(Bill bill) {
    return (copies.size() > 1 ? copies.size() + " \u00d7 " : "")
        + component.name()
        + " ("
        + bill.of(component).number()
        + ")";
  }
}
