/** Pacing plans and the clock they forecast. */
@NullMarked
package wake.plan;

import org.jspecify.annotations.NullMarked;
