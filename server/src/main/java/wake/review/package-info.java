/** Gathers from the stores what the core needs to know about an attempt. */
@NullMarked
package wake.review;

import org.jspecify.annotations.NullMarked;
