/** Where every second went: the ledger, the wake, rounds, findings. */
@NullMarked
package wake.reading;

import org.jspecify.annotations.NullMarked;
