/** The library of workouts and the catalogue of movements. */
@NullMarked
package wake.api.workouts;

import org.jspecify.annotations.NullMarked;
