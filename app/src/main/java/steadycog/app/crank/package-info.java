/** The crank under the gear table: turn the input by hand and count. */
@NullMarked
package steadycog.app.crank;

import org.jspecify.annotations.NullMarked;
