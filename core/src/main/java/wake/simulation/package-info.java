/** A seeded simulated athlete and the recording it leaves. */
@NullMarked
package wake.simulation;

import org.jspecify.annotations.NullMarked;
