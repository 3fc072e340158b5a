/** Who may come in, from where, and how much they may bring. */
@NullMarked
package wake.api.security;

import org.jspecify.annotations.NullMarked;
