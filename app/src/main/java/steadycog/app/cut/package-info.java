/** The cut sheet: sizes to change, what follows from them, teeth magnified, files for the shop. */
@NullMarked
package steadycog.app.cut;

import org.jspecify.annotations.NullMarked;
