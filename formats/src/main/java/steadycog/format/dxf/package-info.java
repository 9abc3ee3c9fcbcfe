/** Outlines as DXF: closed polylines and circles in mm, a layer a slab. */
@NullMarked
package steadycog.format.dxf;

import org.jspecify.annotations.NullMarked;
