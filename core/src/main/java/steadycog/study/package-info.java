/**
 * Everything worked out about a train in one go: the end of the road card, train, relations,
 * motion, torque, findings. Views and writers start from here.
 */
@NullMarked
package steadycog.study;

import org.jspecify.annotations.NullMarked;
