/** The retest step, and how calls came out. */
@NullMarked
package wake.api.retest;

import org.jspecify.annotations.NullMarked;
