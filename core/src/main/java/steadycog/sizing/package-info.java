/**
 * Sizes in mm, play, and a first look at strength: what the cut sheet says.
 *
 * <p>Conventions: mm, N, MPa, arc minutes; teeth as cut, with what clearance and offsets take off
 * their flanks. Strength is a screening of one steady load by the old textbook formulas; it does
 * not replace a rating to the standard by a qualified engineer.
 */
@NullMarked
package steadycog.sizing;

import org.jspecify.annotations.NullMarked;
