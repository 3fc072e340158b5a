/** JSON out and in, and the schema it follows. */
@NullMarked
package wake.api.portable;

import org.jspecify.annotations.NullMarked;
