/** Entering attempts and opening them. */
@NullMarked
package wake.api.attempt;

import org.jspecify.annotations.NullMarked;
