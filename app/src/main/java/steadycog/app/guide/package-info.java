/**
 * The guide inside the window.
 *
 * <p>Design decision: it is the very text of the documents, so that there is one guide; what it
 * shows as a card can be put on the bench from where it stands.
 */
@NullMarked
package steadycog.app.guide;

import org.jspecify.annotations.NullMarked;
