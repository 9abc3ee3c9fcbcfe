/**
 * The view model: everything the window shows, without a window.
 *
 * <p>Design decision: the {@link steadycog.app.desk.Desk} holds one immutable job at a time; every
 * change makes a new one, so undo and the unsaved mark come for free. Views observe its properties
 * and call its methods; they keep no copies of state.
 */
@NullMarked
package steadycog.app.desk;

import org.jspecify.annotations.NullMarked;
