/** The trains of the job beside the drawing, each with what it gives and whether it is sound. */
@NullMarked
package steadycog.app.rail;

import org.jspecify.annotations.NullMarked;
