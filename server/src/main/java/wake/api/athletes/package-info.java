/** The roster. */
@NullMarked
package wake.api.athletes;

import org.jspecify.annotations.NullMarked;
