/** The log step: marks, typed times, and what the step is set to. */
@NullMarked
package wake.api.log;

import org.jspecify.annotations.NullMarked;
