/**
 * A designer's job: named trains, each with its card. What is saved, opened, undone and redone.
 *
 * <p>Design decision: the card's text is kept as its writer left it, comments included, next to the
 * train that it describes; a card that cannot be read yet is kept as a draft beside the last good
 * one, so that nothing typed is ever lost.
 */
@NullMarked
package steadycog.job;

import org.jspecify.annotations.NullMarked;
