/** A folder of films: what their names tell. */
@NullMarked
package wake.api.films;

import org.jspecify.annotations.NullMarked;
