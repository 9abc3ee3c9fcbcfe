/**
 * Speeds, exactly: the relations of a train, their solution, turn counts.
 *
 * <p>Design decision: a train is bodies and homogeneous linear relations between their speeds
 * (handbook: mesh on a carrier, rigid join, hold). One exact elimination answers everything: what
 * follows, what floats, what conflicts. Nothing here knows a kind of train.
 */
@NullMarked
package steadycog.motion;

import org.jspecify.annotations.NullMarked;
