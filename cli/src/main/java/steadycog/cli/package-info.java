/**
 * The command line: a contract that scripts rely on, over core and formats alone.
 *
 * <p>Design decision: results go to standard output and reasons to standard error; exit 0 means
 * done, 1 done with a finding that is an error, 2 that the input could not be read. The window's
 * commands are found at run time ({@link steadycog.cli.Window}), so that no interface code loads on
 * this path.
 */
@NullMarked
package steadycog.cli;

import org.jspecify.annotations.NullMarked;
