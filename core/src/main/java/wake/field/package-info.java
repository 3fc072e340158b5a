/** All attempts at one part of a workout beside each other: their places, and how their splits, rests and paces are spread. */
@NullMarked
package wake.field;

import org.jspecify.annotations.NullMarked;
