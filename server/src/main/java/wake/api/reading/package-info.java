/** The reading step. */
@NullMarked
package wake.api.reading;

import org.jspecify.annotations.NullMarked;
