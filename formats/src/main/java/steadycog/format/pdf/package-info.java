/**
 * Sheets for the shop as PDF, A4.
 *
 * <p>A {@link steadycog.format.pdf.Paper} is filled from the top down and turns its own pages; what
 * is on a sheet comes from the same tables as on the screen.
 */
@NullMarked
package steadycog.format.pdf;

import org.jspecify.annotations.NullMarked;
