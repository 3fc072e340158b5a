/** Attempts beside each other, and where they stand. */
@NullMarked
package wake.api.comparison;

import org.jspecify.annotations.NullMarked;
