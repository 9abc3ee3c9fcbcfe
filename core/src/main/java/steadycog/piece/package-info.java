/**
 * What is made: every body of a train as material between closed lines, in mm.
 *
 * <p>A {@link steadycog.piece.Piece} is a stack of slabs along its axis, each a region of the
 * plane. Outlines, cut files and solids all come from pieces, so what is drawn is what is made.
 * Clearances of the card are taken off here; x to the right, y up, z from the drive end,
 * counter-clockwise positive.
 */
@NullMarked
package steadycog.piece;

import org.jspecify.annotations.NullMarked;
