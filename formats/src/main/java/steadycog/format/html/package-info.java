/** Reports as one page of HTML that needs nothing else: drawings and charts are SVG within it. */
@NullMarked
package steadycog.format.html;

import org.jspecify.annotations.NullMarked;
