/**
 * Rating of teeth by the textbook procedure for bending and contact (AGMA 2001 as taught; Budynas
 * and Nisbett, Shigley's Mechanical Engineering Design, ch. 14): forces of every state, factors
 * each by itself, stresses allowed for a life, damage summed over states (Miner), and the smallest
 * sizes that reach what is wanted. Lengths mm, forces N, stresses MPa. A design aid: rating to the
 * standard in force by a qualified engineer comes before use.
 */
@NullMarked
package steadycog.rating;

import org.jspecify.annotations.NullMarked;
