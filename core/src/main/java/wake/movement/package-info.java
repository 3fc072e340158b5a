/** The movement catalogue: names, what a movement loads, where it starts and ends, what a good rep is. */
@NullMarked
package wake.movement;

import org.jspecify.annotations.NullMarked;
