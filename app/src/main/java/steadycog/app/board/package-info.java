/** The ratio board: every way to drive, hold and take off, each a click away. */
@NullMarked
package steadycog.app.board;

import org.jspecify.annotations.NullMarked;
