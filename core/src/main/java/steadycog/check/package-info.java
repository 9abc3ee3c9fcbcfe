/**
 * Findings: what is wrong or worth knowing about a design.
 *
 * <p>Design decision: trouble with a design is data, never an exception. Each rule is one small
 * class; all of them run and all findings are collected, worst first. Words stand in {@code
 * findings.properties}, keyed by the finding's code, apart from the rules.
 */
@NullMarked
package steadycog.check;

import org.jspecify.annotations.NullMarked;
