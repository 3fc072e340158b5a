/** Heats: several athletes entered at once. */
@NullMarked
package wake.api.heats;

import org.jspecify.annotations.NullMarked;
