/** Attempts beside each other, and where they stand. */
@NullMarked
package wake.api.versus;

import org.jspecify.annotations.NullMarked;
