/**
 * Changes of a card that put findings right, each with what it does.
 *
 * <p>Design decision: rules say what is wrong, never what to do about it. Here changes are proposed
 * for the parts that a finding concerns (counts, planets, spacing, shifts, sizes, places, roles),
 * each is tried on the whole train under all rules, and only what clears the finding and brings
 * nothing as bad is offered. So a cure is proven by the same rules that found the trouble, and its
 * ratio is exact.
 */
@NullMarked
package steadycog.cure;

import org.jspecify.annotations.NullMarked;
