/**
 * The window: it puts the parts together, opens and saves, and gives keys their meaning. Each part
 * of the window has a package of its own; all of them look at the {@link steadycog.app.desk.Desk}.
 */
@NullMarked
package steadycog.app;

import org.jspecify.annotations.NullMarked;
