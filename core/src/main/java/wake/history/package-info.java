/** An athlete over many attempts: what each shows, lines over time, what is more than noise, techniques, the limiter. */
@NullMarked
package wake.history;

import org.jspecify.annotations.NullMarked;
