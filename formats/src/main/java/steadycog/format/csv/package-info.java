/** Tables as CSV (RFC 4180): a decimal point, exact numbers as fractions, one header line. */
@NullMarked
package steadycog.format.csv;

import org.jspecify.annotations.NullMarked;
