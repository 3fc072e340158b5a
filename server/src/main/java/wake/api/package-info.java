/** REST under /api: requests and answers as records, problem documents for what does not fit. */
@NullMarked
package wake.api;

import org.jspecify.annotations.NullMarked;
