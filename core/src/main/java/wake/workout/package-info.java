/** The whiteboard notation, the workout it means, and the segments a division expands to. */
@NullMarked
package wake.workout;

import org.jspecify.annotations.NullMarked;
