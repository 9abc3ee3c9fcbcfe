/**
 * Torques and powers in equilibrium.
 *
 * <p>Design decision: without losses torques are the transpose of motion. If the relations read A w
 * = 0, multipliers f of the relations put torques A<sup>T</sup> f on the bodies, and every body is
 * in balance. So the same exact elimination serves, and power in equals power out exactly. Signs:
 * an external torque acts on the member, so torque times speed is positive where power enters.
 */
@NullMarked
package steadycog.torque;

import org.jspecify.annotations.NullMarked;
