/**
 * What is built: parts, their members and meshes, joins and roles. Immutable records that hold no
 * result; a new kind of train is one new {@link steadycog.train.Part}.
 *
 * <p>Design decision: a member stands for the body it is keyed to, and every relation between
 * bodies is one of three (handbook: a mesh on a carrier, a rigid join, a hold), so that one solver
 * serves all kinds.
 */
@NullMarked
package steadycog.train;

import org.jspecify.annotations.NullMarked;
