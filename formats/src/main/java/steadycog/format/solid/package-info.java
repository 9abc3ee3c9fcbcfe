/** Pieces as solids: closed surfaces of triangles in mm. */
@NullMarked
package steadycog.format.solid;

import org.jspecify.annotations.NullMarked;
