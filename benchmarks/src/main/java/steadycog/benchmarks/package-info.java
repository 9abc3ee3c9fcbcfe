/** Speed, measured: never a test that passes or fails. */
@NullMarked
package steadycog.benchmarks;

import org.jspecify.annotations.NullMarked;
