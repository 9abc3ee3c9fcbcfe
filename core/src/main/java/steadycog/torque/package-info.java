/**
 * Torques and powers in equilibrium.
 *
 * <p>Design decision: without losses torques are the transpose of motion. If the relations read A w
 * = 0, multipliers f of the relations put torques A<sup>T</sup> f on the bodies, and every body is
 * in balance. So the same exact elimination serves, and power in equals power out exactly. Signs:
 * an external torque acts on the member, so torque times speed is positive where power enters.
 *
 * <p>With losses the way in which power passes a mesh decides its equation and follows from the
 * answer. {@link LossModel} tries all ways in doubles, on the meshes and rigid shafts alone ({@link
 * Push}, {@link Directions}); {@link TorqueSolver} then works the torques of the flow that is found
 * exactly. What is not the only answer is reported, never picked.
 */
@NullMarked
package steadycog.torque;

import org.jspecify.annotations.NullMarked;
