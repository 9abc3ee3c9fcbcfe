/** The gear table: the face view to true scale, where members are seen turning and are picked. */
@NullMarked
package steadycog.app.geartable;

import org.jspecify.annotations.NullMarked;
