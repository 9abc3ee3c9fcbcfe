/** The ledger: the ratio, the numbers of every member, the findings. */
@NullMarked
package steadycog.app.ledger;

import org.jspecify.annotations.NullMarked;
