/**
 * Jobs on disk: the format by the file's ending, reading within bounds, saving without ever leaving
 * half a file.
 */
@NullMarked
package steadycog.format.file;

import org.jspecify.annotations.NullMarked;
