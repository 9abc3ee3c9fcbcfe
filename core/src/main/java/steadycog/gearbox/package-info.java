/**
 * A whole gearbox round a train: shafts, bearings, plates, walls and screws that its wheels need,
 * each a stack of slabs along the axes like the wheels themselves, so that what is said of them can
 * be proved on their material. All layers of a housing have one outline and one circle of bolts, so
 * that they can be cut from sheets or printed; every body that turns is carried at two places.
 *
 * <p>Lengths in mm along x, y and z; z counts from the drive end away, 0 where the lowest wheel or
 * plate of the train begins. The order in which pieces go in is found, not told.
 */
@NullMarked
package steadycog.gearbox;

import org.jspecify.annotations.NullMarked;
