/** The retest step, and how projections came out. */
@NullMarked
package wake.api.retest;

import org.jspecify.annotations.NullMarked;
