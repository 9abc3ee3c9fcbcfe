/**
 * What was built of a train and what came of testing it: builds with their frozen cards, turns
 * counted, loads hung on, recordings read, and what all that says against what was worked out.
 */
@NullMarked
package steadycog.bench;

import org.jspecify.annotations.NullMarked;
