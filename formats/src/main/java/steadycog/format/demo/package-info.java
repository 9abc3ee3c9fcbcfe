/** The demo job: the fitting-out of Tern Rock, a made-up island observatory. */
@NullMarked
package steadycog.format.demo;

import org.jspecify.annotations.NullMarked;
