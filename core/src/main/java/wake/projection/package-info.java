/** Replay of an attempt with chosen things changed: the retest call. */
@NullMarked
package wake.projection;

import org.jspecify.annotations.NullMarked;
