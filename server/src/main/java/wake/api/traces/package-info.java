/** What machines and straps noted, beside the log. */
@NullMarked
package wake.api.traces;

import org.jspecify.annotations.NullMarked;
