/**
 * A whole gearbox in the window: its drawing, closed or pulled apart, the bill beside it, and
 * whether it goes together. Built and proved beside the window; what has been chosen lights up in
 * drawing and bill alike.
 */
@NullMarked
package steadycog.app.gearbox;

import org.jspecify.annotations.NullMarked;
