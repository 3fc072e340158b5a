/** Lift windows reviewed, projected, and gathered by athlete. */
@NullMarked
package wake.api.lifts;

import org.jspecify.annotations.NullMarked;
