/** Recordings as files: streamed in, checked, served by ranges. */
@NullMarked
package wake.media;

import org.jspecify.annotations.NullMarked;
