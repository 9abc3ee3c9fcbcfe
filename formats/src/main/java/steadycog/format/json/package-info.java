/**
 * Jobs and results as JSON.
 *
 * <p>Design decision: a job file holds each train as its card, line by line, since the card is the
 * one notation for every train; JSON only adds names and a version. Files are read token by token
 * so that an error can name its line and column, also of a card inside the file, and so that depth
 * and size stay bounded.
 */
@NullMarked
package steadycog.format.json;

import org.jspecify.annotations.NullMarked;
