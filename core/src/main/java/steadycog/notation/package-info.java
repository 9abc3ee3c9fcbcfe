/**
 * The job card: one plain-text notation for every train, read and printed.
 *
 * <p>Design decision: reading and printing are inverse. An error names the line, the column, what
 * was found and what would be accepted; every bad statement is reported, nothing is guessed. A card
 * that is changed from the drawing keeps the writer's own lines and comments ({@link
 * steadycog.notation.CardReviser}).
 */
@NullMarked
package steadycog.notation;

import org.jspecify.annotations.NullMarked;
