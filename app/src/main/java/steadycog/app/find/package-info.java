/**
 * The station where teeth are looked for. A search starts by itself whenever what is looked for has
 * changed and can be understood, and gives way to the next; nothing waits for a button. {@link
 * steadycog.app.find.Finder} holds everything and knows no nodes.
 */
@NullMarked
package steadycog.app.find;

import org.jspecify.annotations.NullMarked;
