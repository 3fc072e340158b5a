/** Head to head: attempts at one workout beside each other on the raw clock, neutrally. */
@NullMarked
package wake.comparison;

import org.jspecify.annotations.NullMarked;
