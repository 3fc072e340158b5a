/** Replay of an attempt with chosen things changed: the projection. */
@NullMarked
package wake.projection;

import org.jspecify.annotations.NullMarked;
