/**
 * Exact numbers and the units at their edge.
 *
 * <p>Design decision: everything that follows from tooth counts is a rational number and is kept as
 * one ({@link org.apache.commons.numbers.fraction.BigFraction}); a {@code double} appears only
 * where a unit brings in pi or where something is drawn. A designer must see 7/2 or 1436+17/250,
 * not 3.4999.
 */
@NullMarked
package steadycog.number;

import org.jspecify.annotations.NullMarked;
