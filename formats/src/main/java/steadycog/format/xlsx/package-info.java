/**
 * Workbooks for spreadsheets: one that works speeds out anew when a tooth count is changed in it,
 * and beside it the tables that are also written as CSV.
 */
@NullMarked
package steadycog.format.xlsx;

import org.jspecify.annotations.NullMarked;
