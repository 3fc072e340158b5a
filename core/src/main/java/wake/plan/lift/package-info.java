/** Lift windows: when each attempt starts, at what load, with which plates. */
@NullMarked
package wake.plan.lift;

import org.jspecify.annotations.NullMarked;
