/** The shift plan: states, brakes and clutches, and every ratio that they could make. */
@NullMarked
package steadycog.app.shift;

import org.jspecify.annotations.NullMarked;
