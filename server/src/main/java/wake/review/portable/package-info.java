/** Attempts, athletes, or everything, as one JSON document that another Wake takes in. */
@NullMarked
package wake.review.portable;

import org.jspecify.annotations.NullMarked;
