/** Recordings: taken in, played, and where "go" lies on them. */
@NullMarked
package wake.api.recording;

import org.jspecify.annotations.NullMarked;
