/**
 * What the program remembers between two starts, in a folder of its own: work not saved when it
 * ended, recent files, preferences. Losing any of it never stops the program.
 */
@NullMarked
package steadycog.app.memory;

import org.jspecify.annotations.NullMarked;
