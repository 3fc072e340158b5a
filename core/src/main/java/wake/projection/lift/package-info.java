/** What the next lift window could bring: how likely each lift is, the next timetable, what it would change, and the outcome. */
@NullMarked
package wake.projection.lift;

import org.jspecify.annotations.NullMarked;
