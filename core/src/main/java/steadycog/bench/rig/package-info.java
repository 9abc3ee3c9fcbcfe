/**
 * The test rig: a small interface that a real one can implement, a simulated one that ships with
 * the program, and the runs that count turns and raise loads on either.
 */
@NullMarked
package steadycog.bench.rig;

import org.jspecify.annotations.NullMarked;
