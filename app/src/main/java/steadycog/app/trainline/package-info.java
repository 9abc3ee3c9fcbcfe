/** The job card of the train in view as editable text, with its errors shown where they are. */
@NullMarked
package steadycog.app.trainline;

import org.jspecify.annotations.NullMarked;
