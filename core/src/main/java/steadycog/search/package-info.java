/**
 * Finds teeth: from a wanted ratio to trains that make it and go together.
 *
 * <p>Every kind of train has a {@link steadycog.search.Source}. It is swept in {@link
 * steadycog.search.Step steps}, each of which says how good its best can be by the {@link
 * steadycog.search.Rank} asked for, and finds <em>leads</em>: tooth counts whose ratio is near
 * enough, with the best that their trains can be. Leads are cheap, and only the best are kept
 * ({@link steadycog.search.Leads}, bounded). They are opened in order; their trains are made to fit
 * ({@link steadycog.search.SetFit}, {@link steadycog.search.ChainFit}), judged by the same rules as
 * a typed card, and listed until no lead and no step left can be better than what is found: so the
 * list is proven unless leads had to be dropped. Products of many wheels are never enumerated by
 * nested loops: see {@link steadycog.search.Products}. {@link steadycog.search.Loosen} says what
 * stands in the way of an empty list, {@link steadycog.search.Nearby} looks round a given train.
 */
@NullMarked
package steadycog.search;

import org.jspecify.annotations.NullMarked;
