/** Strength work that is not for time: what was asked of each lift, the sets that were done, and how they move from day to day. */
@NullMarked
package wake.strength;

import org.jspecify.annotations.NullMarked;
