/** Lift windows read, called, and gathered by athlete. */
@NullMarked
package wake.api.lifts;

import org.jspecify.annotations.NullMarked;
