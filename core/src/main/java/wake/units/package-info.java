/** Clock times, spans, amounts and erg pace: one type each, factors stated with their unit. */
@NullMarked
package wake.units;

import org.jspecify.annotations.NullMarked;
