/**
 * A job on paper: what the workshop pins up, made of a few kinds of block that every format lays
 * out in its own way, with the numbers of the screen.
 */
@NullMarked
package steadycog.report;

import org.jspecify.annotations.NullMarked;
