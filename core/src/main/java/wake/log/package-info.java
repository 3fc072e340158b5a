/** Marks on a recording, and the splits, sets, rests, transitions and faults they give. */
@NullMarked
package wake.log;

import org.jspecify.annotations.NullMarked;
