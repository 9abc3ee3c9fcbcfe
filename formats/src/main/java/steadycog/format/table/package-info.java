/**
 * Tables of tooth counts, as people keep them in a spreadsheet.
 *
 * <p>Design decision: a row becomes a line of card. What stands in a cell may be whatever stands on
 * a card at that place, so that the card's reader is the only judge of it.
 */
@NullMarked
package steadycog.format.table;

import org.jspecify.annotations.NullMarked;
