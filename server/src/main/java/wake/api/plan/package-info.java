/** The plan step. */
@NullMarked
package wake.api.plan;

import org.jspecify.annotations.NullMarked;
