/**
 * True outlines of wheels, and where they stand.
 *
 * <p>Conventions: lengths in modules; x to the right, y up, angles counter-clockwise in radians, as
 * seen from the drive end. A wheel's reference is the centre-line of a tooth, a ring's that of a
 * space. Wheels are cut by the standard basic rack (ISO 53, profile A).
 */
@NullMarked
package steadycog.shape;

import org.jspecify.annotations.NullMarked;
