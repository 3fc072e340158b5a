/** What needs the coach today. */
@NullMarked
package wake.api.today;

import org.jspecify.annotations.NullMarked;
