/** A folder of videos: what their names tell. */
@NullMarked
package wake.api.videos;

import org.jspecify.annotations.NullMarked;
