package steadycog.assembly;

import steadycog.piece.Piece;

/**
 * Two pieces in one place.
 *
 * @param depth how far one reaches into the other, mm
 * @param radius of the deepest place about the axis of {@code a}, mm
 * @param from where they meet along the axes, mm
 * @param to its end, mm
 */
public record Collision(Piece a, Piece b, double depth, double radius, double from, double to) {}
