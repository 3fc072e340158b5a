/** Who may come in, from where, and how much they may bring. */
@NullMarked
package wake.api.door;

import org.jspecify.annotations.NullMarked;
