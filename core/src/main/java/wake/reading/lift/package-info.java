/** What a lift window tells: rests, jumps and shares of the max, what was missed and where, held against the plan or another lifter. */
@NullMarked
package wake.reading.lift;

import org.jspecify.annotations.NullMarked;
