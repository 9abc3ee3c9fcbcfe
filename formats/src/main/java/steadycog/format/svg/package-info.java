/** Outlines as SVG, one to one in mm. */
@NullMarked
package steadycog.format.svg;

import org.jspecify.annotations.NullMarked;
