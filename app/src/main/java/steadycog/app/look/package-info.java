/**
 * How things look: typefaces, colour tokens and style sheets, symbols, typeset numbers.
 *
 * <p>Design decision: colours are named once, as tokens at the root of {@code steady-cog.css},
 * light and dark; nodes carry style classes and pseudo-classes only.
 */
@NullMarked
package steadycog.app.look;

import org.jspecify.annotations.NullMarked;
