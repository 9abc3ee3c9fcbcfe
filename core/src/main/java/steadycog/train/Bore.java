package steadycog.train;

import java.util.Optional;
import steadycog.number.Quantity;

/**
 * The hole for a wheel's shaft, as the shaft is: what the process needs is added when it is made.
 */
public sealed interface Bore {

  /** The shaft's diameter, of a hexagon the distance across its flats. */
  Quantity size();

  /** A round hole. */
  record Round(Quantity size) implements Bore {
    public Round {
      Cycloidal.requireLength("bore", size);
    }

    @Override
    public String toString() {
      return size.toString();
    }
  }

  /**
   * A round hole with a keyway.
   *
   * @param width of the key; empty for the usual one
   * @param depth how far the keyway reaches beyond the round hole; empty for the usual one
   */
  record Keyed(Quantity size, Optional<Quantity> width, Optional<Quantity> depth) implements Bore {
    public Keyed {
      Cycloidal.requireLength("bore", size);
      width.ifPresent(length -> requireBelow("key", length, size));
      depth.ifPresent(length -> requireBelow("key depth", length, size));
    }

    @Override
    public String toString() {
      return size
          + " key"
          + width.map(length -> " " + length).orElse("")
          + depth.map(length -> " x " + length).orElse("");
    }
  }

  /** A hexagon. */
  record Hexagon(Quantity size) implements Bore {
    public Hexagon {
      Cycloidal.requireLength("bore", size);
    }

    @Override
    public String toString() {
      return size + " hex";
    }
  }

  /**
   * A round hole with one flat, as of a motor shaft.
   *
   * @param across from the flat to the far side, more than half the diameter
   */
  record Flatted(Quantity size, Quantity across) implements Bore {
    public Flatted {
      Cycloidal.requireLength("bore", size);
      requireBelow("flat", across, size);
      if (2 * across.inBase() <= size.inBase()) {
        throw new IllegalArgumentException(
            "flat " + across + ": expected more than half of the bore's " + size);
      }
    }

    @Override
    public String toString() {
      return size + " flat " + across;
    }
  }

  private static void requireBelow(String what, Quantity length, Quantity bore) {
    Cycloidal.requireLength(what, length);
    if (length.inBase() >= bore.inBase()) {
      throw new IllegalArgumentException(
          what + " " + length + ": expected less than the bore's " + bore);
    }
  }
}
