/** What a machine or a strap noted by itself, second by second, beside what the coach marked. */
@NullMarked
package wake.trace;

import org.jspecify.annotations.NullMarked;
