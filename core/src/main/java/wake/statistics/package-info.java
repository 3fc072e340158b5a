/** Robust and plain statistics, over any values. */
@NullMarked
package wake.statistics;

import org.jspecify.annotations.NullMarked;
