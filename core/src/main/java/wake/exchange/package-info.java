/** Open text formats in and out: strings and records, no files. */
@NullMarked
package wake.exchange;

import org.jspecify.annotations.NullMarked;
