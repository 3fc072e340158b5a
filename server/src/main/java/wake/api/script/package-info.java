/** Readings and projections for scripts. */
@NullMarked
package wake.api.script;

import org.jspecify.annotations.NullMarked;
