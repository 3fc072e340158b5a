/** A folder of films: what their names tell. */
@NullMarked
package wake.api.videos;

import org.jspecify.annotations.NullMarked;
