/** What is known of an athlete: maxes, unbroken sets, tests, and what their attempts have shown. */
@NullMarked
package wake.athlete;

import org.jspecify.annotations.NullMarked;
