/**
 * Finds teeth: from a wanted ratio to trains that make it and go together.
 *
 * <p>Every kind of train has a {@link steadycog.search.Source} that enumerates <em>leads</em>:
 * tooth counts whose ratio is near enough, with the error and the least size they can have. Leads
 * are cheap, and only the best are kept ({@link steadycog.search.Leads}, bounded). They are then
 * built in order of error, checked by the same rules as a typed card, and listed until no lead left
 * can be better than what is found: so the result is proven best unless leads had to be dropped.
 * Products of many wheels are never enumerated by nested loops: see {@link
 * steadycog.search.Products}.
 */
@NullMarked
package steadycog.search;

import org.jspecify.annotations.NullMarked;
