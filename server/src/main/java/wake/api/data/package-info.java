/** The data itself: backup and restore, copies, and the bin. */
@NullMarked
package wake.api.data;

import org.jspecify.annotations.NullMarked;
