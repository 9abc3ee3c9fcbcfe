/**
 * The bench book on screen: builds and their tests, the rig beside them, recordings read, builds
 * compared, and the report.
 */
@NullMarked
package steadycog.app.bench;

import org.jspecify.annotations.NullMarked;
