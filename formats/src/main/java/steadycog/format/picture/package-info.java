/** A drawing as lines and areas, and the files that it is written to. */
@NullMarked
package steadycog.format.picture;

import org.jspecify.annotations.NullMarked;
