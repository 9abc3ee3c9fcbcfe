/**
 * The documents as pages to be read in a browser.
 *
 * <p>Design decision: no page is written for them. Whatever the README leads to is a page or goes
 * along as a file, so that a link that leads nowhere ends the build.
 */
@NullMarked
package steadycog.site;

import org.jspecify.annotations.NullMarked;
