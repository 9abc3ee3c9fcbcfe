/** Files that the window writes aside while work goes on, and the questions for their names. */
@NullMarked
package steadycog.app.files;

import org.jspecify.annotations.NullMarked;
