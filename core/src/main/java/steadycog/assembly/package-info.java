/**
 * Whether what is made goes together: all pieces of a train in their places, slab by slab along the
 * axes, at many angles of the crank. Nothing here knows teeth, lobes or pins; it sees material
 * alone, so that it proves what rules by formula only say. Lengths in mm, angles in radians.
 */
@NullMarked
package steadycog.assembly;

import org.jspecify.annotations.NullMarked;
